import { defineStore } from 'pinia';
import { ref } from 'vue';
import { readAllAgain } from '../api/read';
import { answered, request } from '../api/request';
import { LAST_SEEN_HEADER } from '../../service-worker/last-seen';

/** How often the server is asked whether it is back. */
const ASK_MS = 2000;

/** Whether what is on the screen comes from the server, or is what was last seen of it. */
export const useConnection = defineStore('connection', () => {
  /**
   * When what is shown was read, where it is not fresh: an ISO time or an HTTP date; null while the server
   * answers.
   */
  const lastSeenAt = ref<string | null>(null);
  let asking: ReturnType<typeof setTimeout> | undefined;

  answered.on((response) => {
    const seen = response.headers.get(LAST_SEEN_HEADER);
    if (seen === null) return;
    lastSeenAt.value = seen;
    asking ??= setTimeout(() => void ask(), ASK_MS);
  });

  /** What was shown as it was last seen is read again as soon as the server is back. */
  async function ask(): Promise<void> {
    asking = undefined;
    const isBack = await fetch('/api/health')
      .then(({ ok }) => ok)
      .catch(() => false);
    if (!isBack) {
      asking = setTimeout(() => void ask(), ASK_MS);
      return;
    }
    lastSeenAt.value = null;
    readAllAgain();
  }

  return { lastSeenAt };
});

/** Nothing was sent for this long: what is kept to be read without a network is read again. */
const QUIET_MS = 2000;
const copies = new Map<string, ReturnType<typeof setTimeout>>();

/** Has the browser keep what the server shows now, after something was sent, to be read without a network. */
export function keepCopy(path: string): void {
  if (typeof navigator === 'undefined' || !navigator.serviceWorker?.controller) return;
  clearTimeout(copies.get(path));
  copies.set(
    path,
    setTimeout(() => {
      copies.delete(path);
      // Without it an older copy is read; there is nothing else to be done.
      void request(path).catch(() => undefined);
    }, QUIET_MS),
  );
}
