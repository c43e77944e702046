import { wrap, type Remote } from 'comlink';
import { watchWorker } from '../offline/missing-part';
import type { RoundWorker } from './round-worker';

/** A worker for rounds, by a name that the browser's tools show. */
export function startRoundWorker(name: string): { worker: Worker; link: Remote<RoundWorker> } {
  const worker = watchWorker(
    new Worker(new URL('./round-worker.ts', import.meta.url), { type: 'module', name }),
  );
  return { worker, link: wrap<RoundWorker>(worker) };
}
