import type { LadderClub, Lie, PlayingConditions } from '@tasche/core';
import { ref, shallowRef, watch, type Ref } from 'vue';
import type { FlightTrace } from '../conditions/conditions-worker';
import { conditionsWorker } from '../conditions/worker-link';

/** Work that takes longer is said to be under way. */
const BUSY_MS = 300;

/**
 * The flights of clubs in some air and off some lie, worked out again by the worker whenever either changes.
 */
export function useFlights(
  clubs: Readonly<Ref<readonly LadderClub[]>>,
  setting: Readonly<Ref<PlayingConditions | null>>,
  baseline: Readonly<Ref<PlayingConditions>>,
  lie: Readonly<Ref<Lie>>,
  handicap: () => number,
) {
  /** Null until the worker has answered. */
  const traces = shallowRef<readonly FlightTrace[] | null>(null);
  const problem = ref('');
  const busy = ref(false);
  let lastRequestId = 0;
  watch(
    [clubs, setting, baseline, lie, handicap],
    async ([those, to, from, off, skill]) => {
      const requestId = ++lastRequestId;
      const slow = setTimeout(() => {
        if (requestId === lastRequestId) busy.value = true;
      }, BUSY_MS);
      try {
        const answer = await conditionsWorker().flights(those, from, to ?? from, off, skill);
        if (requestId === lastRequestId) {
          traces.value = answer;
          problem.value = '';
        }
      } catch (error) {
        if (requestId === lastRequestId)
          problem.value = `The flights could not be worked out: ${(error as Error).message}`;
      } finally {
        clearTimeout(slow);
        if (requestId === lastRequestId) busy.value = false;
      }
    },
    { immediate: true },
  );
  return { traces, problem, busy };
}
