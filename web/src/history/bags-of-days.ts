import type { DayView } from '@tasche/contract';
import { ladderClub, loftPlace } from '@tasche/core';

/** A club of a gamer as it was known on a day. */
interface ClubOfDay {
  name: string;
  loftDeg: number | null;
  carryM: number | null;
  place: number;
}

/** A line of two bags side by side: a club that was in both, or in one of them. */
interface PairOfDays {
  id: string;
  then: ClubOfDay | null;
  after: ClubOfDay | null;
}

/**
 * The clubs of two days' gamers, each on a line of its own, from the least loft to the most, putters last (see
 * `loftPlace`).
 */
export function bagsOfDays(then: DayView, after: DayView): PairOfDays[] {
  const ids = new Set([...(then.gamer?.clubIds ?? []), ...(after.gamer?.clubIds ?? [])]);
  return [...ids]
    .map((id) => ({ id, then: clubOf(then, id), after: clubOf(after, id) }))
    .sort((a, b) => place(a) - place(b));
}

function clubOf({ gamer, clubs }: DayView, id: string): ClubOfDay | null {
  const club = clubs.find((one) => one.id === id);
  if (!club || !gamer?.clubIds.includes(id)) return null;
  const { loftDeg, shots } = ladderClub(club);
  return {
    name: club.name,
    loftDeg: club.kind === 'putter' ? null : (loftDeg ?? null),
    carryM: shots.full?.carryM ?? null,
    place: loftPlace(club),
  };
}

function place({ then, after }: PairOfDays): number {
  return (after ?? then)!.place;
}
