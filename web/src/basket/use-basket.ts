import type { NextBasket } from '@tasche/core';
import { proxy, wrap } from 'comlink';
import { onScopeDispose, ref, shallowRef } from 'vue';
import type { BasketQuestion, BasketWorker } from './basket-worker';

/** The next basket, worked out beside the page, with how far that is and a way to stop it. */
export function useBasket() {
  /** Undefined before it was asked for, null where nothing says how far the player hits it. */
  const basket = shallowRef<NextBasket | null | undefined>(undefined);
  /** How much of it is worked out; null while nothing is. */
  const share = ref<number | null>(null);
  const problem = ref('');
  let worker: Worker | undefined;
  let lastRequestId = 0;

  function stop(): void {
    lastRequestId += 1;
    worker?.terminate();
    worker = undefined;
    share.value = null;
  }

  async function ask(question: BasketQuestion): Promise<void> {
    stop();
    const requestId = lastRequestId;
    basket.value = undefined;
    problem.value = '';
    share.value = 0;
    worker = new Worker(new URL('./basket-worker.ts', import.meta.url), { type: 'module', name: 'basket' });
    try {
      const found = await wrap<BasketWorker>(worker).basket(
        question,
        proxy((done: number) => {
          if (requestId === lastRequestId) share.value = done;
        }),
      );
      if (requestId === lastRequestId) basket.value = found;
    } catch (error) {
      if (requestId === lastRequestId)
        problem.value = `The basket could not be worked out: ${(error as Error).message}`;
    } finally {
      if (requestId === lastRequestId) stop();
    }
  }

  onScopeDispose(stop);
  return { basket, share, problem, ask, stop };
}
