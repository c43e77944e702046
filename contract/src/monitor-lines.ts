import { withRenamedFields } from './renamed-fields.js';
import { STRIKE_PARTS, type ClubKind, type Strike } from '@tasche/core';
import * as yup from './yup.js';
import { clubKindSchema, finite, textSchema } from './schemas.js';
import { strikeSchema } from './session-schemas.js';

/**
 * What a launch monitor and the server say to each other: a JSON object a line, either way, over TCP
 * (docs/formats/monitor-link.md). The monitor keeps a strike until it is acknowledged. It counts them from 1
 * within a session of its own, from being switched on to being switched off; a strike is known by that
 * session, its number and its moment.
 */
export type MonitorLine =
  | { type: 'hello'; device: string; simulated: boolean; session?: DeviceSession }
  | { type: 'strike'; number: number; at: string; club: string | null; strike: Strike }
  | { type: 'beat' };

/** What a device counts its strikes within: an id that is never used again, and when it began. */
export interface DeviceSession {
  id: string;
  startedAt: string;
}

export type ServerLine =
  { type: 'resume'; after: number } | { type: 'ack'; number: number } | ({ type: 'hit' } & HitRequest);

/** Balls a simulated monitor is told to have hit. */
export interface HitRequest {
  count: number;
  club: string;
  kind: ClubKind;
  loftDeg?: number;
  carryM: number;
  spreadM?: number;
}

/** No line of a monitor is longer. */
export const MAX_LINE_CHARACTERS = 8192;
/** After a longer silence the connection is opened again; a monitor beats every five seconds. */
export const SILENCE_MS = 15_000;

const unknown = '${path} has an unknown field: ${unknown}';
const moment = yup
  .string()
  .strict()
  .test(
    'moment',
    '${path} must be a moment, ISO 8601 with its zone',
    (text) =>
      text === undefined ||
      (/^\d{4}-\d\d-\d\dT[\d:.]+(Z|[+-]\d\d:\d\d)$/.test(text) && !Number.isNaN(Date.parse(text))),
  );
const number = finite(1, 2 ** 31 - 1)
  .integer('${path} must be a whole number')
  .required('${path} is missing');

const sessionSchema = yup
  .object({
    id: textSchema(60).min(1).required('${path} is missing'),
    startedAt: moment.required('${path} is missing'),
  })
  .strict()
  .noUnknown(unknown)
  .default(undefined);

const MONITOR_LINES: Record<MonitorLine['type'], yup.AnyObjectSchema> = {
  hello: yup.object({
    device: textSchema(60).min(1).required('${path} is missing'),
    simulated: yup.boolean().strict().required('${path} is missing'),
    session: sessionSchema,
  }),
  strike: yup.object({
    number,
    at: moment.required('${path} is missing'),
    club: textSchema(80).nullable().defined('${path} is missing'),
  }),
  beat: yup.object({}),
};

const SERVER_LINES: Record<ServerLine['type'], yup.AnyObjectSchema> = {
  resume: yup.object({
    after: finite(0, 2 ** 31 - 1)
      .integer()
      .required('${path} is missing'),
  }),
  ack: yup.object({ number }),
  hit: yup.object({
    count: finite(1, 50).integer().required('${path} is missing'),
    club: textSchema(80).required('${path} is missing'),
    kind: clubKindSchema.required('${path} is missing'),
    loftDeg: finite(0, 80),
    carryM: finite(1, 411).required('${path} is missing'),
    spreadM: finite(0, 80),
  }),
};

/**
 * A line from a monitor, read and checked. A strike's quantities stand beside its number, as `ballSpeedMps`
 * and the like; null is not given.
 * @throws Error or yup.ValidationError saying what is wrong with it
 */
export function readMonitorLine(text: string): MonitorLine {
  const { type, rest } = lineOf(text, MONITOR_LINES);
  if (type !== 'strike') return { type, ...checkedLine(MONITOR_LINES[type], rest) } as MonitorLine;
  const given = Object.fromEntries(
    STRIKE_PARTS.flatMap((part) =>
      rest[part] === undefined || rest[part] === null ? [] : [[part, rest[part]]],
    ),
  );
  const about = Object.fromEntries(
    Object.entries(rest).filter(([key]) => !(STRIKE_PARTS as readonly string[]).includes(key)),
  );
  return {
    type,
    ...checkedLine(MONITOR_LINES.strike, about),
    strike: strikeSchema.validateSync(given, { strict: true }),
  } as MonitorLine;
}

/** A line from the server, read and checked by a monitor. @throws as `readMonitorLine` */
export function readServerLine(text: string): ServerLine {
  const { type, rest } = lineOf(text, SERVER_LINES);
  return { type, ...checkedLine(SERVER_LINES[type], rest) } as ServerLine;
}

export function writeLine(line: MonitorLine | ServerLine): string {
  if (line.type !== 'strike') return `${JSON.stringify(line)}\n`;
  const { strike, ...about } = line;
  return `${JSON.stringify({ ...about, ...strike })}\n`;
}

/** The JSON object of a line, and its type, one of the known. @throws Error saying what is wrong with it */
export function lineOf<T extends string>(
  text: string,
  known: Record<T, unknown>,
): { type: T; rest: Record<string, unknown> } {
  let line: unknown;
  try {
    line = withRenamedFields(JSON.parse(text));
  } catch {
    throw new Error('is not JSON');
  }
  if (typeof line !== 'object' || line === null || Array.isArray(line))
    throw new Error('is not a JSON object');
  const { type, ...rest } = line as Record<string, unknown>;
  if (typeof type !== 'string' || !Object.hasOwn(known, type))
    throw new Error(`type must be one of ${Object.keys(known).join(', ')}`);
  return { type: type as T, rest };
}

/** The fields of a line, checked. @throws yup.ValidationError */
export function checkedLine(schema: yup.AnyObjectSchema, value: unknown): object {
  return schema.strict().noUnknown(unknown).validateSync(value, { strict: true }) as object;
}
