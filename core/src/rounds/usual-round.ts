import { carryCurve } from '../carry/index.js';
import {
  demandCosts,
  demandKey,
  TOUCH_M,
  playedIn,
  withModelledCarries,
  type BounceStrategy,
  type PlayedIn,
  type ShotDemand,
} from '../choosing/index.js';
import { USUAL_GROUND, roughStrokes, usualHole, type CourseGround } from '../courses/index.js';
import type { ShotKind } from '../clubs/index.js';
import type { Lie, PlayingConditions } from '../plays-like/index.js';
import { skillOf } from '../skill/index.js';
import type { LadderClub } from '../spec/index.js';
import type { StrokeKind } from './play-hole.js';
import type { CostedRound } from './round-choosing.js';
import { hazardsBeside, type Beside } from './usual-course.js';
import { USUAL_ROUND_TABLE } from './usual-round-table.js';

/**
 * How wide the table's bins of distance are, as a share of the driver's carry; from rough and sand twice that.
 */
const BIN_SHARE = USUAL_ROUND_TABLE.binShare;
/** What comes up less often in a round is left out, and counted with the rest. */
const RAREST = 0.03;

interface TableRow {
  kind: StrokeKind;
  lie: Lie;
  front: '' | 'open' | 'sand';
  beside: '' | Beside;
  /**
   * Strokes a round, distance, what is left, for every player of the table; 0 where it never comes up. Shares
   * of the driver's carry, short shots in metres.
   */
  cells: readonly (0 | readonly [strokes: number, distance: number, left: number])[];
}
const { reachesM, handicaps } = USUAL_ROUND_TABLE;
const ROWS = USUAL_ROUND_TABLE.rows as readonly TableRow[];

/** What an ordinary round asks of a player. */
interface UsualRound {
  needs: readonly ShotDemand[];
  /** Strokes a round, putts left out. */
  strokes: number;
}

/**
 * What a round on an ordinary course that suits the player's length asks, without naming one: read off 360
 * rounds played by each of eighteen players with every club there is (`./tasche usual-rounds`), between them
 * in proportion. Calm, level, medium ground.
 * @param reachM carry of the driver, or what a driver would carry
 */
export function usualRound(reachM: number, handicap: number): UsualRound {
  const shares = neighbours(handicaps, handicap).flatMap(([h, ofHandicap]) =>
    neighbours(reachesM, reachM).map(([r, ofReach]): [number, number] => [
      h * reachesM.length + r,
      ofHandicap * ofReach,
    ]),
  );
  const strokes = shares.reduce((sum, [cell, share]) => sum + share * USUAL_ROUND_TABLE.strokes[cell]!, 0);
  const needs = ROWS.flatMap((row, i) => {
    let [weight, distance, left] = [0, 0, 0];
    for (const [cell, share] of shares) {
      const found = row.cells[cell];
      if (!found) continue;
      weight += share * found[0];
      distance += share * found[0] * found[1];
      left += share * found[0] * found[2];
    }
    return weight < RAREST
      ? []
      : [demandOf(row, weight, distance / weight, left / weight, reachM, `usual ${i}`)];
  });
  const listed = needs.reduce((sum, { weight }) => sum + weight, 0);
  return {
    needs: needs.map((demand) => ({ ...demand, weight: (demand.weight * strokes) / listed })),
    strokes,
  };
}

/** The two entries about a value, with the share of each; one where it lies at or beyond an end. */
function neighbours(entries: readonly number[], value: number): [at: number, share: number][] {
  const above = entries.findIndex((entry) => entry >= value);
  if (above === 0) return [[0, 1]];
  if (above === -1) return [[entries.length - 1, 1]];
  const share = (value - entries[above - 1]!) / (entries[above]! - entries[above - 1]!);
  return [
    [above - 1, 1 - share],
    [above, share],
  ];
}

const GREEN_HALF_M = usualHole(4, []).greenM / 2;
const FAIRWAY_HALF_M = usualHole(4, []).corridorM / 2;
const KIND_WORDS: Record<StrokeKind, string> = {
  'tee shot': 'drive',
  'par three': 'tee shot at a par three',
  'lay-up': 'lay-up',
  approach: 'approach',
  'short game': 'short shot',
};

function demandOf(
  { kind, lie, front, beside }: TableRow,
  weight: number,
  distance: number,
  left: number,
  reachM: number,
  id: string,
): ShotDemand {
  const distanceM = Math.max(1, kind === 'short game' ? distance : distance * reachM);
  const from = lie === 'tee' || lie === 'fairway' ? '' : ` from ${lie}`;
  const name = `${KIND_WORDS[kind]}${from}`;
  const common = { id, name, stroke: name, distanceM, lie, weight, missStrokes: roughStrokes(USUAL_GROUND) };
  if (kind === 'tee shot' || kind === 'lay-up') {
    const hazards = beside === '' ? [] : hazardsBeside(beside, reachM);
    return {
      ...common,
      to: 'fairway',
      mustHold: false,
      halfM: FAIRWAY_HALF_M,
      leftM: Math.max(1, left * reachM),
      ...(hazards.length > 0 && { hazards }),
    };
  }
  const binM = kind === 'short game' ? 0 : reachM * BIN_SHARE * (front === '' ? 2 : 1);
  return {
    ...common,
    to: 'green',
    mustHold: front === 'sand',
    halfM: GREEN_HALF_M,
    ...(binM > 0 && { hitFromM: SIXTHS.map((sixth) => distanceM + binM * sixth) }),
  };
}

/**
 * A row stands for the shots of its bin, not for those of its middle alone: no club gains by carrying just
 * that.
 */
