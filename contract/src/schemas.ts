import {
  CLUB_KINDS,
  DISTANCE_UNITS,
  GAP_SETTING_BOUNDS,
  HANDICAP_BOUNDS,
  InvalidInputError,
  MAX_SHOT_NAME,
  SHOT_KINDS,
  isShotKind,
  type ReadingKey,
  type ShotKind,
  SHOT_SOURCES,
  quantityOf,
  readSleeve,
  shotKindOf,
  swingWeightPoints,
  type GapSettings,
  type Quantity,
  type ReadingValue,
  type Shot,
  GAPPING_STRATEGIES,
} from '@tasche/core';
import * as yup from './yup.js';

/** The pieces every border is checked with, the same in browser and server. */

/** Neither left out nor null; keeps the schema's type. */
export function required<S extends { required(message?: string): unknown }>(schema: S) {
  return schema.required('${path} is missing') as ReturnType<S['required']>;
}

/** An object of just these fields. */
export function shape<F extends yup.ObjectShape>(fields: F) {
  return yup.object(fields).strict().noUnknown('${path} has an unknown field: ${unknown}');
}

const UUID = /^[0-9a-f]{8}-[0-9a-f]{4}-[0-9a-f]{4}-[0-9a-f]{4}-[0-9a-f]{12}$/;
export const idSchema = yup.string().strict().matches(UUID, '${path} must be an id (a lower-case UUID)');

/** Names and notes hold any text a person may type, markup and quotes too, but no control characters. */
export function textSchema(maxLength: number) {
  return (
    yup
      .string()
      .strict()
      .max(maxLength, `\${path} must be at most ${maxLength} characters`)
      // Control characters are just what is refused here.
      .matches(
        /^[^\u0000-\u0008\u000b\u000c\u000e-\u001f\u007f\p{Surrogate}]*$/u,
        '${path} holds a control character',
      )
  );
}

export const nameSchema = textSchema(80).trim().min(1, '${path} must not be empty');

export const dateSchema = yup
  .string()
  .strict()
  .test('date', '${path} must be a date, YYYY-MM-DD', (text) => text == null || isDay(text));

/** A real day of the calendar between 1900 and 2200, as YYYY-MM-DD. */
export function isDay(text: string): boolean {
  if (!/^(19|20|21)\d\d-\d\d-\d\d$/.test(text)) return false;
  const date = new Date(`${text}T00:00:00Z`);
  return !Number.isNaN(date.getTime()) && date.toISOString().startsWith(text);
}

/** A finite number within its bounds; the message names the field and the bounds. */
export function finite(min: number, max: number, unit = '') {
  const range = `\${path} must be between ${min} and ${max}${unit && ` ${unit}`}`;
  return yup
    .number()
    .strict()
    .meta({ unit })
    .typeError('${path} must be a number')
    .test('finite', '${path} must be a number', (value) => value == null || Number.isFinite(value))
    .min(min, range)
    .max(max, range);
}

/** 450 yd is longer than any golf shot carries on flat ground. From memory. */
const CARRY_MAX_M = 411;
const TOTAL_MAX_M = 500;
/** No club carries farther off a tee by more than this, or less. Our choice. */
const TEE_GAIN_MAX_M = 40;
const TEE_GAIN_WORDS =
  '${path} says how much farther it carries off a tee than off the turf, such as 8 or -3; not the carry itself';

export const shotSchema: yup.ObjectSchema<Shot> = yup
  .object({
    carryM: finite(1, CARRY_MAX_M, 'm').required('${path} is missing'),
    totalM: finite(1, TOTAL_MAX_M, 'm').optional(),
    apexM: finite(0, 80, 'm').optional(),
    descentDeg: finite(0, 90, 'degrees').optional(),
    spreadM: finite(0, 80, 'm').optional(),
    sideSpreadM: finite(0, 80, 'm').optional(),
    teeGainM: finite(-TEE_GAIN_MAX_M, TEE_GAIN_MAX_M)
      .min(-TEE_GAIN_MAX_M, TEE_GAIN_WORDS)
      .max(TEE_GAIN_MAX_M, TEE_GAIN_WORDS)
      .optional(),
    source: yup.string().strict().oneOf(SHOT_SOURCES).required('${path} is missing'),
    sampleSize: finite(1, 10_000).integer('${path} must be a whole number').optional(),
    plusMinusM: finite(0, 100, 'm').optional(),
    startDeg: finite(-20, 20, 'degrees').optional(),
    curveM: finite(-80, 80, 'm').optional(),
    conditions: textSchema(120).optional(),
  })
  .strict()
  .noUnknown('${path} has an unknown field: ${unknown}')
  .test(
    'total',
    '${path}: the total is shorter than the carry',
    (shot) => shot?.totalM === undefined || shot.carryM === undefined || shot.totalM >= shot.carryM - 20,
  );

/** Positions of a sleeve as people write them: "A1 0, B1 +1". */
function sleeveSchema(maxLength: number) {
  return textSchema(maxLength).test('sleeve', '', (text, context) => {
    if (text == null) return true;
    try {
      readSleeve(text);
      return true;
    } catch (error) {
      if (!(error instanceof InvalidInputError)) throw error;
      return context.createError({ message: `\${path}: ${error.reason}` });
    }
  });
}

