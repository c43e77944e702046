import type { EntityManager } from '@mikro-orm/postgresql';

/**
 * Brings the specs in force of some clubs up to date with their readings, and notes when a reading dated
 * ahead comes to its day.
 */
export async function refreshSpecs(em: EntityManager, clubIds: readonly string[]): Promise<void> {
  if (clubIds.length === 0) return;
  await em.execute(
    `update club set spec = spec_as_of(club.id, today.day), spec_due = (
       select min(stands_from) from reading where club_id = club.id and removed_at is null and stands_from > today.day)
     from (select (now() at time zone 'UTC')::date as day) today where club.id = any(?::uuid[])`,
    [`{${clubIds.join(',')}}`],
  );
}
