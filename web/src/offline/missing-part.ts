import { readonly, ref } from 'vue';
import type { Router } from 'vue-router';

/** What could not be opened for want of a part of the program. */
interface MissingPart {
  /** The view that was to be opened; undefined for a part of the one that is open. */
  view?: string;
  /** Where the whole page is loaded again. */
  address: string;
}

const missing = ref<MissingPart | null>(null);

/**
 * A part of the program that did not come when it was needed, null while there is none: the server has a newer
 * version by now, whose parts have other names, or it could not be reached.
 */
export const missingPart = readonly(missing);

const here = () => location.pathname + location.search;

function noteMissing(): void {
  missing.value ??= { address: here() };
}

/** @param router tells of views that are gone to */
export function watchParts(router: Router): void {
  let didFail = false;
  window.addEventListener('vite:preloadError', () => {
    didFail = true;
    noteMissing();
  });
  router.beforeEach(() => {
    didFail = false;
    if (missing.value?.view) missing.value = null;
  });
  router.onError((_error, { meta, fullPath }) => {
    if (didFail) missing.value = { view: meta.title as string | undefined, address: fullPath };
  });
}

/** A worker whose program did not come answers nothing, ever. A fault of one that runs has a message. */
export function watchWorker(worker: Worker): Worker {
  worker.addEventListener('error', (event: Event) => {
    if (!('message' in event)) noteMissing();
  });
  return worker;
}

/** Loads the whole page again, with the parts it has by now. */
export function loadPageAgain(): void {
  if (!missing.value || missing.value.address === here()) location.reload();
  else location.assign(missing.value.address);
}
