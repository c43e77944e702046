import type { ShotKind, Strike } from '@tasche/core';
import type { EntityManager, Knex } from '@mikro-orm/postgresql';
import type { Session } from '../sessions/session.js';

/** A ball to be kept. */
export interface KeptStrike {
  /** Made by the database where nobody needs to know it before. */
  id?: string;
  clubId: string | null;
  shot: ShotKind;
  number: number;
  hitAt: string | null;
  builtOn: string;
  given: Strike;
  /** What tells it from every other ball of its source, without white space; null for one written down by hand. */
  deviceKey: string | null;
  /** The change it came with and is taken back with, or null. */
  changeId: string | null;
}

/**
 * Writers of one session's strikes go one after the other until their transactions end, so that arrivals are counted up in the order they
 * are committed and a reader that asks for what came after one misses none.
 */
export async function lockStrikes(em: EntityManager, sessionId: string): Promise<void> {
  await em.execute('select pg_advisory_xact_lock(hashtextextended(?, 3))', [sessionId]);
}

/** Keeps balls of one session; those it has under the same device key are left alone. @returns how many were new */
export async function insertStrikes(em: EntityManager, { id, workspaceId, playerId }: Pick<Session, 'id' | 'workspaceId' | 'playerId'>, strikes: readonly KeptStrike[]): Promise<number> {
  let kept = 0;
  for (const alike of groupedBy(strikes, ({ clubId, shot, builtOn, changeId }) => `${clubId} ${shot} ${builtOn} ${changeId}`)) {
    const { clubId, shot, builtOn, changeId } = alike[0]!;
    // What all have in common is said once; the rest goes as lines of parts, which the database reads in less than half the time of a document.
    const lines = alike.map((strike) => [strike.id ?? '', strike.number, strike.hitAt ?? '', strike.deviceKey ?? '', JSON.stringify(strike.given)].join('\t'));
    const { rowCount } = await bulk(em,
      `insert into strike (workspace_id, session_id, player_id, club_id, shot, built_on, change_id, id, number, hit_at, device_key, given)
       select ?, ?, ?, ?::uuid, ?, ?::date, ?::uuid, coalesce(nullif(split_part(line, e'\\t', 1), '')::uuid, gen_random_uuid()), split_part(line, e'\\t', 2)::integer,
         nullif(split_part(line, e'\\t', 3), '')::timestamptz, nullif(split_part(line, e'\\t', 4), ''), split_part(line, e'\\t', 5)::jsonb
       from string_to_table(?, e'\\n') line
       on conflict (player_id, device_key, session_id) where device_key is not null do nothing`,
      [workspaceId, id, playerId, clubId, shot, builtOn, changeId, lines.join('\n')]);
    kept += rowCount;
  }
  return kept;
}

function groupedBy<T>(list: readonly T[], keyOf: (one: T) => string): T[][] {
  const groups = new Map<string, T[]>();
  for (const one of list) {
    const key = keyOf(one);
    const group = groups.get(key);
    if (group) group.push(one);
    else groups.set(key, [one]);
  }
  return [...groups.values()];
}

/** The device keys of a player's strikes that stand. */
export async function knownKeys(em: EntityManager, playerId: string, only?: readonly string[]): Promise<Set<string>> {
  const { rows } = await bulk<{ key: string }>(em,
    `select device_key as key from strike join session on session.id = strike.session_id
     where strike.player_id = ? and device_key is not null and strike.removed_at is null and session.removed_at is null${only ? ' and device_key = any(?::text[])' : ''} limit ${MOST_KEYS}`,
    only ? [playerId, only] : [playerId]);
  return new Set(rows.map(({ key }) => key));
}

/** Far more than a life of practice. */
const MOST_KEYS = 2_000_000;

/**
 * A statement with large values, in the transaction of `em`: they go to the database as parameters, where the ORM's own `execute` would write
 * them into the statement sign by sign.
 */
export async function bulk<T>(em: EntityManager, sql: string, values: readonly unknown[]): Promise<{ rows: T[]; rowCount: number }> {
  const transaction = em.getTransactionContext<Knex.Transaction>();
  if (!transaction) throw new Error('bulk statements are for transactions');
  return await transaction.raw<{ rows: T[]; rowCount: number }>(sql, values as never);
}
