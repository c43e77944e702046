import type { ReviewView } from '@tasche/contract';
import { wrap } from 'comlink';
import { onScopeDispose, shallowRef, watch, type Ref } from 'vue';
import type { UsualQuestion, UsualRoundWorker } from '../bag/usual-round-worker';
import { watchWorker } from '../offline/missing-part';

/**
 * What each swap was to gain: strokes of a usual round, the bag before against the bag after, by what is
 * known of their clubs now. Null for one whose clubs are not all there any more; nothing until it is worked
 * out, or where it cannot be.
 */
export function useSwapGains(
  swaps: Readonly<Ref<ReviewView['swaps']>>,
  question: () => UsualQuestion | null,
): Readonly<Ref<ReadonlyMap<string, number | null>>> {
  const gains = shallowRef<ReadonlyMap<string, number | null>>(new Map());
  let worker: Worker | undefined;
  let lastRequestId = 0;
  function end(): void {
    worker?.terminate();
    worker = undefined;
  }
  watch(
    swaps,
    async (asked) => {
      const requestId = ++lastRequestId;
      end();
      const usual = question();
      if (!usual || asked.length === 0) return;
      worker = watchWorker(
        new Worker(new URL('../bag/usual-round-worker.ts', import.meta.url), {
          type: 'module',
          name: 'usual round',
        }),
      );
      // What cannot be worked out is left out.
      const found = await wrap<UsualRoundWorker>(worker)
        .gains(
          usual,
          asked.map(({ before, after }) => ({ before, after })),
        )
        .catch(() => null);
      if (requestId !== lastRequestId) return;
      gains.value = new Map(asked.map(({ id }, i) => [id, found?.[i] ?? null]));
      end();
    },
    { immediate: true },
  );
  onScopeDispose(() => {
    lastRequestId += 1;
    end();
  });
  return gains;
}
