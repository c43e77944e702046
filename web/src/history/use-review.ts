import { baselineOf, tellsCarry, type ReviewView } from '@tasche/contract';
import { ladderClub, type LadderClub } from '@tasche/core';
import { computed, onScopeDispose, ref, shallowRef, watch } from 'vue';
import { request } from '../api/request';
import { rangeWorker } from '../range/range-link';
import { useRangeOf } from '../range/range-store';
import { useSheet } from '../sheet/sheet-store';
import type { PredictionOfDay } from './review';

/**
 * A time looked back on: its swaps, and every carry that was expected before a session with what the session
 * found.
 */
export function useReview(playerId: () => string, span: () => { from: string; to: string }) {
  const store = useSheet();
  const range = useRangeOf(playerId, () => 'all');
  const review = shallowRef<ReviewView | null>(null);
  const predictions = shallowRef<readonly PredictionOfDay[]>([]);
  /** How far the working out has come; null while there is none. */
  const share = ref<number | null>(null);
  const problem = ref('');
  let lastRequestId = 0;

  function stop(): void {
    lastRequestId += 1;
    share.value = null;
  }

  async function load(): Promise<void> {
    const requestId = ++lastRequestId;
    const { from, to } = span();
    problem.value = '';
    share.value = 0;
    try {
      const found = await request<ReviewView>(`/players/${playerId()}/review?from=${from}&to=${to}`);
      if (requestId !== lastRequestId) return;
      review.value = found;
      const all: PredictionOfDay[] = [];
      const baseline = baselineOf(store.sheet!.player);
      for (const [i, { day, clubs }] of found.days.entries()) {
        const sessions = range.sessions
          .filter(({ heldOn }) => heldOn === day)
          .map((one) => range.strikesOf(one, (strike) => tellsCarry(one.hitOff, range.clubOf(strike)?.kind)));
        const ladder: LadderClub[] = clubs.map(ladderClub);
        const came = await rangeWorker().predict(ladder, sessions, baseline);
        if (requestId !== lastRequestId) return;
        all.push(...came.map((one) => ({ ...one, day })));
        share.value = (i + 1) / found.days.length;
      }
      predictions.value = all;
    } catch (error) {
      if (requestId === lastRequestId) problem.value = (error as Error).message;
    }
    if (requestId === lastRequestId) share.value = null;
  }

  watch(
    [playerId, () => span().from, () => span().to, () => range.state, () => store.lastChangeId],
    ([, , , state]) => {
      if (state === 'ready') void load();
    },
    { immediate: true },
  );
  onScopeDispose(stop);
  /** The range has more shots than one answer holds. */
  const hasMoreShots = computed(() => range.more);
  const rangeState = computed(() => range.state);
  return { review, predictions, share, problem, rangeState, hasMoreShots, stop, load };
}
