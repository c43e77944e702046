import { USUAL_LIMITS, type CourseGround, type Limits, type RoundAir } from '@tasche/core';
import * as yup from './yup.js';
import { courseGroundSchema, roundAirSchema } from './course-schemas.js';
import { teeTimeSchema } from './round-times.js';
import {
  dateSchema,
  finite,
  idSchema,
  nameSchema,
  required,
  shape,
  textSchema,
  zoneSchema,
} from './schemas.js';

/** What a forecast says of a day, many times over: members of an ensemble, all as likely. */
export interface Forecast {
  source: string;
  askedAt: string;
  members: readonly RoundAir[];
}

/** A round of an event: where, when, and in what it is expected to be played. */
export interface EventRound {
  id: string;
  name: string;
  /** YYYY-MM-DD where it is played. */
  day: string;
  /** "08:40" on the clocks of the event's zone; left out while not known. */
  teeTime?: string | undefined;
  courseId: string;
  /** Place among the course's tees. */
  tee: number;
  air: RoundAir;
  ground: CourseGround;
  forecast: Forecast | null;
}

/** An event as it is kept; every player of the workspace may be planned for it. */
export interface EventDetails {
  name: string;
  rounds: readonly EventRound[];
  /** Where its clocks are, an IANA name; null where not given. */
  zone: string | null;
  limits: Limits;
  notes: string;
}

/** What may be set of one round. */
export type EventRoundSet = Partial<Pick<EventRound, 'air' | 'ground' | 'forecast'>>;

export const MAX_ROUNDS = 8;
export const MAX_MEMBERS = 50;
export const MAX_EVENTS = 200;
/** A committee may allow fewer than fourteen, and cut the length to 46 in (Model Local Rule G-10). */
export const LIMIT_BOUNDS = {
  clubs: [1, USUAL_LIMITS.clubs],
  lengthIn: [18, USUAL_LIMITS.lengthIn],
} as const;

const forecastSchema = shape({
  source: required(textSchema(80)),
  askedAt: required(textSchema(40)),
  members: yup
    .array(required(roundAirSchema))
    .min(1, '${path} is empty')
    .max(MAX_MEMBERS, `\${path} holds more than ${MAX_MEMBERS}`)
    .required('${path} is missing'),
});

const eventRoundSchema = shape({
  id: required(idSchema),
  name: required(nameSchema),
  day: required(dateSchema),
  teeTime: teeTimeSchema.optional(),
  courseId: required(idSchema),
  tee: required(finite(0, 5).integer('${path} must be a whole number')),
  air: required(roundAirSchema),
  ground: required(courseGroundSchema),
  forecast: forecastSchema.nullable().default(undefined).defined('${path} is missing'),
});

export const eventRoundSet = {
  air: roundAirSchema.default(undefined).optional(),
  ground: courseGroundSchema.default(undefined).optional(),
  forecast: forecastSchema.nullable().default(undefined).optional(),
};

export const eventDetails = {
  name: nameSchema,
  notes: textSchema(2000),
  zone: zoneSchema.nullable().default(undefined).optional(),
  rounds: yup
    .array(required(eventRoundSchema))
    .min(1, '${path} must have at least one round')
    .max(MAX_ROUNDS, `\${path} must be at most ${MAX_ROUNDS}`)
    .test(
      'ids',
      '${path} holds one round twice',
      (rounds) => new Set(rounds?.map((round) => round?.id)).size === (rounds?.length ?? 0),
    ),
  limits: shape({
    clubs: required(finite(...LIMIT_BOUNDS.clubs).integer('${path} must be a whole number')),
    lengthIn: required(finite(...LIMIT_BOUNDS.lengthIn, 'in')),
  }),
};
