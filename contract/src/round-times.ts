import { TZDate } from '@date-fns/tz';
import * as yup from './yup.js';

/** A time of the day as a clock shows it, "08:40". */
const CLOCK = /^([01]\d|2[0-3]):[0-5]\d$/;

export const teeTimeSchema = yup
  .string()
  .strict()
  .matches(CLOCK, { message: '${path} must be a time like 08:40', excludeEmptyString: false });

/** By so much clocks go back, wherever they do. */
const CLOCKS_GO_BACK_MINUTES = [60, 30];

/** When a round begins, on the clocks of where it is played. */
export interface TeeTime {
  /** "08:40". */
  time: string;
  /** IANA name; null where the time zone is not given. */
  zone: string | null;
}

/**
 * The moment a round begins. A time that clocks leave out when they go forward is an hour later, as clocks
 * then show it; one they show twice is the first (RFC 5545, 3.3.5).
 * @param day YYYY-MM-DD where it is played
 * @param minutesOn so much later
 */
export function teeMoment(day: string, time: string, zone: string, minutesOn = 0): Date {
  const [year, month, date] = day.split('-').map(Number) as [number, number, number];
  const [hour, minute] = time.split(':').map(Number) as [number, number];
  const found = new TZDate(year, month - 1, date, hour, minute, zone).getTime();
  const start =
    CLOCKS_GO_BACK_MINUTES.map((minutes) => found - minutes * 60_000).find((moment) => {
      const earlier = new Date(moment);
      return clockIn(zone, earlier) === time && dayIn(zone, earlier) === day;
    }) ?? found;
  return TZDate.tz(zone, start + minutesOn * 60_000);
}

/** The day it is in a time zone, YYYY-MM-DD. */
export function dayIn(zone: string, moment: Date): string {
  const there = TZDate.tz(zone, moment.getTime());
  const two = (part: number) => String(part).padStart(2, '0');
  return `${there.getFullYear()}-${two(there.getMonth() + 1)}-${two(there.getDate())}`;
}

/** The time clocks of a zone show, "08:40". */
export function clockIn(zone: string, moment: Date): string {
  const there = TZDate.tz(zone, moment.getTime());
  const two = (part: number) => String(part).padStart(2, '0');
  return `${two(there.getHours())}:${two(there.getMinutes())}`;
}

const WRITTEN = /^(\d{1,2})(?:[:.h ]?(\d{2}))?\s*(?:(am|pm|a|p)?\.?m?\.?|uhr|hrs?|o[’']clock)$/;

/** Nobody tees off before this hour: 1:15 is after noon, 01:15 as a clock of 24 hours shows it. Our choice. */
const FIRST_HOUR = 5;

/**
 * When a round begins: "8:40", "840", "8.40 am", "1:15pm", "13h15" or "8.40 Uhr" as "08:40", "1:15" as "13:15";
 * undefined for what is no time.
 */
export function readClock(text: string): string | undefined {
  const found = WRITTEN.exec(text.trim().toLowerCase());
  if (!found) return undefined;
  const half = found[3]?.[0];
  const written = Number(found[1]);
  if (half !== undefined && (written < 1 || written > 12)) return undefined;
  const isAfternoon = half === undefined ? /^[1-9]/.test(found[1]!) && written < FIRST_HOUR : half === 'p';
  const hour = (half === undefined ? written : written % 12) + (isAfternoon ? 12 : 0);
  const clock = `${String(hour).padStart(2, '0')}:${found[2] ?? '00'}`;
  return CLOCK.test(clock) ? clock : undefined;
}
