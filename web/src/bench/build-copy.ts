import type { ClubView, Command } from '@tasche/contract';
import { copyOfBuild, type QuantityKey } from '@tasche/core';
import { v4 as newId } from 'uuid';

/** What the ticket asks the builder to bring it to. */
const TICKET_KEYS: readonly QuantityKey[] = [
  'loftSetDeg',
  'lieSetDeg',
  'lengthIn',
  'swingWeight',
  'totalWeightG',
];

/**
 * A new club of the same build, and the ticket to build it.
 * @param id of the new club
 */
export function copyCommands(old: ClubView, id: string, day: string): Command[] {
  const { playerId, name, kind } = old;
  const readings = copyOfBuild(old.spec, day);
  const wanted = readings.flatMap(({ key, value }) =>
    TICKET_KEYS.includes(key as QuantityKey) && (typeof value === 'number' || typeof value === 'string')
      ? [{ key: key as QuantityKey, value }]
      : [],
  );
  return [
    { do: 'addClub', club: { id, playerId, name, kind }, readings },
    {
      do: 'addTicket',
      ticket: {
        id: newId(),
        playerId,
        clubId: id,
        job: 'build',
        name: `Build the ${name} again`,
        wanted,
        why: 'a copy of its build sheet',
        eventId: null,
        dueOn: null,
      },
    },
  ];
}
