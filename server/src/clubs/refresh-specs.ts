import type { EntityManager } from '@mikro-orm/postgresql';

/** Brings the specs in force of some clubs up to date with their readings. */
export async function refreshSpecs(em: EntityManager, clubIds: readonly string[]): Promise<void> {
  if (clubIds.length === 0) return;
  await em.execute(`update club set spec = spec_as_of(id, 'infinity') where id = any(?::uuid[])`, [`{${clubIds.join(',')}}`]);
}
