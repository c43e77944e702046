import { InvalidInputError } from '../invalid-input-error.js';
import { choose, type Choice } from './choose.js';
import type { BagChoosing } from './choose-bag.js';

/** A day the clubs that travel may be wanted for: a round under one forecast, and how much it counts. */
export interface Scenario {
  name: string;
  choosing: BagChoosing;
  weight: number;
}

export interface TravelSet {
  /** Clubs that travel. */
  ids: readonly string[];
  /** Mean over the scenarios of each one's best bag from these clubs, in the scenarios' weights. */
  strokes: number;
  /** The same with every club at hand. */
  wholeLocker: number;
  /** Nothing that size can cost less than this. */
  bound: number;
  proved: boolean;
  /** Each scenario's bag from the set, its cost, and what the whole locker would have saved. */
  bags: readonly { name: string; ids: readonly string[]; strokes: number; regret: number }[];
  /** Choices made on the way. */
  choices: number;
}

/**
 * Rounds of better prices, and of swaps tried. Ours: bounded work rather than bounded time, so that the
 * answer is the same everywhere.
 */
const ROUNDS = 9;
const MAX_SWAPS_TRIED = 16;
const SAME = 1e-9;

/**
 * The clubs to travel with: of all sets of so many, the one whose best bags cost least over all scenarios.
 * Each scenario alone is chosen exactly; that its bag comes from the set is relaxed with a price for each
 * club and scenario (M. L. Fisher, Management Science 27 (1981) 1-18), which gives the bound, and the sets
 * met on the way are mended by swaps. Proved when the two meet.
 * @param stop asked between choices; true ends with what there is
 * @throws InvalidInputError where there are no scenarios, or a scenario allows no bag, naming it
 */
