import type { Command, Hand, ImportPlan } from '@tasche/contract';
import { DEFAULT_GAP_SETTINGS, type DistanceUnit } from '@tasche/core';
import { v4 as newId } from 'uuid';

interface NewPlayer {
  name: string;
  hand: Hand;
  distanceUnit: DistanceUnit;
  notes?: string;
}
export type NewClub = Pick<ImportPlan['adds'][number], 'name' | 'kind' | 'readings'>;

/**
 * Clubs that go into a new gamer: those whose state says so; the first of all, as many as allowed, where none
 * does.
 */
export function clubsOfGamer(clubs: readonly NewClub[]): readonly NewClub[] {
  const said = clubs.filter(({ readings }) =>
    readings.some(({ key, value }) => key === 'state' && value === 'gamer'),
  );
  return (said.length > 0 ? said : clubs).slice(0, DEFAULT_GAP_SETTINGS.clubLimit);
}

/**
 * The commands that add a new player: who it is, the clubs there are, and a gamer, empty where there is none.
 * @param playerId of the new player
 */
export function newPlayerCommands(
  player: NewPlayer,
  playerId: string,
  clubs: readonly NewClub[] = [],
): Command[] {
  const ids = new Map(clubs.map((club) => [club, newId()]));
  return [
    { do: 'addPlayer', player: { id: playerId, ...player } },
    ...clubs.map((club): Command => ({
      do: 'addClub',
      club: { id: ids.get(club)!, playerId, name: club.name, kind: club.kind },
      readings: club.readings,
    })),
    {
      do: 'addBag',
      bag: { id: newId(), playerId, name: 'Gamer' },
      clubIds: clubsOfGamer(clubs).map((club) => ids.get(club)!),
    },
  ];
}
