import type { CourseGround } from '../courses/index.js';
import type { LadderClub } from '../spec/index.js';
import type { PlayingConditions } from '../plays-like/index.js';
import { type GappingStrategyId, DEFAULT_GAP_SETTINGS, type GapSettings } from '../gaps/index.js';
import { deriveDemands, playsLikeOf } from './derive-demands.js';
import { dayShots, type RoundDay } from './play-hole.js';
import {
  movedClub,
  DEFAULT_CHOOSING_RULES,
  bagChoosing,
  choose,
  demandCosts,
  demandKey,
  demandRows,
  bagStepsCost,
  type BagChoosing,
  type DemandCosts,
  withModelledCarries,
  type ShotDemand,
  type PlayedIn,
  choosingRulesOf,
  type Limits,
  type BagPreferences,
} from '../choosing/index.js';
import { skillOf } from '../skill/index.js';

/** A need as it was changed: what is set stands, null takes it away. By the need's id. */
export type DemandChanges = Readonly<
  Record<string, Partial<Pick<ShotDemand, 'distanceM' | 'lie' | 'mustHold' | 'weight' | 'leftM'>> | null>
>;

/** A round to choose a bag for: what it asks, how every club plays, and what each would cost. */
export interface CostedRound {
  ground: CourseGround;
  needs: readonly ShotDemand[];
  strokes: number;
  /** As they are known, with modelled carries where there are none. */
  clubs: readonly LadderClub[];
  played: PlayedIn;
  costs: DemandCosts;
}

/** A round on a course of its own: the day, the needs it was found or told to have. */
export interface RoundChoosing extends CostedRound {
  day: RoundDay;
  /** What was derived and taken away by hand. */
  takenAway: readonly ShotDemand[];
  rareStrokes: number;
}

/** How much of the work is playing the course; the rest is costing what it asks. */
const PLAYING = 0.6;

export interface RoundRequest {
  day: RoundDay;
  clubs: readonly LadderClub[];
  from: PlayingConditions;
  preferences: BagPreferences;
  changes?: DemandChanges;
  notes?: readonly ShotDemand[];
  seed?: number;
  /** The player's (see `skillOf`); read off the clubs where it is not given. */
  handicap?: number;
}

/**
 * What a round asks and what every club would cost for it: the long part of choosing, done once for a day;
 * locks and prices come after.
 * @param onProgress how much of it is done now and then; a share of the whole
 * @throws InvalidInputError
 */
export function roundChoosing(
  {
    day,
    clubs: known,
    from,
    preferences,
    changes = {},
    notes = [],
    seed,
    handicap = skillOf(known).handicap,
  }: RoundRequest,
  onProgress?: (share: number) => void,
): RoundChoosing {
  const clubs = withModelledCarries(known, from.conditions);
  const played = dayShots(day, from, handicap);
  const derived = deriveDemands(day, clubs, from, {
    played,
    onProgress: (share) => {
      onProgress?.(share * PLAYING);
    },
    ...(seed !== undefined && { seed }),
  });
  const takenAway = derived.needs.filter((demand) => changes[demandKey(demand)] === null);
  const howFar = (demand: ShotDemand): ShotDemand => {
    const playsLikeM = playsLikeOf(demand, clubs, played);
    return playsLikeM === undefined ? demand : { ...demand, playsLikeM };
  };
  const needs = withNotes(
    derived.needs
      .filter((demand) => !takenAway.includes(demand))
      .map((demand) => {
        const change = changes[demandKey(demand)];
        return change ? howFar(changedNeed(demand, change)) : demand;
      }),
    notes.map(howFar),
  );
  return {
    day,
    ground: day.ground,
    needs,
    takenAway,
    strokes: needs.reduce((sum, { weight }) => sum + weight, 0),
    rareStrokes: derived.rareStrokes,
    clubs,
    played,
    costs: demandCosts(clubs, needs, { played, ground: day.ground, bounce: preferences.bounce }, (share) => {
      onProgress?.(PLAYING + share * (1 - PLAYING));
    }),
  };
}

/** A note is about derived shots no farther from its distance than this. Our choice. */
const NOTE_REACH_M = 25;

/**
 * Practice-round notes in the place of what was derived: they say how often a distance comes up, so they take
 * that from the derived shots of the same sort nearest to it, and add only what the course was not thought to
 * ask.
 */
function withNotes(derived: readonly ShotDemand[], notes: readonly ShotDemand[]): ShotDemand[] {
  const left = derived.map((demand) => demand.weight);
  for (const note of notes) {
    let wanted = note.weight;
    const near = derived
      .map((demand, i) => ({ i, apartM: Math.abs(demand.distanceM - note.distanceM), demand }))
      .filter(({ demand, apartM }) => demand.to === note.to && apartM <= NOTE_REACH_M)
      .sort((a, b) => a.apartM - b.apartM);
    for (const { i } of near) {
      const taken = Math.min(left[i]!, wanted);
      left[i]! -= taken;
      wanted -= taken;
    }
  }
  return [
    ...derived.flatMap((demand, i) => (left[i]! > 1e-9 ? [{ ...demand, weight: left[i]! }] : [])),
    ...notes,
  ];
}

