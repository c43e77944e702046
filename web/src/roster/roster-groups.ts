import type { RosterEntry } from '@tasche/contract';
import { differenceInCalendarDays, parseISO } from 'date-fns';

export const GROUPINGS = [
  { value: 'none', label: 'in one list' },
  { value: 'event', label: 'by event' },
  { value: 'state', label: 'by how far the next event is' },
] as const;
export type Grouping = (typeof GROUPINGS)[number]['value'];

/** How far a player is with the next event. */
type EventState = 'nothing planned' | 'no bag settled' | 'partly settled' | 'settled';

export function eventState({ nextPlan }: Pick<RosterEntry, 'nextPlan'>): EventState {
  if (!nextPlan) return 'nothing planned';
  const { rounds, swaps } = nextPlan;
  if (!rounds) return swaps > 0 ? 'settled' : 'no bag settled';
  return rounds.settled === rounds.of
    ? 'settled'
    : rounds.settled === 0
      ? 'no bag settled'
      : 'partly settled';
}

/** Groups in the order of what is in them; one without a name where nothing is grouped. */
export function grouped<E extends RosterEntry>(
  entries: readonly E[],
  by: Grouping,
): { name: string; entries: readonly E[] }[] {
  if (by === 'none') return entries.length > 0 ? [{ name: '', entries }] : [];
  const groups = new Map<string, E[]>();
  for (const entry of entries) {
    const name = by === 'event' ? (entry.nextPlan?.name ?? 'Nothing planned') : eventState(entry);
    groups.set(name, [...(groups.get(name) ?? []), entry]);
  }
  return [...groups].map(([name, some]) => ({ name, entries: some }));
}

/** Whether a player's things were changed since yesterday began where the reader is. @param today YYYY-MM-DD */
export function changedSinceYesterday(
  { lastChange }: Pick<RosterEntry, 'lastChange'>,
  today: string,
): boolean {
  return lastChange !== null && differenceInCalendarDays(parseISO(today), new Date(lastChange.at)) <= 1;
}
