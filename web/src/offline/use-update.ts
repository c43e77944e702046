import { ref } from 'vue';
import { takeOver } from './take-over';

/** A page that stays open asks so often whether there is a newer one. */
const ASK_MS = 60 * 60 * 1000;
/**
 * On a first visit it waits so long: it fetches every file there is, which a user opening a page would wait
 * for.
 */
const FIRST_MS = 4000;
/**
 * A worker that could not be started, on a busy machine or a bad connection, is tried again after so long, then
 * twice as long, and so on.
 */
const AGAIN_MS = 3000;
const MAX_AGAIN_MS = 5 * 60 * 1000;

const isReady = ref(false);
/** The one before serves the page until what it is at is done. */
const isTaking = ref(false);
let takeIt: (() => void) | undefined;
let started = false;

/**
 * The page's service worker, registered once the page has been shown: it opens without a network, and a newer
 * version waits to be taken.
 */
export function useUpdate() {
  if (!started && import.meta.env.PROD && 'serviceWorker' in navigator) {
    started = true;
    setTimeout(() => void start(AGAIN_MS), navigator.serviceWorker.controller ? 0 : FIRST_MS);
  }
  return {
    isReady,
    isTaking,
    take: () => {
      isTaking.value = true;
      takeIt?.();
    },
    later: () => {
      isReady.value = false;
    },
  };
}

async function start(againMs: number): Promise<void> {
  let isTriedAgain = false;
  const again = () => {
    // What serves the page already goes on serving it.
    if (isTriedAgain || navigator.serviceWorker.controller) return;
    isTriedAgain = true;
    setTimeout(() => void start(Math.min(MAX_AGAIN_MS, 2 * againMs)), againMs);
  };
  try {
    const { Workbox } = await import('workbox-window');
    const worker = new Workbox('/service-worker.js');
    worker.addEventListener('waiting', () => {
      isReady.value = true;
    });
    let isTaken = false;
    // The first worker of a page is no update of it, whatever comes after it is: also on the day of the first
    // visit.
    let hasWorker = navigator.serviceWorker.controller !== null;
    const reload = () => {
      window.location.reload();
    };
    /** Taken on another page of this browser: here someone may be typing, so it is offered again. */
    const takenElsewhere = () => {
      takeIt = reload;
      isTaking.value = false;
      isReady.value = true;
    };
    worker.addEventListener('controlling', () => {
      if (isTaken) {
        reload();
        return;
      }
      const isUpdate = hasWorker;
      hasWorker = true;
      if (isUpdate) takenElsewhere();
    });
    // Of the pages of this browser, for what no worker tells them.
    const pages = new BroadcastChannel('tasche.update');
    pages.onmessage = takenElsewhere;
    worker.addEventListener('redundant', again);
    const registration = await worker.register();
    // On a slow machine the first took the page over before anything listened.
    hasWorker ||= navigator.serviceWorker.controller !== null;
    takeIt = () => {
      isTaken = true;
      takeOver(registration, {
        ask: () => {
          worker.messageSkipWaiting();
        },
        isServerThere: () =>
          fetch('/api/health').then(
            ({ ok }) => ok,
            () => false,
          ),
        tellOthers: () => {
          pages.postMessage('taken');
        },
        reload,
      });
    };
    setInterval(() => void registration?.update().catch(() => undefined), ASK_MS);
  } catch {
    again();
  }
}
