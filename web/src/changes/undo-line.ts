import { v4 as newId } from 'uuid';
import { ref } from 'vue';

/** When each change was done, as a growing number: what is undone next is what was done last, wherever it was, before a reload too. */
const doneAt = new Map<string, number>();
let last = 0;

/** The place that the next change takes or passes. */
export function changesDone(): number {
  return last + 1;
}

/** A change's place among all that were done; none where there is no change. */
export function placeOf(changeId: string | undefined): number {
  return changeId === undefined ? -1 : (doneAt.get(changeId) ?? -1);
}

function note(id: string, at = Math.max(last + 1, Date.now())): void {
  doneAt.set(id, at);
  last = Math.max(last, at);
}

/** As many changes back one can go after a reload. */
const MOST_KEPT = 100;
type Kept = Record<'undoable' | 'redoable', [id: string, at: number][]>;

/** What this tab kept of a line before it was loaded anew; nothing where that cannot be read. */
function readKept(key: string): Kept {
  try {
    const { undoable, redoable } = JSON.parse(sessionStorage.getItem(key) ?? '{}') as Partial<Kept>;
    const known = (all: Kept['undoable'] | undefined) =>
      (Array.isArray(all) ? all : []).filter(([id, at]) => typeof id === 'string' && Number.isFinite(at));
    return { undoable: known(undoable), redoable: known(redoable) };
  } catch {
    return { undoable: [], redoable: [] };
  }
}

/**
 * What can be taken back, and what of it can be done again, the latest last. Undoing is a change too: undoing that is redo. Each tab has
 * lines of its own, kept over a reload.
 * @param send asks for the undoing of a change; the undoing has an id of its own
 */
export function undoLine(send: (changeId: string, id: string) => void) {
  const undoable = ref<string[]>([]);
  const redoable = ref<string[]>([]);
  let key: string | null = null;

  function keep(): void {
    if (key === null) return;
    const withPlaces = (ids: readonly string[]) =>
      ids.slice(-MOST_KEPT).map((id): [string, number] => [id, placeOf(id)]);
    const kept: Kept = { undoable: withPlaces(undoable.value), redoable: withPlaces(redoable.value) };
    sessionStorage.setItem(key, JSON.stringify(kept));
  }

  /** Goes on with what was done to this before: a player's sheet, the schedule. */
  function open(scope: string): void {
    key = `tasche.undo/${scope}`;
    const kept = readKept(key);
    for (const [id, at] of [...kept.undoable, ...kept.redoable]) note(id, at);
    undoable.value = kept.undoable.map(([id]) => id);
    redoable.value = kept.redoable.map(([id]) => id);
  }
  function done(id: string): void {
    note(id);
    undoable.value = [...undoable.value, id];
    redoable.value = [];
    keep();
  }
  function undo(changeId = undoable.value.at(-1)): void {
    if (!changeId) return;
    const id = newId();
    note(id);
    undoable.value = undoable.value.filter((one) => one !== changeId);
    redoable.value = [...redoable.value, id];
    keep();
    send(changeId, id);
  }
  function redo(): void {
    const changeId = redoable.value.at(-1);
    if (!changeId) return;
    const id = newId();
    note(id);
    redoable.value = redoable.value.slice(0, -1);
    undoable.value = [...undoable.value, id];
    keep();
    send(changeId, id);
  }
  /** It was refused: it is not there to be taken back, or done again. */
  function forget(id: string): void {
    undoable.value = undoable.value.filter((one) => one !== id);
    redoable.value = redoable.value.filter((one) => one !== id);
    keep();
  }
  return { undoable, redoable, open, done, undo, redo, forget };
}
