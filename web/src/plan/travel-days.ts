import type { TravelSet } from '@tasche/core';

/** A club that travels, and the days it is carried; in the order of the set. */
interface TravelDays {
  id: string;
  carried: readonly boolean[];
  days: number;
}

/** Which club of the set is in which day's bag. */
export function travelDays({ ids, bags }: Pick<TravelSet, 'ids' | 'bags'>): TravelDays[] {
  return ids.map((id) => {
    const carried = bags.map((bag) => bag.ids.includes(id));
    return { id, carried, days: carried.filter(Boolean).length };
  });
}

/** "every day", "4 of 12", "in reserve". */
export function daysWords({ days, carried }: TravelDays): string {
  return days === carried.length ? 'every day' : days === 0 ? 'in reserve' : `${days} of ${carried.length}`;
}
