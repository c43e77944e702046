import { choose, demandRows, type ChoosingModel } from '../choosing/index.js';
import { choosingOfRound, type CostedRound, type RoundRules } from '../rounds/index.js';
import { cholesky, normalFrom, randomFrom } from '../statistics/index.js';
import { afterBalls } from './after-balls.js';
import { bagCosts } from './bag-costs.js';
import type { OpenShots } from './open-shots.js';
import { shotCosts, type ShotCosts } from './shot-costs.js';

/** Worlds the unknown carries are drawn in, two by two opposite. Our choice. */
const DRAWS = 128;
/**
 * Other worlds, in which the expected gain of a basket is reported: the worlds it was optimised in flatter it.
 * Our choice.
 */
const FRESH_DRAWS = 256;
/** Worlds bags are looked for in, and bags that are kept of them. Our choice. */
const BAG_DRAWS = 24;
const MAX_BAGS = 10;
const COSTING_SHARE = 0.8;

/** A bag, and the shot each row of the round is played with. */
export interface Decided {
  bag: number;
  playedWith: Int32Array;
  /** Expected strokes a round. */
  strokes: number;
}

/** The decisions balls bear on: which of some bags is carried, and which shot is hit from where. */
export interface BasketDecision {
  open: OpenShots;
  /** Club ids of the bags that may be carried; the one carried as things are known now comes first. */
  bags: readonly (readonly string[])[];
  /** Distance of every row, metres. */
  rowsM: readonly number[];
  /** What is decided as things are known now. */
  now: Decided;
  /** What knowing everything would win, strokes a round. */
  perfectGain: number;
  /** Strokes a round that so many balls on each shot are expected to win by deciding better. */
  gainOf(balls: readonly number[]): number;
  /** The same in other worlds than those the basket was optimised in; the figure that is reported. */
  expectedGain(balls: readonly number[]): number;
  /** What may be decided after so many balls, in each of the worlds; for the reasons. */
  worldsAfter(balls: readonly number[]): World[];
  decide(shifts: readonly number[], left: readonly number[], isUsable: (shot: number) => boolean): Decided;
  /**
   * What a decision costs in a world where the true carries are off by so much from what was known at first.
   */
  costOf(decided: Decided, shifts: readonly number[]): number;
}

/** One way the balls may turn out. */
interface World {
  decided: Decided;
  /** Strokes a round won over what is decided now, row by row. */
  won: Float64Array;
}

/**
 * Prepares what a round's decisions cost by what is not known of the carries. Steps count as they are known
 * now.
 * @param onProgress share of the work done
 * @returns undefined where the rules allow no bag
 * @throws InvalidInputError
 */
