import type { BendAnswer } from '@tasche/core';
import { watchDebounced } from '@vueuse/core';
import { wrap, type Remote } from 'comlink';
import { onScopeDispose, ref, shallowRef, type ComputedRef } from 'vue';
import type { BendQuestion, BendWorker } from './bend-worker';

const SETTLE_MS = 60;

/** The bend plan of a bag, worked out beside the page whenever the question changes. */
export function useBendPlan(question: ComputedRef<BendQuestion | null>) {
  /** Null while it is being worked out, and where nothing can be. */
  const answer = shallowRef<BendAnswer | null>(null);
  const problem = ref('');
  let worker: Worker | undefined;
  let link: Remote<BendWorker> | undefined;
  let lastRequestId = 0;

  watchDebounced(
    // By what it asks: the same question, because something else of the sheet moved, keeps its answer.
    () => JSON.stringify(question.value),
    async () => {
      const asked = question.value;
      const requestId = ++lastRequestId;
      if (!asked) {
        answer.value = null;
        return;
      }
      worker ??= new Worker(new URL('./bend-worker.ts', import.meta.url), { type: 'module', name: 'bend' });
      link ??= wrap<BendWorker>(worker);
      try {
        const found = await link.plan(asked);
        if (requestId !== lastRequestId) return;
        answer.value = found;
        problem.value = '';
      } catch (error) {
        if (requestId !== lastRequestId) return;
        answer.value = null;
        problem.value = `The bends could not be worked out: ${(error as Error).message}`;
      }
    },
    { debounce: SETTLE_MS, immediate: true },
  );
  onScopeDispose(() => {
    lastRequestId += 1;
    worker?.terminate();
  });
  return { answer, problem };
}
