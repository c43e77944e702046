import { planRoundOf } from './plan-choosing.js';
import type { EventView, SheetView } from './views.js';

/** What goes along on a trip, going by the rounds that are played on it. */
interface TripClubs {
  /** The player's plan of the first event on the trip. */
  planId: string;
  /** Clubs of every bag that is settled; those of the gamer first, in its order. */
  clubIds: readonly string[];
  /** Of the gamer, those no settled bag holds. */
  homeIds: readonly string[];
  /** Rounds played on the trip, and those whose bag is settled. */
  rounds: number;
  settled: number;
}

/**
 * What travels and what stays at home.
 * @param trip its days, YYYY-MM-DD, the last one included
 * @returns undefined where no round the player is planned for is played in these days
 */
export function tripClubs(
  trip: { from: string; to: string },
  { plans, bags }: Pick<SheetView, 'plans' | 'bags'>,
  events: readonly EventView[],
): TripClubs | undefined {
  const played = plans.flatMap((plan) =>
    (events.find(({ id }) => id === plan.eventId)?.rounds ?? [])
      .filter(({ day }) => trip.from <= day && day <= trip.to)
      .map(({ id, day }) => ({ plan, day, bag: bags.find((bag) => bag.id === planRoundOf(plan, id).bagId) })),
  );
  if (played.length === 0) return undefined;
  const gamerIds = bags.find(({ gamer }) => gamer)?.clubIds ?? [];
  const settled = played.flatMap(({ bag }) => (bag && bag.clubIds.length > 0 ? [bag.clubIds] : []));
  const along = new Set(settled.flat());
  const [first] = played.toSorted((a, b) => a.day.localeCompare(b.day));
  return {
    planId: first!.plan.id,
    clubIds: [
      ...gamerIds.filter((id) => along.has(id)),
      ...[...along].filter((id) => !gamerIds.includes(id)),
    ],
    homeIds: gamerIds.filter((id) => !along.has(id)),
    rounds: played.length,
    settled: settled.length,
  };
}
