import { type ClubKind, type ShotKind, shotsIn } from '../clubs/index.js';
import type { LadderClub } from '../spec/index.js';
import {
  carryLadder,
  type GappingStrategyId,
  DEFAULT_GAP_SETTINGS,
  type GapSettings,
} from '../gaps/index.js';
import { InvalidInputError } from '../invalid-input-error.js';
import { choose, type Choice } from './choose.js';
import { costOf, rulesBroken, type ChoosingModel, type ChoosingRule } from './choosing-model.js';
import { oneChange } from './one-change.js';
import { MIN_TOLD_STROKES, placeOf, type LossPlace } from './loss-place.js';
import { TIE_STROKES } from './tie.js';
import { demandKey, requireDemand, type ShotDemand } from './shot-demand.js';
import { demandRows } from './demand-rows.js';
import type { PlayedIn } from './played-shot.js';
import { skillOf } from '../skill/index.js';
import { stepCost, stepMatrix } from './step-costs.js';
import { soleStrokes, type BounceStrategy } from './sole.js';
import { PLACES_OF_MANY, strokesWith } from './strokes-for.js';
import type { CourseGround } from '../courses/index.js';

/** What a player wants of the choice, beside the needs. */
export interface ChoosingRules {
  school: GappingStrategyId;
  /** Clubs carried at most, the putter among them. */
  limit: number;
  /** Strokes a round that a step twice its target, or of nothing, costs. */
  unevenStrokes: number;
  /**
   * What having a club costs, in strokes a round: comfort and trust below zero, a change from the gamer or
   * money above it.
   */
  prices: Readonly<Record<string, number>>;
  always: readonly string[];
  never: readonly string[];
  /** So many of these; "one of a pair" is at most one. */
  groups: readonly {
    ids: readonly string[];
    least?: number;
    most?: number;
    /** What it is called, where that is more than its clubs. */ name?: string;
  }[];
  /** At most so many of a kind. */
  kinds: readonly { kind: ClubKind; most: number }[];
  /** Distances some shot must come within so many metres of. */
  mustCover: readonly { distanceM: number; withinM: number }[];
  /** The player's, by which shots scatter where no day says it; read off the clubs where it is not given. */
  handicap?: number;
  /** Swings of a round the weights are shares of; needs that were counted say their own. */
  swings?: number;
}

/** What is known of the day: how each club plays in a need's wind, and how wedges' soles meet the ground. */
interface ChoosingDay {
  played: PlayedIn;
  ground: CourseGround;
  bounce: BounceStrategy;
}

/**
 * How needs are costed: on a day, whose shots know their player, or as the shots are, by the player's handicap.
 */
type DemandCosting = ChoosingDay | { handicap?: number | undefined };

/** Full swings of a round; the needs' weights are shares of it. Our choice. */
const FULL_SWINGS_A_ROUND = 36;
/** What one uneven step is worth where a player says nothing. Strokes a round; our choice. */
export const USUAL_UNEVEN_STROKES = 0.04;

export const DEFAULT_CHOOSING_RULES: ChoosingRules = {
  school: 'even-carries',
  limit: 14,
  unevenStrokes: USUAL_UNEVEN_STROKES,
  prices: {},
  always: [],
  never: [],
  groups: [],
  kinds: [],
  mustCover: [],
};

/**
 * A locker, needs and rules as a problem to be solved; `clubs` says which club stands where in it. Needs are
 * as `demandRows` has them.
 */
export interface BagChoosing {
  model: ChoosingModel;
  clubs: readonly LadderClub[];
  needs: readonly ShotDemand[];
  shots: readonly (readonly (ShotKind | undefined)[])[];
  /** What the choice begins with, where other choices were made for the same needs. */
  prices?: Float64Array;
}

/**
 * What every row of the needs costs with every club, by the club's id: strokes, and with which shot.
 * Preferences and locks do not change it.
 */
export type DemandCosts = readonly ReadonlyMap<string, { strokes: number; shot: ShotKind | undefined }>[];

