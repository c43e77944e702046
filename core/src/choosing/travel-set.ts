import { InvalidInputError } from '../invalid-input-error.js';
import { choose, type Choice } from './choose.js';
import type { BagChoosing } from './bag-choosing.js';
import type { Settled } from './ladder-path.js';
import { byWorth, copyOf, travelBound, type TravelPrices } from './travel-bound.js';

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

interface TravelSearch {
  /** Searches a little further. @returns false once everything is looked at, or as much as is allowed */
  advance: () => boolean;
  /** The best set so far; undefined where none is known that holds a bag for every day. */
  found: () => TravelSet | undefined;
  /** Everything is looked at: what was found is the best, and where nothing was there is nothing. */
  isComplete: () => boolean;
}

/**
 * Parts of the search looked at. Our choice: bounded work rather than bounded time, so that the answer is the
 * same everywhere; the hardest of the bench takes about 150.
 */
const MAX_PARTS = 4000;
/** Improvements of the prices for all sets together, and for a part of them. */
const ROOT_ROUNDS = 400;
const PART_ROUNDS = 60;
/** After so many parts the most promising set of one is tried. */
const TRY_EVERY = 10;
const MAX_SWAPS_TRIED = 16;
const SAME = 1e-9;
/** A part that cannot be better than the best known by more than this is not looked at, strokes. */
const CLOSE = 1e-7;

/**
 * The clubs to travel with: of all sets of so many, the one whose best bags cost least over all scenarios.
 * Branch and bound on which clubs travel, with the bound of `travelBound`; a set is costed by each scenario's
 * exact choice from it. What is not proved when as much as is allowed was looked at is said by the bound.
 * @throws InvalidInputError where there are no scenarios, or a scenario allows no bag, naming it; and where no
 * set of that size was found
 */
export function travelSet(scenarios: readonly Scenario[], size: number): TravelSet {
  const search = searchTravelSets(scenarios, size);
  while (search.advance());
  const found = search.found();
  if (!found)
    throw new InvalidInputError(
      'size',
      `of ${size} clubs leaves some scenario without a bag that keeps its rules`,
    );
  return found;
}

/**
 * The same search, step by step, for as long as the user waits.
 * @throws InvalidInputError as `travelSet` does, but for a size no set was found of
 */
