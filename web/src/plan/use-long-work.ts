import { proxy, type Remote } from 'comlink';
import { onScopeDispose, ref, shallowRef } from 'vue';
import type { RoundWorker } from './round-worker';
import { startRoundWorker } from './start-round-worker';

/**
 * What workers are asked; it reads what it asks of when it is called. `soFar` shows an answer that is not the
 * last one.
 */
type Work<T> = (
  links: readonly [Remote<RoundWorker>, ...Remote<RoundWorker>[]],
  progress: (share: number) => void,
  soFar: (answer: T) => void,
) => Promise<T>;

/** Each keeps memory of its own. Our choice. */
const MAX_WORKERS = 4;

/** Something long about rounds, by workers of its own, with how far it is and a way to stop it. */
export function useLongWork<T>() {
  const result = shallowRef<T | null>(null);
  const share = ref<number | null>(null);
  const problem = ref('');
  let running: { workers: readonly Worker[]; work: Work<T>; count: number } | undefined;
  let lastRequestId = 0;

  function stop(): void {
    lastRequestId += 1;
    running?.workers.forEach((worker) => {
      worker.terminate();
    });
    running = undefined;
    share.value = null;
  }
  /**
   * @param work what the workers are asked
   * @param count how many of them can be kept busy; there are never more than the machine has use for
   */
  async function run(work: Work<T>, count = 1): Promise<void> {
    stop();
    const start = () => startRoundWorker('round, at length');
    const first = start();
    const others = Array.from(
      { length: Math.min(count, MAX_WORKERS, navigator.hardwareConcurrency) - 1 },
      start,
    );
    running = { workers: [first, ...others].map(({ worker }) => worker), work, count };
    const requestId = lastRequestId;
    share.value = 0;
    problem.value = '';
    // What comes late, of work that was stopped or begun anew, is not taken.
    const show = (answer: T) => {
      if (requestId === lastRequestId) result.value = answer;
    };
    try {
      const answer = await work(
        [first.link, ...others.map(({ link }) => link)],
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
    const { work, count } = running ?? {};
    clear();
    if (work) void run(work, count);
  }
  onScopeDispose(stop);
  return { result, share, problem, run, stop, clear, renew };
}
