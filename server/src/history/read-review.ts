import { clubName, MAX_REVIEW_DAYS, type ReviewView } from '@tasche/contract';
import { BUILD_KEYS } from '@tasche/core';
import type { EntityManager } from '@mikro-orm/postgresql';
import { readGamerStates } from '../bags/gamer-states.js';
import { notFound } from '../http/http-error.js';

/** What of a spec a carry is expected from. */
const KEYS = [...BUILD_KEYS, 'shot.full'];

/**
 * What a season is looked back on with: the swaps that were made in it, and what was known of every club
 * before each day on which balls were hit.
 * @param from,to YYYY-MM-DD, both included
 * @throws HttpError 404
 */
export async function readReview(
  em: EntityManager,
  playerId: string,
  from: string,
  to: string,
): Promise<ReviewView> {
  const [player] = await em.execute('select 1 from player where id = ?', [playerId]);
  if (!player) throw notFound('player');
  const days = await em.execute<{ day: string }[]>(
    `select distinct held_on::text as day from session where player_id = ? and removed_at is null and held_on between ? and ?
       and exists (select 1 from strike where session_id = session.id and removed_at is null)
     order by 1 desc limit ${MAX_REVIEW_DAYS + 1}`,
    [playerId, from, to],
  );
  const wanted = days.slice(0, MAX_REVIEW_DAYS).map(({ day }) => day);
  const known = await em.execute<(ReviewView['days'][number]['clubs'][number] & { day: string })[]>(
    `select day::text as day, club.id, club.name, club.kind, before.spec
     from unnest(?::date[]) as day, club, lateral (
       select jsonb_object_agg(key, value) as spec from jsonb_each(spec_as_of(club.id, day - 1)) where key = any(?::text[])) before
     where club.player_id = ? and before.spec is not null order by day desc, club.place`,
    [`{${wanted.join(',')}}`, `{${KEYS.join(',')}}`, playerId],
  );
  return {
    from,
    to,
    swaps: await readSwaps(em, playerId, from, to),
    days: wanted.map((day) => ({
      day,
      clubs: known.filter((club) => club.day === day).map(({ day: _day, ...club }) => club),
    })),
    more: days.length > MAX_REVIEW_DAYS,
  };
}

/**
 * Clubs that came into the gamer and went out of it, the newest first; what was undone since is none of them.
 */
async function readSwaps(
  em: EntityManager,
  playerId: string,
  from: string,
  to: string,
): Promise<ReviewView['swaps']> {
  const states = await readGamerStates(em, playerId, `${from}T00:00:00Z`);
  const changes = await em.execute<{ id: string; at: string; who: string; why: string; summary: string }[]>(
    `select id, to_char(at at time zone 'UTC', 'YYYY-MM-DD"T"HH24:MI:SS.MS"Z"') as at, who, why, summary from change
     where player_id = ? and at >= ?::date and at < ?::date + 1 and undoes_id is null and undone_by_id is null`,
    [playerId, from, to],
  );
  const clubs = await em.execute<{ id: string; name: string }[]>(
    'select id, name from club where player_id = ?',
    [playerId],
  );
  const named = (ids: readonly string[], others: readonly string[]) =>
    ids.filter((id) => !others.includes(id)).map((id) => ({ id, name: clubName(clubs, id) }));
  return states.flatMap(({ from: at, gamer }, i): ReviewView['swaps'] => {
    const before = states[i + 1]?.gamer;
    const change = changes.find((one) => one.at === at);
    // The bag as it was first written down is no swap.
    if (!change || !before || before.clubIds.length === 0) return [];
    const ids = gamer?.clubIds ?? [];
    const swap = {
      ins: named(ids, before.clubIds),
      outs: named(before.clubIds, ids),
      before: before.clubIds,
      after: ids,
    };
    return swap.ins.length + swap.outs.length === 0 ? [] : [{ ...change, ...swap }];
  });
}
