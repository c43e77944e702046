import { contains, type ChangeView, type RosterEntry } from '@tasche/contract';
import { differenceInCalendarDays, parseISO } from 'date-fns';
import { byName } from '../app/by-name';
import { EVENT_STATES, eventState, eventStateWords, type EventState } from './event-state';
import { mayDoHere } from '../people/rights';
import { thingsToDo } from './things-to-do';

export const GROUPINGS = [
  { value: 'none', label: 'in one list' },
  { value: 'event', label: 'by event' },
  { value: 'state', label: 'by state of event' },
] as const;
export type Grouping = (typeof GROUPINGS)[number]['value'];

export const ORDERS = [
  { value: 'name', label: 'by name' },
  { value: 'pressing', label: 'the most urgent first' },
  { value: 'event', label: 'by the next event' },
] as const;
export const ONLY = [
  { value: 'all', label: 'everybody' },
  { value: 'pressing', label: 'who needs something' },
  { value: 'faults', label: 'with a fault' },
  { value: 'tickets', label: 'with tickets' },
  { value: 'changed', label: 'changed since yesterday' },
] as const;
/** How a roster is looked at: what is searched, who is shown, in which order and groups. */
export interface RosterLook {
  search: string;
  only: (typeof ONLY)[number]['value'];
  order: (typeof ORDERS)[number]['value'];
  group: Grouping;
}

/**
 * Who is on the roster, each with what is to be done, how the next event stands, and what was changed lately.
 */
export function rosterRows(entries: readonly RosterEntry[], today: string) {
  return entries
    .filter(({ player }) => !player.archived)
    .map((entry) => ({
      ...entry,
      things: thingsToDo(entry, today, mayDoHere),
      event: eventStateWords(entry, today),
      recent: changesSinceYesterday(entry, today),
    }));
}
export type RosterRow = ReturnType<typeof rosterRows>[number];

/** Who is shown, in the order asked for. Names are searched for, and the next event's name and course. */
export function shownRows(rows: readonly RosterRow[], { search, only, order }: RosterLook): RosterRow[] {
  const isWanted = contains(search);
  const kept = rows.filter(
    ({ player, gamer, bench, things, nextPlan, recent }) =>
      [player.name, nextPlan?.name ?? '', nextPlan?.course ?? ''].some(isWanted) &&
      (only === 'all' ||
        (only === 'pressing' && things.length > 0) ||
        (only === 'faults' && (gamer?.faults ?? 0) > 0) ||
        (only === 'tickets' && bench.tickets > 0) ||
        (only === 'changed' && recent.length > 0)),
  );
  if (order === 'pressing') return kept.sort(byPressing);
  if (order === 'event')
    return kept.sort((a, b) => (a.nextPlan?.startsOn ?? '9').localeCompare(b.nextPlan?.startsOn ?? '9'));
  return kept.sort((a, b) => byName(a.player, b.player));
}

/** The one with the most pressing thing to do, if there is anything. */
export function mostPressing(rows: readonly RosterRow[]): RosterRow | undefined {
  return rows.filter(({ things }) => things.length > 0).sort(byPressing)[0];
}

const rankOf = ({ things }: RosterRow) => things[0]?.rank ?? 99;
const byPressing = (a: RosterRow, b: RosterRow) => rankOf(a) - rankOf(b);

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
