import type { GaugedLoft } from '@tasche/contract';
import type { EntityManager } from '@mikro-orm/postgresql';

/** A weekly check of thirty clubs for three years. */
const MAX_READINGS = 5000;

/** Every loft a player's clubs were measured at, the newest first. */
export async function readGaugedLofts(em: EntityManager, playerId: string): Promise<GaugedLoft[]> {
  return em.execute<GaugedLoft[]>(
    `select club_id as "clubId", taken_on::text as "takenOn", value::double precision as deg
     from reading where key = 'loftMeasuredDeg' and removed_at is null and jsonb_typeof(value) = 'number'
       and club_id in (select id from club where player_id = ? and removed_at is null)
     order by taken_on desc, seq desc limit ?`,
    [playerId, MAX_READINGS],
  );
}