/**
 * What is laid up shorter leaves more, as long as it is not given how much is left; an approach is hit from as
 * much nearer or farther.
 */
function changedNeed(demand: ShotDemand, change: NonNullable<DemandChanges[string]>): ShotDemand {
  const leftM =
    change.distanceM !== undefined && demand.leftM !== undefined
      ? Math.min(700, Math.max(1, demand.leftM + demand.distanceM - change.distanceM))
      : undefined;
  const by = (change.distanceM ?? demand.distanceM) - demand.distanceM;
  const hitFromM =
    demand.to === 'green' ? demand.hitFromM?.map((from) => Math.max(1, from + by)) : demand.hitFromM;
  return { ...demand, ...(hitFromM && { hitFromM }), ...(leftM !== undefined && { leftM }), ...change };
}

export interface RoundRules {
  preferences: BagPreferences;
  school: GappingStrategyId;
  gamerIds: readonly string[];
  limits?: Limits;
  settings?: GapSettings;
}

/**
 * The choice of a round's bag; quick, once the round is worked out. Steps are those of the day's air without
 * its wind.
 */
export function choosingOfRound(
  round: CostedRound,
  { preferences, school, gamerIds, limits, settings = DEFAULT_GAP_SETTINGS }: RoundRules,
): BagChoosing {
  const { clubs, needs, strokes, costs, ground } = round;
  const rules = choosingRulesOf({
    preferences,
    school,
    clubs,
    gamerIds,
    ground,
    swings: strokes,
    ...(limits && { limits }),
  });
  return {
    ...bagChoosing(stillClubs(round), needs, rules, settings, costs),
    prices: pricesOf(round),
  };
}

/**
 * What the needs of a round are worth to a usual bag: every choice for the round begins with the same, whatever
 * is wanted of it, and whichever is made first.
 */
const PRICES = new WeakMap<DemandCosts, Float64Array>();
function pricesOf(round: CostedRound): Float64Array {
  const { needs, strokes, costs } = round;
  const known = PRICES.get(costs);
  if (known) return known;
  const usual = { ...DEFAULT_CHOOSING_RULES, swings: strokes };
  const { model } = bagChoosing(stillClubs(round), needs, usual, DEFAULT_GAP_SETTINGS, costs);
  // Without rules the first bag it comes to will do.
  const { prices } = choose({ ...model, rules: [] }, { stop: () => true })!;
  PRICES.set(costs, prices);
  return prices;
}

/** The clubs as their ladder hangs that day, the wind left out. */
export function stillClubs({ clubs, played }: CostedRound): LadderClub[] {
  return clubs.map((club) => movedClub(played(club, { windMps: 0, windFromDeg: 0 })));
}

/** What a club costs for every row of a round's needs, and as its ladder hangs. */
interface Column {
  strokes: Float64Array;
  still: LadderClub;
}

/** What a bag of any clubs, changed or bought ones too, costs that round. @throws InvalidInputError */
export function costOfBag(round: CostedRound, rules: RoundRules): (clubs: readonly LadderClub[]) => number {
  const { needs, played, ground, strokes } = round;
  // The round's own clubs are costed already; a changed one is another object.
  const own = new Set(round.clubs);
  const columns = new WeakMap<LadderClub, Column>();
  const columnOf = (club: LadderClub): Column => {
    const known = columns.get(club);
    if (known) return known;
    const costs = own.has(club)
      ? round.costs
      : demandCosts([club], needs, { played, ground, bounce: rules.preferences.bounce });
    const column = {
      strokes: Float64Array.from(costs, (row) => row.get(club.id)!.strokes),
      still: movedClub(played(club, { windMps: 0, windFromDeg: 0 })),
    };
    columns.set(club, column);
    return column;
  };
  const rows = demandRows(needs);
  const whole = rows.reduce((sum, { weight }) => sum + weight, 0);
  const weights = rows.map(({ weight }) => (whole > 0 ? (weight * strokes) / whole : 0));
  return (clubs) => {
    if (clubs.length === 0) return Infinity;
    const each = clubs.map(columnOf);
    let forNeeds = 0;
    for (let i = 0; i < weights.length; i++) {
      let min = Infinity;
      for (const { strokes: of } of each) if (of[i]! < min) min = of[i]!;
      forNeeds += weights[i]! * min;
    }
    const choosing = choosingRulesOf({ ...rules, clubs, ground, swings: strokes });
    const still = each.map((column) => column.still);
    const prices = clubs.reduce((sum, { id }) => sum + (choosing.prices[id] ?? 0), 0);
    return forNeeds + bagStepsCost(still, choosing, rules.settings) + prices;
  };
}
