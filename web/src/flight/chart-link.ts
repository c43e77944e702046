import { wrap, type Remote } from 'comlink';
import type { ChartWorker } from './chart-worker';

let link: Remote<ChartWorker> | undefined;

/**
 * The worker that draws charts, started when it is first asked: the first drawing takes a quarter of a second.
 */
export function chartWorker(): Remote<ChartWorker> {
  link ??= wrap<ChartWorker>(
    new Worker(new URL('./chart-worker.ts', import.meta.url), { type: 'module', name: 'charts' }),
  );
  return link;
}
