import {
  LIES,
  airOf,
  caddieAnswer,
  carryCurve,
  distanceCard,
  fly,
  groundOf,
  isFullSwing,
  moveShot,
  scatterOf,
  spreadOf,
  swingOf,
  wholeAlongM,
  type CaddieAnswer,
  type CaddieQuestion,
  type CardDay,
  type CardRequest,
  type DistanceCard,
  type CarryEstimate,
  type ClubKind,
  type LadderClub,
  type Lie,
  type MovedShot,
  type PathPoint,
  type PlayingConditions,
  type Shot,
  type ShotKind,
  type SwungShot,
  shotsIn,
} from '@tasche/core';
import { expose } from 'comlink';
import { shotKey } from './shot-key';

/** A shot as it is expected there, under the key of the shot it was. */
export interface MovedRow {
  key: string;
  clubId: string;
  shot: ShotKind;
  moved: Omit<MovedShot, 'launch'>;
}

/**
 * A flight to be drawn: along, up and right of the line, metres, one after the other; then the run on the
 * ground.
 */
export interface FlightTrace {
  clubId: string;
  path: Float64Array;
  moved: Omit<MovedShot, 'launch'>;
  flightS: number;
  landSpeedMps: number;
  /** Standard deviations, and the carry nine in ten get past. */
  spread: { carrySdM: number; lateralSdM: number; lowEndM: number; shots: Float64Array };
}

const swings = new Map<string, SwungShot | null>();
const MAX_SWINGS = 5000;

/** The swing behind a shot, found once; null where none is to be found. */
function swingFor(club: LadderClub, shot: Shot, from: PlayingConditions): SwungShot | null {
  const key = `${JSON.stringify(from)} ${shotKey(club, shot)}`;
  const known = swings.get(key);
  if (known !== undefined) return known;
  if (swings.size > MAX_SWINGS) swings.clear();
  let swung: SwungShot | null;
  try {
    swung = swingOf(club, shot, from);
  } catch {
    swung = null; // A carry no swing makes stays where it is; the sheet shows it as it was written.
  }
  swings.set(key, swung);
  return swung;
}

function movedTo(swung: SwungShot, to: PlayingConditions, lie: Lie = 'fairway'): MovedShot | null {
  try {
    return moveShot(swung, to, lie);
  } catch {
    return null; // It does not get up to the target.
  }
}

const api = {
  /** Every full-swing shot of these clubs in other air and on other ground. */
  move(clubs: readonly LadderClub[], from: PlayingConditions, to: PlayingConditions): MovedRow[] {
    return clubs
      .filter((club) => isFullSwing(club.kind))
      .flatMap((club) =>
        shotsIn(club.shots).flatMap(([kind, shot]) => {
          const swung = swingFor(club, shot, from);
          const there = swung && movedTo(swung, to);
          if (!there) return [];
          const { launch: _launch, ...moved } = there;
          return [{ key: shotKey(club, shot), clubId: club.id, shot: kind, moved }];
        }),
      );
  },

  /**
   * The stock flights of these clubs, with their spread of 200: as measured, drawn towards what is usual for
   * the handicap.
   */
  flights(
    clubs: readonly LadderClub[],
    from: PlayingConditions,
    to: PlayingConditions,
    lie: Lie,
    handicap: number,
  ): FlightTrace[] {
    const air = airOf(to.conditions);
    const ground = groundOf(to.surface);
    const { targetElevationM } = to.conditions;
    return clubs.flatMap((club) => {
      const { full } = club.shots;
      const swung = full && swingFor(club, full, from);
      const there = swung && movedTo(swung, to, lie);
      if (!full || !there) return [];
      const points: PathPoint[] = [];
      const flown = fly(there.launch, air, targetElevationM, points);
      const { launch, ...moved } = there;
      const scatter = scatterOf(club.kind, club.loftDeg, full, handicap);
      const wider = LIES[lie].spread;
      const { carrySdM, lateralSdM, lowEndM, shots } = spreadOf(
        launch,
        air,
        ground,
        wholeAlongM(scatter) * wider,
        targetElevationM,
        scatter.acrossM * wider,
      );
      return [
        {
          clubId: club.id,
          path: Float64Array.from(points.flatMap(({ xM, yM, zM }) => [xM, yM, zM])),
          moved,
          flightS: flown.flightS,
          landSpeedMps: flown.landSpeedMps,
          spread: { carrySdM, lateralSdM, lowEndM, shots },
        },
      ];
    });
  },

  /** Pocket cards, in the order they were asked for. */
  cards(requests: readonly CardRequest[]): DistanceCard[] {
    return requests.map(distanceCard);
  },

  /** The two clubs to choose between for one shot. */
  caddie(
    question: CaddieQuestion,
    clubs: readonly LadderClub[],
    from: PlayingConditions,
    day: CardDay,
    handicap: number,
  ): CaddieAnswer {
    return caddieAnswer(question, clubs, from, day, handicap);
  },

  /**
   * What a club of this kind and loft would carry for the player who owns these; null where it cannot be said.
   */
  predict(
    clubs: readonly LadderClub[],
    from: PlayingConditions,
    kind: ClubKind,
    loftDeg: number,
  ): CarryEstimate | null {
    try {
      return carryCurve(clubs, from.conditions).at(kind, loftDeg);
    } catch {
      return null;
    }
  },
};

export type ConditionsWorker = typeof api;
expose(api);
