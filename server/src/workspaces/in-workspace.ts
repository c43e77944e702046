import { setTimeout as wait } from 'node:timers/promises';
import type { EntityManager, IsolationLevel, MikroORM } from '@mikro-orm/postgresql';
import { isRetryable } from '../database/database-state.js';

/** Who asks, and in whose workspace. */
export interface Scope {
  workspaceId: string;
  who: string;
}

/** Tries of a transaction that meets others in a deadlock, and how long it waits before the second; then twice as long each time. */
const MAX_TRIES = 5;
const FIRST_WAIT_MS = 15;

/**
 * The one way to the data: a transaction that sees one workspace only.
 * The ORM's filter is the first wall; PostgreSQL's row-level security, keyed by the setting made here, the second.
 * A transaction that PostgreSQL breaks off because it met another (deadlock, serialisation) is done again.
 * @param isolationLevel read committed where nothing is said
 * @param work done within the transaction; done anew from its start where the transaction is
 */
export async function inWorkspace<T>(
  orm: MikroORM,
  workspaceId: string,
  work: (em: EntityManager) => Promise<T>,
  isolationLevel?: IsolationLevel,
): Promise<T> {
  for (let tried = 1; ; tried++) {
    try {
      return await orm.em.fork().transactional(
        async (em) => {
          const inner = em as EntityManager;
          await inner.execute(`select set_config('tasche.workspace', ?, true)`, [workspaceId]);
          inner.setFilterParams('workspace', { id: workspaceId });
          return work(inner);
        },
        isolationLevel ? { isolationLevel } : {},
      );
    } catch (error) {
      if (tried >= MAX_TRIES || !isRetryable(error)) throw error;
      await wait(FIRST_WAIT_MS * 2 ** (tried - 1) * (0.5 + Math.random()));
    }
  }
}

/**
 * The short way for one read: a function in the database that sees one workspace only, in one round trip.
 * Its first parameter is the workspace, and the first thing it does is what `inWorkspace` does.
 * @param name of a function made by a migration, never from outside
 */
export async function callInWorkspace<T>(
  orm: MikroORM,
  workspaceId: string,
  name: 'sheet_text' | 'sheet_revision' | 'roster_revision',
  values: readonly (string | null)[],
): Promise<T> {
  const marks = ['?', ...values.map(() => '?')].join(', ');
  const [row] = await orm.em
    .getConnection()
    .execute<{ answer: T }[]>(`select ${name}(${marks}) as answer`, [workspaceId, ...values]);
  return row!.answer;
}
