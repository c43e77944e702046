import { setTimeout as wait } from 'node:timers/promises';
import type { EntityManager, IsolationLevel, MikroORM } from '@mikro-orm/postgresql';
import { isRetryable } from '../database/database-state.js';

/** What of a workspace may be seen. */
export interface Sight {
  workspaceId: string;
  /** The players somebody may see; all of them where empty. */
  playerIds?: readonly string[] | null;
}

/** What a transaction knows about the asker: all of it may be left out, and then nothing of it is seen. */
interface Asker extends Partial<Sight> {
  personId?: string | null;
  /** What they hold in their hand: the hash of a key, an e-mail address, the id of a passkey. */
  key?: string;
}

/**
 * Tries of a transaction that meets others in a deadlock, and how long it waits before the second; then twice
 * as long each time.
 */
const MAX_TRIES = 5;
const FIRST_WAIT_MS = 15;
/** Nobody's id: stands where a list of ids is empty, for an empty setting means all. */
const NOBODY = '00000000-0000-0000-0000-000000000000';

/**
 * The one way to the data: a transaction that sees one workspace only, and of its players those the asker may
 * see. The ORM's filter is the first wall; PostgreSQL's row-level security, keyed by the setting made here, the
 * second. A transaction that PostgreSQL breaks off because it met another (deadlock, serialisation) is done
 * again.
 * @param isolationLevel read committed where it is not given
 * @param work done within the transaction; done again from its start where the transaction is
 */
export async function inWorkspace<T>(
  orm: MikroORM,
  sight: Sight,
  work: (em: EntityManager) => Promise<T>,
  isolationLevel?: IsolationLevel,
): Promise<T> {
  return asAsker(orm, sight, work, isolationLevel);
}

/**
 * The same for someone who is not in a workspace yet: a person who signs in, holds a link, or shows a token.
 */
export async function asAsker<T>(
  orm: MikroORM,
  asker: Asker,
  work: (em: EntityManager) => Promise<T>,
  isolationLevel?: IsolationLevel,
): Promise<T> {
  for (let tried = 1; ; tried++) {
    try {
      return await orm.em.fork().transactional(
        async (em) => {
          const inner = em as EntityManager;
          await tellOf(inner, asker);
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

/** Tells the database, for the rest of this transaction, who asks. */
export async function tellOf(
  em: EntityManager,
  { workspaceId, playerIds, personId, key }: Asker,
): Promise<void> {
  await em.execute(
    `select set_config('tasche.workspace', ?, true), set_config('tasche.players', ?, true),
       set_config('tasche.person', ?, true), set_config('tasche.key', ?, true)`,
    [workspaceId ?? '', playersSetting(playerIds), personId ?? '', key ?? ''],
  );
  em.setFilterParams('workspace', { id: workspaceId ?? NOBODY });
}

function playersSetting(playerIds: Sight['playerIds']): string {
  if (!playerIds) return '';
  return playerIds.length === 0 ? NOBODY : playerIds.join(',');
}

/** Tells what two askers see apart, where answers are kept. */
export function sightKey({ workspaceId, playerIds }: Sight): string {
  return `${workspaceId} ${playersSetting(playerIds)}`;
}

/**
 * The short way for one read: a function in the database that sees one workspace only, in one round trip.
 * Its first parameters are the workspace and the players that may be seen, and the first thing it does is what
 * `inWorkspace` does.
 * @param name of a function made by a migration, never from outside
 */
export async function callInWorkspace<T>(
  orm: MikroORM,
  { workspaceId, playerIds }: Sight,
  name: 'sheet_text' | 'sheet_revision' | 'roster_revision' | 'schedule_revision',
  values: readonly (string | null)[],
): Promise<T> {
  const marks = ['?', '?', ...values.map(() => '?')].join(', ');
  const [row] = await orm.em
    .getConnection()
    .execute<{ answer: T }[]>(`select ${name}(${marks}) as answer`, [
      workspaceId,
      playersSetting(playerIds),
      ...values,
    ]);
  return row!.answer;
}
