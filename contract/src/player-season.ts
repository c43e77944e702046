import { DEFAULT_SEASON_RULES, type SeasonRules } from '@tasche/core';
import * as yup from './yup.js';
import { dateSchema, finite, idSchema, nameSchema, required, shape, textSchema } from './schemas.js';

export const SEASON_ITEM_KINDS = ['freeze', 'test', 'trip', 'note'] as const;
export type SeasonItemKind = (typeof SEASON_ITEM_KINDS)[number];
export const REPEATS = ['weekly', 'monthly', 'yearly'] as const;
export type Repeats = (typeof REPEATS)[number];

/**
 * Some days of a player's season: nothing new, a test, a trip, whatever is to be remembered. YYYY-MM-DD, the
 * last day included.
 */
export interface SeasonItem {
  id: string;
  kind: SeasonItemKind;
  name: string;
  from: string;
  to: string;
  /** Null for once. */
  repeats: Repeats | null;
}

export const TRIAL_OUTCOMES = ['open', 'kept', 'dropped'] as const;
export type TrialOutcome = (typeof TRIAL_OUTCOMES)[number];

/** A club on trial in the off-season, against another, with how many shots and by when. */
export interface Trial {
  id: string;
  clubId: string;
  againstId: string | null;
  shots: number;
  /** YYYY-MM-DD. */
  by: string;
  outcome: TrialOutcome;
  /** The outcome. */
  notes: string;
}

/** A player's season as it is kept; what is left out is usual. */
export interface PlayerSeason {
  rules: SeasonRules;
  items: readonly SeasonItem[];
  trials: readonly Trial[];
}

const MAX_SEASON_ITEMS = 200;
const MAX_TRIALS = 100;
export const SEASON_RULE_BOUNDS = [0, 60] as const;
export const TRIAL_SHOTS = [1, 1000] as const;

const days = required(finite(...SEASON_RULE_BOUNDS).integer('${path} must be a whole number'));
const inOrder = (item: { from?: string; to?: string } | undefined) =>
  !item?.from || !item.to || item.from <= item.to;

const itemSchema = shape({
  id: required(idSchema),
  kind: required(yup.string().strict().oneOf(SEASON_ITEM_KINDS)),
  name: required(nameSchema),
  from: required(dateSchema),
  to: required(dateSchema),
  repeats: yup.string().strict().oneOf(REPEATS).nullable().defined('${path} is missing'),
}).test('order', '${path} ends before it begins', inOrder);

const trialSchema = shape({
  id: required(idSchema),
  clubId: required(idSchema),
  againstId: idSchema.nullable().defined('${path} is missing'),
  shots: required(finite(...TRIAL_SHOTS).integer('${path} must be a whole number')),
  by: required(dateSchema),
  outcome: required(yup.string().strict().oneOf(TRIAL_OUTCOMES)),
  notes: textSchema(500).defined('${path} is missing'),
});

export const playerSeasonSchema = shape({
  rules: required(shape({ testDays: days, playDays: days, untouchedDays: days })),
  items: yup
    .array(required(itemSchema))
    .max(MAX_SEASON_ITEMS, `\${path} holds more than ${MAX_SEASON_ITEMS}`)
    .required('${path} is missing'),
  trials: yup
    .array(required(trialSchema))
    .max(MAX_TRIALS, `\${path} holds more than ${MAX_TRIALS}`)
    .required('${path} is missing'),
});

export const USUAL_SEASON: PlayerSeason = { rules: DEFAULT_SEASON_RULES, items: [], trials: [] };
