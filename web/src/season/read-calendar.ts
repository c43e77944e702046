import ICAL from 'ical.js';
import { zoneSchema } from '@tasche/contract';
import { dayPlus } from '@tasche/core';
import { MAX_NAME, problemOfDays, type EventRow } from './event-row';

const MAX_ROWS = 500;

/**
 * The events of an iCalendar file (RFC 5545), by their first day. An event's days are those of its own time
 * zone, whoever reads it.
 * @throws Error saying what the file is not
 */
export function readCalendar(text: string): EventRow[] {
  let calendar: ICAL.Component;
  try {
    calendar = new ICAL.Component(ICAL.parse(text) as never);
  } catch {
    throw new Error('This is not an iCalendar file (.ics): it could not be read.');
  }
  if (calendar.name !== 'vcalendar')
    throw new Error('This is not an iCalendar file (.ics): it holds no calendar.');
  const events = calendar.getAllSubcomponents('vevent');
  if (events.length > MAX_ROWS)
    throw new Error(`This calendar holds ${events.length} events; at most ${MAX_ROWS} are read.`);
  return events.map(rowOf).sort((a, b) => a.from.localeCompare(b.from) || a.name.localeCompare(b.name));
}

function rowOf(component: ICAL.Component): EventRow {
  const text = (key: string) => {
    const value = component.getFirstPropertyValue(key);
    return typeof value === 'string' ? value.trim() : '';
  };
  const row = {
    uid: text('uid'),
    name: text('summary').slice(0, MAX_NAME),
    // An address follows the name after a comma.
    place: (text('location').split(/[,\n]/, 1)[0] ?? '').trim().slice(0, MAX_NAME),
    from: '',
    to: '',
    zone: null,
    time: null,
    problem: null,
    note: null,
  };
  const wrong = (problem: string): EventRow => ({ ...row, problem });
  const start = component.getFirstProperty('dtstart');
  if (!start) return wrong('has no first day (DTSTART)');
  const end = component.getFirstProperty('dtend');
  for (const property of [start, end])
    if (property && zoneOf(property) !== undefined && !zoneSchema.isValidSync(zoneOf(property)))
      return wrong(`is in an unknown time zone: ${zoneOf(property)!}`);
  const from = dayOf(start);
  if (from === undefined) return wrong('has an invalid first day (DTSTART)');
  const last = end ? dayOf(end) : from;
  if (last === undefined) return wrong('has an invalid last day (DTEND)');
  // Whole days end on the day after the last; at midnight nothing more is played.
  const isOver = end !== null && end !== undefined && endsAtMidnight(end) && last > from;
  const to = isOver ? dayPlus(last, -1) : last;
  const days = { ...row, from, to, zone: zoneOf(start) ?? null, time: clockOf(start) };
  const problem = row.name === '' ? 'has no name (SUMMARY)' : problemOfDays(from, to);
  if (problem !== null) return { ...days, problem };
  const repeats = component.getFirstProperty('rrule');
  return { ...days, note: repeats ? 'is in the calendar more than once; the first is used' : null };
}

function zoneOf(property: ICAL.Property): string | undefined {
  const zone = property.getParameter('tzid');
  return typeof zone === 'string' ? zone : undefined;
}

function timeOf(property: ICAL.Property): ICAL.Time | undefined {
  const value: unknown = property.getFirstValue();
  return value instanceof ICAL.Time ? value : undefined;
}

/** The day as it is written, in the event's own time zone. */
function dayOf(property: ICAL.Property): string | undefined {
  const time = timeOf(property);
  if (!time) return undefined;
  const day = `${String(time.year).padStart(4, '0')}-${String(time.month).padStart(2, '0')}-${String(time.day).padStart(2, '0')}`;
  return Number.isNaN(Date.parse(`${day}T00:00:00Z`)) ? undefined : day;
}

function clockOf(property: ICAL.Property): string | null {
  const time = timeOf(property);
  // An hour in UTC is on no clock of where it is played.
  if (!time || time.isDate || time.zone === ICAL.Timezone.utcTimezone) return null;
  return `${String(time.hour).padStart(2, '0')}:${String(time.minute).padStart(2, '0')}`;
}

function endsAtMidnight(property: ICAL.Property): boolean {
  const time = timeOf(property);
  return time !== undefined && (time.isDate || (time.hour === 0 && time.minute === 0 && time.second === 0));
}