/**
 * The choice of a bag written out. Needs weigh in proportion to their weights, together a round of full
 * swings; a step costs the square of how far it is from its gapping strategy's target, counted in targets. The
 * target of a strategy that spaces carries is what the whole locker's reach would be cut into by as many clubs
 * as may be carried, so that it does not change with what is chosen.
 * @throws InvalidInputError naming the field, or the club a rule names that is not there
 */
export function bagChoosing(
  clubs: readonly LadderClub[],
  asked: readonly ShotDemand[],
  rules: ChoosingRules,
  settings: GapSettings = DEFAULT_GAP_SETTINGS,
  known: DemandCosts = demandCosts(clubs, asked, { handicap: rules.handicap }),
): BagChoosing {
  const needs = demandRows(asked);
  if (clubs.length === 0) throw new InvalidInputError('clubs', 'are none; there is nothing to choose from');
  const ladder = carryLadder(clubs);
  const onLadder = new Set(ladder.map(({ id }) => id));
  const order: LadderClub[] = [...ladder, ...clubs.filter(({ id }) => !onLadder.has(id))];
  const weights = needs.reduce((sum, { weight }) => sum + weight, 0);
  const costs = known.map((row) => order.map(({ id }) => row.get(id)!));
  const swings = rules.swings ?? FULL_SWINGS_A_ROUND;
  const model: ChoosingModel = {
    clubs: order.map(({ id }) => ({ id, price: rules.prices[id] ?? 0 })),
    ladderClubs: ladder.length,
    needs: costs.map((row, i) =>
      row.map(({ strokes }) => (weights > 0 ? (strokes * needs[i]!.weight * swings) / weights : 0)),
    ),
    steps: stepMatrix(ladder, stepCost(ladder, clubs, rules, settings)),
    begins: ladder.map(() => 0),
    ends: ladder.map(() => 0),
    limit: rules.limit,
    rules: rulesOf(order, rules),
  };
  return { model, clubs: order, needs, shots: costs.map((row) => row.map(({ shot }) => shot)) };
}

/**
 * @param costing without a day the shots are taken as they are, whatever the need's wind; without a handicap
 * it is read off the clubs
 * @param onProgress how much of it is done, after every need; a share of the whole
 * @throws InvalidInputError naming a field of a need
 */
export function demandCosts(
  clubs: readonly LadderClub[],
  needs: readonly ShotDemand[],
  costing: DemandCosting = {},
  onProgress?: (share: number) => void,
): DemandCosts {
  const day = 'played' in costing ? costing : undefined;
  const handicap = 'played' in costing ? undefined : (costing.handicap ?? skillOf(clubs).handicap);
  for (const demand of needs) requireDemand(demand);
  return needs.flatMap((demand, i) => {
    const costs = demandRows([demand]).map((row) =>
      costsOf(row, demand.hitFromM && demand.hitFromM.length > 1 ? PLACES_OF_MANY : undefined),
    );
    onProgress?.((i + 1) / needs.length);
    return costs;
  });

  function costsOf(demand: ShotDemand, places: number | undefined): DemandCosts[number] {
    const wind = { windMps: demand.windMps ?? 0, windFromDeg: demand.windFromDeg ?? 0 };
    return new Map(
      clubs.map((club) => {
        const { strokes, shot } = strokesWith(
          demand,
          day ? day.played(club, wind) : { ...club, handicap: handicap! },
          places,
        );
        return [
          club.id,
          { strokes: day ? strokes + soleStrokes(club, demand.lie, day.ground, day.bounce) : strokes, shot },
        ];
      }),
    );
  }
}

