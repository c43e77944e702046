import { wrap, type Remote } from 'comlink';
import { onScopeDispose, ref, shallowRef, watch, type ComputedRef } from 'vue';
import { watchWorker } from '../offline/missing-part';
import type { ChosenAnswer, ChoosingWorker, WeekQuestion } from './choosing-worker';

/** Long enough for two quick changes to be one question. */
const SETTLE_MS = 40;
const SLOW_MS = 400;

/**
 * The best bag for what is asked, by a worker of its own: a new question, or "stop", ends the one that is
 * being answered.
 * @param asked null while there is nothing to choose for
 */
export function useChoosing(asked: ComputedRef<WeekQuestion | null>) {
  const chosen = shallowRef<ChosenAnswer | null>(null);
  const busy = ref(false);
  const problem = ref('');
  let worker: Worker | undefined;
  /** One for the worker's life: when a link is collected as garbage, the worker stops listening. */
  let link: Remote<ChoosingWorker> | undefined;
  let timer: ReturnType<typeof setTimeout> | undefined;
  let lastRequestId = 0;

  function stop(): void {
    lastRequestId += 1;
    worker?.terminate();
    worker = undefined;
    link = undefined;
    busy.value = false;
  }
  watch(
    asked,
    (question) => {
      clearTimeout(timer);
      if (!question) {
        stop();
        chosen.value = null;
        return;
      }
      timer = setTimeout(() => void ask(question), SETTLE_MS);
    },
    { immediate: true, deep: false },
  );

  async function ask(question: WeekQuestion): Promise<void> {
    if (busy.value) stop();
    const requestId = ++lastRequestId;
    worker ??= watchWorker(
      new Worker(new URL('./choosing-worker.ts', import.meta.url), {
        type: 'module',
        name: 'choosing',
      }),
    );
    link ??= wrap<ChoosingWorker>(worker);
    const slow = setTimeout(() => {
      if (requestId === lastRequestId) busy.value = true;
    }, SLOW_MS);
    try {
      const answer = await link.choose(question);
      if (requestId === lastRequestId) {
        chosen.value = answer;
        problem.value = '';
      }
    } catch (error) {
      if (requestId === lastRequestId)
        problem.value = `The bag could not be chosen: ${(error as Error).message}`;
    } finally {
      clearTimeout(slow);
      if (requestId === lastRequestId) busy.value = false;
    }
  }
  onScopeDispose(() => {
    clearTimeout(timer);
    stop();
  });
  return { chosen, busy, problem, stop };
}
