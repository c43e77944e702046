import { withRenamedFields } from '@tasche/contract';
import { useEventListener } from '@vueuse/core';
import { shallowRef, type ShallowRef } from 'vue';

/**
 * A list kept in this browser's storage, in the order it was made, one entry a key: two tabs never overwrite
 * each other's.
 */
interface KeptList<T> {
  entries: Readonly<ShallowRef<readonly T[]>>;
  add: (entry: T) => void;
  /** Writes an entry again, in its place; nothing if it was removed. */
  replace: (entry: T) => void;
  remove: (id: string) => void;
  /** Reads what other tabs did. */
  refresh: () => void;
}

let count = 0;

/**
 * @param name what its keys begin with
 * @param idOf tells its entries from each other
 */
export function keptList<T>(name: string, idOf: (entry: T) => string): KeptList<T> {
  const prefix = `${name}/`;
  const entries = shallowRef<readonly T[]>([]);

  const keys = () =>
    Object.keys(localStorage)
      .filter((key) => key.startsWith(prefix))
      .sort();
  const keyOf = (id: string) => keys().find((key) => key.endsWith(`/${id}`));
  /**
   * What was read last, by its key: what has not changed is the same object, so that nothing is drawn again.
   */
  let known = new Map<string, { text: string; entries: T[] }>();
  const refresh = () => {
    const found = new Map(
      keys().flatMap((key) => {
        const text = localStorage.getItem(key);
        if (text === null) return [];
        const before = known.get(key);
        return [[key, before?.text === text ? before : { text, entries: parsed<T>(text) }] as const];
      }),
    );
    const isSame = found.size === known.size && [...found].every(([key, one]) => known.get(key) === one);
    known = found;
    if (!isSame) entries.value = [...found.values()].flatMap((one) => one.entries);
  };

  function add(entry: T): void {
    // The clock orders tabs, the count what one of them does within a millisecond.
    const place = `${String(Date.now()).padStart(15, '0')}-${String(count++).padStart(6, '0')}`;
    localStorage.setItem(`${prefix}${place}/${idOf(entry)}`, JSON.stringify(entry));
    refresh();
  }
  function replace(entry: T): void {
    const key = keyOf(idOf(entry));
    if (key) localStorage.setItem(key, JSON.stringify(entry));
    refresh();
  }
  function remove(id: string): void {
    const key = keyOf(id);
    if (key) localStorage.removeItem(key);
    refresh();
  }

  refresh();
  useEventListener(globalThis as unknown as Window, 'storage', (event: StorageEvent) => {
    if (event.key === null || event.key.startsWith(prefix)) refresh();
  });
  return { entries, add, replace, remove, refresh };
}

function parsed<T>(text: string): T[] {
  try {
    // It may be from an older version.
    return [withRenamedFields(JSON.parse(text)) as T];
  } catch {
    return [];
  }
}
