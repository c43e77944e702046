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