export function travelSet(
  scenarios: readonly Scenario[],
  size: number,
  stop: () => boolean = () => false,
): TravelSet {
  if (scenarios.length === 0) throw new InvalidInputError('scenarios', 'are none');
  if (!Number.isInteger(size) || size < 1)
    throw new InvalidInputError('size', `must be a whole number of at least 1, not ${size}`);
  const ids = scenarios[0]!.choosing.clubs.map(({ id }) => id);
  const whole = scenarios.reduce((sum, { weight }) => sum + weight, 0);
  const shares = scenarios.map(({ weight }) => weight / whole);
  const placeOf = new Map(ids.map((id, c) => [id, c]));
  let choices = 0;

  const chosenFrom = (
    s: number,
    prices?: Float64Array,
    allowed?: ReadonlySet<string>,
    below = Infinity,
    roughly = false,
  ): Choice | undefined => {
    choices += 1;
    const { model, clubs } = scenarios[s]!.choosing;
    const settled = allowed && Int8Array.from(clubs.map(({ id }) => (allowed.has(id) ? 0 : -1)));
    const priced = prices
      ? {
          ...model,
          clubs: model.clubs.map((club, c) => ({
            ...club,
            price: club.price + prices[placeOf.get(clubs[c]!.id)!]!,
          })),
        }
      : model;
    const options = { below, ...(settled && { settled }) };
    // Told to stop at once, it may not have met a bag that keeps the rules yet.
    return (
      (roughly ? choose(priced, { ...options, stop: () => true }) : undefined) ?? choose(priced, options)
    );
  };
  const idsOf = (s: number, { chosen }: Choice) => chosen.map((c) => scenarios[s]!.choosing.clubs[c]!.id);

  const free = scenarios.map(({ name }, s) => {
    const choice = chosenFrom(s);
    if (!choice) throw new InvalidInputError('scenarios', `"${name}" allows no bag`);
    return choice;
  });
  const freeStrokes = free.reduce((sum, { cost }, s) => sum + shares[s]! * cost, 0);

  interface Tried {
    set: readonly string[];
    strokes: number;
    choices: readonly Choice[];
  }
  let best: Tried | undefined;
  const known = new Map<string, Tried | null>();
  const trySet = (set: readonly string[]): Tried | undefined => {
    const key = [...set].sort().join();
    const before = known.get(key);
    if (before !== undefined) return before ?? undefined;
    const allowed = new Set(set);
    const made = new Array<Choice>(scenarios.length);
    let strokes = 0;
    let remaining = freeStrokes;
    // Days that would miss most come first: a set that is no better is soon seen to be none.
    const missing = free.map((choice, s) => idsOf(s, choice).filter((id) => !allowed.has(id)).length);
    for (const s of [...missing.keys()].sort((a, b) => missing[b]! - missing[a]!)) {
      remaining -= shares[s]! * free[s]!.cost;
      // What this day may cost at most if the set is to be better than the best known, the days after it at
      // their cheapest.
      const room = best ? (best.strokes - strokes - remaining) / shares[s]! : Infinity;
      if (room <= free[s]!.cost - SAME) {
        known.set(key, null);
        return undefined;
      }
      // A bag all of whose clubs travel is the scenario's best still.
      const choice = missing[s] === 0 ? free[s] : chosenFrom(s, undefined, allowed, room);
      if (!choice) {
        known.set(key, null);
        return undefined;
      }
      made[s] = choice;
      strokes += shares[s]! * choice.cost;
    }
    const tried = { set: [...set], strokes, choices: made };
    known.set(key, tried);
    if (!best || tried.strokes < best.strokes - SAME) best = tried;
    return tried;
  };

  /** The clubs most in use by these choices, each counted by its scenario's share; ties by their order. */
  const mostUsed = (made: readonly Choice[], worth?: Float64Array): string[] => {
    const use = new Map(ids.map((id, c) => [id, worth ? worth[c]! * 1e-3 : 0]));
    made.forEach((choice, s) => {
      for (const id of idsOf(s, choice)) use.set(id, (use.get(id) ?? 0) + shares[s]!);
    });
    return [...ids].sort((a, b) => use.get(b)! - use.get(a)!).slice(0, size);
  };

  let bound = freeStrokes;
  const union = new Set(free.flatMap((choice, s) => idsOf(s, choice)));
  trySet(mostUsed(free));
  if (union.size > size) {
    const prices = scenarios.map(() => new Float64Array(ids.length));
    let step = 1;
    for (let round = 0; round < ROUNDS && !stop(); round++) {
      const made = scenarios.map((_scenario, s) =>
        chosenFrom(
          s,
          prices[s]!.map((price) => price / shares[s]!),
          undefined,
          Infinity,
          true,
        )!,
      );
      const worth = new Float64Array(ids.length);
      prices.forEach((row) => {
        row.forEach((price, c) => {
          worth[c]! += price;
        });
      });
      const dearest = [...worth.keys()].sort((a, b) => worth[b]! - worth[a]!).slice(0, size);
      // The days' own bounds, not their bags' costs: what is not proved of a day must not be taken for proved
      // of the set.
      const value =
        made.reduce((sum, { bound: low }, s) => sum + shares[s]! * low, 0) -
        dearest.reduce((sum, c) => sum + worth[c]!, 0);
      if (value > bound + SAME) bound = value;
      else step *= 0.7;
      trySet(mostUsed(made, worth));
      if (best && best.strokes - bound < SAME) break;
      const travels = new Set(dearest.map((c) => ids[c]!));
      const off = made.map((choice, s) => {
        const bag = new Set(idsOf(s, choice));
        return ids.map((id) => (bag.has(id) ? 1 : 0) - (travels.has(id) ? 1 : 0));
      });
      const length = off.flat().reduce<number>((sum, one) => sum + one * one, 0);
      if (length === 0) break;
      const by = (step * Math.max(1e-6, (best?.strokes ?? bound + 1) - value)) / length;
      prices.forEach((row, s) => {
        off[s]!.forEach((one, c) => {
          row[c] = Math.max(0, row[c]! + by * one);
        });
      });
    }
    // Swaps: what a bag would have liked, for what is used least.
    for (let tried = 0, better = true; better && best && tried < MAX_SWAPS_TRIED;) {
      better = false;
      const { set, choices: made, strokes }: Tried = best;
      const inside = new Set(set);
      const use = new Map(set.map((id) => [id, 0]));
      made.forEach((choice, s) => {
        for (const id of idsOf(s, choice)) use.set(id, (use.get(id) ?? 0) + shares[s]!);
      });
      const outs = [...set].sort((a, b) => use.get(a)! - use.get(b)!).slice(0, 5);
      swaps: for (const id of [...union].filter((one) => !inside.has(one))) {
        for (const out of outs) {
          if (stop() || ++tried > MAX_SWAPS_TRIED) break swaps;
          trySet([...set.filter((one) => one !== out), id]);
          if (best!.strokes < strokes - SAME) {
            better = true;
            break swaps;
          }
        }
      }
    }
  }
  if (!best)
    throw new InvalidInputError(
      'size',
      `of ${size} clubs leaves some scenario without a bag that keeps its rules`,
    );
  const { set, strokes, choices: made }: Tried = best;
  const inOrder = ids.filter((id) => set.includes(id));
  return {
    ids: inOrder,
    strokes,
    wholeLocker: freeStrokes,
    bound: Math.min(bound, strokes),
    proved: strokes - bound < 1e-6,
    choices,
    bags: scenarios.map(({ name }, s) => ({
      name,
      ids: idsOf(s, made[s]!),
      strokes: made[s]!.cost,
      regret: Math.max(0, made[s]!.cost - free[s]!.cost),
    })),
  };
}
