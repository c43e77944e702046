import { MAX_TICKETS_A_PLAYER, MAX_WISHES_A_PLAYER } from '@tasche/contract';
import { finishTicket } from '@tasche/core';
import { recordReadings } from '../clubs/commands.js';
import { assertNoConflict } from '../changes/changes-since.js';
import type { ChangeRecorder } from '../changes/change-recorder.js';
import { requireVersion, type Handlers } from '../changes/handlers.js';
import { badInput, notFound, ruleBroken } from '../http/http-error.js';
import { Ticket, Wish } from './bench-rows.js';

export const benchCommands: Handlers<
  'addTicket' | 'editTicket' | 'finishTicket' | 'removeTicket' | 'addWish' | 'editWish' | 'removeWish'
> = {
  async addTicket({ ticket }, { recorder }) {
    const player = await requirePlayer(recorder, ticket.playerId);
    const count = await recorder.em.count(Ticket, { playerId: ticket.playerId, removedAt: null });
    if (count + recorder.created('ticket') >= MAX_TICKETS_A_PLAYER)
      throw ruleBroken(`${player.name} has ${MAX_TICKETS_A_PLAYER} tickets, the limit. Delete old ones.`);
    if (await recorder.load('ticket', ticket.id))
      throw badInput('ticket.id: there is one of that id already');
    const club = await requireClub(recorder, ticket.clubId, ticket.playerId);
    await requireEvent(recorder, ticket.eventId);
    recorder.create('ticket', {
      ...ticket,
      wanted: [...ticket.wanted],
      state: 'asked',
      became: [],
      misses: [],
      doneOn: null,
    });
    return { playerId: ticket.playerId, summary: `Ticket for the ${club.name}: ${ticket.name}` };
  },

  async editTicket({ ticketId, version, set }, { recorder }) {
    const ticket = await standing(recorder, 'ticket', ticketId);
    await assertNoConflict(recorder, 'ticket', ticket, version, columns(set));
    if (set.eventId !== undefined) await requireEvent(recorder, set.eventId);
    recorder.edit('ticket', ticket, {
      ...set,
      // Taken up again, nothing is done any more.
      ...(set.state !== undefined && set.state !== 'done' && { doneOn: null }),
    } as never);
    const what = set.state ?? `${Object.keys(set).join(', ')} changed`;
    return { playerId: ticket.playerId, summary: `Ticket ${ticket.name}: ${what}` };
  },

  async finishTicket({ ticketId, version, takenOn, became }, context) {
    const { recorder } = context;
    const ticket = await standing(recorder, 'ticket', ticketId);
    requireVersion(ticket, version, ticket.name, [{ field: 'state', yours: 'done', theirs: ticket.state }]);
    if (ticket.state === 'done') throw ruleBroken(`${ticket.name} is done already.`);
    const club = await requireClub(recorder, ticket.clubId, ticket.playerId);
    const { readings, misses } = finishTicket(ticket.wanted, became, takenOn);
    await recordReadings(club, readings, context);
    const isDone = misses.length === 0;
    recorder.edit('ticket', ticket, {
      state: isDone ? 'done' : 'asked',
      became: [...became],
      misses: [...misses],
      doneOn: isDone ? takenOn : null,
    });
    const missed = misses.map(({ wanted, became: got }) => `${got} where ${wanted} was wanted`).join(', ');
    return {
      playerId: ticket.playerId,
      summary: `${ticket.name}: ${isDone ? 'done' : `open again, ${missed}`}`,
    };
  },

  async removeTicket({ ticketId, version }, { recorder }) {
    const ticket = await standing(recorder, 'ticket', ticketId);
    requireVersion(ticket, version, ticket.name, []);
    recorder.edit('ticket', ticket, { removedAt: new Date() });
    return { playerId: ticket.playerId, summary: `Ticket ${ticket.name} deleted` };
  },

  async addWish({ wish }, { recorder }) {
    const player = await requirePlayer(recorder, wish.playerId);
    const count = await recorder.em.count(Wish, { playerId: wish.playerId, removedAt: null });
    if (count + recorder.created('wish') >= MAX_WISHES_A_PLAYER)
      throw ruleBroken(`${player.name} has ${MAX_WISHES_A_PLAYER} wishes, the limit. Delete old ones.`);
    if (await recorder.load('wish', wish.id)) throw badInput('wish.id: there is one of that id already');
    if (wish.clubId !== null) await requireClub(recorder, wish.clubId, wish.playerId);
    recorder.create('wish', { ...wish, expected: wish.expected ?? null, boughtOn: wish.boughtOn ?? null });
    return { playerId: wish.playerId, summary: `Wish: ${wish.name}` };
  },

  async editWish({ wishId, version, set }, { recorder }) {
    const wish = await standing(recorder, 'wish', wishId);
    await assertNoConflict(recorder, 'wish', wish, version, columns(set));
    if (set.clubId) await requireClub(recorder, set.clubId, wish.playerId);
    recorder.edit('wish', wish, set);
    const what = set.state ?? `${Object.keys(set).join(', ')} changed`;
    return { playerId: wish.playerId, summary: `Wish ${wish.name}: ${what}` };
  },

  async removeWish({ wishId, version }, { recorder }) {
    const wish = await standing(recorder, 'wish', wishId);
    requireVersion(wish, version, wish.name, []);
    recorder.edit('wish', wish, { removedAt: new Date() });
    return { playerId: wish.playerId, summary: `Wish ${wish.name} deleted` };
  },
};

function columns(set: object) {
  return Object.entries(set).map(([field, yours]) => ({ field, yours: yours as unknown, column: field }));
}

async function standing<K extends 'ticket' | 'wish'>(recorder: ChangeRecorder, kind: K, id: string) {
  const row = await recorder.load(kind, id);
  if (!row || row.removedAt) throw notFound(kind);
  return row;
}

async function requirePlayer(recorder: ChangeRecorder, id: string) {
  const player = await recorder.load('player', id);
  if (!player) throw notFound('player');
  return player;
}

async function requireClub(recorder: ChangeRecorder, id: string, playerId: string) {
  const club = await recorder.load('club', id);
  if (!club || club.removedAt || club.playerId !== playerId) throw notFound('club');
  return club;
}

async function requireEvent(recorder: ChangeRecorder, id: string | null | undefined): Promise<void> {
  if (!id) return;
  const event = await recorder.load('event', id);
  if (!event || event.removedAt) throw notFound('event');
}
