import { teeMoment, type SeasonEntry } from '@tasche/contract';
import { dayPlus } from '@tasche/core';
import ical, { ICalCalendarMethod, ICalEventTransparency } from 'ical-generator';
import { tzlib_get_ical_block } from 'timezones-ical-library';

const DAY_MS = 86_400_000;
/** How long a round keeps somebody: four and a half hours. Common practice, no source. */
const ROUND_MINUTES = 270;

/**
 * A season as an iCalendar (RFC 5545): whole days, which are the same days in every time zone, and tee times
 * on the clocks of where the event is; ids that stay, and a sequence that counts up, so that a calendar that
 * reads it again changes what it has and makes nothing twice.
 * @param now ISO, when it is read
 */
export function seasonCalendar(playerName: string, entries: readonly SeasonEntry[], now: string): string {
  const calendar = ical({
    name: `${playerName}: season`,
    prodId: { company: 'tasche', product: 'season' },
    method: ICalCalendarMethod.PUBLISH,
    // A feed is asked for again every so often.
    ttl: DAY_MS / 1000 / 4,
    timezone: { name: null, generator: zoneBlock },
  });
  for (const entry of entries)
    calendar.createEvent({
      id: `${entry.uid}@tasche`,
      sequence: entry.revision,
      stamp: now,
      summary: entry.name,
      categories: [{ name: entry.kind }],
      ...whenOf(entry),
      transparency: isBusy(entry) ? ICalEventTransparency.OPAQUE : ICalEventTransparency.TRANSPARENT,
    });
  return calendar.toString();
}

function whenOf({ from, to, tee }: SeasonEntry) {
  if (!tee)
    return {
      allDay: true,
      start: new Date(`${from}T00:00:00Z`),
      // The last day of whole days is the first one after them.
      end: new Date(`${dayPlus(to, 1)}T00:00:00Z`),
    };
  const zone = tee.zone ?? 'UTC';
  return {
    start: teeMoment(from, tee.time, zone),
    end: teeMoment(from, tee.time, zone, ROUND_MINUTES),
    // Without a zone it is that time wherever the calendar is read.
    ...(tee.zone === null ? { floating: true } : { timezone: tee.zone }),
  };
}

function isBusy({ kind }: SeasonEntry): boolean {
  return kind === 'event' || kind === 'round';
}

/** What a calendar has to say of a zone it names: when its clocks change. */
function zoneBlock(zone: string): string | null {
  const block = tzlib_get_ical_block(zone);
  // A zone that is another by an older name comes under the other's.
  return Array.isArray(block)
    ? block[0]!.replace(/^TZID:.*$/m, `TZID:${zone}`).replace(/^X-LIC-LOCATION:.*\r?\n/m, '')
    : null;
}
