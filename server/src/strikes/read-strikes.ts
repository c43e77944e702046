import {
  MAX_STRIKES_ANSWERED,
  type Page,
  type SessionEntry,
  type SessionView,
  type SetAsideView,
  type StrikeView,
} from '@tasche/contract';
import type { EntityManager } from '@mikro-orm/postgresql';
import type { IdCursor } from '../http/cursors.js';
import { GIVEN_JSON } from './strike-columns.js';
import { SetAside } from './strike-rows.js';
import { sessionView } from '../sessions/session.js';

/** A page of a player's sessions, newest first, with what was hit in them. */
export async function readSessions(
  em: EntityManager,
  playerId: string,
  limit: number,
  after?: IdCursor,
): Promise<Page<SessionEntry>> {
  const [row] = await em.execute<{ page: SessionsPage }[]>(
    `with found as materialized (
       select * from session where player_id = ? and removed_at is null
         ${after ? 'and (held_on < ?::date or (held_on = ?::date and id > ?::uuid))' : ''}
         order by held_on desc, id limit ?),
       shown as (select * from found order by held_on desc, id limit ?),
       hit as (
         select session_id as id, count(*) as strikes, count(distinct club_id) as clubs from strike
         where session_id in (select id from shown) and removed_at is null group by session_id)
     select json_build_object(
       'rows', (select coalesce(json_agg(${sessionView.json} order by held_on desc, id), '[]') from shown),
       'hit', (select coalesce(json_agg(hit), '[]') from hit),
       'total', (select count(*) from session where player_id = ? and removed_at is null),
       'more', (select count(*) > ? from found)) as page`,
    [playerId, ...(after ? [after.day, after.day, after.id] : []), limit + 1, limit, playerId, limit],
  );
  const { rows, hit, total, more } = row!.page;
  const of = new Map(hit.map((one) => [one.id, one]));
  const last = rows.at(-1);
  return {
    rows: rows.map((session) => ({
      ...session,
      strikes: of.get(session.id)?.strikes ?? 0,
      clubs: of.get(session.id)?.clubs ?? 0,
    })),
    total,
    next: more && last ? `${last.heldOn}_${last.id}` : null,
  };
}

/** What one statement answers: sessions, and how much was hit in each. */
interface SessionsPage {
  rows: SessionView[];
  hit: { id: string; strikes: number; clubs: number }[];
  total: number;
  more: boolean;
}

const STRIKE_JSON = `json_build_object('id', id, 'sessionId', session_id, 'clubId', club_id, 'shot', shot, 'number', number,
  'hitAt', to_char(hit_at at time zone 'UTC', 'YYYY-MM-DD"T"HH24:MI:SS.MS"Z"'), 'builtOn', built_on, 'given', ${GIVEN_JSON}, 'leftOut', left_out)`;

/** Which strikes: of one session, of the one held last, or of one club, or of all that stand. */
interface StrikesWanted {
  playerId: string;
  sessionId?: string | undefined;
  isNewest?: boolean | undefined;
  clubId?: string | undefined;
  limit?: number | undefined;
}

/**
 * A StrikesView as JSON text, written by PostgreSQL whole: ten thousand strikes are answered without being
 * looked at one by one.
 */
export async function readStrikesText(
  em: EntityManager,
  { playerId, sessionId, isNewest, clubId, limit = MAX_STRIKES_ANSWERED }: StrikesWanted,
): Promise<string> {
  // By session: that is the order strikes lie in.
  const where = [
    'strike.session_id in (select id from session where player_id = ? and removed_at is null)',
    'strike.removed_at is null',
  ];
  const values: unknown[] = [playerId];
  if (sessionId) {
    where.push('strike.session_id = ?');
    values.push(sessionId);
  }
  if (isNewest) {
    // The first of `readSessions`.
    where.push(
      'strike.session_id = (select id from session where player_id = ? and removed_at is null order by held_on desc, id limit 1)',
    );
    values.push(playerId);
  }
  if (clubId) {
    where.push('strike.club_id = ?');
    values.push(clubId);
  }
  const [row] = await em.execute<{ text: string }[]>(
    `with wanted as (select * from strike where ${where.join(' and ')}
         order by built_on desc, session_id, number desc, arrival desc limit ${limit + 1}),
       kept as (select * from wanted
         order by built_on desc, session_id, number desc, arrival desc limit ${limit})
     select json_build_object(
       'strikes', (
         select coalesce(json_agg(${STRIKE_JSON} order by built_on, session_id, number, arrival), '[]') from kept),
       'builds', (
         select coalesce(json_agg(json_build_object(
           'clubId', club_id, 'builtOn', built_on, 'spec', spec_as_of(club_id, built_on))), '[]')
         from (select distinct club_id, built_on from kept where club_id is not null limit 2000) build),
       'more', (select count(*) > ${limit} from wanted))::text as text`,
    values,
  );
  return row!.text;
}

/** A session's strikes that arrived after one, in the order they arrived. */
export async function readArrivals(
  em: EntityManager,
  sessionId: string,
  after: number,
): Promise<{ arrival: number; strike: StrikeView }[]> {
  const rows = await em.execute<{ arrival: string; strike: StrikeView }[]>(
    `select arrival, ${STRIKE_JSON} as strike
     from (select * from strike where session_id = ? and removed_at is null and arrival > ?
       order by arrival limit 500) next order by arrival`,
    [sessionId, after],
  );
  return rows.map(({ arrival, strike }) => ({ arrival: Number(arrival), strike }));
}

/** A page of what could not be taken for a session, and of what came while none was open, newest first. */
export async function readSetAside(
  em: EntityManager,
  sessionId: string,
  limit: number,
  before?: number,
): Promise<Page<SetAsideView>> {
  const ofSession = { $or: [{ sessionId }, { sessionId: null }] };
  const found = await em.find(
    SetAside,
    before === undefined ? ofSession : { ...ofSession, id: { $lt: before } },
    { orderBy: { id: 'desc' }, limit: limit + 1 },
  );
  const rows = found.slice(0, limit);
  return {
    rows: rows.map(({ at, text, reason }) => ({ at: at.toISOString(), text, reason })),
    total: await em.count(SetAside, ofSession),
    next: found.length > limit ? String(rows.at(-1)!.id) : null,
  };
}
