import type { ClubView, Command } from '@tasche/contract';
import { today } from '../app/day';

/** Hits of a round as readings of the clubs they are of, taken on its day and not in the future. */
export function hitReadings(
  hits: Readonly<Record<string, number>>,
  day: string,
  clubs: ReadonlyMap<string, ClubView>,
): Command[] {
  const takenOn = day < today() ? day : today();
  return Object.entries(hits).flatMap(([clubId, value]): Command[] => {
    const club = clubs.get(clubId);
    if (!club) return [];
    return [
      {
        do: 'editClub',
        clubId,
        version: club.version,
        readings: [{ key: 'hitsPerRound', value, takenOn }],
      },
    ];
  });
}
