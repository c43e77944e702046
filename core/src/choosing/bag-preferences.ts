import { isFullSwing, loftOrUsual, type ClubKind, shotsIn } from '../clubs/index.js';
import type { LadderClub } from '../spec/index.js';
import type { CourseGround } from '../courses/index.js';
import { carryLadder, mixedUpPairs, type GappingStrategyId } from '../gaps/index.js';
import { DEFAULT_CHOOSING_RULES, USUAL_UNEVEN_STROKES, type ChoosingRules } from './choosing-rules.js';
import { TIE_STROKES } from './tie.js';
import { putterStrokes, type PutterStrategy } from './putter.js';
import type { BounceStrategy } from './sole.js';

/** What a player wants of a choice, as it is recorded. */
export interface BagPreferences {
  /** Clubs carried at most. */
  limit: number;
  /** Strokes a round that a change from the gamer must be worth; usually what tells two bags apart. */
  changeStrokes: number;
  always: readonly string[];
  never: readonly string[];
  /** One of these at most. */
  oneOf: readonly (readonly string[])[];
  kinds: readonly { kind: ClubKind; most: number }[];
  mustCover: readonly { distanceM: number; withinM: number }[];
  /** Trust in a club, in strokes a round it is worth; below zero for one that is not liked. */
  comfort: Readonly<Record<string, number>>;
  /** At most so many clubs that are not in the gamer; zero is a freeze, null no limit. */
  mostChanges: number | null;
  /** Strokes a round that a hundred of money must gain. */
  strokesPerHundred: number;
  unevenStrokes: number;
  bounce: BounceStrategy;
  putter: PutterStrategy;
}

/**
 * No player carries two drivers, though two that roll out a little differently would suit different holes.
 * Common practice, no source.
 */
const ONE_DRIVER: BagPreferences['kinds'] = [{ kind: 'driver', most: 1 }];

export const DEFAULT_PREFERENCES: BagPreferences = {
  limit: 14,
  changeStrokes: TIE_STROKES,
  always: [],
  never: [],
  oneOf: [],
  kinds: ONE_DRIVER,
  mustCover: [],
  comfort: {},
  mostChanges: null,
  strokesPerHundred: 0,
  unevenStrokes: USUAL_UNEVEN_STROKES,
  bounce: 'match',
  putter: 'gamer',
};

/** What an event allows. */
export interface Limits {
  clubs: number;
  lengthIn: number;
}
export const USUAL_LIMITS: Limits = { clubs: 14, lengthIn: 48 };

interface PreferencesFor {
  preferences: BagPreferences;
  school: GappingStrategyId;
  clubs: readonly LadderClub[];
  gamerIds: readonly string[];
  limits?: Limits;
  /** The day's, where there is one; putters are judged on its greens. */
  ground?: CourseGround | undefined;
  swings?: number | undefined;
}

/**
 * Preferences as prices and rules of a choice. A club an event does not allow is never in it, whatever it is
 * worth to the player.
 */
export function choosingRulesOf({
  preferences,
  school,
  clubs,
  gamerIds,
  limits = USUAL_LIMITS,
  ground,
  swings,
}: PreferencesFor): ChoosingRules {
  const owned = new Set(clubs.map(({ id }) => id));
  const here = (ids: readonly string[]) => ids.filter((id) => owned.has(id));
  const gamer = new Set(here(gamerIds));
  const strangers = clubs.filter(({ id }) => !gamer.has(id)).map(({ id }) => id);
  const tooLong = clubs
    .filter(({ kind, lengthIn }) => kind !== 'putter' && lengthIn !== undefined && lengthIn > limits.lengthIn)
    .map(({ id }) => id);
  const prices = Object.fromEntries(
    clubs.map((club) => [
      club.id,
      (gamer.has(club.id) ? 0 : preferences.changeStrokes) -
        (preferences.comfort[club.id] ?? 0) +
        (preferences.strokesPerHundred * (club.price ?? 0)) / 100 +
        (club.kind === 'putter' && ground
          ? putterStrokes(club, ground, preferences.putter, gamer.has(club.id) || gamer.size === 0)
          : 0),
    ]),
  );
  return {
    ...DEFAULT_CHOOSING_RULES,
    school,
    limit: Math.min(preferences.limit, limits.clubs),
    unevenStrokes: preferences.unevenStrokes,
    prices,
    always: here(preferences.always).filter((id) => !tooLong.includes(id)),
    never: [...new Set([...here(preferences.never), ...tooLong])],
    groups: [
      ...preferences.oneOf
        .map(here)
        .filter((ids) => ids.length > 1)
        .map((ids) => ({ ids, least: 0, most: 1 })),
      ...(preferences.mostChanges !== null && gamer.size > 0 && strangers.length > 0
        ? [
            {
              ids: strangers,
              least: 0,
              most: preferences.mostChanges,
              name:
                preferences.mostChanges === 0
                  ? 'a freeze on the gamer'
                  : `at most ${preferences.mostChanges} changed from the gamer`,
            },
          ]
        : []),
    ],
    kinds: preferences.kinds,
    mustCover: preferences.mustCover,
    ...(swings !== undefined && { swings }),
  };
}

