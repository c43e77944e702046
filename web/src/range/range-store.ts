import {
  withCommands,
  type Command,
  type Page,
  type SessionEntry,
  type StrikeView,
  type StrikesView,
} from '@tasche/contract';
import { playingLoft, type ClubKind, type PlayingConditions, type Spec, type StrikeClub } from '@tasche/core';
import { defineStore } from 'pinia';
import { computed, ref, shallowRef, watch } from 'vue';
import { useReadAgain } from '../offline/connection';
import { ApiError, request } from '../api/request';
import { useOutbox } from '../changes/outbox';
import { useSheet } from '../sheet/sheet-store';
import type { SessionStrikes } from './range-worker';

export const playingConditionsOf = (
  session: Pick<SessionEntry, 'conditions' | 'surface'>,
): PlayingConditions => ({
  conditions: session.conditions,
  surface: session.surface,
});

/** Every session, page after page. */
async function allSessions(playerId: string): Promise<SessionEntry[]> {
  const sessions: SessionEntry[] = [];
  for (let next: string | null = ''; next !== null;) {
    const page: Page<SessionEntry> = await request(
      `/players/${playerId}/sessions?limit=200${next && `&after=${next}`}`,
    );
    sessions.push(...page.rows);
    next = page.next;
  }
  return sessions;
}

/** A player's range sessions and what was hit in them. */
export const useRange = defineStore('range', () => {
  const sheet = useSheet();
  const outbox = useOutbox();
  const sessions = shallowRef<readonly SessionEntry[]>([]);
  const strikes = shallowRef<readonly StrikeView[]>([]);
  const more = ref(false);
  const state = ref<'empty' | 'loading' | 'ready' | 'away'>('empty');
  const builds = shallowRef<ReadonlyMap<string, Spec>>(new Map());
  let playerId = '';

  let lastRequestId = 0;

  useReadAgain(() => playerId && load(playerId));

  async function load(id: string): Promise<void> {
    const requestId = ++lastRequestId;
    if (id !== playerId) {
      playerId = id;
      sessions.value = [];
      strikes.value = [];
      state.value = 'loading';
    }
    try {
      const [list, hit] = await outbox.readCurrent(() =>
        Promise.all([allSessions(id), request<StrikesView>(`/players/${id}/strikes`)]),
      );
      // A later question is on its way, and knows more.
      if (requestId !== lastRequestId) return;
      sessions.value = list;
      strikes.value = hit.strikes;
      more.value = hit.more;
      builds.value = new Map(hit.builds.map((build) => [`${build.clubId} ${build.builtOn}`, build.spec]));
      state.value = 'ready';
      // What still waits to be sent was done on top of what the server knows.
      onScreen(outbox.pending(id));
    } catch (error) {
      if (requestId !== lastRequestId) return;
      if (error instanceof ApiError) {
        state.value = 'ready';
        return;
      }
      state.value = state.value === 'ready' ? 'ready' : 'away';
      setTimeout(() => {
        if (playerId === id) void load(id);
      }, 1500);
    }
  }

  /** A ball that came by the live line; one that is known already changes nothing. */
  function take(strike: StrikeView): boolean {
    if (strikes.value.some(({ id }) => id === strike.id)) return false;
    strikes.value = [...strikes.value, strike];
    sessions.value = sessions.value.map((session) =>
      session.id === strike.sessionId ? { ...session, strikes: session.strikes + 1 } : session,
    );
    return true;
  }

  const bySession = computed(() => {
    const of = new Map<string, StrikeView[]>();
    for (const strike of strikes.value) {
      const list = of.get(strike.sessionId);
      if (list) list.push(strike);
      else of.set(strike.sessionId, [strike]);
    }
    // A ball that came late by the live line stands where it was hit.
    for (const list of of.values()) list.sort((a, b) => a.number - b.number);
    return of;
  });

  /** The club a ball was hit with, as it was built then; where nothing was known of it that day, as it is now. */
  function clubOf(strike: StrikeView): StrikeClub | null {
    const club = strike.clubId === null ? undefined : sheet.clubsById.get(strike.clubId);
    if (!club) return null;
    const loft = playingLoft(specOf(strike) ?? {}) ?? playingLoft(club.spec);
    return { kind: club.kind satisfies ClubKind, loftDeg: loft?.deg };
  }
  const specOf = (strike: StrikeView): Spec | undefined =>
    builds.value.get(`${strike.clubId} ${strike.builtOn}`);

  function strikesOf(
    session: SessionEntry,
    keep: (strike: StrikeView) => boolean = () => true,
  ): SessionStrikes {
    return {
      setting: playingConditionsOf(session),
      strikes: (bySession.value.get(session.id) ?? []).filter(keep).map((strike) => {
        const { id, clubId, shot, leftOut, given } = strike;
        return { strike: { id, clubId, shot, leftOut, given }, club: clubOf(strike) };
      }),
    };
  }

  /** Does something to sessions: on the screen now, on the server as soon as it can. */
  function change(commands: readonly Command[], why = ''): void {
    onScreen(commands);
    sheet.change(commands, why);
  }

  /** The screen as it will be when the server has done these commands. */
  function onScreen(commands: readonly Command[]): void {
    const view = withCommands('sessions', { sessions: sessions.value, strikes: strikes.value }, commands);
    sessions.value = view.sessions;
    strikes.value = view.strikes;
  }

  outbox.onSent((sent) => {
    if (sent.outgoing.playerId !== playerId) return;
    // An undo, a refusal, or a change of sessions: what the server says stands, once nothing is waiting to be sent any more.
    const touched = 'problem' in sent || sent.outgoing.kind === 'undo' || sent.result.sessions.length > 0;
    if (!touched) return;
    if ('result' in sent) {
      const fresh = new Map(sent.result.sessions.map((session) => [session.id, session]));
      sessions.value = sessions.value.map((session) => {
        const one = fresh.get(session.id);
        return one ? { ...session, version: one.version } : session;
      });
    }
    if (outbox.waiting.length === 0) void load(playerId);
  });

  return { sessions, strikes, more, state, bySession, load, take, clubOf, specOf, strikesOf, change };
});

/** The sessions and shots of the player whose page is shown, read when the page is opened and when the player changes. */
export function useRangeOf(playerId: () => string) {
  const range = useRange();
  watch(playerId, (id) => void range.load(id), { immediate: true });
  return range;
}
