import { wrap, type Remote } from 'comlink';
import { watchWorker } from '../offline/missing-part';
import type { RangeWorker } from './range-worker';

let link: Remote<RangeWorker> | undefined;

/** The worker that fills in and sums up what was hit, started when it is first asked. */
export function rangeWorker(): Remote<RangeWorker> {
  link ??= wrap<RangeWorker>(
    watchWorker(new Worker(new URL('./range-worker.ts', import.meta.url), { type: 'module', name: 'range' })),
  );
  return link;
}
