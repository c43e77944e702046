import { v4 as newId } from 'uuid';
import { ref } from 'vue';

/** When each change was done, by a count of all of them: what is undone next is what was done last, wherever it was. */
const doneAt = new Map<string, number>();

/** How many changes were done before now. */
export function changesDone(): number {
  return doneAt.size;
}

/** A change's place among all that were done; none where there is no change. */
export function placeOf(changeId: string | undefined): number {
  return changeId === undefined ? -1 : (doneAt.get(changeId) ?? -1);
}

/**
 * What can be taken back, and what of it can be done again, the latest last. Undoing is a change too: undoing that is redo.
 * @param send asks for the undoing of a change; the undoing has an id of its own
 */
export function undoLine(send: (changeId: string, id: string) => void) {
  const undoable = ref<string[]>([]);
  const redoable = ref<string[]>([]);
  const note = (id: string) => {
    doneAt.set(id, doneAt.size);
  };

  function done(id: string): void {
    note(id);
    undoable.value = [...undoable.value, id];
    redoable.value = [];
  }
  function undo(changeId = undoable.value.at(-1)): void {
    if (!changeId) return;
    const id = newId();
    note(id);
    undoable.value = undoable.value.filter((one) => one !== changeId);
    redoable.value = [...redoable.value, id];
    send(changeId, id);
  }
  function redo(): void {
    const changeId = redoable.value.at(-1);
    if (!changeId) return;
    const id = newId();
    note(id);
    redoable.value = redoable.value.slice(0, -1);
    undoable.value = [...undoable.value, id];
    send(changeId, id);
  }
  /** It was refused: it is not there to be taken back, or done again. */
  function forget(id: string): void {
    undoable.value = undoable.value.filter((one) => one !== id);
    redoable.value = redoable.value.filter((one) => one !== id);
  }
  function clear(): void {
    undoable.value = [];
    redoable.value = [];
  }
  return { undoable, redoable, done, undo, redo, forget, clear };
}
