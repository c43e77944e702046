import type { EntityManager, MikroORM } from '@mikro-orm/postgresql';

/** Who asks, and in whose workspace. */
export interface Scope {
  workspaceId: string;
  who: string;
}

/**
 * The one way to the data: a transaction that sees one workspace only.
 * The ORM's filter is the first wall; PostgreSQL's row-level security, keyed by the setting made here, the second.
 */
export function inWorkspace<T>(orm: MikroORM, workspaceId: string, work: (em: EntityManager) => Promise<T>): Promise<T> {
  return orm.em.fork().transactional(async (em) => {
    const inner = em as EntityManager;
    await inner.execute(`select set_config('tasche.workspace', ?, true)`, [workspaceId]);
    inner.setFilterParams('workspace', { id: workspaceId });
    return work(inner);
  });
}

/**
 * The short way for one read: a function in the database that sees one workspace only, in one round trip.
 * Its first parameter is the workspace, and the first thing it does is what `inWorkspace` does.
 * @param name of a function made by a migration, never from outside
 */
export async function callInWorkspace<T>(orm: MikroORM, workspaceId: string, name: 'sheet_text' | 'sheet_revision', values: readonly (string | null)[]): Promise<T> {
  const marks = ['?', ...values.map(() => '?')].join(', ');
  const [row] = await orm.em.getConnection().execute<{ answer: T }[]>(`select ${name}(${marks}) as answer`, [workspaceId, ...values]);
  return row!.answer;
}