export function basketDecision(
  round: CostedRound,
  rules: RoundRules,
  open: OpenShots,
  onProgress?: (share: number) => void,
  seed = 11,
): BasketDecision | undefined {
  const { model, clubs, prices } = choosingOfRound(round, rules);
  const rows = demandRows(round.needs);
  const { shots, covariance } = open;
  const swung = shotCosts(round, open, rowWeights(round), rules.preferences.bounce, (share) =>
    onProgress?.(share * COSTING_SHARE),
  );
  // A club whose shots are not open, a putter for one, costs the same in every world.
  const others = clubs.flatMap(({ id }, c) => (shots.some(({ clubId }) => clubId === id) ? [] : [c]));
  const costs: ShotCosts[] = [
    ...swung,
    ...others.map((c) => ({ places: [Float64Array.from(model.needs, (row) => row[c]!)], reach: 0 })),
  ];
  const shotsOf = clubs.map(({ id }, c) =>
    others.includes(c)
      ? [shots.length + others.indexOf(c)]
      : shots.flatMap(({ clubId }, i) => (clubId === id ? [i] : [])),
  );
  const isOwned = (shot: number) => shots[shot]?.isOwned ?? true;
  const deviations = shots.map((_shot, i) => Math.sqrt(covariance[i]![i]!));
  const ballShares = shots.map(({ ballShare }) => ballShare);
  const zero = shots.map(() => 0);
  const lower = cholesky(covariance.map((row, i) => row.map((one, k) => (i === k ? one + NUGGET : one))));
  const normal = normalFrom(randomFrom(seed));
  const draws = oppositeDraws(DRAWS, shots.length, normal);
  const freshDraws = oppositeDraws(FRESH_DRAWS, shots.length, normal);

  const bags = candidateBags();
  if (bags.length === 0) return undefined;
  const ready = bagCosts(
    costs,
    bags.map((chosen) => chosen.flatMap((c) => shotsOf[c]!)),
    isOwned,
  );
  const standing = bags.map((chosen) => standingCost(model, chosen));
  const now = decide(zero, deviations, isOwned);
  const nowCost = ready.costOfShots(now.playedWith);
  const perfectGain = gainWith(lower, zero, () => true, freshDraws);
  onProgress?.(1);

  return {
    open,
    bags: bags.map((chosen) => chosen.map((c) => clubs[c]!.id)),
    rowsM: rows.map(({ distanceM }) => distanceM),
    now,
    perfectGain,
    gainOf: (balls) => gainIn(draws, balls),
    expectedGain: (balls) => gainIn(freshDraws, balls),
    worldsAfter(balls) {
      const { moves, left } = afterBalls(covariance, ballShares, balls);
      ready.know({ left, isUsable: usableAfter(balls) });
      return draws.map((draw) => {
        ready.shift(times(moves, draw));
        const decided = decideAsShifted();
        const before = ready.costsOfShots(now.playedWith);
        const after = ready.costsOfShots(decided.playedWith);
        return { decided, won: before.map((cost, row) => cost - after[row]!) };
      });
    },
    decide,
    costOf(decided, shifts) {
      ready.know({ left: zero, isUsable: () => true });
      ready.shift(shifts);
      return ready.costOfShots(decided.playedWith)() + standing[decided.bag]!;
    },
  };

  function gainIn(worlds: typeof draws, balls: readonly number[]): number {
    if (balls.every((count) => count === 0)) return 0;
    const { moves, left } = afterBalls(covariance, ballShares, balls);
    return gainWith(moves, left, usableAfter(balls), worlds);
  }

  function usableAfter(balls: readonly number[]): (shot: number) => boolean {
    return (shot) => isOwned(shot) || balls[shot]! > 0;
  }

  /** The best bag with that knowledge. */
  function bestBag(): { bag: number; strokes: number } {
    let [best, strokes] = [0, Infinity];
    for (let bag = 0; bag < bags.length; bag++) {
      const total = ready.costOf(bag) + standing[bag]!;
      if (total < strokes) [best, strokes] = [bag, total];
    }
    return { bag: best, strokes };
  }

  function decide(
    shifts: readonly number[],
    left: readonly number[],
    isUsable: (shot: number) => boolean,
  ): Decided {
    ready.know({ left, isUsable });
    ready.shift(shifts);
    return decideAsShifted();
  }

  function decideAsShifted(): Decided {
    const best = bestBag();
    return { ...best, playedWith: ready.playedWith(best.bag) };
  }

  /** What deciding again wins over what is decided now, on average over the worlds. */
  function gainWith(
    moves: readonly (readonly number[])[],
    left: readonly number[],
    isUsable: (shot: number) => boolean,
    worlds: typeof draws,
  ): number {
    ready.know({ left, isUsable });
    let gain = 0;
    for (const draw of worlds) {
      ready.shift(times(moves, draw));
      gain += nowCost() + standing[now.bag]! - bestBag().strokes;
    }
    return gain / worlds.length;
  }

  /** Bags that come out best in some world, the one that does as things are known now first. */
  function candidateBags(): (readonly number[])[] {
    const everything = bagCosts(
      costs,
      clubs.map((_club, c) => shotsOf[c]!),
      isOwned,
    );
    const chosenIn = (shifts: readonly number[]): readonly number[] | undefined => {
      everything.shift(shifts);
      const columns = clubs.map((_club, c) => everything.costsByRow(c));
      const needs = rows.map((_row, r) => columns.map((column) => column[r]!));
      return choose({ ...model, needs }, prices ? { prices } : {})?.chosen;
    };
    everything.know({ left: deviations, isUsable: isOwned });
    const first = chosenIn(zero);
    if (!first) return [];
    const counts = new Map([[first.join(), { chosen: first, times: Infinity }]]);
    everything.know({ left: zero, isUsable: () => true });
    for (const draw of oppositeDraws(BAG_DRAWS, shots.length, normal)) {
      const chosen = chosenIn(times(lower, draw));
      if (!chosen) continue;
      const key = chosen.join();
      counts.set(key, { chosen, times: (counts.get(key)?.times ?? 0) + 1 });
    }
    return [...counts.values()]
      .sort((a, b) => b.times - a.times)
      .slice(0, MAX_BAGS)
      .map(({ chosen }) => chosen);
  }
}

/** A covariance of which some rows follow others can be factorised with a little more on its diagonal. */
const NUGGET = 1e-9;

/** Strokes a round that each row of the demands stands for. */
function rowWeights({ needs, strokes }: CostedRound): number[] {
  const rows = demandRows(needs);
  const whole = rows.reduce((sum, { weight }) => sum + weight, 0);
  return rows.map(({ weight }) => (whole > 0 ? (weight * strokes) / whole : 0));
}

/** What a bag costs whatever its shots do: its steps and its prices. */
function standingCost({ clubs, ladderClubs, steps }: ChoosingModel, chosen: readonly number[]): number {
  const onLadder = chosen.filter((club) => club < ladderClubs);
  const prices = chosen.reduce((sum, club) => sum + clubs[club]!.price, 0);
  return prices + onLadder.slice(1).reduce((sum, club, i) => sum + steps[onLadder[i]!]![club]!, 0);
}

/** Normal numbers, and the same ones turned about: what is odd in them averages out. */
function oppositeDraws(count: number, each: number, normal: () => number): number[][] {
  return Array.from({ length: count / 2 }, () => Array.from({ length: each }, normal)).flatMap((draw) => [
    draw,
    draw.map((one) => -one),
  ]);
}

function times(matrix: readonly (readonly number[])[], vector: readonly number[]): number[] {
  return matrix.map((row) => {
    let sum = 0;
    for (let k = 0; k < row.length; k++) sum += row[k]! * vector[k]!;
    return sum;
  });
}
