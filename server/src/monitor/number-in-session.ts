import type { EntityManager } from '@mikro-orm/postgresql';
import { deviceKeyOf, type DeviceInSession } from './device-key.js';

/** Balls that are still to come between two are left room for, so many at most. */
const MAX_ROOM = 1000;

/** A ball that is here: its number in the session, and the one the device gave it. */
interface Neighbour {
  number: number;
  counted: number;
}

/**
 * The number of a ball in its session: after whatever was hit there before, by hand or over another device, and
 * between the device's own balls where it comes late. A device counts from where it likes, so its own number
 * is not that.
 */
export async function numberInSession(
  em: EntityManager,
  sessionId: string,
  of: DeviceInSession,
  counted: number,
  at: string,
): Promise<number> {
  const [row] = await em.execute<{ last: number; before: Neighbour | null; after: Neighbour | null }[]>(
    `with own as (
       select number, hit_at, split_part(device_key, ':', 4)::bigint as counted from strike
       where session_id = ? and starts_with(device_key, ?))
     select (select coalesce(max(number), 0) from strike where session_id = ?) as last,
       (select json_build_object('number', number, 'counted', counted) from own
        where (hit_at, counted) < (?::timestamptz, ?::bigint) order by hit_at desc, counted desc limit 1) as before,
       (select json_build_object('number', number, 'counted', counted) from own
        where (hit_at, counted) > (?::timestamptz, ?::bigint) order by hit_at, counted limit 1) as after`,
    [sessionId, deviceKeyOf(of), sessionId, at, counted, at, counted],
  );
  const { last, before, after } = row!;
  const room = (from: number, to: number) => Math.min(Math.max(to - from, 1), MAX_ROOM);
  if (after) return Math.max(before?.number ?? 1, after.number - room(counted, after.counted));
  if (before) return Math.max(last + 1, before.number + room(before.counted, counted));
  return last + room(0, counted);
}
