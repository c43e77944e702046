import type { EntityManager } from '@mikro-orm/postgresql';

/**
 * The last day anything may be dated, YYYY-MM-DD: today in the latest time zone on earth (UTC+14) by the
 * database's clock, and a day more, for clocks that are wrong. What is dated ahead stands from its day on,
 * not before.
 */
export async function latestDay(em: EntityManager): Promise<string> {
  const [row] = await em.execute<{ day: string }[]>(
    `select ((now() at time zone 'UTC' + interval '14 hours')::date + 1)::text as day`,
  );
  return row!.day;
}
