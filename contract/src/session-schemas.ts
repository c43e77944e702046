import {
  BASKET_BOUNDS,
  ENOUGH_FOR_A_FLIGHT,
  STRIKE_BOUNDS,
  isEnough,
  type Conditions,
  type ShotKind,
  type Strike,
  type ClubKind,
  type StrikePart,
  type Surface,
} from '@tasche/core';
import * as yup from './yup.js';
import { dateSchema, finite, idSchema, nameSchema, textSchema, shotKindSchema } from './schemas.js';
import { keptConditionsSchema, keptSurfaceSchema } from './setting-schemas.js';

/** What balls were hit off. */
export type HitOff = 'grass' | 'mat' | 'tees';
export const HIT_OFF: readonly HitOff[] = ['grass', 'mat', 'tees'];

/**
 * Whether balls hit off it tell a club's carry. Off tees only a driver's do, whose carry is one from a tee;
 * of the others they tell what a tee gives.
 */
export const tellsCarry = (hitOff: HitOff, kind: ClubKind | undefined): boolean =>
  hitOff !== 'tees' || kind === 'driver';

/** A range session, as a person writes it down. */
export interface SessionDetails {
  /** Where. */
  name: string;
  heldOn: string;
  conditions: Conditions;
  surface: Surface;
  hitOff: HitOff;
  ball: string;
  notes: string;
}

/** What is being hit next in a live session. */
export interface Aim {
  clubId: string;
  shot: ShotKind;
}

/**
 * Balls to be hit with one shot in a session, as it was planned, and when it has told enough (see core's
 * `knownEnough`). Metres.
 */
export interface BasketLine {
  clubId: string;
  shot: ShotKind;
  balls: number;
  /** Usual spread of one ball, standard deviation. */
  usualM: number;
  /** Half the 95 % interval of its mean carry, before the balls and as it is wanted after them. */
  nowM: number;
  thenM: number;
}
/** Shots of one basket; more than a player owns. */
const MAX_BASKET_LINES = 80;

/** Strikes sent by hand in one change. */
export const MAX_STRIKES_A_CHANGE = 500;
/** Strikes of a player that one answer holds. */
export const MAX_STRIKES_ANSWERED = 20_000;

/** What may be given of a ball, each within its bounds. */
export const strikeParts = Object.fromEntries(
  Object.entries(STRIKE_BOUNDS).map(([part, [min, max]]) => [part, finite(min, max)]),
) as Record<StrikePart, yup.NumberSchema>;

/** What a device or a person gave of one ball. */
export const strikeSchema: yup.ObjectSchema<Strike> = yup
  .object(strikeParts)
  .strict()
  .noUnknown('${path} has an unknown field: ${unknown}')
  .test(
    'enough',
    `\${path} must hold one of ${ENOUGH_FOR_A_FLIGHT.join(', ')}`,
    (strike) => strike === undefined || isEnough(strike as Strike),
  );

export const sessionDetails = {
  name: nameSchema,
  heldOn: dateSchema,
  conditions: keptConditionsSchema,
  surface: keptSurfaceSchema,
  hitOff: yup.string().strict().oneOf(HIT_OFF),
  ball: textSchema(80),
  notes: textSchema(4000),
};

export const aimSchema = yup
  .object({
    clubId: idSchema.required('${path} is missing'),
    shot: shotKindSchema.required('${path} is missing'),
  })
  .strict()
  .noUnknown('${path} has an unknown field: ${unknown}');

/** @throws ValidationError naming the line and the field */
export const basketSchema = yup
  .array(
    yup
      .object({
        clubId: idSchema.required('${path} is missing'),
        shot: shotKindSchema.required('${path} is missing'),
        balls: finite(1, BASKET_BOUNDS.balls[1])
          .integer('${path} must be a whole number')
          .required('${path} is missing'),
        usualM: finite(0.01, 100).required('${path} is missing'),
        nowM: finite(0.01, 200).required('${path} is missing'),
        thenM: finite(0.01, 200).required('${path} is missing'),
      })
      .strict()
      .noUnknown('${path} has an unknown field: ${unknown}')
      .required('${path} is missing'),
  )
  .max(MAX_BASKET_LINES, `\${path} holds more than ${MAX_BASKET_LINES} shots`);

/** Why a strike does not count; a strike is never left out without a reason. */
export const leftOutSchema = textSchema(200).trim().min(1, '${path} must give a reason');
