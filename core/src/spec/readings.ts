import type { Shot } from '../clubs/index.js';
import type { BuildKey, ReadingKey } from './quantities.js';

/** What a reading says; null takes a quantity back to "not known". */
export type ReadingValue = number | string | Shot | null;

/**
 * One dated fact about a club. Readings are only ever added; the newest by date, then by arrival, is in force.
 */
export interface Reading {
  key: ReadingKey;
  value: ReadingValue;
  /** The day it was true, as YYYY-MM-DD. */
  takenOn: string;
}

/** A fact in force, with the day it was taken. */
export interface Fact {
  value: Exclude<ReadingValue, null>;
  takenOn: string;
  /** Of a shot: what of the club's build was otherwise when it was taken; null where nothing was known. */
  build?: Partial<Record<BuildKey, Fact | null>>;
}

/** All facts in force about one club. */
export type Spec = Partial<Record<ReadingKey, Fact>>;

/**
 * The facts in force at the end of a day.
 * @param readings in the order they arrived
 * @param asOf YYYY-MM-DD; everything when left out
 */
export function specAsOf(readings: readonly Reading[], asOf?: string): Spec {
  const newest = new Map<ReadingKey, Reading>();
  for (const reading of readings) {
    if (asOf !== undefined && reading.takenOn > asOf) continue;
    const standing = newest.get(reading.key);
    if (!standing || reading.takenOn >= standing.takenOn) newest.set(reading.key, reading);
  }
  const spec: Spec = {};
  for (const [key, { value, takenOn }] of newest) if (value !== null) spec[key] = { value, takenOn };
  return spec;
}

/** A number in force, or undefined. */
export function numberIn(spec: Spec, key: ReadingKey): number | undefined {
  const value = spec[key]?.value;
  return typeof value === 'number' ? value : undefined;
}

/** A text in force, or undefined. */
export function textIn(spec: Spec, key: ReadingKey): string | undefined {
  const value = spec[key]?.value;
  return typeof value === 'string' ? value : undefined;
}

/** A shot in force, or undefined. */
export function shotIn(spec: Spec, key: ReadingKey): Shot | undefined {
  const value = spec[key]?.value;
  return typeof value === 'object' ? value : undefined;
}

/** Whether two readings say the same; a shot is the same when all its parts are, in any order. */
export function sameValue(a: ReadingValue | undefined, b: ReadingValue | undefined): boolean {
  if (typeof a !== 'object' || typeof b !== 'object' || a === null || b === null)
    return (a ?? null) === (b ?? null);
  const parts = new Set([...Object.keys(a), ...Object.keys(b)] as (keyof Shot)[]);
  return [...parts].every((part) => a[part] === b[part]);
}