/** Whether a bag keeps what the player wants at most of a kind, one of some, and covered. */
export function keepsPreferences(
  { kinds, oneOf, mustCover }: Pick<BagPreferences, 'kinds' | 'oneOf' | 'mustCover'>,
  clubs: readonly LadderClub[],
): boolean {
  const shots = clubs.flatMap((club) => shotsIn(club.shots));
  return (
    kinds.every(({ kind, most: max }) => clubs.filter((club) => club.kind === kind).length <= max) &&
    oneOf.every((ids) => clubs.filter(({ id }) => ids.includes(id)).length <= 1) &&
    mustCover.every(({ distanceM, withinM }) =>
      shots.some(([, { carryM }]) => Math.abs(carryM - distanceM) <= withinM),
    )
  );
}

/** The same preferences, held to so many swaps from the gamer: so many in, so many out. */
export function withinSwaps(
  rules: ChoosingRules,
  clubs: readonly LadderClub[],
  gamerIds: readonly string[],
  swaps: number,
): ChoosingRules {
  const gamer = clubs.map(({ id }) => id).filter((id) => gamerIds.includes(id));
  const strangers = clubs.map(({ id }) => id).filter((id) => !gamerIds.includes(id));
  const min = Math.max(0, Math.min(gamer.length, rules.limit) - swaps);
  return {
    ...rules,
    groups: [
      ...rules.groups,
      ...(strangers.length > 0
        ? [{ ids: strangers, least: 0, most: swaps, name: `${swaps} in at most` }]
        : []),
      ...(gamer.length > 0
        ? [{ ids: gamer, least: min, most: gamer.length, name: `${swaps} out at most` }]
        : []),
    ],
  };
}

/**
 * What a locker lacks, or what is wrong in it; said, because a round without a wedge is mostly a slip of the
 * pen. Of clubs that are mixed up: the one that carries farther, and the one of less loft.
 */
export interface LockerFinding {
  code: 'no wedge' | 'no putter' | 'no carry' | 'mixed up';
  clubIds: readonly string[];
}

/** What there is to say of a locker before a bag is chosen from it; `lockerFindingSentence` says it. */
export function lockerFindings(clubs: readonly LadderClub[]): LockerFinding[] {
  const findings: LockerFinding[] = [];
  if (!clubs.some((club) => club.kind === 'wedge' || (loftOrUsual(club) ?? 0) >= 42))
    findings.push({ code: 'no wedge', clubIds: [] });
  if (!clubs.some(({ kind }) => kind === 'putter')) findings.push({ code: 'no putter', clubIds: [] });
  const silent = clubs.filter(
    ({ kind, shots, changed }) =>
      isFullSwing(kind) && (!shots.full || (shots.full.source === 'modelled' && !changed?.full)),
  );
  if (silent.length > 0) findings.push({ code: 'no carry', clubIds: silent.map(({ id }) => id) });
  for (const [farther, nearer] of mixedUpPairs(carryLadder(clubs)))
    findings.push({ code: 'mixed up', clubIds: [farther.id, nearer.id] });
  return findings;
}
