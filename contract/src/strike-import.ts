import type { ShotKind } from '@tasche/core';
import * as yup from './yup.js';
import { idSchema, finite, textSchema, shotKindSchema } from './schemas.js';
import { sessionDetails, type SessionDetails } from './session-schemas.js';
import { labelKey, type ClubMatch } from './club-labels.js';
import { DELIMITERS, type Delimiter } from './split-table.js';
import { STRIKE_FIELDS, type StrikeField } from './strike-fields.js';
import type { FileMapping } from './strike-mapping.js';
import type { RowRefusal } from './strike-rows.js';
import { STRIKE_UNIT_FACTORS, type StrikeUnit } from './strike-units.js';

export const MAX_FILE_BYTES = 64_000_000;
export const MAX_FILE_ROWS = 200_000;
/** Rows left out that the report names one by one; beyond them it counts. */
export const MAX_REFUSALS_NAMED = 20_000;
export const MAX_LABELS = 300;
/** Days a file's shots may fall on: each becomes a session. */
export const MAX_FILE_DAYS = 400;
/** The order stands in the first line of what is sent; this much of it. */
export const MAX_ORDER_CHARACTERS = 64_000;

export type FileEncoding = 'utf-8' | 'utf-16le' | 'utf-16be' | 'windows-1252';
const FILE_ENCODINGS: readonly FileEncoding[] = ['utf-8', 'utf-16le', 'utf-16be', 'windows-1252'];
/** How a launch monitor's file is to be taken in: everything a person was shown and could change before. */
export interface StrikeFileSpec {
  /** The file's name. */
  source: string;
  encoding: FileEncoding;
  delimiter: Delimiter;
  heads: readonly string[];
  /** Lines before the one with the heads, or before the first row where there are no heads. */
  skipLines: number;
  /** Whether a line of heads stands over the rows; it does where it is not given. */
  hasHeads?: boolean;
  mapping: FileMapping;
  /**
   * What each label of the club column is, by `labelKey`. A label that is not here is left out. Files without
   * the column have one label, ''.
   */
  clubs: Readonly<Record<string, ClubMatch>>;
  /**
   * Whose rows are imported, as the player column has it; those of others are left out. Not given, the file is of
   * one player.
   */
  player?: string;
  /** Where, in what air, off what: the same for every day in the file. Its day is for rows that have none. */
  session: SessionDetails;
  /** Minutes east of UTC the file's clock was. */
  zoneMinutes: number;
}

export interface StrikeImportReport {
  /** Rows of shots in the file. */
  rows: number;
  taken: number;
  duplicates: number;
  /** Rows whose club is left out. */
  otherClubs: number;
  refused: number;
  /** Rows of other players than the one asked for. */
  otherPlayers: number;
  /** Whose shots the file says they are; empty where no column says it. */
  players: readonly { label: string; rows: number }[];
  /** The first of those refused, by their line in the file. */
  refusals: readonly ({ line: number } & RowRefusal)[];
  /** How often each reason came up. */
  reasons: readonly { column: string; reason: string; count: number }[];
  /**
   * What the file calls its clubs; `carryM` is the mean carry of the rows that give one, metres, null where
   * none does.
   */
  labels: readonly { label: string; rows: number; match: ClubMatch; carryM: number | null }[];
  days: readonly { day: string; rows: number }[];
  /** The change it became; null when it only looked. */
  changeId: string | null;
}

const fields = STRIKE_FIELDS.map(({ field }) => field);
const units = Object.keys(STRIKE_UNIT_FACTORS) as StrikeUnit[];
const required = <S extends yup.Schema>(schema: S) => schema.required('${path} is missing');
const whole = (max: number) => finite(0, max).integer('${path} must be a whole number');
const unknown = '${path} has an unknown field: ${unknown}';

const mappingSchema = yup
  .object({
    columns: yup
      .array(
        yup
          .object({
            column: required(whole(500)),
            field: required(yup.string().strict().oneOf(fields)),
            unit: yup.string().strict().oneOf(units),
          })
          .strict()
          .noUnknown(unknown),
      )
      .max(fields.length)
      .required('${path} is missing')
      .test(
        'once',
        '${path}: two columns are the same thing',
        (columns) => new Set((columns ?? []).map(({ field }) => field)).size === (columns ?? []).length,
      )
      .test(
        'enough',
        '${path}: no column is the carry, the total, the ball speed or the club speed; without one there is no flight',
        (columns) =>
          (columns ?? []).some(({ field }) =>
            (['carryM', 'totalM', 'ballSpeedMps', 'clubSpeedMps'] as StrikeField[]).includes(
              field as StrikeField,
            ),
          ),
      ),
    decimal: required(
      yup
        .string()
        .strict()
        .oneOf(['.', ','] as const),
    ),
    dates: required(
      yup
        .string()
        .strict()
        .oneOf(['day first', 'month first'] as const),
    ),
    unitRows: required(whole(2)),
    leftIsPositive: required(yup.boolean().strict()),
    clubLines: yup.boolean().strict(),
  })
  .strict()
  .noUnknown(unknown);

const matchSchema = yup
  .object({ clubId: required(idSchema), shot: required(shotKindSchema) as yup.Schema<ShotKind> })
  .strict()
  .noUnknown(unknown)
  .nullable()
  .default(undefined);

const clubsSchema = yup.lazy((value: unknown) =>
  yup
    .object(Object.fromEntries(Object.keys((value ?? {}) as object).map((label) => [label, matchSchema])))
    .strict()
    .required('${path} is missing')
    .test(
      'few',
      `\${path} names more than ${MAX_LABELS} clubs`,
      (clubs) => Object.keys(clubs).length <= MAX_LABELS,
    ),
);

const orderSchema = yup
  .object({
    source: required(textSchema(200)),
    encoding: required(yup.string().strict().oneOf(FILE_ENCODINGS)),
    delimiter: yup.string().strict().oneOf(DELIMITERS).required('${path} is missing'),
    heads: yup.array(yup.string().strict().max(200).defined()).max(500).required('${path} is missing'),
    skipLines: required(whole(50)),
    hasHeads: yup.boolean().strict(),
    mapping: required(mappingSchema),
    clubs: clubsSchema,
    player: textSchema(200),
    session: required(
      yup
        .object({
          name: required(sessionDetails.name),
          heldOn: required(sessionDetails.heldOn),
          conditions: required(sessionDetails.conditions),
          surface: required(sessionDetails.surface),
          hitOff: required(sessionDetails.hitOff),
          ball: sessionDetails.ball.defined(),
          notes: sessionDetails.notes.defined(),
        })
        .strict()
        .noUnknown(unknown),
    ),
    zoneMinutes: required(finite(-14 * 60, 14 * 60)),
  })
  .strict()
  .noUnknown(unknown);

/** @throws yup.ValidationError naming every bad field */
export function parseStrikeFileSpec(body: unknown): StrikeFileSpec {
  return orderSchema.validateSync(body, {
    abortEarly: false,
    strict: true,
  }) as unknown as StrikeFileSpec;
}

/** What tells one source's files from another's: their heads. */
export function headsKey(heads: readonly string[]): string {
  return heads.map(labelKey).join('|').slice(0, 2000);
}

/** How a source's files were read the last time. */
export interface KnownMapping {
  mapping: FileMapping;
  clubs: Readonly<Record<string, ClubMatch>>;
}
