import { wrap, type Remote } from 'comlink';
import { watchWorker } from '../offline/missing-part';
import type { ConditionsWorker } from './conditions-worker';

let link: Remote<ConditionsWorker> | undefined;

/** The one worker of the page, started when it is first asked. */
export function conditionsWorker(): Remote<ConditionsWorker> {
  link ??= wrap<ConditionsWorker>(
    watchWorker(
      new Worker(new URL('./conditions-worker.ts', import.meta.url), { type: 'module', name: 'conditions' }),
    ),
  );
  return link;
}
