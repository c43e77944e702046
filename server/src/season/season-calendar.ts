import type { SeasonEntry } from '@tasche/contract';
import { dayPlus } from '@tasche/core';
import ical, { ICalCalendarMethod, ICalEventTransparency } from 'ical-generator';

const DAY_MS = 86_400_000;

/**
 * A season as an iCalendar (RFC 5545): whole days, which are the same days in every time zone; ids that stay, and a sequence that counts up, so
 * that a calendar that reads it again changes what it has and makes nothing twice.
 * @param now ISO, when it is read
 */
export function seasonCalendar(playerName: string, entries: readonly SeasonEntry[], now: string): string {
  const calendar = ical({
    name: `${playerName}: season`,
    prodId: { company: 'tasche', product: 'season' },
    method: ICalCalendarMethod.PUBLISH,
    // A feed is asked for again every so often.
    ttl: DAY_MS / 1000 / 4,
  });
  for (const { uid, kind, name, from, to, revision } of entries)
    calendar.createEvent({
      id: `${uid}@tasche`,
      sequence: revision,
      stamp: now,
      summary: name,
      categories: [{ name: kind }],
      allDay: true,
      start: new Date(`${from}T00:00:00Z`),
      // The last day of whole days is the first one after them.
      end: new Date(`${dayPlus(to, 1)}T00:00:00Z`),
      transparency: kind === 'event' ? ICalEventTransparency.OPAQUE : ICalEventTransparency.TRANSPARENT,
    });
  return calendar.toString();
}
