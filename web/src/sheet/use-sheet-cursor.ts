import type { ClubView } from '@tasche/contract';
import { computed, nextTick, ref, watch, type Ref } from 'vue';
import type { SheetColumn } from './sheet-columns';

/** The row beneath the clubs, in which the name of a new one is typed. */
export const NEW_ROW = 'new';

/** The rows and columns a cursor goes through. */
export interface SheetCells {
  clubs: readonly ClubView[];
  columns: readonly SheetColumn[];
  /** There is a row for a new club. */
  hasNewRow: boolean;
}

export type SheetCursor = ReturnType<typeof useSheetCursor>;

/**
 * The chosen cell of a sheet. It stays with its club when rows are reordered, and inside the sheet when they
 * become fewer.
 * @param grid the element the cells are in
 */
export function useSheetCursor(cells: () => SheetCells, grid: Readonly<Ref<HTMLElement | null>>) {
  const rowIds = computed(() => {
    const { clubs, hasNewRow } = cells();
    return [...clubs.map(({ id }) => id), ...(hasNewRow ? [NEW_ROW] : [])];
  });
  const lastColumn = () => cells().columns.length - 1;
  const rowId = ref<string>(rowIds.value[0] ?? NEW_ROW);
  const columnIndex = ref(0);

  const rowIndex = computed(() => Math.max(0, rowIds.value.indexOf(rowId.value)));
  const club = computed(() => cells().clubs.find(({ id }) => id === rowId.value));
  const column = computed(() => cells().columns[columnIndex.value]!);
  const isNewRow = computed(() => rowId.value === NEW_ROW);

  watch(rowIds, (ids, before) => {
    if (ids.includes(rowId.value)) return;
    const row = Math.max(0, before.indexOf(rowId.value));
    rowId.value = ids[Math.min(row, ids.length - 1)] ?? NEW_ROW;
  });
  watch(
    () => cells().columns,
    () => {
      columnIndex.value = Math.min(columnIndex.value, lastColumn());
    },
  );

  /** Chooses a cell of a row; a column out of the sheet is the nearest in it. */
  function choose(row: string, at: number): void {
    rowId.value = row;
    columnIndex.value = Math.max(0, Math.min(at, lastColumn()));
  }
  async function focus(): Promise<void> {
    await nextTick();
    grid.value?.querySelector<HTMLElement>('[data-active="true"]')?.focus({ preventScroll: false });
  }
  /** The row at a place, or the nearest there is. */
  const rowAt = (row: number): string =>
    rowIds.value[Math.max(0, Math.min(row, rowIds.value.length - 1))] ?? NEW_ROW;
  /** Chooses the cell at a place, or the nearest there is, and focuses it. */
  async function moveTo(row: number, at: number): Promise<void> {
    choose(rowAt(row), at);
    await focus();
  }
  /** Chooses a club's cell and focuses it; in the same column as before where none is named. */
  async function goTo(clubId: string, columnId?: string): Promise<void> {
    const at = cells().columns.findIndex(({ id }) => id === columnId);
    choose(clubId, at < 0 ? columnIndex.value : at);
    await focus();
  }
  return { rowIds, rowId, rowIndex, columnIndex, club, column, isNewRow, choose, rowAt, focus, moveTo, goTo };
}