const SIXTHS = [-2 / 6, 0, 2 / 6];

/** The loft a driver is taken to have where a player has none. */
const USUAL_DRIVER_DEG = 10.5;

/** What the player's driver carries, or would carry. Metres; undefined where nothing is known that tells it. */
export function driverReach(clubs: readonly LadderClub[], from: PlayingConditions): number | undefined {
  const driver = clubs.find(({ kind, shots }) => kind === 'driver' && shots.full);
  if (driver) return driver.shots.full!.carryM;
  try {
    return carryCurve(clubs, from.conditions).at('driver', USUAL_DRIVER_DEG).carryM.value;
  } catch {
    return undefined;
  }
}

/** What a usual round is played with and for. */
export interface UsualRoundRequest {
  clubs: readonly LadderClub[];
  /** The air and ground the carries are known in. */
  from: PlayingConditions;
  /**
   * The air and ground the round is played in, the wind coming from every side in turn, for what is typed
   * from where it is said to; without wind where the carries are known, where it is not given.
   */
  in?: PlayingConditions;
  bounce?: BounceStrategy;
  handicap?: number;
  /**
   * What the driver carries at home, where the clubs were moved into other air: no course is shorter for the
   * wind they are read in. Metres.
   */
  reachM?: number | undefined;
  /** The clubs have all their carries: none is to be modelled. */
  complete?: boolean;
  /** Shots the player entered: they take the place of the approaches and par threes a usual round asks. */
  typed?: readonly ShotDemand[];
}

/**
 * A usual round with what every club would cost for it, to choose from as from any other. What the player typed
 * stands for the long shots at greens, in the strokes a round those have; drives, lay-ups, recoveries and the
 * short game stay, so that no list takes the driver or the wedges out.
 * @returns undefined where no carry and no loft tells how far the player hits it
 */
export function usualRoundChoosing({
  clubs: known,
  from,
  in: there = calm(from),
  bounce = 'match',
  handicap = skillOf(known).handicap,
  reachM: reachAtHomeM,
  typed = [],
  complete = false,
}: UsualRoundRequest): CostedRound | undefined {
  const clubs = complete ? known : withModelledCarries(known, from.conditions);
  const reachM = reachAtHomeM ?? driverReach(clubs, from);
  if (reachM === undefined || !clubs.some(({ shots }) => shots.full)) return undefined;
  const { windMps, windFromDeg } = there.conditions;
  const usual = usualRound(reachM, handicap);
  const blown = usual.needs.map((demand, i) => ({
    ...demand,
    windMps,
    windFromDeg: (i % SIDES) * (360 / SIDES),
  }));
  const { needs, strokes } = withTyped(
    { ...usual, needs: windMps > 0 ? blown : usual.needs },
    typed.map((demand) => ({ windMps, windFromDeg, ...demand })),
  );
  const ground = groundIn(there);
  const played: PlayedIn = playedIn(from, calm(there).conditions, ground, handicap);
  return {
    ground,
    needs,
    strokes,
    clubs,
    played,
    costs: demandCosts(clubs, needs, { played, ground, bounce }),
  };
}

/** The club a shot of a round is best played with, and how. */
export interface DemandAnswer {
  clubId: string;
  shot: ShotKind | undefined;
}

/**
 * What a bag answers each shot of a round with, by the shot's id or name; the middle place, where one stands
 * for several.
 */
export function demandAnswers(
  { needs, costs }: Pick<CostedRound, 'needs' | 'costs'>,
  bagIds: readonly string[],
): Record<string, DemandAnswer> {
  let row = 0;
  return Object.fromEntries(
    needs.map((demand) => {
      const places = Math.max(1, demand.hitFromM?.length ?? 0);
      const known = costs[row + Math.floor((places - 1) / 2)]!;
      row += places;
      const clubId = bagIds.reduce((best, id) =>
        known.get(id)!.strokes < known.get(best)!.strokes ? id : best,
      );
      return [demandKey(demand), { clubId, shot: known.get(clubId)!.shot }];
    }),
  );
}

/** Sides a round's wind comes from, shot by shot. Our choice. */
const SIDES = 4;

function calm(there: PlayingConditions): PlayingConditions {
  return { ...there, conditions: { ...there.conditions, windMps: 0, windFromDeg: 0 } };
}

/** A usual course's ground, as firm as it is there. */
function groundIn({ surface: { firmness, grass } }: PlayingConditions): CourseGround {
  return { ...USUAL_GROUND, fairways: firmness, greens: firmness, grass };
}

/** Long shots at greens from grass or a tee: what a list the player typed is about. */
function isLong({ to, distanceM, lie }: ShotDemand): boolean {
  return to === 'green' && distanceM > TOUCH_M && (lie === 'fairway' || lie === 'tee');
}

function withTyped(usual: UsualRound, typed: readonly ShotDemand[]): UsualRound {
  if (typed.length === 0) return usual;
  const drives = typed.some(({ to }) => to === 'fairway');
  const replaced = usual.needs.filter(
    (demand) => isLong(demand) || (drives && demand.to === 'fairway' && demand.lie === 'tee'),
  );
  const sum = (needs: readonly ShotDemand[]) => needs.reduce((total, { weight }) => total + weight, 0);
  const scale = sum(replaced) / Math.max(1e-9, sum(typed));
  return {
    strokes: usual.strokes,
    needs: [
      ...usual.needs.filter((demand) => !replaced.includes(demand)),
      ...typed.map((demand) => ({ ...demand, weight: demand.weight * scale })),
    ],
  };
}
