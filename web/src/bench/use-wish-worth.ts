import type { WishAnswer } from '@tasche/core';
import { watchDebounced } from '@vueuse/core';
import { wrap } from 'comlink';
import { onScopeDispose, ref, shallowRef, type ComputedRef } from 'vue';
import type { WishQuestion, WishWorker } from './wish-worker';

const SETTLE_MS = 250;

/**
 * What wishes are worth, worked out beside the page; a new question stops the one before, and so can the
 * reader.
 */
export function useWishWorth(question: ComputedRef<WishQuestion | null>) {
  /** Undefined before it is known, null where nothing says how far the player hits it. */
  const answer = shallowRef<WishAnswer | null | undefined>(undefined);
  const working = ref(false);
  const problem = ref('');
  let worker: Worker | undefined;
  let lastRequestId = 0;

  function stop(): void {
    lastRequestId += 1;
    worker?.terminate();
    worker = undefined;
    working.value = false;
  }

  watchDebounced(
    () => JSON.stringify(question.value),
    async () => {
      stop();
      const asked = question.value;
      answer.value = undefined;
      problem.value = '';
      if (!asked) return;
      const requestId = lastRequestId;
      working.value = true;
      worker = new Worker(new URL('./wish-worker.ts', import.meta.url), { type: 'module', name: 'wishes' });
      try {
        const found = await wrap<WishWorker>(worker).worth(asked);
        if (requestId === lastRequestId) answer.value = found;
      } catch (error) {
        if (requestId === lastRequestId)
          problem.value = `What the wishes are worth could not be worked out: ${(error as Error).message}`;
      } finally {
        if (requestId === lastRequestId) stop();
      }
    },
    { debounce: SETTLE_MS, immediate: true },
  );
  onScopeDispose(stop);
  return { answer, working, problem, stop };
}
