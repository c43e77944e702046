import { ref } from 'vue';

/** A day with the page open is long enough to ask whether there is a newer one. */
const ASK_MS = 60 * 60 * 1000;

const isReady = ref(false);
let takeIt: (() => Promise<void>) | undefined;
let started = false;

/** The page's service worker, registered once the page has been shown: it opens without a network, and a newer version waits to be taken. */
export function useUpdate() {
  if (!started && import.meta.env.PROD && 'serviceWorker' in navigator) {
    started = true;
    void start();
  }
  return {
    isReady,
    take: () => takeIt?.(),
    later: () => {
      isReady.value = false;
    },
  };
}

async function start(): Promise<void> {
  const { Workbox } = await import('workbox-window');
  const worker = new Workbox('/service-worker.js');
  worker.addEventListener('waiting', () => {
    isReady.value = true;
  });
  worker.addEventListener('controlling', (event) => {
    if (event.isUpdate) window.location.reload();
  });
  takeIt = () => Promise.resolve(worker.messageSkipWaiting());
  const registration = await worker.register();
  setInterval(() => void registration?.update(), ASK_MS);
}
