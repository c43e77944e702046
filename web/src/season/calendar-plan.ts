import type { EventView } from '@tasche/contract';
import type { CalendarRow } from './read-calendar';

/**
 * What is done with an event of a calendar: made, moved, left because it is here already, or because
 * something is wrong with it.
 */
interface CalendarPlan {
  row: CalendarRow;
  does: 'make' | 'move' | 'same' | 'no';
  event?: EventView;
}

/**
 * An event that is here already is known by the id we gave it, else by its name where it is not over: last
 * year's event of the same name stays where it was. Each is taken for one row at most.
 * @param today YYYY-MM-DD
 */
export function calendarPlans(
  rows: readonly CalendarRow[],
  events: readonly EventView[],
  today: string,
): CalendarPlan[] {
  const taken = new Set<string>();
  return rows.map((row) => {
    if (row.problem !== null) return { row, does: 'no' };
    const free = events.filter(({ id }) => !taken.has(id));
    const event =
      free.find(({ id }) => row.uid === `event-${id}@tasche`) ??
      free.find((one) => lastDay(one) >= today && sameName(one.name, row.name));
    if (!event) return { row, does: 'make' };
    taken.add(event.id);
    return { row, event, does: firstDay(event) === row.from ? 'same' : 'move' };
  });
}

export function firstDay(event: Pick<EventView, 'rounds'>): string {
  return event.rounds.map(({ day }) => day).sort()[0]!;
}

function lastDay(event: Pick<EventView, 'rounds'>): string {
  return event.rounds
    .map(({ day }) => day)
    .sort()
    .at(-1)!;
}

function sameName(a: string, b: string): boolean {
  return a.trim().toLowerCase() === b.trim().toLowerCase();
}
