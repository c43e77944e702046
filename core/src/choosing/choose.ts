import { InvalidInputError } from '../invalid-input-error.js';
import { contradiction, costOf, requireModel, rulesBroken, type ChoosingModel } from './choosing-model.js';
import { cheapestFirst, firstPrices } from './demand-prices.js';
import { followRules } from './follow-rules.js';
import { oneChange } from './one-change.js';
import { ladderPath, type Settled } from './ladder-path.js';

/** A choice, its cost, and what was done to be sure of it. */
export interface Choice {
  /** Places in `clubs`, rising. */
  chosen: readonly number[];
  cost: number;
  /** Nothing cheaper is possible: proved. False only when it was told to stop before. */
  proved: boolean;
  /** The lowest that anything not ruled out could cost: the cost itself, when proved. */
  bound: number;
  /** Sets of choices that were bounded. */
  nodes: number;
  /**
   * What each need was worth to the bound of all choices; another choice for the same needs may begin with it.
   */
  prices: Float64Array;
}

interface ChooseOptions {
  /** Asked now and then; true stops the search with what there is. */
  stop?: () => boolean;
  /** Only choices cheaper than this are of interest. */
  below?: number;
  /** What is settled from the start. */
  settled?: Settled;
  /**
   * Of a choice for the same needs, under whatever rules: the bound is good sooner, and the choice the same.
   */
  prices?: Float64Array;
}

/** Costs closer than this are the same. */
const SAME = 1e-10;
const ROOT_ROUNDS = 160;
const NODE_ROUNDS = 24;
/** The first step is this share of the gap; it is halved when so many rounds brought nothing. */
const FIRST_STEP = 1.6;
const PATIENCE = 7;

/**
 * The cheapest choice of clubs, exactly. Branch and bound; the bound relaxes "a need is met by one chosen
 * club" with a price on each need (M. L. Fisher, The Lagrangian relaxation method, Management Science 27
 * (1981) 1-18; for the location problem inside, D. Erlenkotter and many after). With the prices fixed each
 * club has a profit of its own, and what is left is the shortest path of `ladderPath`; prices are improved by
 * subgradient steps (B. T. Polyak, 1969). What holds the bound against the best known settles clubs without
 * branching.
 * @returns undefined when nothing keeps the rules, or nothing is below `below`
 * @throws InvalidInputError for a model that does not fit together, or two rules that contradict each other,
 * by their names
 */
