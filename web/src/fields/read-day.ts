import { format, isValid, parse } from 'date-fns';

/** How a stored day is written. */
const STORED = 'yyyy-MM-dd';
/** Formats whose order does not depend on where the reader is; every date the app prints is among them. */
const PLAIN_FORMATS = [
  STORED,
  'd MMM yyyy',
  'd MMMM yyyy',
  'd MMM yy',
  'MMM d yyyy',
  'MMMM d yyyy',
  'd MMM',
  'd MMMM',
  'MMM d',
  'EEE d MMM yyyy',
  'EEE d MMM',
  'yyyyMMdd',
];
const DAY_FIRST = ['d/M/yyyy', 'd/M/yy', 'd/M'];
const MONTH_FIRST = ['M/d/yyyy', 'M/d/yy', 'M/d'];

/** Whether the reader's locale writes the month before the day. */
export function monthComesFirst(locale: string): boolean {
  const parts = new Intl.DateTimeFormat(locale).formatToParts(new Date(2026, 0, 2));
  return parts.findIndex(({ type }) => type === 'month') < parts.findIndex(({ type }) => type === 'day');
}

/** How the day is shown in a field, in the order of the reader's locale. */
export function dayFormat(locale: string): string {
  return monthComesFirst(locale) ? 'MMM d yyyy' : 'd MMM yyyy';
}

/**
 * The day a reader wrote, as YYYY-MM-DD: "1 Sep 2026", "1.9.26", "9/1/2026" where the month comes first,
 * "2026-09-01", or without a year for this one. Null for what is not a date.
 */
export function readDay(text: string, locale: string, now = new Date()): string | null {
  const written = text
    .trim()
    .replace(/[.,]/g, (mark) => (mark === ',' ? ' ' : '/'))
    .replace(/\/$/, '')
    .replace(/(\d)\/\s*(?=[a-z])/gi, '$1 ')
    .replace(/([a-z])\/\s*(?=\d)/gi, '$1 ')
    .replace(/\s+/g, ' ');
  const formats = [...PLAIN_FORMATS, ...(monthComesFirst(locale) ? MONTH_FIRST : DAY_FIRST)];
  for (const one of formats) {
    const day = parse(written, one, now);
    // A year of three digits, or of the first century, is a typing error.
    if (isValid(day) && day.getFullYear() >= 1900 && day.getFullYear() <= 2200) return format(day, STORED);
  }
  return null;
}