function rulesOf(
  order: readonly LadderClub[],
  { always, never, groups, kinds, mustCover }: ChoosingRules,
): ChoosingRule[] {
  const place = (id: string) => {
    const at = order.findIndex((club) => club.id === id);
    if (at === -1) throw new InvalidInputError('clubs', `hold no "${id}", which a rule names`);
    return at;
  };
  const name = (id: string) => order[place(id)]!.name;
  const putters = order.flatMap(({ kind }, i) => (kind === 'putter' ? [i] : []));
  return [
    ...(putters.length > 0 ? [{ name: 'one putter', members: putters, least: 1, most: 1 }] : []),
    ...always.map((id) => ({ name: `always the ${name(id)}`, members: [place(id)], least: 1, most: 1 })),
    ...never.map((id) => ({ name: `never the ${name(id)}`, members: [place(id)], least: 0, most: 0 })),
    ...groups.map(({ ids, least: min = 0, most: max = 1, name: called }) => ({
      name: called ?? `${min === max ? min : `${min} to ${max}`} of ${ids.map(name).join(', ')}`,
      members: [...new Set(ids.map(place))],
      least: min,
      most: max,
    })),
    ...kinds.map(({ kind, most: max }) => ({
      name: `at most ${max} ${kind}${max === 1 ? '' : 's'}`,
      members: order.flatMap((club, i) => (club.kind === kind ? [i] : [])),
      least: 0,
      most: max,
    })),
    ...mustCover.map(({ distanceM, withinM }) => ({
      name: `a shot within ${withinM} m of ${distanceM} m`,
      least: 1,
      most: order.length,
      members: order.flatMap(({ shots }, i) =>
        shotsIn(shots).some(([, { carryM }]) => Math.abs(carryM - distanceM) <= withinM) ? [i] : [],
      ),
    })),
  ];
}

/** One bag, and what it costs, in strokes a round. */
export interface ChosenBag {
  ids: readonly string[];
  strokes: number;
  forNeeds: number;
  forSteps: number;
  price: number;
}

/**
 * Why a club is in it: what the bag would cost without it, the need that asks for it most, and with which shot.
 */
export interface ClubReason {
  id: string;
  worth: number;
  need: string | undefined;
  /** Of that need, where its name does not say it. */ distanceM: number | undefined;
  shot: ShotKind | undefined;
  needsMet: number;
  /**
   * The left-out club that would cost least in its place, and how much more that is; none where the rules
   * allow none.
   */
  runnerUp:
    | {
        id: string;
        costs: number;
        /** The same as it is played: without what having either club costs (a change, comfort, money). */
        onTheCourse: number;
        /** Where most of it is lost. */
        mostly?: LossPlace;
      }
    | undefined;
}
/**
 * What it would cost to have a left-out club in, and the club it would best take the place of; no club where
 * there is room.
 */
export interface LeftOut {
  id: string;
  costs: number;
  /** The same as it is played: without what having the clubs costs (a change, comfort, money). */
  onTheCourse: number;
  outId: string | undefined;
  /**
   * A rule that keeps it out of a place where it would be better than the best bag, and by how many strokes.
   */
  keptOutBy?: { rule: string; gains: number; outId: string };
}
/** One club in, one out: what the bag costs more then, over the best. */
interface OneChange {
  in: number;
  out: number | undefined;
  costs: number;
}

export interface BagAnswer {
  best: ChosenBag;
  /** The next best bags, cheapest first. */
  runnersUp: readonly ChosenBag[];
  reasons: readonly ClubReason[];
  leftOut: readonly LeftOut[];
  proof: {
    proved: boolean;
    bound: number;
    nodes: number;
    /** Sets of at most so many clubs there are. */ sets: number;
  };
}

/**
 * The best bag, the next best, and why.
 * @param runnersUp how many
 * @returns undefined when the rules together allow no bag
 * @throws InvalidInputError
 */
