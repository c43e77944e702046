import { MAX_EVENTS, seasonOf, type CalendarPage, type ClubView, type SheetView } from '@tasche/contract';
import type { EntityManager, MikroORM } from '@mikro-orm/postgresql';
import { ticketView } from '../bench/bench-rows.js';
import type { NameCursor } from '../http/cursors.js';
import { knownText, type KnownText } from '../http/known-text.js';
import { planView } from '../plans/plan.js';
import { Player, playerView } from '../players/player.js';
import { Event, eventView } from '../schedule/schedule-rows.js';
import { callInWorkspace, inWorkspace, sightKey, type Sight } from '../workspaces/in-workspace.js';

/** Days from one to another, and the day it is where the reader is; all YYYY-MM-DD. */
interface CalendarSpan {
  from: string;
  to: string;
  today: string;
}

/**
 * The seasons of a page of players, as JSON text, packed; read again only when something of any player, or of
 * what is played, was changed.
 */
export async function knownCalendarText(
  orm: MikroORM,
  sight: Sight,
  span: CalendarSpan,
  limit: number,
  after?: NameCursor,
): Promise<KnownText> {
  const revision = await callInWorkspace<string>(orm, sight, 'roster_revision', []);
  const key = `calendar ${sightKey(sight)} ${Object.values(span).join(' ')} ${limit} ${after ? `${after.name} ${after.id}` : ''}`;
  return knownText(orm, key, revision, async () =>
    JSON.stringify(await inWorkspace(orm, sight, (em) => readCalendar(em, span, limit, after))),
  );
}

async function readCalendar(
  em: EntityManager,
  { from, to, today }: CalendarSpan,
  limit: number,
  after?: NameCursor,
): Promise<CalendarPage> {
  const playing = { removedAt: null, archived: false };
  const where = after
    ? { ...playing, $or: [{ name: { $gt: after.name } }, { name: after.name, id: { $gt: after.id } }] }
    : playing;
  const found = await em.find(Player, where, { orderBy: { name: 'asc', id: 'asc' }, limit: limit + 1 });
  const players = found.slice(0, limit);
  const last = players.at(-1);
  const events = (
    await em.find(Event, { removedAt: null }, { limit: MAX_EVENTS, orderBy: { id: 'asc' } })
  ).map(eventView.of);
  const parts = await partsOf(em, players, from, to);
  return {
    rows: players.map((player) => {
      const { plans = [], tickets = [], clubs = [] } = parts.get(player.id) ?? {};
      const sheet = {
        player: playerView.of(player),
        plans,
        tickets,
        clubs,
        bags: [{ gamer: true, clubIds: clubs.filter(({ inGamer }) => inGamer).map(({ id }) => id) }],
      } as unknown as SheetView;
      const { entries, clashes } = seasonOf(sheet, events, from, to, today);
      // Events without a planned player are listed once, at the top.
      const own = entries.filter(({ planId }) => planId !== null);
      return { player: { id: player.id, name: player.name }, entries: own, clashes };
    }),
    total: await em.count(Player, playing),
    next: found.length > limit && last ? `${last.name}_${last.id}` : null,
  };
}

interface Parts {
  plans?: SheetView['plans'];
  tickets?: SheetView['tickets'];
  clubs?: readonly (ClubView & { inGamer: boolean })[];
}

/**
 * Of each player: plans and open tickets around the span, and the clubs, those of the gamer with what is
 * known of them.
 */
async function partsOf(
  em: EntityManager,
  players: readonly Player[],
  from: string,
  to: string,
): Promise<Map<string, Parts>> {
  const rows = await em.execute<({ id: string } & Parts)[]>(
    `select one.id,
       (select json_agg(${planView.json}) from plan
        where player_id = one.id and removed_at is null and ends_on >= ?::date
          and starts_on <= ?::date + ${WINDOWS_REACH}) as plans,
       (select json_agg(${ticketView.json}) from ticket
        where player_id = one.id and removed_at is null and state in ('asked', 'on the bench')
          and due_on is not null) as tickets,
       (select json_agg(json_build_object('id', club.id, 'name', club.name, 'kind', club.kind,
         'version', club.version,
          'inGamer', carried.id is not null,
          'spec', case when carried.id is null then '{}' when spec_due <= (now() at time zone 'UTC')::date
            then spec_as_of(club.id, (now() at time zone 'UTC')::date) else club.spec end)
              order by carried.place, club.place)
        from club left join (
          select bag_club.* from bag join bag_club on bag_club.bag_id = bag.id
          where bag.player_id = one.id and bag.gamer and bag.removed_at is null) as carried
            on carried.club_id = club.id
        where club.player_id = one.id and club.removed_at is null) as clubs
     from player one where one.id = any(?::uuid[])`,
    [from, to, `{${players.map(({ id }) => id).join(',')}}`],
  );
  return new Map(
    rows.map(({ id, plans, tickets, clubs }) => [
      id,
      { plans: plans ?? [], tickets: tickets ?? [], clubs: clubs ?? [] },
    ]),
  );
}

/** Days before an event its windows may begin: three of at most sixty days. */
const WINDOWS_REACH = 180;
