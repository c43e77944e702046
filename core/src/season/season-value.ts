import {
  TIE_STROKES,
  chooseBag,
  drawnClub,
  travelSet,
  type BagAnswer,
  type Scenario,
} from '../choosing/index.js';
import { choosingOfRound, costOfBag, type RoundChoosing, type RoundRules } from '../rounds/index.js';
import type { LadderClub } from '../spec/index.js';
import { NORMAL_95, meanOf, normalFrom, randomFrom } from '../statistics/index.js';

/** A round of a season, or several that are alike. */
export interface ValuedRound {
  id: string;
  name: string;
  round: RoundChoosing;
  rules: RoundRules;
  /** How often it is played. */
  times: number;
}

/**
 * Strokes over the whole season, and within which they lie in 95 of 100 seasons drawn from what is known of
 * the carries.
 */
export interface SeasonStrokes {
  strokes: number;
  low: number;
  high: number;
}

export interface SeasonValue {
  rounds: readonly {
    id: string;
    name: string;
    times: number;
    bestIds: readonly string[];
    /** The gamer as it is played there: where fewer clubs are allowed, the best so many of it. */
    gamerIds: readonly string[];
    saves: number;
  }[];
  played: number;
  /** What a bag chosen for each round saves over the gamer. */
  changed: SeasonStrokes;
  /**
   * What one bag for all of them saves over the gamer: the best that was found; where fewer clubs are
   * allowed, the best so many of it go. No other saves more than `short` beyond it; 0 where it is proved.
   */
  fixed: SeasonStrokes & { ids: readonly string[]; short: number };
  /** What changing from round to round saves over that one bag: what swapping is worth. */
  swapping: SeasonStrokes;
  /**
   * Clubs of any best bag: in how many rounds of the season, and what is lost over it without the club, most
   * first; Infinity for an only club.
   */
  clubs: readonly { id: string; rounds: number; strokes: number }[];
  /** What each named bag saves over the gamer, played in every round as the gamer is; those that can be. */
  bags: readonly (SeasonStrokes & { id: string })[];
  /**
   * What each wish saves over the best bags of what is owned, alone; and in how many rounds it would be in
   * the best bag.
   */
  wishes: readonly (SeasonStrokes & { id: string; rounds: number })[];
  /** Seasons drawn. */
  draws: number;
}

interface SeasonOptions {
  /** Bags the player has made, by their clubs. */
  bags?: readonly { id: string; clubIds: readonly string[] }[];
  /** Clubs of the rounds that are not owned yet: each is weighed alone, and in no other bag. */
  wishIds?: readonly string[];
  draws?: number;
  seed?: number;
  /** A share of the whole, between pieces of work. */
  onProgress?: (share: number) => void | Promise<void>;
  /** Ends with what there is. */
  shouldContinue?: () => boolean;
}

const DRAWS = 16;
/** How much of the work is choosing; the rest is the drawn seasons. */
const CHOOSING = 0.4;

/**
 * What bags are worth over all of a season's rounds: one for each round, the best one for all, against the
 * gamer, in expected strokes. Bags are chosen from the carries as they are known; each drawn season then has
 * carries of its own, within what is known of them, and the bags stay. The luck of single shots is in
 * neither; it is the same for every bag.
 * @param gamerIds the bag that is played now, as far as its clubs are there
 * @throws InvalidInputError where a round allows no bag
 */
