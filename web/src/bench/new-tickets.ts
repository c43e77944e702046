import type { ClubView, Command, TicketDetails } from '@tasche/contract';
import { byDegreesWords, formatDegrees, sleeveOf, turnWords, type PlannedBend } from '@tasche/core';
import { v4 as newId } from 'uuid';

/** What every ticket that is made in one go has in common. */
export interface TicketOccasion {
  why: string;
  eventId: string | null;
  dueOn: string | null;
}

export function addTickets(playerId: string, tickets: readonly TicketDetails[]): Command[] {
  return tickets.map((ticket) => ({ do: 'addTicket', ticket: { ...ticket, id: newId(), playerId } }));
}

/**
 * A bend or a turn of the sleeve as a job for the bench; the club's loft is recorded as set when it is
 * handed in.
 */
export function bendTicket(
  club: ClubView,
  {
    byDeg,
    fromDeg,
    toDeg,
    bounceFromDeg,
    bounceToDeg,
  }: Pick<PlannedBend, 'byDeg' | 'fromDeg' | 'toDeg' | 'bounceFromDeg' | 'bounceToDeg'>,
  occasion: TicketOccasion,
): TicketDetails {
  const sleeve = sleeveOf(club.spec);
  const to =
    sleeve?.now &&
    sleeve.positions.find(({ loftDeg }) => Math.abs(loftDeg - sleeve.now!.loftDeg - byDeg) < 0.01);
  if (club.kind !== 'iron' && club.kind !== 'wedge') {
    return {
      ...occasion,
      job: 'sleeve',
      clubId: club.id,
      name: `Turn the ${club.name}’s sleeve${to && !sleeve.generic ? ` to ${to.name}` : ''}`,
      wanted: [
        { key: 'loftSetDeg', value: toDeg },
        ...(to && !sleeve.generic ? [{ key: 'setting' as const, value: to.name }] : []),
      ],
      why: [to && sleeve.now ? turnWords(sleeve.now, to) : '', occasion.why].filter(Boolean).join('; '),
    };
  }
  const bounce =
    bounceFromDeg === undefined || bounceToDeg === undefined
      ? ''
      : `bounce becomes ${formatDegrees(bounceToDeg)}`;
  return {
    ...occasion,
    job: 'bend',
    clubId: club.id,
    name: `Bend the ${club.name} ${byDegreesWords(byDeg)}`,
    wanted: [{ key: 'loftSetDeg', value: toDeg }],
    why: [`from ${formatDegrees(fromDeg)}`, bounce, occasion.why].filter(Boolean).join('; '),
  };
}

/** Clubs that a chosen bag brings in: to be checked and packed before its first day. */
export function readyTickets(
  clubs: readonly { club: ClubView; why: string }[],
  occasion: Omit<TicketOccasion, 'why'>,
): TicketDetails[] {
  return clubs.map(({ club, why }) => ({
    ...occasion,
    why,
    job: 'other',
    clubId: club.id,
    name: `Have the ${club.name} ready`,
    wanted: [],
  }));
}
