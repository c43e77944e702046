import { addDays, addWeeks, format, getISODay, isValid, parse, startOfDay } from 'date-fns';
import { oneDayIn, weekdayOf } from '@tasche/contract';

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
const DAY_FIRST = ['d/M/yyyy', 'd/M/yy', 'd/M', 'yyyy/M/d'];
const MONTH_FIRST = ['M/d/yyyy', 'M/d/yy', 'M/d', 'yyyy/M/d'];

/** "today" and the like, in days from today; other languages from memory. */
const DAYS_AWAY: readonly [RegExp, number][] = [
  [/^(today|now|heute|aujourd['’]hui|hoy|oggi|hoje|vandaag|i ?dag)$/, 0],
  [/^(tomorrow|morgen|demain|mañana|domani|amanhã|i ?morgon|i ?morgen)$/, 1],
  [/^(yesterday|gestern|hier|ayer|ieri|ontem|gisteren|i ?går)$/, -1],
];
const AHEAD = /^(?:in |\+ ?)(\d{1,3}|an?|one|two|three)(?: ?(d|days?|w|weeks?))?$/;
const AGO = /^(\d{1,3}|an?|one|two|three) ?(d|days?|w|weeks?) ago$/;
const COUNTS: Readonly<Record<string, number>> = { a: 1, an: 1, one: 1, two: 2, three: 3 };

/** Whether the reader's locale writes the month before the day. */
export function monthComesFirst(locale: string): boolean {
  const parts = new Intl.DateTimeFormat(locale).formatToParts(new Date(2026, 0, 2));
  return parts.findIndex(({ type }) => type === 'month') < parts.findIndex(({ type }) => type === 'day');
}

/** How the day is shown in a field, in the order of the reader's locale. */
export function dayFormat(locale: string): string {
  return monthComesFirst(locale) ? 'MMM d yyyy' : 'd MMM yyyy';
}

/** The days a field takes; they tell which year, or which Monday, is meant. */
interface DaysTaken {
  min?: string | undefined;
  max?: string | undefined;
}

/**
 * The day a reader wrote, as YYYY-MM-DD: "1 Sep 2026", "1.9.26", "9/1/2026" where the month comes first,
 * "2026-09-01", "4th of December", "4. Dez"; "today", "in 3 days", "2 weeks ago"; "Friday" is the next one, "last
 * Friday" the one before. Without a year it is of this one, or of the next or the last where only that is taken.
 * Null for what is not a date.
 */
export function readDay(
  text: string,
  locale: string,
  now = new Date(),
  taken: DaysTaken = {},
): string | null {
  const isTaken = (day: string) => !(taken.min && day < taken.min) && !(taken.max && day > taken.max);
  const meant = daysMeant(text, locale, now);
  const weekday = text
    .split(/[^\p{L}]+/u)
    .map(weekdayOf)
    .find((one) => one !== undefined);
  const ofWeekday = meant.filter((day) => getISODay(day) === weekday);
  // "Fri 4 Dec" is of no year whose fourth is a Thursday.
  const days = (weekday === undefined ? meant : ofWeekday.length > 0 ? ofWeekday : meant.slice(0, 1)).map(
    (day) => format(day, STORED),
  );
  return days.find(isTaken) ?? days[0] ?? null;
}

/** The days a text may mean, the likeliest first. */
function daysMeant(text: string, locale: string, now: Date): Date[] {
  const said = text.trim().toLowerCase().replace(/\s+/g, ' ');
  const away = daysAway(said);
  if (away !== undefined) return [addDays(startOfDay(now), away)];
  const [, isLast, weekday] = /^(?:(last) |(?:this|on|coming) )?(\p{L}+\.?)$/u.exec(said) ?? [];
  const ofWeek = weekday === undefined ? undefined : weekdayOf(weekday);
  if (ofWeek !== undefined) {
    const ahead = (ofWeek - getISODay(now) + 7) % 7;
    const coming = addDays(startOfDay(now), ahead);
    const last = addWeeks(coming, -1);
    return isLast ? [last] : [coming, last];
  }
  const written = text
    .trim()
    .replace(/^(\d{1,2})-(\d{1,2})-(\d{4}|\d{2})$/, '$1/$2/$3')
    .replace(/[.,]/g, (mark) => (mark === ',' ? ' ' : '/'))
    .replace(/\/$/, '')
    .replace(/(\d)\/\s*(?=[a-z])/gi, '$1 ')
    .replace(/([a-z])\/\s*(?=\d)/gi, '$1 ')
    .replace(/\s+/g, ' ');
  const isMonthFirst = monthComesFirst(locale);
  const years = [0, 1, -1].map((by) => now.getFullYear() + by);
  for (const one of [...PLAIN_FORMATS, ...(isMonthFirst ? MONTH_FIRST : DAY_FIRST)]) {
    const days = (one.includes('yy') ? [now.getFullYear()] : years)
      .map((year) => parse(written, one, new Date(year, 0, 1)))
      .filter(isPlausible);
    if (days.length > 0) return days;
  }
  const day = oneDayIn(text.trim(), isMonthFirst);
  if (!day) return [];
  return (day.year === undefined ? years : [day.year])
    .map((year) => parse(`${year}-${day.month}-${day.day}`, 'yyyy-M-d', now))
    .filter(isPlausible);
}

/** A year of three digits, or of the first century, is a typing error. */
const isPlausible = (day: Date) => isValid(day) && day.getFullYear() >= 1900 && day.getFullYear() <= 2200;

function daysAway(said: string): number | undefined {
  const named = DAYS_AWAY.find(([pattern]) => pattern.test(said));
  if (named) return named[1];
  const [, count, unit] = AHEAD.exec(said) ?? [];
  const [, countAgo, unitAgo] = AGO.exec(said) ?? [];
  const days = (of: string, by: string | undefined) =>
    (COUNTS[of] ?? Number(of)) * (by?.startsWith('w') ? 7 : 1);
  // "in 3" says nothing; "+3" is days.
  if (count !== undefined && (unit !== undefined || said.startsWith('+'))) return days(count, unit);
  return countAgo === undefined ? undefined : -days(countAgo, unitAgo);
}
