import { defineStore } from 'pinia';
import { v4 as newId } from 'uuid';
import { computed, onScopeDispose, shallowReactive, shallowRef, watch } from 'vue';
import { isUndoOfField } from '../keys/is-typing';
import { useShortcuts } from '../keys/use-shortcuts';
import { useOutbox } from './outbox';

/** Where a change is seen, and taken back by Ctrl Z: a player's pages, the courses and seasons, one event. */
export type UndoScope = `player/${string}` | 'schedule' | `event/${string}`;

interface Entry {
  /** The change that is taken back; of what was taken back, the change that did it. */
  id: string;
  /** Whose it is, in the outbox. */
  owner: string;
  scopes: readonly UndoScope[];
}

/** How many changes back undo goes, after a reload too. */
const MAX_KEPT = 200;
const KEY = 'tasche.undo-stack';

/** What this tab kept before it was loaded again; nothing where that cannot be read. */
function readKept(): { done: readonly Entry[]; undone: readonly Entry[] } {
  const known = (all: unknown): readonly Entry[] =>
    (Array.isArray(all) ? (all as Partial<Entry>[]) : []).filter(
      (one): one is Entry =>
        typeof one?.id === 'string' && typeof one.owner === 'string' && Array.isArray(one.scopes),
    );
  try {
    const kept = JSON.parse(sessionStorage.getItem(KEY) ?? '{}') as Record<string, unknown> | null;
    return { done: known(kept?.done), undone: known(kept?.undone) };
  } catch {
    return { done: [], undone: [] };
  }
}

/**
 * What was done in this tab, the latest last, and what of it was taken back. Undoing is a change too: undoing
 * that is redo. Ctrl Z takes back the last of what is seen on the page.
 */
export const useUndo = defineStore('undo', () => {
  const outbox = useOutbox();
  const kept = readKept();
  const done = shallowRef(kept.done);
  const undone = shallowRef(kept.undone);
  const shown = shallowReactive(new Map<symbol, UndoScope>());
  watch(
    [done, undone],
    () => {
      const of = { done: done.value.slice(-MAX_KEPT), undone: undone.value.slice(-MAX_KEPT) };
      sessionStorage.setItem(KEY, JSON.stringify(of));
    },
    { flush: 'sync' },
  );

  const isShown = ({ scopes }: Entry) => [...shown.values()].some((scope) => scopes.includes(scope));
  const next = computed(() => done.value.findLast(isShown));
  const nextRedo = computed(() => undone.value.findLast(isShown));
  const without = (entries: readonly Entry[], id: string) => entries.filter((one) => one.id !== id);

  /** Something was done: what was taken back where it is seen is not done again any more. */
  function note(entry: Entry): void {
    done.value = [...without(done.value, entry.id), entry];
    undone.value = undone.value.filter(({ scopes }) => !scopes.some((scope) => entry.scopes.includes(scope)));
  }
  /** It was refused: it is not there to be taken back, or done again. */
  function forget(id: string): void {
    done.value = without(done.value, id);
    undone.value = without(undone.value, id);
  }
  function takeBack({ id: changeId, owner, scopes }: Entry): Entry {
    const id = newId();
    outbox.push({ kind: 'undo', playerId: owner, changeId, id });
    return { id, owner, scopes };
  }
  /** Takes a change back, one that was done long ago or elsewhere too; left out, the last that is seen. */
  function undo(entry = next.value): void {
    if (!entry) return;
    done.value = without(done.value, entry.id);
    undone.value = [...undone.value, takeBack(entry)];
  }
  function redo(): void {
    const entry = nextRedo.value;
    if (!entry) return;
    undone.value = without(undone.value, entry.id);
    done.value = [...done.value, takeBack(entry)];
  }
  return {
    canUndo: computed(() => next.value !== undefined),
    canRedo: computed(() => nextRedo.value !== undefined),
    isDone: (id: string) => done.value.some((one) => one.id === id),
    shown,
    note,
    forget,
    undo,
    redo,
  };
});

/** What is done in a scope is taken back by Ctrl Z while the page that asks for it is open. */
export function useUndoScope(scope: () => UndoScope | null): void {
  const { shown } = useUndo();
  const own = Symbol('scope');
  watch(
    scope,
    (now) => {
      if (now === null) shown.delete(own);
      else shown.set(own, now);
    },
    { immediate: true, flush: 'sync' },
  );
  onScopeDispose(() => shown.delete(own));
}

/** The keys for undo and redo, on every page; a field being edited has its own. */
export function useUndoKeys(): void {
  const stack = useUndo();
  const outsideOfFields = (act: () => void) => (event: KeyboardEvent) => {
    if (isUndoOfField(event)) return false;
    act();
    return true;
  };
  useShortcuts('Anywhere', {
    'Ctrl Z': outsideOfFields(() => {
      stack.undo();
    }),
    'Ctrl Shift Z': outsideOfFields(stack.redo),
    'Ctrl Y': outsideOfFields(stack.redo),
  });
}
