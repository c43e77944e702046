import type { DistanceUnit } from '@tasche/core';
import { nextTick, ref, watch, type Ref } from 'vue';
import { editText, type SheetColumn } from './sheet-columns';
import { NEW_ROW, type SheetCells, type SheetCursor } from './use-sheet-cursor';

/** What the cells of a sheet are typed in, and by whom it is taken. */
interface CellEditing extends SheetCells {
  unit: DistanceUnit;
  readOnly: boolean;
  /** The text of a cell that was refused, if it was. */
  refusedText: (clubId: string, columnId: string) => string | undefined;
}

/**
 * Typing into the chosen cell of a sheet.
 * @param grid the element the cells are in
 * @param write takes what was typed into a club's cell
 * @param add takes the name of a new club
 */
export function useCellEditor(
  cells: () => CellEditing,
  cursor: SheetCursor,
  grid: Readonly<Ref<HTMLElement | null>>,
  write: (clubId: string, column: SheetColumn, text: string) => void,
  add: (name: string) => void,
) {
  const isEditing = ref(false);
  const draft = ref('');
  /** The last press on the sheet was a finger's, or a pen's. */
  let isTouched = false;

  /** @param text in place of what the cell holds */
  function start(text?: string): void {
    const { readOnly, refusedText, unit } = cells();
    if (readOnly) return;
    if (cursor.isNewRow.value) cursor.choose(NEW_ROW, 0);
    const club = cursor.club.value;
    const column = cursor.column.value;
    const held = club ? (refusedText(club.id, column.id) ?? editText(club, column, unit)) : '';
    draft.value = text ?? held;
    isEditing.value = true;
    void nextTick(() => {
      const input = grid.value?.querySelector<HTMLInputElement>('input.editor');
      input?.focus();
      if (text === undefined) input?.select();
    });
  }

  /** Clubs that were in the sheet before the last one was added. */
  const knownIds = new Set(cells().clubs.map(({ id }) => id));
  watch(
    () => cells().clubs,
    (clubs, before) => {
      if (before.length === clubs.length) return;
      void nextTick(() => {
        clubs.forEach(({ id }) => knownIds.add(id));
      });
    },
  );

  /** Writes what is being typed and goes on from the rows as they stood, for the ladder may reorder them. */
  async function commit(rowStep: number, columnStep: number): Promise<void> {
    if (!isEditing.value) return;
    isEditing.value = false;
    const [row, at] = [cursor.rowIndex.value, cursor.columnIndex.value];
    const nextId = cursor.rowAt(row + rowStep);
    const isNew = cursor.isNewRow.value;
    const text = draft.value.trim();
    if (!isNew) write(cursor.rowId.value, cursor.column.value, draft.value);
    else if (text) add(text);
    await nextTick();
    // The clubs as they are now: the new one is among them.
    const { clubs } = cells();
    if (!isNew) cursor.choose(nextId, at + columnStep);
    else if (columnStep > 0 && clubs.length > 0)
      cursor.choose(clubs.find(({ id }) => !knownIds.has(id))?.id ?? NEW_ROW, 1);
    else cursor.choose(NEW_ROW, at + columnStep);
    await cursor.focus();
    // Without a field a phone hides its keys, as it may at the end of the sheet.
    const goesOn = isNew ? text : cursor.rowIndex.value !== row || cursor.columnIndex.value !== at;
    if (isTouched && (rowStep !== 0 || columnStep !== 0) && goesOn) start();
  }

  /** Gives up what is being typed. */
  function cancel(): void {
    isEditing.value = false;
    void cursor.focus();
  }
  function onPointer({ pointerType }: PointerEvent): void {
    isTouched = pointerType === 'touch' || pointerType === 'pen';
  }
  /** A finger has no keys to type with until a field is there; a name is only chosen by it. */
  function onCellPress(at: number): void {
    if (isTouched && at > 0 && !isEditing.value) start();
  }
  return { isEditing, draft, start, commit, cancel, onPointer, onCellPress };
}
