import {
  TOUCH_M,
  aimed,
  demandCosts,
  isTie,
  playedIn,
  shotsFor,
  strokesFor,
  type BounceStrategy,
  type ShotDemand,
} from '../choosing/index.js';
import { isFullSwing, type Shot, type ShotKind } from '../clubs/index.js';
import type { Lie, PlayingConditions } from '../plays-like/index.js';
import { decidingFactor, playsLikeOf, type DecidingFactor } from '../rounds/index.js';
import type { LadderClub } from '../spec/index.js';
import type { CardDay } from './distance-card.js';

/**
 * What a caddie asks beside the ball. Metres, m/s; the wind as the player sees it: 0 in the face, 90 from the
 * right.
 */
export interface CaddieQuestion {
  distanceM: number;
  windMps: number;
  windFromDeg: number;
  lie: Lie;
  elevationChangeM: number;
  mustHold: boolean;
}

/** A club that could be taken, with the shot that fits best. Metres from the ball. */
export interface CaddieOption {
  clubId: string;
  name: string;
  /** None where it is played by feel. */
  shot?: ShotKind;
  source?: Shot['source'];
  /** Where it pitches, and where it stops, of a good strike. */
  carryM: number;
  restM: number;
  /** From here to the hole, on average. */
  strokes: number;
}

export interface CaddieAnswer {
  question: CaddieQuestion;
  /** The best club, and the next; none in an empty bag. */
  options: readonly CaddieOption[];
  /** What the distance is at home, for a stock shot of this player's. */
  playsLikeM?: number;
  /** Why the second is behind, where it is not its distance alone. */
  because?: DecidingFactor;
}

/**
 * The two clubs to choose between for one shot at a green, by the strokes that are left over where each may
 * end.
 * @param clubs of the bag, each with a carry as far as one can be had (see `placedClubs`)
 * @throws InvalidInputError naming the field
 */
export function caddieAnswer(
  question: CaddieQuestion,
  clubs: readonly LadderClub[],
  from: PlayingConditions,
  day: CardDay,
  handicap: number,
  bounce: BounceStrategy = 'match',
): CaddieAnswer {
  const { distanceM, windMps, windFromDeg } = question;
  const demand: ShotDemand = { ...question, name: 'this shot', to: 'green', weight: 1 };
  const playable = clubs.filter(({ kind, shots }) => isFullSwing(kind) && Object.keys(shots).length > 0);
  const played = playedIn(from, { ...day.still, windMps: 0, targetElevationM: 0 }, day.ground, handicap);
  const costs = demandCosts(playable, [demand], { played, ground: day.ground, bounce });
  const ranked = playable
    .map((club) => ({ club, ...costs[0]!.get(club.id)! }))
    .filter(({ shot }) => shot !== undefined || distanceM <= TOUCH_M)
    .sort((a, b) => a.strokes - b.strokes);
  const options = ranked.slice(0, 2).map(({ club, shot, strokes }): CaddieOption => {
    const there = played(club, { windMps, windFromDeg });
    const swing = shotsFor(demand, there)
      .filter(([kind]) => kind === shot)
      .map((one) => ({ one, costs: strokesFor(demand, there, ...one) }))
      .sort((a, b) => a.costs - b.costs)[0]?.one;
    const base = { clubId: club.id, name: club.name, strokes };
    if (!shot || !swing) return { ...base, carryM: distanceM, restM: distanceM };
    const aim = aimed(demand, there, shot, swing[1]);
    const isShort = aim.carryM < distanceM - GREEN_HALF_M;
    const restM = aim.carryM + (isShort ? aim.fairwayRunM : aim.greenRunM);
    return { ...base, shot, source: swing[1].source, carryM: aim.carryM, restM };
  });
  const playsLikeM = playsLikeOf(demand, playable, played);
  const [first, second] = options;
  const round = { ground: day.ground, needs: [demand], strokes: 1, clubs: playable, played, costs };
  const factor =
    first && second && !isTie(second.strokes - first.strokes)
      ? decidingFactor(round, bounce, [first.clubId], first.clubId, second.clubId)
      : undefined;
  return {
    question,
    options,
    ...(playsLikeM !== undefined && { playsLikeM }),
    ...(factor && factor.code !== 'distance' && { because: factor }),
  };
}

/** A ball that comes down shorter than this of the flag has not reached a usual green. Our choice. */
export const GREEN_HALF_M = 13;
