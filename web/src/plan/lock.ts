import type { BagPreferences } from '@tasche/core';

/** A club is always in, never in, or free. */
export type Lock = 'always' | 'never' | 'open';
type Locks = Pick<BagPreferences, 'always' | 'never'>;

export const LOCK_WORDS: Readonly<Record<Lock, string>> = {
  always: 'always in',
  never: 'never in',
  open: 'free',
};
/** What a press on a lock makes of it. */
export const NEXT_LOCK: Readonly<Record<Lock, Lock>> = { open: 'always', always: 'never', never: 'open' };

export function lockOf(id: string, { always, never }: Locks): Lock {
  if (always.includes(id)) return 'always';
  return never.includes(id) ? 'never' : 'open';
}

/** The locks once this club's is that. */
export function withLock(id: string, lock: Lock, { always, never }: Locks): Locks {
  const without = (ids: readonly string[]) => ids.filter((one) => one !== id);
  return {
    always: lock === 'always' ? [...without(always), id] : without(always),
    never: lock === 'never' ? [...without(never), id] : without(never),
  };
}

/** The mark of a lock; that of a free club tells whether it is chosen. */
export function lockMark(lock: Lock, isChosen: boolean): string {
  return { always: '■', never: '✕', open: isChosen ? '●' : '○' }[lock];
}
