import { tz } from '@date-fns/tz';
import { dayPlus, daysBetween, type Freeze } from '@tasche/core';
import {
  addMonths,
  addWeeks,
  addYears,
  differenceInMonths,
  differenceInWeeks,
  differenceInYears,
  formatISO,
  getDate,
  parseISO,
} from 'date-fns';
import type { PlayerSeason, SeasonItem } from './player-season.js';

/** An item as often as it comes up between two days. */
interface SeasonOccurrence extends Omit<SeasonItem, 'repeats'> {
  /** The item's first day, by which one of many is told from the others. */
  first: string;
}

/** So many of one item are shown. */
const MAX_OCCURRENCES = 400;
/** Days are days, wherever a program runs. */
const UTC = { in: tz('UTC') };
const STEPS = {
  weekly: { add: addWeeks, count: differenceInWeeks },
  monthly: { add: addMonths, count: differenceInMonths },
  yearly: { add: addYears, count: differenceInYears },
} as const;

/**
 * Items as often as they come up from one day to another, in order. A day that a month does not have is left
 * out, as calendars do.
 */
export function occurrences(items: readonly SeasonItem[], from: string, to: string): SeasonOccurrence[] {
  return items
    .flatMap(({ repeats, ...item }): SeasonOccurrence[] => {
      const first = item.from;
      if (repeats === null) return item.to >= from && item.from <= to ? [{ ...item, first }] : [];
      const length = daysBetween(first, item.to);
      return beginnings(first, repeats, dayPlus(from, -length), to).map((begins) => ({
        ...item,
        first,
        from: begins,
        to: dayPlus(begins, length),
      }));
    })
    .sort((a, b) => a.from.localeCompare(b.from) || a.id.localeCompare(b.id));
}

/** When a player wants nothing new, from one day to another. */
export function freezesOf(season: PlayerSeason | null, from: string, to: string): Freeze[] {
  return occurrences(season?.items.filter(({ kind }) => kind === 'freeze') ?? [], from, to);
}

/**
 * The days from one to another on which something begins that began first on a day and comes up again since.
 */
function beginnings(first: string, repeats: keyof typeof STEPS, from: string, to: string): string[] {
  const { add, count } = STEPS[repeats];
  const start = parseISO(first, UTC);
  const days: string[] = [];
  for (let n = Math.max(0, count(parseISO(from, UTC), start, UTC)); days.length < MAX_OCCURRENCES; n++) {
    const date = add(start, n, UTC);
    const day = formatISO(date, { representation: 'date', ...UTC });
    if (day > to) break;
    // The package puts the 31st of a short month on its last day.
    const isThatDay = repeats === 'weekly' || getDate(date, UTC) === getDate(start, UTC);
    if (isThatDay && day >= from) days.push(day);
  }
  return days;
}
