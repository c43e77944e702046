import {
  BOUNCE_STRATEGIES,
  LIE_NAMES,
  MAX_HIT_FROM,
  DEMAND_BOUNDS,
  DEFAULT_PREFERENCES,
  PUTTER_STRATEGIES,
  SLOPES,
  HAZARD_BOUNDS,
  HAZARD_KINDS,
  HAZARD_SIDES,
  type ShotDemand,
  type DemandChanges,
  type Swap,
  type BagPreferences,
} from '@tasche/core';
import * as yup from './yup.js';
import { playedShotsSchema, type PlayedShot } from './played-shots.js';
import { clubKindSchema, finite, idSchema, nameSchema, required, shape, textSchema } from './schemas.js';

/**
 * What a week's bag is chosen for: the shots it will ask, where they are typed, and what the player insists on.
 */
export interface PlanChoosing
  extends
    Pick<BagPreferences, 'limit' | 'changeStrokes' | 'always' | 'never'>,
    Partial<Omit<BagPreferences, 'limit' | 'changeStrokes' | 'always' | 'never'>> {
  needs: readonly ShotDemand[];
}

/** The preferences of a plan; what it does not say is the player's own, and the rest is the default. */
export function preferencesOf(
  choosing: PlanChoosing | null,
  own: Partial<BagPreferences> | null = null,
): BagPreferences {
  const { needs: _needs, ...preferences } = choosing ?? { needs: [] };
  return { ...DEFAULT_PREFERENCES, ...own, ...preferences };
}

/** What was seen after a round: to be kept for the next time. */
export interface RoundAfter {
  /** Times each club was hit. */
  hits: Readonly<Record<string, number>>;
  says: string;
  keep: string;
  /** What was hit from where, as far as it is recorded. */
  shots?: readonly PlayedShot[] | undefined;
}
/** A swap to be made on the morning if the day is not as expected. */
export interface Trigger {
  text: string;
  outIds: readonly string[];
  inIds: readonly string[];
}

/** A player's round of an event: what was changed of its needs, what was chosen, what came of it. */
export interface PlanRound {
  roundId: string;
  changes: DemandChanges;
  /** Practice-round notes: shots seen often, beside what was derived. */
  notes: readonly ShotDemand[];
  /** What goes out and in against the gamer; the clubs themselves are the round's bag. */
  swaps: readonly Swap[];
  triggers: readonly Trigger[];
  bagId: string | null;
  after: RoundAfter | null;
}

export const MAX_PLAN_NEEDS = 300;
const MAX_NEED_CHANGES = 200;
export const PLAN_CHOOSING_BOUNDS = {
  limit: [1, 14],
  changeStrokes: [0, 5],
  unevenStrokes: [0, 5],
  strokesPerHundred: [0, 5],
  comfort: [-5, 5],
  mostChanges: [0, 14],
} as const;

const whole = (min: number, max: number) => finite(min, max).integer('${path} must be a whole number');
/** What a record keeps of each: never undefined, though it may be null. */
type Kept<T> = T extends undefined ? never : T;

/** A record with keys that are not known beforehand, so many at most. */
function record<T, R extends boolean = false>(each: { __outputType: T }, max: number, isRequired?: R) {
  return yup.lazy((value: unknown) => {
    const schema = shape(
      Object.fromEntries(Object.keys((value ?? {}) as object).map((key) => [key, each as yup.Schema])),
    )
      .default(undefined)
      .test('few', `\${path} holds more than ${max}`, (all) => Object.keys(all ?? {}).length <= max);
    return isRequired ? schema.required('${path} is missing') : schema;
  }) as unknown as yup.Lazy<
    R extends true ? Readonly<Record<string, Kept<T>>> : Readonly<Record<string, Kept<T>>> | undefined
  >;
}

const hazardSchema = shape({
  kind: required(yup.string().strict().oneOf(HAZARD_KINDS)),
  side: required(yup.string().strict().oneOf(HAZARD_SIDES)),
  fromM: required(finite(-500, HAZARD_BOUNDS.fromM[1])),
  toM: required(finite(...HAZARD_BOUNDS.toM)),
});
const editableNeed = {
  distanceM: finite(...DEMAND_BOUNDS.distanceM),
  lie: yup.string().strict().oneOf(LIE_NAMES),
  mustHold: yup.boolean().strict(),
  weight: finite(...DEMAND_BOUNDS.weight),
  leftM: finite(...DEMAND_BOUNDS.leftM),
};

