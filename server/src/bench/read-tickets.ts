import type { Page, PutterStint, TicketEntry } from '@tasche/contract';
import type { EntityManager } from '@mikro-orm/postgresql';
import type { IdCursor } from '../http/cursors.js';
import { notFound } from '../http/http-error.js';
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

/** What each change of the gamer's clubs left in it, read off the changes themselves; what was undone has put itself back. */
interface GamerChange {
  at: string;
  before: readonly string[];
  after: readonly string[];
}

/**
 * Which putter was in the gamer bag from when to when, the newest first.
 * @throws HttpError 404
 */
export async function readPutters(em: EntityManager, playerId: string): Promise<PutterStint[]> {
  const [player] = await em.execute<{ id: string }[]>('select id from player where id = ?', [playerId]);
  if (!player) throw notFound('player');
  const putters = await em.execute<{ id: string; name: string }[]>(
    `select id, name from club where player_id = ? and kind = 'putter' limit 500`,
    [playerId],
  );
  const nameOf = new Map(putters.map(({ id, name }) => [id, name]));
  const changes = await em.execute<GamerChange[]>(
    `select to_char(change.at at time zone 'UTC', 'YYYY-MM-DD"T"HH24:MI:SS.MS"Z"') as at, image -> 'before' as before, image -> 'after' as after
     from change, jsonb_array_elements(change.images) with ordinality as one (image, place)
     where change.player_id = ? and image ->> 'of' = 'bagClubs'
       and image ->> 'id' = (select id::text from bag where player_id = ? and gamer and removed_at is null)
     order by change.at, change.id, place limit 20000`,
    [playerId, playerId],
  );
  const stints: PutterStint[] = [];
  const open = new Map<string, PutterStint>();
  for (const { at, before, after } of changes) {
    for (const clubId of before.filter((id) => !after.includes(id))) {
      const stint = open.get(clubId);
      if (stint) stint.to = at;
      open.delete(clubId);
    }
    for (const clubId of after.filter((id) => nameOf.has(id) && !open.has(id))) {
      const stint: PutterStint = { clubId, clubName: nameOf.get(clubId)!, from: at, to: null };
      open.set(clubId, stint);
      stints.push(stint);
    }
  }
  return stints.reverse().slice(0, MAX_STINTS);
}
