import { LEAVE } from '../../service-worker/messages';

/** The worker before is waited for so long: it ends what it is at first. */
const PATIENCE_MS = 15_000;

/**
 * Lets the waiting worker take the page over. A worker that is stuck at something would keep it waiting for
 * minutes: then both are put away, and the page comes from the server, which has the newer one.
 * @param ask tells the waiting worker not to wait
 * @param tellOthers that it was taken, where no worker will: the other pages of this browser
 * @param reload loads the page anew; whoever asks does so by themselves once the worker has taken over
 */
export function takeOver(
  registration: Pick<ServiceWorkerRegistration, 'active' | 'waiting' | 'unregister'> | undefined,
  ask: () => void,
  tellOthers: () => void,
  reload: () => void,
): void {
  if (!registration?.waiting) {
    reload();
    return;
  }
  registration.active?.postMessage({ type: LEAVE });
  ask();
  setTimeout(() => {
    void registration
      .unregister()
      .catch(() => false)
      .then(() => {
        tellOthers();
        reload();
      });
  }, PATIENCE_MS);
}
