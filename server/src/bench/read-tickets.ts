import type { Page, ClubStint, TicketEntry } from '@tasche/contract';
import type { EntityManager } from '@mikro-orm/postgresql';
import type { IdCursor } from '../http/cursors.js';
import { notFound } from '../http/http-error.js';
import { readGamerStates, stintsOf } from '../bags/gamer-states.js';
import { ticketView } from './bench-rows.js';

/** Where a ticket without a day stands in the queue: behind all that have one. */
const NO_DAY = '2199-12-31';
/** Those of a club that was deleted wait for it to come back. */
export const OPEN_TICKETS = `removed_at is null and state in ('asked', 'on the bench')
  and exists (select 1 from club where club.id = ticket.club_id and club.removed_at is null)`;

type QueueRow = { ticket: TicketEntry; cursorDay: string };

/** A page of the workspace's open tickets, what is due first first; every one with the names it goes by. */
export async function readTickets(
  em: EntityManager,
  limit: number,
  after?: IdCursor,
): Promise<Page<TicketEntry>> {
  const [count] = await em.execute<{ total: number }[]>(
    `select count(*)::int as total from ticket where ${OPEN_TICKETS}`,
  );
  const found = await em.execute<QueueRow[]>(
    `select ${ticketView.json}::jsonb || jsonb_build_object(
         'playerName', (select name from player where id = ticket.player_id),
         'clubName', (select name from club where id = ticket.club_id),
         'eventName', (select name from event where id = ticket.event_id)) as ticket,
       coalesce(due_on, '${NO_DAY}')::text as "cursorDay"
     from ticket where ${OPEN_TICKETS}
       ${after ? `and (coalesce(due_on, '${NO_DAY}'), id) > (?::date, ?::uuid)` : ''}
     order by coalesce(due_on, '${NO_DAY}'), id limit ?`,
    [...(after ? [after.day, after.id] : []), limit + 1],
  );
  const rows = found.slice(0, limit);
  const last = rows.at(-1);
  return {
    rows: rows.map(({ ticket }) => ticket),
    total: count!.total,
    next: found.length > limit && last ? `${last.cursorDay}_${last.ticket.id}` : null,
  };
}

const MAX_STINTS = 200;

/**
 * Which putter was in the gamer bag from when to when, the newest first.
 * @throws HttpError 404
 */
export async function readPutters(em: EntityManager, playerId: string): Promise<ClubStint[]> {
  const [player] = await em.execute<{ id: string }[]>('select id from player where id = ?', [playerId]);
  if (!player) throw notFound('player');
  const putters = await em.execute<{ id: string; name: string }[]>(
    `select id, name from club where player_id = ? and kind = 'putter' limit 500`,
    [playerId],
  );
  const states = await readGamerStates(em, playerId);
  return putters
    .flatMap(({ id, name }) =>
      stintsOf(states, id).map((stint) => ({ clubId: id, clubName: name, ...stint })),
    )
    .sort((a, b) => (b.from ?? '').localeCompare(a.from ?? ''))
    .slice(0, MAX_STINTS);
}
