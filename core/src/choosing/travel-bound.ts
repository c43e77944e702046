import type { BagChoosing } from './bag-choosing.js';
import { cheapestFirst, firstPrices } from './demand-prices.js';
import { followRules } from './follow-rules.js';
import { ladderPath, type Settled } from './ladder-path.js';

/** A day as the bound sees it: its bags, and its share of all days. */
interface BoundedDay {
  choosing: Pick<BagChoosing, 'model'>;
  share: number;
  /** For each club of the day's model its place among the clubs that may travel. */
  placeOf: Int16Array;
}

/**
 * What is paid for what the bound relaxes, day by day: that a shot is met by one club of the bag, that a rule
 * is kept, and that a club which is carried travels.
 */
export interface TravelPrices {
  demands: readonly Float64Array[];
  rules: readonly Float64Array[];
  carried: readonly Float64Array[];
}

interface TravelBound {
  /** No set of these costs less; Infinity where none holds a bag for every day. */
  value: number;
  /** What it is worth to all days together that a club travels. */
  worth: Float64Array;
  /** How often a club was carried while the prices were improved, 0 to 1. */
  use: Float64Array;
}

/** The first step is this share of the gap; it is halved when so many rounds brought nothing. Our choice. */
const FIRST_STEP = 1;
const PATIENCE = 12;
const SMALLEST_STEP = 1e-3;
/** A price of a club carried moves so many times as far as one of a day's demands. Our choice. */
const CARRIED_PACE = 4;
/** Costs closer than this are the same. */
const SAME = 1e-9;

/**
 * The least that sets of so many clubs can cost over all days. One relaxation for all days together: a price on
 * each shot of a day, on each rule of it, and on each club carried on it; what is left of a day is the shortest
 * path of `ladderPath`, what is left of the set is the clubs worth most (M. L. Fisher, The Lagrangian
 * relaxation method, Management Science 27 (1981) 1-18). Prices are improved by subgradient steps (B. T.
 * Polyak, 1969).
 * @param count clubs that may travel
 */
