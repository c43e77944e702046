import { useDocumentVisibility, useNetwork } from '@vueuse/core';
import type { RosterEntry } from '@tasche/contract';
import { onScopeDispose, watch, type Ref } from 'vue';
import { LAST_SEEN_CACHE, keptUnder } from '../../service-worker/last-seen';
import { ApiError, request } from '../api/request';
import { useConnection } from './connection';

/** The roster is shown first; what is only kept waits. */
const BEGINS_AFTER_MS = 3000;
/** Shots are no changes: what was kept is read again after a while all the same. */
const GOOD_FOR_MS = 12 * 3_600_000;
/** Players of one roster that are kept, and a moment between two of them. */
const MAX_KEPT = 50;
const PAUSE_MS = 150;
/** Courses and events: plans and cards are made from them. */
const SCHEDULE = '/schedule';

/**
 * Keeps the players of the roster in the browser, to be read without a network: not only those who were
 * opened. One after another, those who changed since they were kept; not where the browser is asked to save data.
 */
export function useRosterKept(entries: Ref<readonly RosterEntry[] | undefined>): void {
  const visibility = useDocumentVisibility();
  const { saveData } = useNetwork();
  const connection = useConnection();
  const left = new AbortController();
  let begun = false;
  onScopeDispose(() => {
    left.abort();
  });
  watch(
    entries,
    (now) => {
      if (!now || begun) return;
      begun = true;
      void keep(now).catch(() => undefined);
    },
    { immediate: true },
  );

  async function keep(roster: readonly RosterEntry[]): Promise<void> {
    await pause(BEGINS_AFTER_MS);
    const wanted: { path: string; changedAt: string | undefined }[] = [
      { path: SCHEDULE, changedAt: undefined },
      ...roster.slice(0, MAX_KEPT).map(({ player, lastChanges }) => ({
        path: `/players/${player.id}/sheet`,
        changedAt: lastChanges[0]?.at,
      })),
    ];
    for (const { path, changedAt } of wanted) {
      // What was last seen is kept already.
      const isKeeping = Boolean(navigator.serviceWorker?.controller) && connection.lastSeenAt === null;
      if (!isKeeping || left.signal.aborted || saveData.value || visibility.value === 'hidden') return;
      if (await isKeptSince(path, changedAt)) continue;
      // The browser's worker keeps the answer as it passes. Without a network there is nothing to keep.
      await request(path, { signal: left.signal }).catch(unlessRefused);
      await pause(PAUSE_MS);
    }
  }
}

/** A player may have been deleted since: the others are kept all the same. */
function unlessRefused(error: unknown): void {
  if (!(error instanceof ApiError)) throw error;
}

/** Whether it was kept after it last changed, and not long ago. */
async function isKeptSince(path: string, changedAt: string | undefined): Promise<boolean> {
  const kept = await caches.open(LAST_SEEN_CACHE);
  const answer = await kept.match(keptUnder(new URL(`/api${path}`, window.location.href)));
  const keptAt = Date.parse(answer?.headers.get('date') ?? '');
  // An answer's date has no parts of a second.
  return keptAt > Date.now() - GOOD_FOR_MS && !(changedAt && keptAt <= Date.parse(changedAt));
}

const pause = (ms: number) => new Promise<void>((resolve) => setTimeout(resolve, ms));
