import { proxy, type Remote } from 'comlink';
import { onScopeDispose, ref, shallowRef } from 'vue';
import type { RoundWorker } from './round-worker';
import { startRoundWorker } from './start-round-worker';

/**
 * What a worker is asked; it reads what it asks of when it is called. `soFar` shows an answer that is not the
 * last one.
 */
type Work<T> = (
  link: Remote<RoundWorker>,
  progress: (share: number) => void,
  soFar: (answer: T) => void,
) => Promise<T>;

/** Something long about a round, by a worker of its own, with how far it is and a way to stop it. */
export function useLongWork<T>() {
  const result = shallowRef<T | null>(null);
  const share = ref<number | null>(null);
  const problem = ref('');
  let running: (ReturnType<typeof startRoundWorker> & { work: Work<T> }) | undefined;
  let lastRequestId = 0;

  function stop(): void {
    lastRequestId += 1;
    running?.worker.terminate();
    running = undefined;
    share.value = null;
  }
  /** @param work what the worker is asked */
  async function run(work: Work<T>): Promise<void> {
    stop();
    running = { ...startRoundWorker('round, at length'), work };
    const requestId = lastRequestId;
    share.value = 0;
    problem.value = '';
    // What comes late, of work that was stopped or begun anew, is not taken.
    const show = (answer: T) => {
      if (requestId === lastRequestId) result.value = answer;
    };
    try {
      const answer = await work(
        running.link,
        proxy((done: number) => {
          if (requestId === lastRequestId) share.value = done;
        }) as unknown as (share: number) => void,
        show,
      );
      show(answer);
    } catch (error) {
      if (requestId === lastRequestId) problem.value = (error as Error).message;
    } finally {
      if (requestId === lastRequestId) stop();
    }
  }
  function clear(): void {
    stop();
    result.value = null;
  }
  /** What it hangs on has changed: work that was begun begins anew, and an answer is one no more. */
  function renew(): void {
    const work = running?.work;
    clear();
    if (work) void run(work);
  }
  onScopeDispose(stop);
  return { result, share, problem, run, stop, clear, renew };
}
