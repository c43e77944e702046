import { computed, type ComputedRef } from 'vue';

/**
 * A computed value that stays the same object while it says the same: what is drawn from it is not drawn
 * again because something else was saved. Its value must be plain data; it is compared as JSON.
 */
export function steady<T>(get: () => T): ComputedRef<T> {
  let said: string | undefined;
  return computed<T>((before) => {
    const next = get();
    const says = JSON.stringify(next);
    if (before !== undefined && says === said) return before;
    said = says;
    return next;
  });
}

/** The same for a list that is compared by its members themselves: a list of the same ones is the same list. */
export function steadyList<T>(get: () => readonly T[]): ComputedRef<readonly T[]> {
  return computed<readonly T[]>((before) => {
    const next = get();
    return before?.length === next.length && next.every((one, i) => one === before[i]) ? before : next;
  });
}