export function chooseBag(choosing: BagChoosing, runnersUp = 4, stop?: () => boolean): BagAnswer | undefined {
  const { model, clubs, needs, shots } = choosing;
  const options = { ...(stop && { stop }), ...(choosing.prices && { prices: choosing.prices }) };
  const best = choose(model, options);
  if (!best) return undefined;
  const bagOf = (chosen: readonly number[]) => chosenBag(choosing, chosen);
  const allowed = (chosen: readonly number[]) => chosen.length > 0 && rulesBroken(model, chosen).length === 0;
  const changed = oneChange(model, best.chosen);
  const inside = new Set(best.chosen);
  const sorted = (chosen: readonly number[]) => [...chosen].sort((a, b) => a - b);
  const changes: OneChange[] = clubs.flatMap((_club, c) =>
    inside.has(c)
      ? []
      : [undefined, ...best.chosen].flatMap((out): OneChange[] => {
          const chosen = sorted([...best.chosen.filter((one) => one !== out), c]);
          return allowed(chosen) ? [{ in: c, out, costs: changed(c, out) - best.cost }] : [];
        }),
  );
  const cheapest = (which: (one: OneChange) => boolean) =>
    changes
      .filter(which)
      .reduce<OneChange | undefined>((min, one) => (min && min.costs <= one.costs ? min : one), undefined);
  const priceOf = (c: number | undefined) => (c === undefined ? 0 : model.clubs[c]!.price);
  const onTheCourse = (one: OneChange) => one.costs - priceOf(one.in) + priceOf(one.out);
  /** Who meets each need, and what the next best of the bag would cost more for it. */
  const met = model.needs.map((row) => {
    let [by, cost, next] = [-1, Infinity, Infinity];
    for (const c of best.chosen) {
      const value = row[c]!;
      if (value < cost) {
        next = cost;
        cost = value;
        by = c;
      } else if (value < next) next = value;
    }
    return { by, cost, next };
  });
  const stepsOf = (chosen: readonly number[]) => costOf({ ...model, needs: [] }, chosen).steps;
  const bestSteps = stepsOf(best.chosen);
  const reasons = best.chosen.map((c): ClubReason => {
    const rest = best.chosen.filter((one) => one !== c);
    const metByClub = met.flatMap(({ by }, i) => (by === c ? [i] : []));
    const max =
      metByClub.length === 0
        ? undefined
        : metByClub.reduce((a, b) => (gainOf(met[b]!) > gainOf(met[a]!) ? b : a));
    const second = cheapest(({ out }) => out === c);
    return {
      id: clubs[c]!.id,
      runnerUp: second && {
        id: clubs[second.in]!.id,
        costs: second.costs,
        onTheCourse: onTheCourse(second),
        ...mostlyLost(c, second.in, second.costs),
      },
      worth: rest.length > 0 ? changed(undefined, c) - best.cost : Infinity,
      need: max === undefined ? undefined : needs[max]!.name,
      distanceM: max === undefined || needs[max]!.stroke === undefined ? undefined : needs[max]!.distanceM,
      shot: max === undefined ? undefined : shots[max]![c],
      needsMet: new Set(metByClub.map((i) => demandKey(needs[i]!))).size,
    };
  });
  /** Where a bag with that club in the place of another loses most, if that is half of it or more. */
  function mostlyLost(out: number, into: number, costs: number): { mostly?: LossPlace } {
    const lost = new Map<LossPlace, number>();
    model.needs.forEach((row, i) => {
      const { by, cost, next } = met[i]!;
      const apart = Math.min(by === out ? next : cost, row[into]!) - cost;
      const place = placeOf(needs[i]!);
      lost.set(place, (lost.get(place) ?? 0) + apart);
    });
    const bag = sorted([...best!.chosen.filter((one) => one !== out), into]);
    lost.set('in even steps', stepsOf(bag) - bestSteps);
    const [place, most] = [...lost].reduce((a, b) => (b[1] > a[1] ? b : a));
    return most >= costs / 2 && most >= MIN_TOLD_STROKES ? { mostly: place } : {};
  }

  /**
   * Where a club would be better than the best bag, and the one rule that forbids it; locks on the club
   * itself were set by a person.
   */
  function keptOut(into: number): LeftOut['keptOutBy'] {
    const outs = [...best!.chosen].map((out) => ({ out, gains: best!.cost - changed(into, out) }));
    for (const { out, gains } of outs.sort((a, b) => b.gains - a.gains)) {
      if (gains < TIE_STROKES) return undefined;
      const broken = rulesBroken(model, sorted([...best!.chosen.filter((one) => one !== out), into]));
      if (broken.length === 1 && broken[0]!.members.length > 1)
        return { rule: broken[0]!.name, gains, outId: clubs[out]!.id };
    }
    return undefined;
  }

  const leftOut = clubs
    .flatMap(({ id }, c): LeftOut[] => {
      const way = inside.has(c) ? undefined : cheapest((one) => one.in === c);
      const kept = inside.has(c) ? undefined : keptOut(c);
      return way
        ? [
            {
              id,
              costs: way.costs,
              onTheCourse: onTheCourse(way),
              outId: way.out === undefined ? undefined : clubs[way.out]!.id,
              ...(kept && { keptOutBy: kept }),
            },
          ]
        : [];
    })
    .sort((a, b) => a.costs - b.costs);
  return {
    best: bagOf(best.chosen),
    runnersUp: nextBest(model, best, runnersUp, options).map(({ chosen }) => bagOf(chosen)),
    reasons,
    leftOut,
    proof: {
      proved: best.proved,
      bound: best.bound,
      nodes: best.nodes,
      sets: setsOf(clubs.length, model.limit),
    },
  };
}

