import { guessClub, type MonitorLine } from '@tasche/contract';
import type { EntityManager } from '@mikro-orm/postgresql';
import { v4 as newId } from 'uuid';
import { Club } from '../clubs/club.js';
import { waitForReplicas } from '../database/wait-for-replicas.js';
import { BY_HAND, Session } from '../sessions/session.js';
import { insertStrikes, lockStrikes } from '../strikes/insert-strikes.js';
import { tellOfStrikes } from '../news/listen-for-news.js';
import { monitorKey, type DeviceInSession } from './device-key.js';
import { numberInSession } from './number-in-session.js';

type StrikeLine = Extract<MonitorLine, { type: 'strike' }>;

/**
 * The number up to which every ball of a device's session is here, kept or set aside. A gap, or one number
 * far too high,
 * makes it send again from the gap; what is known already is passed over.
 */
export async function knownUpTo(
  em: EntityManager,
  { device, deviceSession }: DeviceInSession,
): Promise<number> {
  const [row] = await em.execute<{ last: number }[]>(
    `select coalesce(max(number), 0) as last from (
       select number, row_number() over (order by number) as place from (
         select distinct number from monitor_ball where device = ? and device_session = ?) numbers
     ) counted where number = place`,
    [device, deviceSession],
  );
  return row!.last;
}

/** Notes a ball as answered. @returns false for one that was before */
export async function noteBall(
  em: EntityManager,
  workspaceId: string,
  of: DeviceInSession,
  number: number,
  at: string,
): Promise<boolean> {
  const rows = await em.execute<{ number: number }[]>(
    `insert into monitor_ball (workspace_id, device, device_session, number, hit_at) values (?, ?, ?, ?, ?::timestamptz)
     on conflict do nothing returning number`,
    [workspaceId, of.device, of.deviceSession, number, at],
  );
  // The monitor forgets it once it is answered.
  if (rows.length === 0) await waitForReplicas(em);
  return rows.length > 0;
}

/**
 * Keeps a ball in the live session, once however often it is sent. With no live session, or no club to give
 * it to, it is set aside.
 */
export async function takeStrike(
  em: EntityManager,
  workspaceId: string,
  of: DeviceInSession,
  { number, at, club, strike }: StrikeLine,
): Promise<void> {
  if (!(await noteBall(em, workspaceId, of, number, at))) return;
  const { device } = of;
  const deviceKey = monitorKey(of, number, at);
  const session = await em.findOne(Session, { live: true, removedAt: null });
  if (!session)
    return setAside(em, workspaceId, null, JSON.stringify(strike), 'no session was open for it', deviceKey);
  const target = await clubOf(em, session, club);
  if (!target)
    return setAside(
      em,
      workspaceId,
      session.id,
      JSON.stringify(strike),
      club === null ? 'no club was in hand' : `no club of the locker is "${club}"`,
      deviceKey,
    );
  await lockStrikes(em, session.id);
  const kept = await insertStrikes(em, session, [
    {
      id: newId(),
      ...target,
      number: await numberInSession(em, session.id, of, number, at),
      hitAt: at,
      builtOn: session.heldOn,
      given: strike,
      deviceKey,
      changeId: null,
    },
  ]);
  if (kept === 0) return;
  if (session.source === BY_HAND)
    await em.execute('update session set source = ? where id = ?', [device, session.id]);
  await tellOfStrikes(em, session.id);
}

/** The club the monitor names, by its id or by what it looks like; where it names none, the one in hand. */
async function clubOf(em: EntityManager, { playerId, aim }: Session, label: string | null) {
  if (label === null) return aim;
  const clubs = await em.find(Club, { playerId, removedAt: null }, { limit: 500 });
  // Who told the monitor by the club's id knows the swing too.
  if (clubs.some((one) => one.id === label))
    return { clubId: label, shot: aim?.clubId === label ? aim.shot : ('full' as const) };
  return guessClub(label, clubs);
}

/**
 * Keeps what could not be taken, to be looked at by a person. In SQL: the index it may meet is of some rows
 * only, which the ORM's own way to insert or leave alone knows nothing of.
 */
export async function setAside(
  em: EntityManager,
  workspaceId: string,
  sessionId: string | null,
  text: string,
  reason: string,
  deviceKey: string | null = null,
): Promise<void> {
  await em.execute(
    `insert into set_aside (workspace_id, session_id, device_key, text, reason) values (?, ?, ?, ?, ?) on conflict (workspace_id, device_key) where device_key is not null do nothing`,
    [workspaceId, sessionId, deviceKey, text.slice(0, 500).replaceAll('\u0000', '?'), reason.slice(0, 300)],
  );
  // A faulty monitor must not fill the disk.
  await em.execute(
    'delete from set_aside where workspace_id = ? and id <= (select id from set_aside where workspace_id = ? order by id desc offset 2000 limit 1)',
    [workspaceId, workspaceId],
  );
}
