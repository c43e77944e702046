import type pg from 'pg';
import { newKey } from './keys.js';

/**
 * The secret cookies are signed with, where none was given: kept in the database, made by the first server that
 * needs it.
 */
export async function serverSecret(pool: pg.Pool): Promise<string> {
  await pool.query(`insert into server_secret (name, value) values ('cookies', $1) on conflict do nothing`, [
    newKey(),
  ]);
  const { rows } = await pool.query<{ value: string }>(
    `select value from server_secret where name = 'cookies'`,
  );
  return rows[0]!.value;
}