export async function seasonValue(
  rounds: readonly ValuedRound[],
  gamerIds: readonly string[],
  {
    bags = [],
    wishIds = [],
    draws = DRAWS,
    seed = 11,
    onProgress,
    shouldContinue = () => true,
  }: SeasonOptions = {},
): Promise<SeasonValue> {
  const scenarios: Scenario[] = [];
  const answers: (BagAnswer | undefined)[] = [];
  /** The best bags with each wish, round by round. */
  const withWish = new Map<string, (BagAnswer | undefined)[]>(wishIds.map((id) => [id, []]));
  const pieces = rounds.length * (1 + wishIds.length) + 1;
  let done = 0;
  const chosen = () => onProgress?.((CHOOSING * ++done) / pieces);
  for (const { name, round, rules, times } of rounds) {
    const choosing = choosingOfRound(round, without(rules, wishIds));
    scenarios.push({ name, choosing, weight: times });
    answers.push(chooseBag(choosing, 0));
    await chosen();
    for (const [id, best] of withWish) {
      const others = wishIds.filter((one) => one !== id);
      best.push(chooseBag(choosingOfRound(round, without(rules, others)), 0));
      await chosen();
    }
  }
  const limits = scenarios.map(({ choosing }) => choosing.model.limit);
  const limit = Math.max(...limits);
  const oneBag = travelSet(scenarios, limit);
  /**
   * A bag as it goes to a round: all of it, or the best so many; undefined where the rules allow none of it.
   */
  const takenTo = (r: number, ids: readonly string[]): readonly string[] | undefined => {
    const { round, rules } = rounds[r]!;
    const others = round.clubs.flatMap(({ id }) => (ids.includes(id) ? [] : [id]));
    return round.clubs.length - others.length <= limits[r]!
      ? ids
      : chooseBag(choosingOfRound(round, without(rules, others)), 0)?.best.ids;
  };
  const gamers = rounds.map((_round, r) => takenTo(r, gamerIds) ?? gamerIds);
  const costs = rounds.map(({ round, rules }) => costOfBag(round, plain(rules)));
  /** Strokes over the season with these bags, one a round, of clubs as they carry in it. */
  const season = (bagOf: (r: number) => readonly string[], drawn: (club: LadderClub) => LadderClub): number =>
    rounds.reduce((sum, { round, times }, r) => {
      const ids = bagOf(r);
      return sum + times * costs[r]!(round.clubs.filter(({ id }) => ids.includes(id)).map(drawn));
    }, 0);
  const bestOf = (r: number) => answers[r]?.best.ids ?? gamerIds;
  const fixedOf = (r: number) => oneBag.bags[r]!.ids;
  const allowed = bags.flatMap(({ id, clubIds }) => {
    const taken = rounds.map((_round, r) => takenTo(r, clubIds));
    return clubIds.length <= limit && taken.every((ids) => ids !== undefined) ? [{ id, taken }] : [];
  });
  const all = (drawn: (club: LadderClub) => LadderClub): Record<string, number> => {
    const [gamer, changed, fixed] = [
      season((r) => gamers[r]!, drawn),
      season(bestOf, drawn),
      season(fixedOf, drawn),
    ];
    const wished = (id: string) => season((r) => withWish.get(id)![r]?.best.ids ?? bestOf(r), drawn);
    return {
      changed: gamer - changed,
      fixed: gamer - fixed,
      swapping: fixed - changed,
      ...Object.fromEntries(
        allowed.map(({ id, taken }) => [`bag ${id}`, gamer - season((r) => taken[r]!, drawn)]),
      ),
      ...Object.fromEntries(wishIds.map((id) => [`wish ${id}`, changed - wished(id)])),
    };
  };
  const known = all((club) => club);
  const normal = normalFrom(randomFrom(seed));
  const seasons: (typeof known)[] = [];
  for (let i = 0; i < draws && shouldContinue(); i++) {
    seasons.push(all(drawnSeason(rounds, normal)));
    await onProgress?.(CHOOSING + ((1 - CHOOSING) * (i + 1)) / draws);
  }
  const interval = (key: string): SeasonStrokes => {
    const strokes = known[key]!;
    const off = seasons.map((one) => one[key]! - strokes);
    const half = NORMAL_95 * Math.sqrt(meanOf(off.length > 0 ? off.map((one) => one * one) : [0]));
    return { strokes, low: strokes - half, high: strokes + half };
  };
  const worth = new Map<string, { rounds: number; strokes: number }>();
  for (const [r, { times }] of rounds.entries())
    for (const { id, worth: strokes } of answers[r]?.reasons ?? []) {
      const so = worth.get(id) ?? { rounds: 0, strokes: 0 };
      worth.set(id, { rounds: so.rounds + times, strokes: so.strokes + times * strokes });
    }
  const one = (r: number, ids: readonly string[]) =>
    costs[r]!(rounds[r]!.round.clubs.filter(({ id }) => ids.includes(id)));
  const played = rounds.reduce((sum, { times }) => sum + times, 0);
  return {
    rounds: rounds.map(({ id, name, times }, r) => ({
      id,
      name,
      times,
      bestIds: bestOf(r),
      gamerIds: gamers[r]!,
      saves: one(r, gamers[r]!) - one(r, bestOf(r)),
    })),
    played,
    changed: interval('changed'),
    fixed: { ...interval('fixed'), ids: oneBag.ids, short: played * (oneBag.strokes - oneBag.bound) },
    swapping: interval('swapping'),
    clubs: [...worth]
      .map(([id, so]) => ({ id, ...so }))
      .sort((a, b) => b.strokes - a.strokes || a.id.localeCompare(b.id)),
    bags: allowed
      .map(({ id }) => ({ id, ...interval(`bag ${id}`) }))
      .sort((a, b) => b.strokes - a.strokes || a.id.localeCompare(b.id)),
    wishes: wishIds
      .map((id) => ({
        id,
        rounds: rounds.reduce(
          (sum, { times }, r) => sum + (withWish.get(id)![r]?.best.ids.includes(id) ? times : 0),
          0,
        ),
        ...interval(`wish ${id}`),
      }))
      .sort((a, b) => b.strokes - a.strokes || a.id.localeCompare(b.id)),
    draws: seasons.length,
  };
}

/** The same, with some clubs that are not owned left out. */
function without(rules: RoundRules, ids: readonly string[]): RoundRules {
  const { preferences } = rules;
  return ids.length === 0
    ? rules
    : { ...rules, preferences: { ...preferences, never: [...preferences.never, ...ids] } };
}

/** What a change is asked to be worth is no stroke that is lost. */
function plain(rules: RoundRules): RoundRules {
  return { ...rules, preferences: { ...rules.preferences, changeStrokes: 0 } };
}

/**
 * Carries of one season: a club's shots move together, by as much as its stock carry may be off; the same
 * club the same way in every round.
 */
function drawnSeason(rounds: readonly ValuedRound[], normal: () => number): (club: LadderClub) => LadderClub {
  const shifts = new Map<string, number>();
  for (const { round } of rounds)
    for (const { id } of round.clubs) if (!shifts.has(id)) shifts.set(id, normal());
  const drawn = new WeakMap<LadderClub, LadderClub>();
  return (club) => {
    const known = drawn.get(club) ?? drawnClub(club, shifts.get(club.id)!);
    drawn.set(club, known);
    return known;
  };
}

/** What a season's swaps come to: the gamer will do, one other bag for all rounds, or a bag for each. */
export type SeasonVerdict = 'gamer' | 'one bag' | 'swapping';

/** What swapping is worth, as something a player can act on; `seasonSentence` says it. */
export function seasonVerdict({ played, swapping, changed }: SeasonValue): SeasonVerdict {
  const isChance = ({ strokes, low }: SeasonStrokes) => strokes < played * TIE_STROKES || low <= 0;
  if (isChance(changed)) return 'gamer';
  return isChance(swapping) ? 'one bag' : 'swapping';
}
