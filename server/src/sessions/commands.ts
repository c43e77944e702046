import { MOST_STRIKES_A_CHANGE, type StrikeSet } from '@tasche/contract';
import { loadClubFor } from '../bags/commands.js';
import { requireVersion, type Handlers } from '../changes/handlers.js';
import { plain, type StrikeMark, type Trail } from '../changes/trail.js';
import { badInput, notFound } from '../http/refusal.js';
import { insertStrikes, lockStrikes } from '../strikes/insert-strikes.js';
import { BY_HAND, Session } from './session.js';

export const sessionCommands: Handlers<
  'addSession' | 'editSession' | 'removeSession' | 'addStrikes' | 'editStrikes'
> = {
  async addSession({ session }, { trail, latestDay }) {
    const player = await trail.load('player', session.playerId);
    if (!player) throw notFound('player');
    if (await trail.load('session', session.id))
      throw badInput('session.id: a session of that id exists already');
    requireNotAhead(session.heldOn, await latestDay());
    trail.create('session', { ...session, source: BY_HAND, live: false, aim: null });
    return { playerId: session.playerId, summary: `${session.name}: session of ${session.heldOn} opened` };
  },

  async editSession({ sessionId, version, set }, { trail, latestDay }) {
    const session = await loadSession(trail, sessionId);
    requireVersion(
      session,
      version,
      session.name,
      Object.entries(set).map(([field, yours]) => ({
        field,
        yours,
        theirs: plain(session[field as keyof Session]),
      })),
    );
    if (set.heldOn !== undefined) requireNotAhead(set.heldOn, await latestDay());
    if (set.aim) await loadClubFor(trail, session, set.aim.clubId);
    if (set.live) await endOtherLiveSession(trail, sessionId);
    trail.edit('session', session, set);
    return { playerId: session.playerId, summary: `${session.name}: ${summaryOf(set)}` };
  },

  async removeSession({ sessionId, version }, { trail }) {
    const session = await loadSession(trail, sessionId);
    requireVersion(session, version, session.name, []);
    trail.edit('session', session, { removedAt: new Date(), live: false });
    return { playerId: session.playerId, summary: `${session.name}: session of ${session.heldOn} deleted` };
  },

  async addStrikes({ sessionId, strikes }, { trail, changeId }) {
    const session = await loadSession(trail, sessionId);
    for (const clubId of new Set(strikes.map((strike) => strike.clubId)))
      await loadClubFor(trail, session, clubId);
    await trail.em.flush();
    await lockStrikes(trail.em, sessionId);
    const first = await nextNumber(trail, sessionId);
    await insertStrikes(
      trail.em,
      session,
      strikes.map((strike, i) => ({
        ...strike,
        number: first + i,
        hitAt: null,
        builtOn: session.heldOn,
        deviceKey: null,
        changeId,
      })),
    );
    trail.images.push({ of: 'strikes', id: sessionId, changeId, withdrawn: false });
    trail.bump('session', session);
    return {
      playerId: session.playerId,
      summary: `${session.name}: ${strikes.length} ${strikes.length === 1 ? 'shot' : 'shots'} written down`,
    };
  },

  async editStrikes({ sessionId, strikeIds, set }, { trail }) {
    const session = await loadSession(trail, sessionId);
    if (set.clubId !== undefined) await loadClubFor(trail, session, set.clubId);
    const before = await trail.em.execute<StrikeMark[]>(
      `select id, club_id as "clubId", shot, left_out as "leftOut" from strike
       where session_id = ? and id = any(?::uuid[]) and removed_at is null order by id limit ${MOST_STRIKES_A_CHANGE} for update`,
      [sessionId, `{${strikeIds.join(',')}}`],
    );
    if (before.length !== new Set(strikeIds).size) throw notFound('shot');
    const after = before.map((mark) => ({ ...mark, ...set }));
    await trail.setStrikes(session, before, after);
    return {
      playerId: session.playerId,
      summary: `${session.name}: ${before.length} ${before.length === 1 ? 'shot' : 'shots'} ${marksWords(set)}`,
    };
  },
};

async function loadSession(trail: Trail, sessionId: string): Promise<Session> {
  const session = await trail.load('session', sessionId);
  if (!session || session.removedAt) throw notFound('session');
  return session;
}

/** A monitor serves one session at a time. */
async function endOtherLiveSession(trail: Trail, sessionId: string): Promise<void> {
  const other = await trail.em.findOne(Session, { live: true, removedAt: null, id: { $ne: sessionId } });
  if (!other) return;
  trail.edit('session', (await trail.load('session', other.id))!, { live: false });
  await trail.em.flush();
}

async function nextNumber(trail: Trail, sessionId: string): Promise<number> {
  const [row] = await trail.em.execute<{ next: number }[]>(
    'select coalesce(max(number), 0) + 1 as next from strike where session_id = ?',
    [sessionId],
  );
  return row!.next;
}

function requireNotAhead(heldOn: string, latestDay: string): void {
  if (heldOn > latestDay)
    throw badInput(`a session dated ${heldOn} is in the future`, [
      { field: 'heldOn', message: 'in the future' },
    ]);
}

function summaryOf(set: object): string {
  if ('live' in set)
    return set.live ? 'takes what the monitor sees' : 'no longer takes what the monitor sees';
  if ('aim' in set) return 'another club in hand';
  return `${Object.keys(set).join(', ')} changed`;
}

function marksWords({ leftOut, clubId, shot }: StrikeSet): string {
  if (leftOut) return `left out: ${leftOut}`;
  if (leftOut === null) return 'count again';
  return clubId !== undefined || shot !== undefined ? 'given to another club or swing' : 'as they were';
}
