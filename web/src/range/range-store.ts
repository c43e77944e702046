import { withCommands, type Command, type SessionEntry, type StrikeView } from '@tasche/contract';
import type { PlayingConditions, Spec, StrikeClub } from '@tasche/core';
import { defineStore } from 'pinia';
import { computed, ref, shallowRef, watch } from 'vue';
import { reader, useHeld } from '../api/read';
import { useOutbox } from '../changes/outbox';
import { useSheet } from '../sheet/sheet-store';
import { sessionsQuestion, shotsQuestion, takeRangeAhead, type ShotsWanted } from './range-questions';
import type { SessionStrikes } from './range-worker';
import { buildLofts, strikeClub, type TodaysClub } from './strike-club';

export const playingConditionsOf = (
  session: Pick<SessionEntry, 'conditions' | 'surface'>,
): PlayingConditions => ({
  conditions: session.conditions,
  surface: session.surface,
});

/** A player's range sessions, and what was hit in one of them or in all. */
export const useRange = defineStore('range', () => {
  const sheet = useSheet();
  const outbox = useOutbox();
  const wanted = shallowRef<{ playerId: string; shots: ShotsWanted | null } | null>(null);
  const list = useHeld(() => wanted.value && sessionsQuestion(wanted.value.playerId));
  const hit = useHeld(() => {
    const { playerId, shots } = wanted.value ?? {};
    return playerId && shots ? shotsQuestion(playerId, shots) : null;
  });
  /** What the server said last, with what still waits to be sent done to it. */
  const view = computed(() =>
    withCommands(
      'sessions',
      { sessions: list.value.value ?? [], strikes: hit.value.value?.strikes ?? [] },
      outbox.pending(wanted.value?.playerId ?? ''),
    ),
  );
  const sessions = computed(() => view.value.sessions);
  const strikes = computed(() => view.value.strikes);
  /** There are more shots than one answer holds. */
  const more = computed(() => hit.value.value?.more ?? false);
  const state = computed(() => {
    const states = [list.state.value, hit.state.value];
    return (['away', 'loading'] as const).find((one) => states.includes(one)) ?? 'ready';
  });
  const lofts = computed(() => buildLofts(hit.value.value?.builds ?? []));
  const builds = computed(
    () =>
      new Map(
        (hit.value.value?.builds ?? []).map((build): [string, Spec] => [
          `${build.clubId} ${build.builtOn}`,
          build.spec,
        ]),
      ),
  );
  /** Grows whenever the server's shots may have changed: what a worker holds of them is read again. */
  const edition = ref(0);

  /** @param shots which are wanted; null for none, the sessions alone */
  async function load(playerId: string, shots: ShotsWanted | null): Promise<void> {
    edition.value += 1;
    const ahead = takeRangeAhead(playerId, shots);
    wanted.value = { playerId, shots };
    // What failed before signing in is read now.
    if (!(await ahead)) await Promise.all([list.again(), hit.again()]);
  }

  /** Other shots of the same player. */
  async function look(shots: ShotsWanted | null): Promise<void> {
    if (!wanted.value) return;
    wanted.value = { ...wanted.value, shots };
    await hit.again();
  }

  let isOlder = false;
  let isReadingOnceMore = false;
  /** What is being read may have been asked before a ball was hit that is here already. */
  async function readOnceMore(): Promise<void> {
    isOlder = true;
    if (isReadingOnceMore) return;
    isReadingOnceMore = true;
    while (isOlder) {
      isOlder = false;
      // The first answer of all is waited for, not asked for again.
      if (hit.value.value === undefined) await hit.again();
      await Promise.all([list.again(), hit.again()]);
    }
    isReadingOnceMore = false;
  }

  /** A ball from the live stream; one that is known already changes nothing. */
  function take(strike: StrikeView): boolean {
    if (strikes.value.some(({ id }) => id === strike.id)) return false;
    if (wanted.value && reader.isFetching({ queryKey: ['strikes', wanted.value.playerId] }) > 0)
      void readOnceMore();
    hit.change((held) => ({ ...held, strikes: [...held.strikes, strike] }));
    list.change((held) =>
      held.map((session) =>
        session.id === strike.sessionId ? { ...session, strikes: session.strikes + 1 } : session,
      ),
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
    // A late ball from the live stream is placed where it was hit.
    for (const list of of.values()) list.sort((a, b) => a.number - b.number);
    return of;
  });

  /** The player's clubs as they are built today. */
  const todaysClubs = computed(() =>
    sheet.clubs.map(({ id, name, kind, spec }): TodaysClub => ({ id, name, kind, spec })),
  );
  const clubsById = computed(() => new Map(todaysClubs.value.map((club) => [club.id, club])));
  /** Thousands of balls are of a few clubs on a few days. */
  const clubsAsBuilt = computed(() => {
    const [clubs, then, found] = [clubsById.value, lofts.value, new Map<string, StrikeClub | null>()];
    return (strike: StrikeView): StrikeClub | null => {
      const key = `${strike.clubId} ${strike.builtOn}`;
      let club = found.get(key);
      if (club === undefined) found.set(key, (club = strikeClub(strike, clubs, then)));
      return club;
    };
  });
  const clubOf = (strike: StrikeView): StrikeClub | null => clubsAsBuilt.value(strike);
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
    sheet.change(commands, why);
  }

  outbox.onSent((sent) => {
    if (!wanted.value || sent.outgoing.playerId !== wanted.value.playerId) return;
    // An undo, a refusal, or a change of sessions: what the server says stands, once nothing is waiting to be
    // sent any more.
    const touched = 'problem' in sent || sent.outgoing.kind === 'undo' || sent.result.sessions.length > 0;
    if (!touched) return;
    edition.value += 1;
    if ('result' in sent && sent.outgoing.kind === 'change') {
      // Until it is read again, it is what was done.
      const done = withCommands(
        'sessions',
        { sessions: list.value.value ?? [], strikes: hit.value.value?.strikes ?? [] },
        sent.outgoing.request.commands,
      );
      const fresh = new Map(sent.result.sessions.map((session) => [session.id, session]));
      list.change(() =>
        done.sessions.map((session) => ({
          ...session,
          version: fresh.get(session.id)?.version ?? session.version,
        })),
      );
      hit.change((held) => ({ ...held, strikes: done.strikes }));
    }
    if (outbox.waiting.length === 0) void load(wanted.value.playerId, wanted.value.shots);
  });

  return {
    playerId: computed(() => wanted.value?.playerId),
    sessions,
    strikes,
    more,
    state,
    edition,
    bySession,
    todaysClubs,
    load,
    look,
    take,
    clubOf,
    specOf,
    strikesOf,
    change,
  };
});

/**
 * The sessions of the player whose page is shown, and the shots wanted, read when the page is opened and when
 * either changes.
 */
export function useRangeOf(playerId: () => string, shots: () => ShotsWanted | null = () => null) {
  const range = useRange();
  watch(
    [playerId, shots],
    ([id, part], [before]) => void (id === before ? range.look(part) : range.load(id, part)),
    { immediate: true },
  );
  return range;
}
