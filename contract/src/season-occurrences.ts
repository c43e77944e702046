import { dayPlus, type Freeze } from '@tasche/core';
import { RecurrenceRule } from './recurrence-rule.js';
import type { PlayerSeason, SeasonItem } from './player-season.js';

/** An item as often as it comes up between two days. */
interface SeasonOccurrence extends Omit<SeasonItem, 'repeats'> {
  /** The item's first day, by which one of many is told from the others. */
  first: string;
}

/** So many of one item are shown. */
const MAX_OCCURRENCES = 400;
const FREQUENCIES = {
  weekly: RecurrenceRule.WEEKLY,
  monthly: RecurrenceRule.MONTHLY,
  yearly: RecurrenceRule.YEARLY,
} as const;

/**
 * Items as often as they come up from one day to another, in order. A day that a month does not have is left
 * out, as calendars do.
 */
export function occurrences(items: readonly SeasonItem[], from: string, to: string): SeasonOccurrence[] {
  return items
    .flatMap(({ repeats, ...item }): SeasonOccurrence[] => {
      const length = daysOf(item);
      const first = item.from;
      if (repeats === null) return item.to >= from && item.from <= to ? [{ ...item, first }] : [];
      const rule = new RecurrenceRule({ freq: FREQUENCIES[repeats], dtstart: utc(first) });
      return rule
        .between(utc(dayPlus(from, -length)), utc(to), true, (_day, i) => i < MAX_OCCURRENCES)
        .map((day) => {
          const begins = day.toISOString().slice(0, 10);
          return { ...item, first, from: begins, to: dayPlus(begins, length) };
        })
        .filter((one) => one.to >= from && one.from <= to);
    })
    .sort((a, b) => a.from.localeCompare(b.from) || a.id.localeCompare(b.id));
}

/** When a player wants nothing new, from one day to another. */
export function freezesOf(season: PlayerSeason | null, from: string, to: string): Freeze[] {
  return occurrences(season?.items.filter(({ kind }) => kind === 'freeze') ?? [], from, to);
}

const utc = (day: string) => new Date(`${day}T00:00:00Z`);
const daysOf = ({ from, to }: Pick<SeasonItem, 'from' | 'to'>) =>
  Math.round((utc(to).getTime() - utc(from).getTime()) / 86_400_000);
