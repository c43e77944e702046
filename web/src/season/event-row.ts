import { MAX_ROUNDS } from '@tasche/contract';
import { daysBetween } from '@tasche/core';

/** No name of an event or a course is longer. */
export const MAX_NAME = 80;

/**
 * An event as a calendar file or a list has it; what is wrong with it is said, and it is not taken. Days are
 * YYYY-MM-DD, the last one included.
 */
export interface EventRow {
  /** Of a calendar file: what it calls the event. */
  uid: string;
  name: string;
  /** Where it is, as it is written; empty where nothing is said. */
  place: string;
  from: string;
  to: string;
  /** IANA name, where one is said. */
  zone: string | null;
  /** When it begins on its first day, "08:40"; of whole days nothing. */
  time: string | null;
  problem: string | null;
  note: string | null;
}

/** What speaks against days of an event; null where nothing does. */
export function problemOfDays(from: string, to: string): string | null {
  if (to < from) return 'ends before it begins';
  return daysBetween(from, to) + 1 > MAX_ROUNDS ? `is longer than ${MAX_ROUNDS} days` : null;
}
