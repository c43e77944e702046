import type { DistanceUnit } from '@tasche/core';
import * as yup from '../yup.js';
import type { SessionsView } from '../session-views.js';
import type { ScheduleView, SheetView } from '../views.js';

/** What a schema lets through, read-only. */
export type Checked<T> = T extends readonly unknown[]
  ? number extends T['length']
    ? readonly Checked<T[number]>[]
    : { readonly [K in keyof T]: Checked<T[K]> }
  : T extends object
    ? { readonly [K in keyof T]: Checked<T[K]> }
    : T;

/** The kinds of row a command may be about. */
export type RowKind =
  | 'player'
  | 'club'
  | 'bag'
  | 'plan'
  | 'session'
  | 'course'
  | 'season'
  | 'event'
  | 'ticket'
  | 'wish'
  | 'roundPlayed';

/** The row a command is about. */
export interface Subject {
  kind: RowKind;
  id: string;
  /** Whose it becomes, where the command makes it. */
  playerId?: string;
}

/** What a browser holds of the server's, and a command may change before the server has answered. */
export interface Views {
  sheet: SheetView;
  schedule: ScheduleView;
  sessions: SessionsView;
}

/** Looks up the name of a row, for words; undefined where it is not on the screen. */
export type NameOf = (id: string) => string | undefined;

interface CommandParts<C, V extends keyof Views> {
  subject: (command: C) => Subject;
  /**
   * What it asks for, in words: "delete the 7 iron". For a change that was refused, so that it can be done
   * again.
   */
  words: (command: C, nameOf: NameOf, unit: DistanceUnit) => string;
  /** The view as it will be once the server has done it. Doing it twice changes nothing more. */
  apply: (view: Views[V], command: C) => Views[V];
}

export interface CommandDefinition<
  N extends string = string,
  V extends keyof Views = keyof Views,
  S extends yup.AnyObjectSchema = yup.AnyObjectSchema,
> extends CommandParts<Checked<yup.InferType<S>>, V> {
  name: N;
  view: V;
  schema: S;
}

/**
 * One thing that can be done to the data: its name, the view it changes, its fields, and what follows from
 * them. The server's handler stands under the same name (`server/src/changes/apply-change.ts`).
 */
export function defineCommand<N extends string, V extends keyof Views, S extends yup.AnyObjectSchema>(
  name: N,
  view: V,
  schema: S,
  parts: CommandParts<Checked<yup.InferType<S>>, V>,
): CommandDefinition<N, V, S> {
  return { name, view, schema, ...parts };
}

/** Fields of a thing that is made new: none may be left out; null stands where one may be. */
export function everyField<F extends Record<string, yup.Schema>>(fields: F) {
  return Object.fromEntries(
    Object.entries(fields).map(([key, schema]) => [key, schema.defined('${path} is missing')]),
  ) as { [K in keyof F]: ReturnType<F[K]['defined']> };
}

/** The version a row had when it was read. */
export const versionSchema = yup.number().strict().integer().min(1).required('${path} is missing');

/** Ids, so many at most. */
export function idsSchema(id: yup.StringSchema<string>, max: number) {
  return yup.array(id).max(max);
}

/** "the 7 iron: lie, name": what is set of something. */
export function setWords(what: string, set: object | undefined): string {
  const parts = Object.entries(set ?? {}).map(([field, value]) =>
    typeof value === 'string' || typeof value === 'number' ? `${field} ${value}` : field,
  );
  return parts.length === 0 ? what : `${what}: ${parts.join(', ')}`;
}
