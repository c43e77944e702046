import type { ChangeView, RosterEntry } from '@tasche/contract';
import { differenceInCalendarDays, parseISO } from 'date-fns';
import { EVENT_STATES, eventState, type EventState } from './event-state';

export const GROUPINGS = [
  { value: 'none', label: 'in one list' },
  { value: 'event', label: 'by event' },
  { value: 'state', label: 'by state of event' },
] as const;
export type Grouping = (typeof GROUPINGS)[number]['value'];

/**
 * Groups in the order of what is in them, of states the least first; one without a name where nothing is
 * grouped.
 * @param today YYYY-MM-DD
 */
export function grouped<E extends RosterEntry>(
  entries: readonly E[],
  by: Grouping,
  today: string,
): { name: string; entries: readonly E[] }[] {
  if (by === 'none') return entries.length > 0 ? [{ name: '', entries }] : [];
  const groups = new Map<string, E[]>();
  for (const entry of entries) {
    const name = by === 'event' ? (entry.nextPlan?.name ?? 'Nothing planned') : eventState(entry, today);
    groups.set(name, [...(groups.get(name) ?? []), entry]);
  }
  const found = [...groups].map(([name, some]) => ({ name, entries: some }));
  const place = ({ name }: { name: string }) => EVENT_STATES.indexOf(name as EventState);
  return by === 'state' ? found.sort((a, b) => place(a) - place(b)) : found;
}

/**
 * What of a player's things was changed since yesterday began where the reader is, the newest first.
 * @param today YYYY-MM-DD
 */
export function changesSinceYesterday(
  { lastChanges }: Pick<RosterEntry, 'lastChanges'>,
  today: string,
): readonly ChangeView[] {
  return lastChanges.filter(({ at }) => differenceInCalendarDays(parseISO(today), new Date(at)) <= 1);
}