export function travelBound(days: readonly BoundedDay[], count: number, size: number) {
  const each = days.map(({ choosing: { model }, share, placeOf }) => {
    const n = model.clubs.length;
    return {
      ...{ model, share, placeOf, n, demands: model.needs.length },
      ...cheapestFirst(model.needs, n),
      path: ladderPath(model),
      own: new Float64Array(n),
      carried: new Uint8Array(n),
    };
  });
  type Day = (typeof each)[number];

  function first(): TravelPrices {
    return {
      demands: each.map(({ costs, demands, n }) => firstPrices(costs, demands, n)),
      rules: each.map(({ model }) => new Float64Array(model.rules.length)),
      carried: each.map(() => new Float64Array(count)),
    };
  }

  /**
   * What is settled on each day once some clubs travel, or stay: a club that a day's rules ask for travels.
   * @param settled by place among all clubs; changed in place
   * @returns undefined where some day is left without a bag
   */
  function settleDays(settled: Settled): Settled[] | undefined {
    for (;;) {
      let hasTravelled = false;
      const onDays: Settled[] = [];
      for (const { model, placeOf } of each) {
        const onDay = Int8Array.from(placeOf, (place) => (settled[place] === -1 ? -1 : 0));
        if (!followRules(model, onDay)) return undefined;
        onDay.forEach((one, c) => {
          if (one !== 1 || settled[placeOf[c]!] !== 0) return;
          settled[placeOf[c]!] = 1;
          hasTravelled = true;
        });
        onDays.push(onDay);
      }
      if (!hasTravelled) return onDays;
    }
  }

  /** The least a day can cost at these prices; its cheapest bag is left in `carried`. */
  function dayValue(day: Day, prices: TravelPrices, d: number, settled: Settled): number {
    const { model, share, placeOf, n, demands, costs, clubs, path, own, carried } = day;
    const [demandPrices, rulePrices, carriedPrices] = [
      prices.demands[d]!,
      prices.rules[d]!,
      prices.carried[d]!,
    ];
    for (let c = 0; c < n; c++) own[c] = model.clubs[c]!.price + carriedPrices[placeOf[c]!]! / share;
    let sum = 0;
    model.rules.forEach(({ members, least: min, most: max }, r) => {
      const price = rulePrices[r]!;
      if (price === 0) return;
      sum -= price * (price > 0 ? max : min);
      for (const c of members) own[c]! += price;
    });
    for (let i = 0; i < demands; i++) {
      const price = demandPrices[i]!;
      sum += price;
      // Only clubs that cost less than the price matter, and they stand first.
      for (let k = i * n; k < (i + 1) * n; k++) {
        const less = costs[k]! - price;
        if (less >= 0) break;
        own[clubs[k]!]! += less;
      }
    }
    const { cost, count: bagSize } = path.cheapest(own, settled);
    carried.fill(0);
    for (let i = 0; i < bagSize; i++) carried[path.chosen[i]!] = 1;
    return sum + cost;
  }

  /** How much a day's bag has too much, or too little, of each thing relaxed; the sum of their squares. */
  function missed(day: Day, prices: TravelPrices, d: number, travels: Uint8Array, by: TravelPrices): number {
    const { model, share, placeOf, n, demands, costs, clubs, carried } = day;
    const [demandPrices, rulePrices, carriedPrices] = [
      prices.demands[d]!,
      prices.rules[d]!,
      prices.carried[d]!,
    ];
    const [onDemands, onRules, onCarried] = [by.demands[d]!, by.rules[d]!, by.carried[d]!];
    let length = 0;
    for (let i = 0; i < demands; i++) {
      let met = 0;
      for (let k = i * n; k < (i + 1) * n && costs[k]! < demandPrices[i]!; k++) met += carried[clubs[k]!]!;
      onDemands[i] = share * (1 - met);
      length += onDemands[i]! ** 2;
    }
    model.rules.forEach(({ members, least: min, most: max }, r) => {
      const inside = members.reduce((sum, c) => sum + carried[c]!, 0);
      const price = rulePrices[r]!;
      const over =
        price > 0
          ? inside - max
          : price < 0
            ? inside - min
            : Math.max(0, inside - max) + Math.min(0, inside - min);
      onRules[r] = share * over;
      length += onRules[r]! ** 2;
    });
    const pace = CARRIED_PACE * share;
    for (let c = 0; c < n; c++) {
      const place = placeOf[c]!;
      const over = carried[c]! - travels[place]!;
      onCarried[place] = over < 0 && carriedPrices[place]! <= 0 ? 0 : pace * over;
      length += onCarried[place]! ** 2;
    }
    return length;
  }

  /** One step; a rule's price does not cross zero in it, nor does one of a club carried go below. */
  function step(prices: TravelPrices, by: TravelPrices, length: number): void {
    each.forEach(({ share }, d) => {
      const [demandPrices, rulePrices, carriedPrices] = [
        prices.demands[d]!,
        prices.rules[d]!,
        prices.carried[d]!,
      ];
      by.demands[d]!.forEach((one, i) => {
        demandPrices[i]! += length * one;
      });
      by.rules[d]!.forEach((one, r) => {
        const before = rulePrices[r]!;
        const after = before + length * one;
        rulePrices[r] = before * after < 0 ? 0 : after;
      });
      const pace = length * CARRIED_PACE * share;
      by.carried[d]!.forEach((one, place) => {
        carriedPrices[place] = Math.max(0, carriedPrices[place]! + pace * one);
      });
    });
  }

  /**
   * @param prices improved in place
   * @param settled 1 for clubs that travel, -1 for those that stay; what follows from it by the rules is added
   * @param below sets that cost as much are of no interest: there it ends
   */
  function improve(prices: TravelPrices, settled: Settled, rounds: number, below: number): TravelBound {
    const none = { value: Infinity, worth: new Float64Array(count), use: new Float64Array(count) };
    const onDays = settleDays(settled);
    const inside = settled.reduce((sum, one) => sum + (one === 1 ? 1 : 0), 0);
    if (!onDays || inside > size) return none;
    const kept = copyOf(prices);
    const by = copyOf(prices);
    const use = new Float64Array(count);
    const travels = new Uint8Array(count);
    let value = -Infinity,
      worthThen = none.worth,
      pace = FIRST_STEP,
      idle = 0,
      round = 0;
    while (round < rounds) {
      round += 1;
      let now = 0;
      for (const [d, day] of each.entries()) {
        now += day.share * dayValue(day, prices, d, onDays[d]!);
        day.carried.forEach((one, c) => {
          use[day.placeOf[c]!]! += one / each.length;
        });
      }
      if (now === Infinity) return none;
      const worth = new Float64Array(count);
      for (const row of prices.carried)
        for (let place = 0; place < count; place++) worth[place]! += row[place]!;
      travels.fill(0);
      for (const place of byWorth(worth, settled).slice(0, size - inside)) travels[place] = 1;
      for (let place = 0; place < count; place++) {
        if (settled[place] === 1) travels[place] = 1;
        if (travels[place]) now -= worth[place]!;
      }
      if (now > value + SAME) {
        value = now;
        worthThen = worth;
        copyInto(kept, prices);
        idle = 0;
      } else if (++idle >= PATIENCE) {
        idle = 0;
        pace /= 2;
        copyInto(prices, kept);
      }
      if (value >= below - SAME || pace < SMALLEST_STEP) break;
      const length = each.reduce((sum, day, d) => sum + missed(day, prices, d, travels, by), 0);
      if (length === 0) break;
      const target = below === Infinity ? value + Math.abs(value) * 0.05 + 1 : below;
      step(prices, by, (pace * Math.max(SAME, target - now)) / length);
    }
    copyInto(prices, kept);
    for (let place = 0; place < count; place++) use[place]! /= round;
    return { value, worth: worthThen, use };
  }
  return { first, improve };
}

/** Places that are open, the one worth most first. */
export function byWorth(worth: Float64Array, settled: Settled): number[] {
  const open: number[] = [];
  for (let place = 0; place < worth.length; place++) if (settled[place] === 0) open.push(place);
  return open.sort((a, b) => worth[b]! - worth[a]! || a - b);
}

export function copyOf({ demands, rules, carried }: TravelPrices): TravelPrices {
  const copies = (rows: readonly Float64Array[]) => rows.map((row) => row.slice());
  return { demands: copies(demands), rules: copies(rules), carried: copies(carried) };
}

function copyInto(to: TravelPrices, from: TravelPrices): void {
  for (const key of ['demands', 'rules', 'carried'] as const)
    to[key].forEach((row, d) => {
      row.set(from[key][d]!);
    });
}
