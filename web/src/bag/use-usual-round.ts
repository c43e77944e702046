import type { Remedy } from '@tasche/core';
import { watchDebounced } from '@vueuse/core';
import { wrap, type Remote } from 'comlink';
import { onScopeDispose, shallowRef, type ComputedRef } from 'vue';
import { newestOnly } from '../app/newest-only';
import { watchWorker } from '../offline/missing-part';
import type { UsualQuestion, UsualRoundWorker } from './usual-round-worker';

/** Long enough for several quick changes to be one question, and for the ladder to be painted first. */
const SETTLE_MS = 120;

/** What a usual round says of a bag: its remedies, and what a swap would cost; worked out beside the page. */
export function useUsualRound(question: ComputedRef<UsualQuestion | null>) {
  /** Null while they are being looked for, or where nothing can be said. */
  const remedies = shallowRef<readonly Remedy[] | null>(null);
  let worker: Worker | undefined;
  let link: Remote<UsualRoundWorker> | undefined;
  let lastAsked = '';

  function linked(): Remote<UsualRoundWorker> {
    worker ??= watchWorker(
      new Worker(new URL('./usual-round-worker.ts', import.meta.url), {
        type: 'module',
        name: 'usual round',
      }),
    );
    return (link ??= wrap<UsualRoundWorker>(worker));
  }

  const ask = newestOnly<UsualQuestion | null>(async (asked, isNewest) => {
    // If the advice cannot be worked out, the ladder is shown without it.
    const found =
      asked && asked.bagIds.length > 0
        ? await linked()
            .remedies(asked)
            .catch(() => null)
        : null;
    if (isNewest()) remedies.value = found;
  });
  watchDebounced(
    question,
    (asked) => {
      // The same question, because something else on the page moved, has its answer.
      const key = JSON.stringify(asked);
      if (key === lastAsked) return;
      lastAsked = key;
      remedies.value = null;
      ask(asked);
    },
    { debounce: SETTLE_MS, immediate: true },
  );

  /**
   * What the bag would cost more with that club in, by the id of the one that goes out; null where nothing
   * can be said.
   */
  async function swapsFor(inId: string): Promise<Readonly<Record<string, number>> | null> {
    return question.value
      ? linked()
          .swaps(question.value, inId)
          .catch(() => null)
      : null;
  }

  // What is still being asked stays without an answer.
  onScopeDispose(() => worker?.terminate());
  return { remedies, swapsFor };
}
