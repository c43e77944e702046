import type { EntityManager } from '@mikro-orm/postgresql';

/**
 * What a process keeps in memory of a database, for each database it is connected to: rows of two databases may
 * have the same ids.
 * @param make what is kept of a database nothing is known of yet
 */
export function perDatabase<T>(make: () => T): (em: EntityManager) => T {
  const kept = new WeakMap<object, T>();
  return (em) => {
    const database = em.getDriver();
    if (!kept.has(database)) kept.set(database, make());
    return kept.get(database)!;
  };
}
