import { expose } from 'comlink';
import { vi } from 'vitest';

/** Every worker that is started answers with `api`, until it is terminated or `vi.unstubAllGlobals` is called. */
export function answerAsWorker(api: object): void {
  vi.stubGlobal(
    'Worker',
    class {
      constructor() {
        const { port1, port2 } = new MessageChannel();
        expose(api, port1);
        port2.start();
        return Object.assign(port2, {
          terminate: () => {
            port1.close();
            port2.close();
          },
        });
      }
    },
  );
}
