import type { SeasonEntry } from '@tasche/contract';
import { daysBetween } from '@tasche/core';

/** What is drawn on a line of the calendar: one entry, or several that are due on one day. */
export interface CalendarBar {
  entries: readonly [SeasonEntry, ...SeasonEntry[]];
  /** Its first and last column, from 0; what goes on beyond the days shown ends with them. */
  first: number;
  last: number;
}

/** Kinds of one day, which come together; tee times are in their event. */
const DUE: ReadonlySet<SeasonEntry['kind']> = new Set(['ticket', 'trial', 'check', 'grooves']);

/**
 * Entries on as few lines as none of them overlaps another, those that begin first on top; what is due on one
 * day is one bar.
 * @param from first day shown, YYYY-MM-DD
 * @param days how many are shown
 */
export function calendarLanes(entries: readonly SeasonEntry[], from: string, days: number): CalendarBar[][] {
  const bars: CalendarBar[] = [];
  const due = new Map<number, [SeasonEntry, ...SeasonEntry[]]>();
  for (const entry of entries) {
    const [first, last] = [daysBetween(from, entry.from), daysBetween(from, entry.to)];
    if (entry.kind === 'round' || last < 0 || first >= days) continue;
    const together = DUE.has(entry.kind) ? due.get(first) : undefined;
    if (together) together.push(entry);
    else if (DUE.has(entry.kind)) due.set(first, [entry]);
    else bars.push({ entries: [entry], first: Math.max(0, first), last: Math.min(days - 1, last) });
  }
  for (const [day, together] of due) bars.push({ entries: together, first: day, last: day });
  const lanes: CalendarBar[][] = [];
  for (const bar of bars.sort((a, b) => a.first - b.first || b.last - a.last)) {
    const lane = lanes.find((one) => one.at(-1)!.last < bar.first);
    if (lane) lane.push(bar);
    else lanes.push([bar]);
  }
  return lanes;
}