/** A need as it is kept and sent. */
export const demandSchema = shape({
  ...editableNeed,
  id: nameSchema,
  stroke: nameSchema,
  name: required(nameSchema),
  to: required(
    yup
      .string()
      .strict()
      .oneOf(['green', 'fairway'] as const),
  ),
  distanceM: required(editableNeed.distanceM),
  lie: required(editableNeed.lie),
  mustHold: required(editableNeed.mustHold),
  weight: required(editableNeed.weight),
  hitFromM: yup
    .array(required(finite(...DEMAND_BOUNDS.hitFromM)))
    .max(MAX_HIT_FROM, `\${path} holds more than ${MAX_HIT_FROM} places`),
  halfM: finite(...DEMAND_BOUNDS.halfM),
  hole: whole(...DEMAND_BOUNDS.hole),
  windMps: finite(...DEMAND_BOUNDS.windMps),
  windFromDeg: finite(...DEMAND_BOUNDS.windFromDeg),
  elevationChangeM: finite(...DEMAND_BOUNDS.elevationChangeM),
  front: yup
    .string()
    .strict()
    .oneOf(['sand', 'water'] as const),
  slope: yup.string().strict().oneOf(SLOPES),
  hazards: yup.array(required(hazardSchema)).max(20).default(undefined).optional(),
  missStrokes: finite(...DEMAND_BOUNDS.missStrokes),
  playsLikeM: finite(...DEMAND_BOUNDS.playsLikeM),
});

const clubIds = yup.array(required(idSchema)).max(60);

const preferences = {
  limit: whole(...PLAN_CHOOSING_BOUNDS.limit),
  changeStrokes: finite(...PLAN_CHOOSING_BOUNDS.changeStrokes),
  always: clubIds,
  never: clubIds,
  oneOf: yup.array(required(clubIds.min(2, '${path} must name at least two clubs'))).max(20),
  kinds: yup.array(required(shape({ kind: required(clubKindSchema), most: required(whole(0, 14)) }))).max(8),
  mustCover: yup
    .array(required(shape({ distanceM: required(finite(1, 400)), withinM: required(finite(0.5, 50)) })))
    .max(20),
  comfort: record(finite(...PLAN_CHOOSING_BOUNDS.comfort), 60),
  mostChanges: whole(...PLAN_CHOOSING_BOUNDS.mostChanges).nullable(),
  strokesPerHundred: finite(...PLAN_CHOOSING_BOUNDS.strokesPerHundred),
  unevenStrokes: finite(...PLAN_CHOOSING_BOUNDS.unevenStrokes),
  bounce: yup.string().strict().oneOf(BOUNCE_STRATEGIES),
  putter: yup.string().strict().oneOf(PUTTER_STRATEGIES),
};

/** What a player wants of every choice, as far as it is recorded. */
export const bagPreferencesSchema = shape(preferences);

export const planChoosingSchema = shape({
  ...preferences,
  needs: yup
    .array(required(demandSchema))
    .max(MAX_PLAN_NEEDS, `\${path} holds more than ${MAX_PLAN_NEEDS} needs`)
    .required('${path} is missing'),
  limit: required(preferences.limit),
  changeStrokes: required(preferences.changeStrokes),
  always: clubIds.required('${path} is missing'),
  never: clubIds.required('${path} is missing'),
});

export const swapsSchema = yup.array(
  shape({ outId: idSchema, inId: idSchema, why: textSchema(500) }).test(
    'names a club',
    '${path} names no club',
    (swap) => Boolean(swap?.outId ?? swap?.inId),
  ),
);

const triggersSchema = yup
  .array(
    required(
      shape({
        text: required(textSchema(300)),
        outIds: clubIds.required('${path} is missing'),
        inIds: clubIds.required('${path} is missing'),
      }),
    ),
  )
  .max(12);
export const afterSchema = shape({
  hits: record(finite(0, 60), 60, true),
  says: textSchema(2000).defined('${path} is missing'),
  keep: textSchema(2000).defined('${path} is missing'),
  shots: playedShotsSchema.default(undefined).optional(),
});

/** What may be set of a player's round; its bag is set by `setRoundBag`. */
export const planRoundSet = {
  changes: record(shape(editableNeed).nullable().default(undefined), MAX_NEED_CHANGES),
  notes: yup
    .array(required(demandSchema))
    .max(MAX_PLAN_NEEDS, `\${path} holds more than ${MAX_PLAN_NEEDS} needs`),
  after: afterSchema.nullable().default(undefined).optional(),
};

export const roundBagSchema = {
  clubIds: required(
    yup
      .array(required(idSchema))
      .min(1, '${path} is empty')
      .max(14, '${path} holds more than fourteen clubs'),
  ),
  swaps: required(swapsSchema.max(40)),
  triggers: required(triggersSchema),
};

export function emptyRound(roundId: string): PlanRound {
  return { roundId, changes: {}, notes: [], swaps: [], triggers: [], bagId: null, after: null };
}

/** What a plan says of a round of its event; an empty one where nothing is recorded yet. */
export function planRoundOf({ rounds }: { rounds: readonly PlanRound[] }, roundId: string): PlanRound {
  return rounds.find((round) => round.roundId === roundId) ?? emptyRound(roundId);
}

/** The rounds of a plan with one of them changed, or added. */
export function withPlanRound(rounds: readonly PlanRound[], round: PlanRound): PlanRound[] {
  return rounds.some(({ roundId }) => roundId === round.roundId)
    ? rounds.map((one) => (one.roundId === round.roundId ? round : one))
    : [...rounds, round];
}