export function choose(
  model: ChoosingModel,
  { stop, below = Infinity, settled: given, prices: known }: ChooseOptions = {},
): Choice | undefined {
  requireModel(model);
  const clash = contradiction(model);
  if (clash) throw new InvalidInputError('rules', `contradict each other: "${clash[0]}" and "${clash[1]}"`);
  const n = model.clubs.length;
  const m = model.needs.length;
  const path = ladderPath(model);
  const { costs, clubs } = cheapestFirst(model.needs, n);
  const own = new Float64Array(n);
  const met = new Int16Array(m);
  const isChosen = new Uint8Array(n);
  let incumbent: number[] | undefined;
  let best = below;
  let nodes = 0;
  let stopped = false;

  let considered: readonly number[] = [];
  const consider = (chosen: readonly number[]): void => {
    // Prices that move a little mostly lead to the same choice again.
    if (chosen.length === considered.length && chosen.every((c, i) => c === considered[i])) return;
    considered = chosen;
    if (chosen.length === 0 || rulesBroken(model, chosen).length > 0) return;
    const { total } = costOf(model, chosen);
    if (total < best - SAME) {
      best = total;
      incumbent = [...chosen];
    }
  };

  /** One bound: each club's profit at these prices, and the cheapest path. */
  const bound = (prices: Float64Array, settled: Settled): { value: number; count: number } => {
    for (let c = 0; c < n; c++) own[c] = model.clubs[c]!.price;
    let sum = 0;
    for (let i = 0; i < m; i++) {
      const price = prices[i]!;
      sum += price;
      // Only clubs that cost less than the price matter, and they stand first.
      for (let k = i * n; k < (i + 1) * n; k++) {
        const less = costs[k]! - price;
        if (less >= 0) break;
        own[clubs[k]!]! += less;
      }
    }
    const { cost, count } = path.cheapest(own, settled);
    return { value: sum + cost, count };
  };

  /** Prices improved for one set of choices; true when nothing in it can be cheaper than the best known. */
  const improve = (
    prices: Float64Array,
    settled: Settled,
    rounds: number,
    seen: Float64Array,
  ): { value: number; hopeless: boolean } => {
    let value = -Infinity;
    let step = FIRST_STEP;
    let idle = 0;
    const kept = Float64Array.from(prices);
    for (let round = 0; round < rounds; round++) {
      const { value: now, count } = bound(prices, settled);
      if (now === Infinity) return { value: Infinity, hopeless: true };
      const chosen = Array.from(path.chosen.subarray(0, count));
      for (const c of chosen) seen[c]! += 1;
      consider(chosen);
      if (now > value + SAME) {
        value = now;
        kept.set(prices);
        idle = 0;
      } else if (++idle >= PATIENCE) {
        idle = 0;
        step /= 2;
      }
      if (value >= best - SAME) return { value, hopeless: true };
      let off = 0;
      isChosen.fill(0);
      for (const c of chosen) isChosen[c] = 1;
      for (let i = 0; i < m; i++) {
        let taken = 0;
        for (let k = i * n; k < (i + 1) * n && costs[k]! < prices[i]!; k++) taken += isChosen[clubs[k]!]!;
        met[i] = 1 - taken;
        off += met[i]! * met[i]!;
      }
      if (off === 0 || step < 1e-4) break;
      const target = best === Infinity ? value + Math.abs(value) * 0.05 + 1 : best;
      const length = (step * Math.max(1e-9, target - now)) / off;
      for (let i = 0; i < m; i++) prices[i]! += length * met[i]!;
    }
    prices.set(kept);
    return { value, hopeless: false };
  };

  /** Swaps, additions and removals that lower the cost, until none does. */
  const polish = (): void => {
    for (let better = true; better && incumbent;) {
      const before = best;
      const base = incumbent;
      const inside = new Set(base);
      const changed = oneChange(model, base);
      const tryChange = (into: number | undefined, out: number | undefined) => {
        if (changed(into, out) < best)
          consider(
            [...base.filter((one) => one !== out), ...(into === undefined ? [] : [into])].sort(
              (a, b) => a - b,
            ),
          );
      };
      for (let c = 0; c < n; c++) {
        if (given?.[c] === -1) continue;
        if (!inside.has(c)) {
          tryChange(c, undefined);
          for (const out of base) if (given?.[out] !== 1) tryChange(c, out);
        } else if (given?.[c] !== 1 && base.length > 1) tryChange(undefined, c);
      }
      better = best < before;
    }
  };

  interface Open {
    settled: Settled;
    prices: Float64Array;
    value: number;
    branch: number;
  }
  const open: Open[] = [];

  /** Bounds a set of choices, settles what the bound settles, and leaves what is open for later. */
  const look = (settled: Settled, prices: Float64Array, rounds: number, isRoot = false): void => {
    nodes += 1;
    if (!followRules(model, settled)) return;
    const seen = new Float64Array(n);
    const { value, hopeless } = improve(prices, settled, rounds, seen);
    if (hopeless) return;
    if (isRoot) polish();
    // A club stays where the cheapest path has it, in or out, if the other would make the bound too high.
    const onPath = new Set(path.chosen.subarray(0, bound(prices, settled).count));
    for (let c = 0; c < n; c++) {
      if (settled[c] !== 0) continue;
      const own = onPath.has(c) ? 1 : -1;
      settled[c] = -own as 1 | -1;
      const tried = bound(prices, settled).value;
      settled[c] = tried >= best - SAME ? own : 0;
    }
    if (!followRules(model, settled)) return;
    const { value: now, count } = bound(prices, settled);
    if (now >= best - SAME) return;
    consider(Array.from(path.chosen.subarray(0, count)));
    const relaxed = new Set(path.chosen.subarray(0, count));
    let branch = -1,
      nearest = Infinity;
    const max = Math.max(1, ...seen);
    const troubled = new Set(
      rulesBroken(
        model,
        [...relaxed].sort((a, b) => a - b),
      ).flatMap(({ members }) => members),
    );
    for (let c = 0; c < n; c++) {
      if (settled[c] !== 0) continue;
      const undecided = Math.abs(seen[c]! / max - 0.5) - (troubled.has(c) ? 1 : 0);
      if (undecided < nearest) {
        nearest = undecided;
        branch = c;
      }
    }
    if (branch === -1) {
      const last: number[] = [];
      for (let c = 0; c < n; c++) if (settled[c] === 1) last.push(c);
      consider(last);
      return;
    }
    open.push({ settled, prices, value: Math.max(value, now), branch });
  };

  const start = given ? Int8Array.from(given) : new Int8Array(n);
  const prices = known ? known.slice() : firstPrices(costs, m, n);
  look(start, prices, known ? NODE_ROUNDS : ROOT_ROUNDS, true);
  while (open.length > 0) {
    if (stop?.()) {
      stopped = true;
      break;
    }
    // The most promising first, so that what is left is never far from the best.
    let at = 0;
    for (let i = 1; i < open.length; i++) if (open[i]!.value < open[at]!.value) at = i;
    const { settled, prices, value, branch } = open.splice(at, 1)[0]!;
    if (value >= best - SAME) continue;
    for (const way of [1, -1] as const) {
      const child = Int8Array.from(settled);
      child[branch] = way;
      look(child, Float64Array.from(prices), NODE_ROUNDS);
    }
  }
  if (!incumbent) return undefined;
  const left = stopped ? Math.min(best, ...open.map(({ value }) => value)) : best;
  return { chosen: incumbent, cost: best, proved: !stopped, bound: left, nodes, prices };
}

/**
 * The same, and undefined too where two rules contradict each other: rules that are each sound may, once more
 * of them are added.
 */
export function chooseIfAny(model: ChoosingModel, options: ChooseOptions = {}): Choice | undefined {
  try {
    return choose(model, options);
  } catch (error) {
    if (error instanceof InvalidInputError && error.field === 'rules') return undefined;
    throw error;
  }
}
