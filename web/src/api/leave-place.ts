import type { SignedInView } from '@tasche/contract';
import { LAST_SEEN_CACHE } from '../../service-worker/last-seen';

/** Throws away what was kept to be read without a network: nobody else may read it. */
export async function forgetLastSeen(): Promise<void> {
  if (typeof caches !== 'undefined') await caches.delete(LAST_SEEN_CACHE).catch(() => false);
}

/** Whether this browser is now with another person, or in another workspace. */
export function isElsewhere(before: SignedInView, now: SignedInView): boolean {
  return before.personId !== now.personId || before.workspace.id !== now.workspace.id;
}

/**
 * Opens the page anew, for another person or workspace: everything that was read goes with the page, and what
 * one person half typed is not for the next.
 */
export async function leavePlace({
  to,
  isOtherPerson,
}: {
  to: string;
  isOtherPerson: boolean;
}): Promise<void> {
  await forgetLastSeen();
  if (isOtherPerson) sessionStorage.clear();
  const { pathname, search, hash } = window.location;
  // To the same address, with what is after its #, a browser would only scroll.
  if (hash !== '' && to === pathname + search + hash) window.location.reload();
  else window.location.assign(to);
}