/** The values a quantity may take. */
export function quantitySchema(quantity: Quantity): yup.Schema {
  switch (quantity.type) {
    case 'number':
      return finite(quantity.min, quantity.max, quantity.unit === 'money' ? '' : quantity.unit);
    case 'text':
      return quantity.key === 'sleevePositions'
        ? sleeveSchema(quantity.maxLength)
        : textSchema(quantity.maxLength);
    case 'choice':
      return yup
        .string()
        .strict()
        .oneOf(quantity.choices, `\${path} must be one of: ${quantity.choices.join(', ')}`);
    case 'date':
      return dateSchema;
    case 'swingWeight':
      return yup
        .string()
        .strict()
        .test(
          'swing weight',
          '${path} must be a swing weight such as D3 or C9.5',
          (text) => text === undefined || swingWeightPoints(text) !== undefined,
        );
  }
}

/** A usual shot, or one of the player's own by a name after it. */
export const shotKindSchema = yup
  .string<ShotKind>()
  .strict()
  .test(
    'shot',
    `\${path} must be one of: ${SHOT_KINDS.join(', ')}; or one of them with a name of up to ${MAX_SHOT_NAME} characters, as "choked: into the wind"`,
    (kind) => kind == null || isShotKind(kind),
  );

/** One reading as it is sent: `{ key, value, takenOn }`. Null takes the quantity back to "not known". */
export const readingSchema = yup
  .object({
    key: yup
      .string<ReadingKey>()
      .strict()
      .test(
        'key',
        '${path} is not a quantity this sheet keeps',
        (key) => key == null || quantityOf(key) !== undefined || shotKindOf(key) !== undefined,
      )
      .required('${path} is missing'),
    value: yup
      .mixed<NonNullable<ReadingValue>>()
      .nullable()
      .defined('${path} is missing')
      .test('value', '', (value, context) => {
        const { key } = context.parent as { key?: unknown };
        // What is wrong with the key is said of the key.
        if (value === null || typeof key !== 'string') return true;
        const quantity = quantityOf(key);
        const schema = quantity ? quantitySchema(quantity) : shotKindOf(key) ? shotSchema : undefined;
        if (!schema) return true;
        try {
          schema.validateSync(value, { strict: true });
          return true;
        } catch (error) {
          if (!(error instanceof yup.ValidationError)) throw error;
          const label = quantity?.label ?? `${shotKindOf(key)} shot`;
          return context.createError({ message: error.errors[0]!.replace(/^this/, label) });
        }
      }),
    takenOn: dateSchema.required('${path} is missing'),
  })
  .strict()
  .noUnknown();

/** How a bag is to be spaced. */
export const strategySchema = yup
  .string()
  .strict()
  .oneOf(GAPPING_STRATEGIES.map(({ id }) => id));

export const clubKindSchema = yup.string().strict().oneOf(CLUB_KINDS);
export const distanceUnitSchema = yup.string().strict().oneOf(DISTANCE_UNITS);
/** A handicap index; a plus handicap is negative. */
export const handicapSchema = finite(...HANDICAP_BOUNDS);
export type Hand = 'right' | 'left';
export const handSchema = yup
  .string()
  .strict()
  .oneOf(['right', 'left'] as const);

export const gapSettingsSchema = yup
  .object(
    Object.fromEntries(
      Object.entries(GAP_SETTING_BOUNDS).map(([key, [min, max]]) => [key, finite(min, max).optional()]),
    ) as Record<keyof GapSettings, yup.NumberSchema>,
  )
  .strict()
  .noUnknown('${path} has an unknown setting: ${unknown}');

/** A whole JSON document: never nothing, never a list. */
export function wholeDocument<T extends yup.AnyObjectSchema>(schema: T): T {
  return schema.typeError('the document must be a JSON object').required('the document is missing') as T;
}

/** Problems of one document that an answer lists. */
export const MAX_PROBLEMS_LISTED = 50;
/** No message repeats more of the input than this. */
const MAX_INPUT_SHOWN = 80;
const MAX_PATH_SHOWN = 200;
const MAX_MESSAGE = 400;

/** Problems of a failed check, each with its path: the first 50, and a last entry that counts the rest. */
export function fieldProblems(error: yup.ValidationError): { field: string; message: string }[] {
  const inner = error.inner.length > 0 ? error.inner : [error];
  const listed = inner.slice(0, MAX_PROBLEMS_LISTED).map((one) => ({
    field: clipped(one.path ?? '', MAX_PATH_SHOWN),
    message: clipped(one.errors[0] ?? one.message, MAX_MESSAGE),
  }));
  const more = inner.length - listed.length;
  return more > 0 ? [...listed, { field: '', message: `and ${more} more problems` }] : listed;
}

/** Text of the input as a message may repeat it: at most 80 characters. */
export function inputShown(text: string): string {
  return clipped(text, MAX_INPUT_SHOWN);
}

function clipped(text: string, max: number): string {
  return text.length > max ? `${text.slice(0, max - 1)}\u2026` : text;
}

/** A time zone by its IANA name, "Europe/Oslo". */
export const zoneSchema = yup
  .string()
  .strict()
  .max(60)
  .test('zone', '${path} is not a known time zone, such as Europe/Oslo', (zone) => {
    if (zone == null) return true;
    try {
      new Intl.DateTimeFormat('en', { timeZone: zone });
      return true;
    } catch {
      return false;
    }
  });
