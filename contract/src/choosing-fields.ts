import {
  BASELINE,
  BOUNCE_STRATEGIES,
  CHOOSING_BOUNDS,
  DEFAULT_CHOOSING_RULES,
  GAPPING_STRATEGIES,
  InvalidInputError,
  MEDIUM_FAIRWAY,
  bagChoosing,
  demandCosts,
  movedClub,
  playedIn,
  skillOf,
  type BagChoosing,
  type BounceStrategy,
  type ChoosingRules,
  type CourseGround,
  type LadderClub,
  type ShotDemand,
} from '@tasche/core';
import { courseGroundSchema } from './course-schemas.js';
import { ladderClubsSchema } from './ladder-clubs.js';
import { demandSchema } from './plan-choosing.js';
import { clubKindSchema, finite, handicapSchema, textSchema } from './schemas.js';
import { conditionsOf, conditionsSchema } from './setting-schemas.js';
import * as yup from './yup.js';

/*
 * What the documents of `tasche calc choose`, `needs` and `travel` have in common: the clubs, the shots a bag is
 * for, the day, and the rules a bag is chosen by.
 */

export const unknown = '${path} has an unknown field: ${unknown}';
export const required = <S extends yup.Schema>(schema: S) => schema.required('${path} is missing');
const clubId = () => required(textSchema(80));
const clubIds = yup.array(clubId()).max(CHOOSING_BOUNDS.clubs[1]);
export const whole = (min: number, max: number) => finite(min, max).integer('${path} must be a whole number');

const pricesSchema = yup.lazy((value: unknown) =>
  yup
    .object(
      Object.fromEntries(Object.keys((value ?? {}) as object).map((id) => [id, required(finite(-20, 20))])),
    )
    .strict()
    .default(undefined)
    .test(
      'few',
      '${path} names more clubs than can be chosen from',
      (prices) => Object.keys(prices ?? {}).length <= CHOOSING_BOUNDS.clubs[1],
    ),
);

export const clubsSchema = ladderClubsSchema
  .min(1, '${path} is empty')
  .max(CHOOSING_BOUNDS.clubs[1], `\${path} holds more than ${CHOOSING_BOUNDS.clubs[1]} clubs`);
const MAX_NEEDS = 1000;
export const demandsSchema = yup
  .array(required(demandSchema))
  .max(MAX_NEEDS, `\${path} holds more than ${MAX_NEEDS} needs`)
  .required('${path} is missing');
/** The day the needs are of: its still air and its ground; each need brings its own wind. */
export const daySchema = yup
  .object({
    air: conditionsSchema.default(undefined).required('${path} is missing'),
    ground: courseGroundSchema.default(undefined).required('${path} is missing'),
    bounce: yup.string().strict().oneOf(BOUNCE_STRATEGIES),
  })
  .strict()
  .noUnknown(unknown)
  .default(undefined);
export const tasteShape = {
  school: yup
    .string()
    .strict()
    .oneOf(GAPPING_STRATEGIES.map(({ id }) => id)),
  handicap: handicapSchema,
  limit: whole(1, 60),
  unevenStrokes: finite(0, 10),
  prices: pricesSchema,
  always: clubIds,
  never: clubIds,
  swings: finite(1, 500),
  groups: yup
    .array(
      yup
        .object({ ids: required(clubIds), least: whole(0, 60), most: whole(0, 60), name: textSchema(80) })
        .strict()
        .noUnknown(unknown),
    )
    .max(50),
  kinds: yup
    .array(
      yup
        .object({ kind: required(clubKindSchema), most: required(whole(0, 60)) })
        .strict()
        .noUnknown(unknown),
    )
    .max(8),
  mustCover: yup
    .array(
      yup
        .object({ distanceM: required(finite(1, 400)), withinM: required(finite(0.5, 50)) })
        .strict()
        .noUnknown(unknown),
    )
    .max(50),
};

export type Day =
  | { air: Parameters<typeof conditionsOf>[0]; ground: CourseGround; bounce?: BounceStrategy | undefined }
  | undefined;

export function tasteIn(given: Record<string, unknown>): ChoosingRules {
  return {
    ...DEFAULT_CHOOSING_RULES,
    ...Object.fromEntries(
      Object.keys(tasteShape)
        .map((key) => [key, given[key]])
        .filter(([, value]) => value !== undefined),
    ),
  } as ChoosingRules;
}

/**
 * Shots are taken to be known in the usual air; with a day they are flown in it, without one they stand as
 * they are.
 */
export function choosingFor(
  clubs: readonly LadderClub[],
  needs: readonly ShotDemand[],
  day: Day,
  rules: ChoosingRules,
): BagChoosing {
  if (!day) return bagChoosing(clubs, needs, rules);
  const played = playedIn(
    { conditions: BASELINE, surface: MEDIUM_FAIRWAY },
    conditionsOf(day.air),
    day.ground,
    rules.handicap ?? skillOf(clubs).handicap,
  );
  return bagChoosing(
    clubs.map((club) => movedClub(played(club, { windMps: 0, windFromDeg: 0 }))),
    needs,
    rules,
    undefined,
    demandCosts(clubs, needs, { played, ground: day.ground, bounce: day.bounce ?? 'match' }),
  );
}

/** What the core refuses, as every border says it. */
export function refusing<T>(work: () => T): T {
  try {
    return work();
  } catch (error) {
    if (!(error instanceof InvalidInputError)) throw error;
    throw new yup.ValidationError(error.message, undefined, error.field);
  }
}