export function searchTravelSets(scenarios: readonly Scenario[], size: number): TravelSearch {
  if (scenarios.length === 0) throw new InvalidInputError('scenarios', 'are none');
  if (!Number.isInteger(size) || size < 1)
    throw new InvalidInputError('size', `must be a whole number of at least 1, not ${size}`);
  const ids = scenarios[0]!.choosing.clubs.map(({ id }) => id);
  const placeById = new Map(ids.map((id, place) => [id, place]));
  const whole = scenarios.reduce((sum, { weight }) => sum + weight, 0);
  const days = scenarios.map(({ choosing, weight }) => ({
    choosing,
    share: weight / whole,
    placeOf: Int16Array.from(choosing.clubs, ({ id }) => placeById.get(id)!),
  }));
  const room = Math.min(size, ids.length);
  let choices = 0;

  const chosenFrom = (d: number, inSet?: Uint8Array, below = Infinity): Choice | undefined => {
    choices += 1;
    const { choosing, placeOf } = days[d]!;
    const settled = inSet && Int8Array.from(placeOf, (place) => (inSet[place] ? 0 : -1));
    const { model, prices } = choosing;
    return choose(model, { below, ...(settled && { settled }), ...(prices && { prices }) });
  };
  const placesIn = (d: number, { chosen }: Choice) => chosen.map((c) => days[d]!.placeOf[c]!);

  const free = scenarios.map(({ name }, d) => {
    const choice = chosenFrom(d);
    if (!choice) throw new InvalidInputError('scenarios', `"${name}" allows no bag`);
    return choice;
  });
  const freeStrokes = free.reduce((sum, { cost }, d) => sum + days[d]!.share * cost, 0);

  interface Tried {
    set: readonly number[];
    strokes: number;
    made: readonly Choice[];
  }
  let best: Tried | undefined;
  const bestStrokes = () => best?.strokes ?? Infinity;
  const tried = new Set<string>();
  /** Costs a set, as far as it may be better than the best known. @returns whether it is */
  const trySet = (places: readonly number[]): boolean => {
    const set = [...places].sort((a, b) => a - b);
    const key = set.join();
    if (tried.has(key)) return false;
    tried.add(key);
    const inSet = new Uint8Array(ids.length);
    for (const place of set) inSet[place] = 1;
    const made = new Array<Choice>(days.length);
    let strokes = 0;
    let remaining = freeStrokes;
    // Days that would miss most come first: a set that is no better is soon seen to be none.
    const missing = free.map((choice, d) => placesIn(d, choice).filter((place) => !inSet[place]).length);
    for (const d of [...missing.keys()].sort((a, b) => missing[b]! - missing[a]!)) {
      const { share } = days[d]!;
      remaining -= share * free[d]!.cost;
      // What this day may cost at most if the set is to be better than the best known, the days after it at
      // their cheapest.
      const most = (bestStrokes() - strokes - remaining) / share;
      if (most <= free[d]!.cost - SAME) return false;
      // A bag all of whose clubs travel is the day's best still.
      const choice = missing[d] === 0 ? free[d] : chosenFrom(d, inSet, most);
      if (!choice) return false;
      made[d] = choice;
      strokes += share * choice.cost;
    }
    if (strokes >= bestStrokes() - SAME) return false;
    best = { set, strokes, made };
    return true;
  };

  /** How much each club is carried by these choices, each counted by its day's share. */
  const useBy = (made: readonly Choice[]) => {
    const use = new Float64Array(ids.length);
    made.forEach((choice, d) => {
      for (const place of placesIn(d, choice)) use[place]! += days[d]!.share;
    });
    return use;
  };
  const none = new Int8Array(ids.length);
  const most = (worth: Float64Array, settled: Settled = none) => {
    const inside = [...settled.keys()].filter((place) => settled[place] === 1);
    return [...inside, ...byWorth(worth, settled)].slice(0, room);
  };

  /** What a bag would have liked, for what is used least. */
  function swap(): void {
    const liked = useBy(free);
    for (let swaps = 0, better = true; better && best && swaps < MAX_SWAPS_TRIED;) {
      better = false;
      const { set, made }: Tried = best;
      const use = useBy(made);
      const outs = [...set].sort((a, b) => use[a]! - use[b]!).slice(0, 5);
      const ins = byWorth(liked, none).filter((place) => liked[place]! > 0 && !set.includes(place));
      for (const [into, out] of ins.flatMap((place) => outs.map((out) => [place, out] as const))) {
        if (++swaps > MAX_SWAPS_TRIED) break;
        better = trySet([...set.filter((place) => place !== out), into]);
        if (better) break;
      }
    }
  }

  /** A part of all sets: those that hold some clubs and not some others. */
  interface Part {
    settled: Settled;
    prices: TravelPrices;
    value: number;
    branch: number;
  }
  const bounds = travelBound(days, ids.length, room);
  const open: Part[] = [];
  let parts = 0;

  /** Bounds a part, settles what the bound settles, and leaves what is open for later. */
  function look(settled: Settled, prices: TravelPrices, rounds: number, atLeast: number): void {
    parts += 1;
    const { value: now, worth, use } = bounds.improve(prices, settled, rounds, bestStrokes());
    const value = Math.max(now, atLeast);
    if (value >= bestStrokes() - CLOSE) return;
    if (parts === 1) {
      trySet(most(worth));
      trySet(most(use));
      swap();
    } else if (parts % TRY_EVERY === 0) trySet(most(use, settled));
    let left = room;
    for (const one of settled) if (one === 1) left -= 1;
    const inOrder = byWorth(worth, settled);
    if (inOrder.length < left) return;
    if (inOrder.length === left || left === 0) {
      trySet(most(worth, settled));
      return;
    }
    // A club that makes the bound too high in, or out, is settled the other way.
    const [lastIn, firstOut] = [worth[inOrder[left - 1]!]!, worth[inOrder[left]!]!];
    inOrder.forEach((place, at) => {
      const dearer = at < left ? worth[place]! - firstOut : lastIn - worth[place]!;
      if (now + dearer >= bestStrokes() - CLOSE) settled[place] = at < left ? 1 : -1;
    });
    let branch = -1,
      nearest = Infinity;
    for (const place of byWorth(worth, settled)) {
      const decided = Math.abs(use[place]! - 0.5);
      if (decided < nearest) [nearest, branch] = [decided, place];
    }
    if (branch === -1) {
      const all = most(worth, settled);
      if (all.length === room) trySet(all);
    } else open.push({ settled, prices, value, branch });
  }

  /** The most promising first, so that what is left is never far from the best. */
  function nextPart(): Part | undefined {
    let at = -1;
    for (let i = 0; i < open.length; i++) if (at < 0 || open[i]!.value < open[at]!.value) at = i;
    const part = at < 0 ? undefined : open.splice(at, 1)[0];
    return part && part.value < bestStrokes() - CLOSE ? part : undefined;
  }

  trySet(most(useBy(free)));
  return {
    advance() {
      if (parts === 0) {
        if (bestStrokes() > freeStrokes + CLOSE)
          look(new Int8Array(ids.length), bounds.first(), ROOT_ROUNDS, freeStrokes);
        else parts = 1;
      } else {
        const part = nextPart();
        if (part)
          for (const way of [1, -1] as const) {
            const settled = Int8Array.from(part.settled);
            settled[part.branch] = way;
            look(settled, copyOf(part.prices), PART_ROUNDS, part.value);
          }
        else open.length = 0;
      }
      return open.length > 0 && parts < MAX_PARTS;
    },
    isComplete: () => parts > 0 && open.length === 0,
    found() {
      if (!best) return undefined;
      const { set, strokes, made } = best;
      const bound = parts === 0 ? freeStrokes : Math.min(strokes, ...open.map(({ value }) => value));
      return {
        ids: set.map((place) => ids[place]!),
        strokes,
        wholeLocker: freeStrokes,
        bound,
        proved: strokes - bound < 1e-6,
        choices,
        bags: scenarios.map(({ name }, d) => ({
          name,
          ids: placesIn(d, made[d]!).map((place) => ids[place]!),
          strokes: made[d]!.cost,
          regret: Math.max(0, made[d]!.cost - free[d]!.cost),
        })),
      };
    },
  };
}