/** A bag by the places of its clubs, with what it costs. */
export function chosenBag({ model, clubs }: BagChoosing, chosen: readonly number[]): ChosenBag {
  const { total, needs: forNeeds, steps: forSteps, price } = costOf(model, chosen);
  return { ids: chosen.map((c) => clubs[c]!.id), strokes: total, forNeeds, forSteps, price };
}

/** What another bag costs more than the best, in strokes a round. */
export interface BagLoss {
  /** With what having its clubs costs; by this they are told apart. */
  costs: number;
  /** As it is played: without a change, comfort or money. */
  onTheCourse: number;
}

export function lossOf(bag: ChosenBag, best: ChosenBag): BagLoss {
  const costs = bag.strokes - best.strokes;
  return { costs, onTheCourse: costs - bag.price + best.price };
}

/** The same of clubs of the locker. @returns null where none of them is there */
export function lossOfClubs(choosing: BagChoosing, ids: readonly string[], best: ChosenBag): BagLoss | null {
  const places = choosing.clubs.flatMap(({ id }, c) => (ids.includes(id) ? [c] : []));
  return places.length === 0 ? null : lossOf(chosenBag(choosing, places), best);
}

/**
 * The choices after the best, cheapest first. What is left after a choice is cut into parts that hold every
 * other choice once, and the cheapest of each part is found: E. L. Lawler, Management Science 18 (1972)
 * 401-405.
 */
export function nextBest(
  model: ChoosingModel,
  first: Choice,
  count: number,
  options: { stop?: () => boolean; prices?: Float64Array } = {},
): Choice[] {
  const found: Choice[] = [];
  const parts: { settled: Int8Array; choice: Choice }[] = [];
  const cut = (settled: Int8Array, { chosen }: Choice): void => {
    const inside = new Set(chosen);
    const sofar = Int8Array.from(settled);
    for (let c = 0; c < model.clubs.length; c++) {
      if (sofar[c] !== 0) continue;
      const other = Int8Array.from(sofar);
      other[c] = inside.has(c) ? -1 : 1;
      const choice = choose(model, { ...options, settled: other });
      if (choice) parts.push({ settled: other, choice });
      sofar[c] = inside.has(c) ? 1 : -1;
    }
  };
  let last: { settled: Int8Array; choice: Choice } = {
    settled: new Int8Array(model.clubs.length),
    choice: first,
  };
  while (found.length < count) {
    cut(last.settled, last.choice);
    if (parts.length === 0) break;
    parts.sort((a, b) => a.choice.cost - b.choice.cost);
    last = parts.shift()!;
    found.push(last.choice);
  }
  return found;
}

/** What the club that meets a need saves there over the next best of the bag. */
function gainOf({ cost, next }: { cost: number; next: number }): number {
  return next - cost;
}

/** How many sets of at least one and at most `limit` of n clubs there are. */
function setsOf(n: number, limit: number): number {
  let sets = 0,
    of = 1;
  for (let k = 1; k <= Math.min(n, limit); k++) {
    of = (of * (n - k + 1)) / k;
    sets += of;
  }
  return Math.round(sets);
}
