import type { EntityManager } from '@mikro-orm/postgresql';

/**
 * Has the end of this transaction wait for the replicas, as that of a write does. It is for answering that
 * something was done before: a
 * database that fell over while it waited for a replica has it after its restart, though no replica may.
 */
export async function waitForReplicas(em: EntityManager): Promise<void> {
  // A message in the log that replicas follow, which is never read (PostgreSQL 15, 9.27.6).
  await em.execute(`select pg_logical_emit_message(true, 'tasche', '')`);
}
