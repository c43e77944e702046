import type { CommandOf } from '@tasche/contract';
import { loadClubFor } from '../bags/commands.js';
import { requireVersion, type Handlers } from '../changes/handlers.js';
import { plain, type ChangeRecorder } from '../changes/change-recorder.js';
import { badInput, notFound } from '../http/http-error.js';
import { insertStrikes, lockStrikes } from '../strikes/insert-strikes.js';
import { StrikeRow, lockMarks } from '../strikes/strike-rows.js';
import { BY_HAND, Session } from './session.js';

export const sessionCommands: Handlers<
  'addSession' | 'editSession' | 'removeSession' | 'addStrikes' | 'editStrikes'
> = {
  async addSession({ session }, { recorder, latestDay }) {
    const player = await recorder.load('player', session.playerId);
    if (!player) throw notFound('player');
    if (await recorder.load('session', session.id))
      throw badInput('session.id: a session with that id exists already');
    requireNotAhead(session.heldOn, await latestDay());
    for (const clubId of new Set(session.basket?.map((line) => line.clubId)))
      await loadClubFor(recorder, session, clubId);
    recorder.create('session', {
      ...session,
      basket: session.basket ?? null,
      source: BY_HAND,
      live: false,
      aim: null,
    });
    return { playerId: session.playerId, summary: `${session.name}: session of ${session.heldOn} opened` };
  },

  async editSession({ sessionId, version, set }, { recorder, latestDay }) {
    const session = await loadSession(recorder, sessionId);
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
    if (set.aim) await loadClubFor(recorder, session, set.aim.clubId);
    for (const clubId of new Set(set.basket?.map((line) => line.clubId)))
      await loadClubFor(recorder, session, clubId);
    if (set.live) await endOtherLiveSession(recorder, sessionId);
    recorder.edit('session', session, set);
    return { playerId: session.playerId, summary: `${session.name}: ${summaryOf(set)}` };
  },

  async removeSession({ sessionId, version }, { recorder }) {
    const session = await loadSession(recorder, sessionId);
    requireVersion(session, version, session.name, []);
    recorder.edit('session', session, { removedAt: new Date(), live: false });
    return { playerId: session.playerId, summary: `${session.name}: session of ${session.heldOn} deleted` };
  },

  async addStrikes({ sessionId, strikes }, { recorder, changeId }) {
    const session = await loadSession(recorder, sessionId);
    for (const clubId of new Set(strikes.map((strike) => strike.clubId)))
      await loadClubFor(recorder, session, clubId);
    await recorder.em.flush();
    await lockStrikes(recorder.em, sessionId);
    const first = await nextNumber(recorder, sessionId);
    await insertStrikes(
      recorder.em,
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
    recorder.rowDiffs.push({ of: 'strikes', id: sessionId, changeId, withdrawn: false });
    recorder.bump('session', session);
    return {
      playerId: session.playerId,
      summary: `${session.name}: ${strikes.length} ${strikes.length === 1 ? 'shot' : 'shots'} added by hand`,
    };
  },

  async editStrikes({ sessionId, strikeIds, set }, { recorder }) {
    const session = await loadSession(recorder, sessionId);
    if (set.clubId !== undefined) await loadClubFor(recorder, session, set.clubId);
    const before = await lockMarks(recorder.em, sessionId, strikeIds, 'standing');
    if (before.length !== new Set(strikeIds).size) throw notFound('shot');
    const after = before.map((mark) => ({ ...mark, ...set }));
    await recorder.setStrikes(session, before, after);
    return {
      playerId: session.playerId,
      summary: `${session.name}: ${before.length} ${before.length === 1 ? 'shot' : 'shots'} ${marksWords(set)}`,
    };
  },
};

async function loadSession(recorder: ChangeRecorder, sessionId: string): Promise<Session> {
  const session = await recorder.load('session', sessionId);
  if (!session || session.removedAt) throw notFound('session');
  return session;
}

/** A monitor serves one session at a time. */
async function endOtherLiveSession(recorder: ChangeRecorder, sessionId: string): Promise<void> {
  const other = await recorder.em.findOne(Session, { live: true, removedAt: null, id: { $ne: sessionId } });
  if (!other) return;
  recorder.edit('session', (await recorder.load('session', other.id))!, { live: false });
  await recorder.em.flush();
}

async function nextNumber(recorder: ChangeRecorder, sessionId: string): Promise<number> {
  const last = await recorder.em.findOne(StrikeRow, { sessionId }, { orderBy: { number: 'desc' } });
  return (last?.number ?? 0) + 1;
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
  if ('basket' in set) return set.basket ? 'a basket to hit' : 'its basket put aside';
  return `${Object.keys(set).join(', ')} changed`;
}

function marksWords({ leftOut, clubId, shot }: CommandOf<'editStrikes'>['set']): string {
  if (leftOut) return `left out: ${leftOut}`;
  if (leftOut === null) return 'count again';
  return clubId !== undefined || shot !== undefined ? 'given to another club or swing' : 'as they were';
}
