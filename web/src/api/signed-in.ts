import { createEventHook } from '@vueuse/core';
import { shallowRef } from 'vue';
import type { SignedInView } from '@tasche/contract';

/** Who this browser is signed in as, and where; null while unknown or signed out. */
export const signedIn = shallowRef<SignedInView | null>(null);

/** Called when the server says that no one is signed in here any more. */
export const signedOut = createEventHook();

/** What goes back with everything that is written. */
export function writeHeaders(): Record<string, string> {
  const csrf = signedIn.value?.csrf;
  return csrf == null ? {} : { 'x-csrf-token': csrf };
}

/**
 * The key under which one person's work in one workspace is kept in the browser; undefined while not known.
 */
export function placeKey(): string | undefined {
  const view = signedIn.value;
  return view ? `${view.personId ?? 'machine'}/${view.workspace.id}` : undefined;
}
