import { createEventHook } from '@vueuse/core';
import { shallowRef } from 'vue';
import type { SignedInView } from '@tasche/contract';

/** Who this browser is signed in as, and where; null while nobody knows or nobody is. */
export const signedIn = shallowRef<SignedInView | null>(null);

/** Told when the server says that nobody is signed in here any more. */
export const signedOut = createEventHook();

/** What goes back with everything that is written. */
export function writeHeaders(): Record<string, string> {
  const csrf = signedIn.value?.csrf;
  return csrf == null ? {} : { 'x-csrf-token': csrf };
}

/**
 * Tells one person's work in one workspace from another's, where it is kept in the browser; undefined while
 * nobody knows.
 */
export function placeKey(): string | undefined {
  const view = signedIn.value;
  return view ? `${view.personId ?? 'machine'}/${view.workspace.id}` : undefined;
}
