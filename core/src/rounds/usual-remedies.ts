import { DEFAULT_PREFERENCES, keepsPreferences, type BagPreferences } from '../choosing/index.js';
import type { Conditions } from '../conditions/index.js';
import { DEFAULT_GAP_SETTINGS, type GapOptions } from '../gaps/index.js';
import type { LadderClub } from '../spec/index.js';
import { clubsOfIds } from './alternatives.js';
import { remedies, type Remedy } from './remedies.js';
import type { RemedyKind } from './remedy-ways.js';
import { costOfBag, type CostedRound, type RoundRules } from './round-choosing.js';

/** A bag of a locker, and how it is judged. */
export interface BagQuestion {
  bagIds: readonly string[];
  options: GapOptions;
  /** Clubs that may be carried. */
  limit: number;
  /** What the player wants of every choice, as far as it is recorded. */
  preferences?: Partial<BagPreferences>;
}

/** What the player wants of a bag; the rest is the default. */
export function usualRules({ bagIds, options, limit, preferences }: BagQuestion): RoundRules {
  return {
    preferences: {
      ...DEFAULT_PREFERENCES,
      ...preferences,
      limit: Math.min(limit, preferences?.limit ?? limit),
    },
    school: options.school ?? 'even-carries',
    gamerIds: bagIds,
    settings: { ...DEFAULT_GAP_SETTINGS, ...options.settings },
  };
}

/** What a usual round costs with any bag of the locker, what a change has to be worth left out. */
export function usualCostOf(
  round: CostedRound,
  question: BagQuestion,
): (clubs: readonly LadderClub[]) => number {
  const rules = usualRules(question);
  return costOfBag(round, { ...rules, preferences: { ...rules.preferences, changeStrokes: 0 } });
}

/**
 * What may be done to a bag of a locker, by a usual round; the same wherever it is asked.
 * @param round the locker's, from `usualRoundChoosing`
 * @param more the air the carries are known in; kinds that are of use, all of them where it is not given
 */
export function usualRemedies(
  round: CostedRound,
  question: BagQuestion,
  more: { conditions?: Conditions; kinds?: readonly RemedyKind[] } = {},
): Remedy[] {
  const { bagIds, options } = question;
  const { preferences } = usualRules(question);
  return remedies({
    bag: clubsOfIds(round.clubs, bagIds),
    leftOut: round.clubs.filter(({ id }) => !bagIds.includes(id) && !preferences.never.includes(id)),
    costOf: usualCostOf(round, question),
    changeStrokes: preferences.changeStrokes,
    options,
    limit: preferences.limit,
    keep: preferences.always,
    isAllowed: (clubs) => keepsPreferences(preferences, clubs),
    ...more,
  });
}
