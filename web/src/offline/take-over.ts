import { LEAVE } from '../../service-worker/messages';

/** The worker before is waited for so long: it ends what it is at first. */
const PATIENCE_MS = 15_000;

interface TakeOver {
  /** Tells the waiting worker not to wait. */
  ask: () => void;
  /** Whether the server answers. */
  isServerThere: () => Promise<boolean>;
  /** Tells the other pages of this browser about the update, where no worker will. */
  tellOthers: () => void;
  /** Loads the page again; the caller does that once the worker has taken over. */
  reload: () => void;
}

/**
 * Lets the waiting worker take the page over. A worker that is stuck at something would keep it waiting for
 * minutes: then both are put away, and the page comes from the server, which has the newer one. Without a
 * server they stay, for nothing else opens the page, and it is tried again.
 */
export function takeOver(
  registration: Pick<ServiceWorkerRegistration, 'active' | 'waiting' | 'unregister'> | undefined,
  by: TakeOver,
): void {
  if (!registration?.waiting) {
    by.reload();
    return;
  }
  registration.active?.postMessage({ type: LEAVE });
  by.ask();
  setTimeout(() => {
    void by.isServerThere().then(async (isThere) => {
      if (!isThere) {
        takeOver(registration, by);
        return;
      }
      await registration.unregister().catch(() => false);
      by.tellOthers();
      by.reload();
    });
  }, PATIENCE_MS);
}
