import { STRIKE_PARTS, type ShotKind, type Strike } from '@tasche/core';
import type { EntityManager, Knex } from '@mikro-orm/postgresql';
import type { Session } from '../sessions/session.js';
import { GIVEN_COLUMNS } from './strike-columns.js';

/** A ball to be kept. */
export interface KeptStrike {
  /** Made by the database where it is not needed before. */
  id?: string;
  clubId: string | null;
  shot: ShotKind;
  number: number;
  hitAt: string | null;
  builtOn: string;
  given: Strike;
  /** What tells it from every other ball of its source, without white space; null for one entered by hand. */
  deviceKey: string | null;
  /** The change it came with and is taken back with, or null. */
  changeId: string | null;
}

/**
 * Writers of one session's strikes go one after the other until their transactions end, so that arrivals are
 * counted up in the order they are committed and a reader that asks for what came after one misses none.
 */
export async function lockStrikes(em: EntityManager, sessionId: string): Promise<void> {
  await em.execute('select pg_advisory_xact_lock(hashtextextended(?, 3))', [sessionId]);
}

/** Balls made ready for the database, all of one day's builds and one change. */
export interface StrikesToKeep {
  builtOn: string;
  changeId: string | null;
  lists: readonly string[];
}

/** @param strikes at least one */
export function strikesToKeep(strikes: readonly KeptStrike[]): StrikesToKeep {
  const { builtOn, changeId } = strikes[0]!;
  return {
    builtOn,
    changeId,
    lists: [
      list(strikes, (one) => one.id),
      list(strikes, (one) => one.clubId),
      list(strikes, (one) => one.shot),
      list(strikes, (one) => one.number),
      list(strikes, (one) => one.hitAt),
      list(strikes, (one) => one.deviceKey),
      ...STRIKE_PARTS.map((part) => list(strikes, (one) => one.given[part])),
    ],
  };
}

/**
 * Keeps balls of one session; those it has under the same device key are left alone. @returns how many were new
 */
export async function keepStrikes(
  em: EntityManager,
  { id, workspaceId, playerId }: Pick<Session, 'id' | 'workspaceId' | 'playerId'>,
  { builtOn, changeId, lists }: StrikesToKeep,
): Promise<number> {
  // What all have in common is said once; the rest goes as a list a column, which the database reads several
  // times as fast as a document.
  const { rowCount } = await bulk(
    em,
    `insert into strike (workspace_id, session_id, player_id, built_on, change_id, id, club_id, shot, number,
      hit_at, device_key, ${GIVEN_COLUMNS})
     select ?, ?, ?, ?::date, ?::uuid, coalesce(fresh.id, gen_random_uuid()), club_id, shot, number, hit_at,
       device_key, ${GIVEN_COLUMNS}
     from unnest(?::uuid[], ?::uuid[], ?::text[], ?::integer[], ?::timestamptz[], ?::text[],
       ${STRIKE_PARTS.map(() => '?::double precision[]').join(', ')})
       as fresh (id, club_id, shot, number, hit_at, device_key, ${GIVEN_COLUMNS})
     on conflict (player_id, device_key, session_id) where device_key is not null do nothing`,
    [workspaceId, id, playerId, builtOn, changeId, ...lists],
  );
  return rowCount;
}

/** Both at once, for a few balls. */
export async function insertStrikes(
  em: EntityManager,
  session: Pick<Session, 'id' | 'workspaceId' | 'playerId'>,
  strikes: readonly KeptStrike[],
): Promise<number> {
  return strikes.length === 0 ? 0 : keepStrikes(em, session, strikesToKeep(strikes));
}

/**
 * A column as the database's own way of writing a list. Nothing that goes through here holds a comma, a brace
 * or white space: ids, numbers, moments, keys.
 */
function list(
  strikes: readonly KeptStrike[],
  of: (strike: KeptStrike) => string | number | null | undefined,
): string {
  return `{${strikes.map((strike) => of(strike) ?? 'NULL').join()}}`;
}

/** The device keys of a player's strikes that stand. */
export async function knownKeys(em: EntityManager, playerId: string): Promise<Set<string>> {
  // One text rather than a row each: a hundred thousand rows are thirty megabytes of objects.
  const { rows } = await bulk<{ keys: string | null }>(
    em,
    `select string_agg(device_key, ',') as keys from (
       select device_key from strike join session on session.id = strike.session_id
       where strike.player_id = ? and device_key is not null and strike.removed_at is null
         and session.removed_at is null limit ${MAX_KEYS}) known`,
    [playerId],
  );
  return new Set(rows[0]?.keys?.split(',') ?? []);
}

/** Far more than a life of practice. */
const MAX_KEYS = 2_000_000;

/**
 * A statement with large values, in the transaction of `em`: they go to the database as parameters, where the
 * ORM's own `execute` would write them into the statement sign by sign.
 */
async function bulk<T>(
  em: EntityManager,
  sql: string,
  values: readonly unknown[],
): Promise<{ rows: T[]; rowCount: number }> {
  const transaction = em.getTransactionContext<Knex.Transaction>();
  if (!transaction) throw new Error('bulk statements are for transactions');
  return await transaction.raw<{ rows: T[]; rowCount: number }>(sql, values as never);
}
