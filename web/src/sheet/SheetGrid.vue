<script setup lang="ts">
import type { ClubView } from '@tasche/contract';
import type { DistanceUnit } from '@tasche/core';
import { VueDraggable } from 'vue-draggable-plus';
import { afterDrag } from '../app/drag-end';
import { computed, nextTick, ref, watch } from 'vue';
import SheetRow from './SheetRow.vue';
import { editText, type SheetColumn } from './sheet-columns';

/**
 * The sheet: a grid driven from the keyboard like a spreadsheet. It knows cells and keys, not what a change
 * does.
 */
const props = defineProps<{
  clubs: readonly ClubView[];
  columns: readonly SheetColumn[];
  unit: DistanceUnit;
  readOnly: boolean;
  /** No club can be added. */
  noNew?: boolean;
  /** Reasons of texts that were refused, by `clubId column`. */
  rejected: ReadonlyMap<string, { text: string; reason: string }>;
  rowPx: number;
  headPx: number;
  label: string;
  /** Words beside a club's name, such as "in" while trying a swap. */
  badges?: ReadonlyMap<string, string>;
  dragGroup?: string;
}>();
const emit = defineEmits<{
  write: [clubId: string, column: SheetColumn, text: string];
  add: [name: string];
  paste: [text: string, row: number, column: number];
  open: [clubId: string];
  active: [clubId: string | null];
  dropped: [clubId: string];
  /** A row is being carried; where it may be put down should be in sight. */
  dragging: [carried: boolean];
}>();

const NEW_ROW = 'new';
const grid = ref<HTMLElement | null>(null);
const activeRow = ref<string>(props.clubs[0]?.id ?? NEW_ROW);
const activeColumn = ref(0);
const editing = ref(false);
const draft = ref('');
/** The last press on the sheet was a finger's, or a pen's. */
let isTouched = false;

const rowIds = computed(() => [
  ...props.clubs.map((club) => club.id),
  ...(props.readOnly || props.noNew ? [] : [NEW_ROW]),
]);
const rowIndex = computed(() => Math.max(0, rowIds.value.indexOf(activeRow.value)));
watch(rowIds, (ids) => {
  if (!ids.includes(activeRow.value))
    activeRow.value = ids[Math.min(rowIndex.value, ids.length - 1)] ?? NEW_ROW;
});
watch(activeRow, (id) => emit('active', id === NEW_ROW ? null : id), { immediate: true });
watch(
  () => props.columns,
  () => {
    activeColumn.value = Math.min(activeColumn.value, props.columns.length - 1);
  },
);

/** The library moves what is dragged in a copy; the clubs themselves move when the bag says so. */
const dragCopy = computed({ get: () => [...props.clubs], set: () => undefined });

async function focusCell(): Promise<void> {
  await nextTick();
  grid.value?.querySelector<HTMLElement>('[data-active="true"]')?.focus({ preventScroll: false });
}

async function moveTo(row: number, column: number): Promise<void> {
  activeRow.value = rowIds.value[Math.max(0, Math.min(row, rowIds.value.length - 1))]!;
  activeColumn.value = Math.max(0, Math.min(column, props.columns.length - 1));
  await focusCell();
}

function startEditing(text?: string): void {
  if (props.readOnly) return;
  const club = props.clubs.find((one) => one.id === activeRow.value);
  if (!club && activeColumn.value > 0) activeColumn.value = 0;
  const column = props.columns[activeColumn.value]!;
  const refusedText = club && props.rejected.get(`${club.id} ${column.id}`)?.text;
  draft.value = text ?? refusedText ?? (club ? editText(club, column, props.unit) : '');
  editing.value = true;
  void nextTick(() => {
    const input = grid.value?.querySelector<HTMLInputElement>('input.editor');
    input?.focus();
    if (text === undefined) input?.select();
  });
}

/** Writes what is being typed and goes on from the rows as they stood, for the ladder may reorder them. */
async function commit(rowStep: number, columnStep: number): Promise<void> {
  if (!editing.value) return;
  editing.value = false;
  const [row, column] = [rowIndex.value, activeColumn.value];
  const nextId = rowIds.value[Math.min(row + rowStep, rowIds.value.length - 1)]!;
  const isNew = activeRow.value === NEW_ROW;
  if (isNew) {
    if (draft.value.trim()) emit('add', draft.value.trim());
  } else emit('write', activeRow.value, props.columns[column]!, draft.value);
  await nextTick();
  if (isNew && columnStep > 0 && props.clubs.length > 0) {
    activeRow.value = addedRow() ?? NEW_ROW;
    activeColumn.value = Math.min(1, props.columns.length - 1);
  } else {
    activeRow.value = isNew ? NEW_ROW : nextId;
    activeColumn.value = Math.max(0, Math.min(column + columnStep, props.columns.length - 1));
  }
  await focusCell();
  // Without a field a phone hides its keys, as it may at the end of the sheet.
  const goesOn = isNew ? draft.value.trim() : rowIndex.value !== row || activeColumn.value !== column;
  if (isTouched && (rowStep !== 0 || columnStep !== 0) && goesOn) startEditing();
}

const known = new Set(props.clubs.map((club) => club.id));
function addedRow(): string | undefined {
  return props.clubs.find((club) => !known.has(club.id))?.id;
}
watch(
  () => props.clubs,
  (clubs, before) => {
    if (before.length !== clubs.length)
      void nextTick(() => {
        clubs.forEach((club) => known.add(club.id));
      });
  },
);

function cancel(): void {
  editing.value = false;
  void focusCell();
}

function onCellKey(event: KeyboardEvent): void {
  if (editing.value || event.isComposing) return;
  const command = event.ctrlKey || event.metaKey;
  const moves: Record<string, [number, number]> = {
    ArrowUp: [-1, 0],
    ArrowDown: [1, 0],
    ArrowLeft: [0, -1],
    ArrowRight: [0, 1],
    PageUp: [-10, 0],
    PageDown: [10, 0],
  };
  const move = moves[event.key];
  if (event.altKey) {
    if (event.key === 'Enter' && activeRow.value !== NEW_ROW) {
      event.preventDefault();
      emit('open', activeRow.value);
    }
    return;
  }
  if (command) {
    if (event.key === 'Home') void moveTo(0, 0);
    if (event.key === 'End') void moveTo(rowIds.value.length - 1, props.columns.length - 1);
    return;
  }
  if (move) {
    event.preventDefault();
    void moveTo(rowIndex.value + move[0], activeColumn.value + move[1]);
  } else if (event.key === 'Home' || event.key === 'End') {
    event.preventDefault();
    void moveTo(rowIndex.value, event.key === 'Home' ? 0 : props.columns.length - 1);
  } else if (event.key === 'Enter') {
    event.preventDefault();
    if (event.shiftKey) void moveTo(rowIndex.value - 1, activeColumn.value);
    else startEditing();
  } else if (event.key === 'F2') {
    event.preventDefault();
    startEditing();
  } else if (event.key === 'Delete' || event.key === 'Backspace') {
    event.preventDefault();
    if (!props.readOnly && activeRow.value !== NEW_ROW && activeColumn.value > 0)
      emit('write', activeRow.value, props.columns[activeColumn.value]!, '');
  } else if (event.key === 'Tab') {
    // Tab goes on along the row and leaves the sheet at its end.
    const next = activeColumn.value + (event.shiftKey ? -1 : 1);
    if (next >= 0 && next < props.columns.length) {
      event.preventDefault();
      void moveTo(rowIndex.value, next);
    }
  } else if (event.key.length === 1 && event.key !== '?' && !props.readOnly) {
    event.preventDefault();
    startEditing(event.key);
  }
}

function onEditorKey(event: KeyboardEvent): void {
  if (event.isComposing) return;
  if (event.key === 'Enter') {
    event.preventDefault();
    event.stopPropagation();
    void commit(event.shiftKey ? -1 : 1, 0);
  } else if (event.key === 'Tab') {
    event.preventDefault();
    event.stopPropagation();
    void commit(0, event.shiftKey ? -1 : 1);
  } else if (event.key === 'Escape') {
    event.stopPropagation();
    cancel();
  } else if (event.key === 'ArrowUp' || event.key === 'ArrowDown') {
    event.preventDefault();
    void commit(event.key === 'ArrowDown' ? 1 : -1, 0);
  } else event.stopPropagation();
}

function onPaste(event: ClipboardEvent): void {
  const text = event.clipboardData?.getData('text/plain') ?? '';
  if (props.readOnly || text.trim() === '') return;
  const isTable = /[\t\n]/.test(text.trim()) || /^[^,;]*[,;][^,;]*[,;]/.test(text.trim());
  if (editing.value && !isTable) return;
  event.preventDefault();
  editing.value = false;
  emit('paste', text, rowIndex.value, activeColumn.value);
}

function onCopy(event: ClipboardEvent): void {
  const club = props.clubs.find((one) => one.id === activeRow.value);
  if (editing.value || !club || String(window.getSelection() ?? '') !== '') return;
  event.preventDefault();
  event.clipboardData?.setData('text/plain', editText(club, props.columns[activeColumn.value]!, props.unit));
}

function onCellDown(clubId: string, column: number): void {
  if (editing.value) void commit(0, 0);
  activeRow.value = clubId;
  activeColumn.value = column;
  void focusCell();
}

/** Focus may come from a pointer, a screen reader or a script; the active cell is wherever it is. */
function onCellFocus(clubId: string, column: number): void {
  if (editing.value) return;
  activeRow.value = clubId;
  activeColumn.value = column;
}

function onCellDouble(clubId: string, column: number): void {
  activeRow.value = clubId;
  activeColumn.value = column;
  startEditing();
}

function onPointer({ pointerType }: PointerEvent): void {
  isTouched = pointerType === 'touch' || pointerType === 'pen';
}

/** A finger has no keys to type with until a field is there; a name is only chosen by it. */
function onCellPress(column: number): void {
  if (isTouched && column > 0 && !editing.value) startEditing();
}

function onDropped(event: { data?: ClubView; item: HTMLElement }): void {
  event.item.remove();
  if (event.data) emit('dropped', event.data.id);
}

defineExpose({
  focus: focusCell,
  goTo: (clubId: string, columnId?: string) => {
    activeRow.value = clubId;
    const column = props.columns.findIndex(({ id }) => id === columnId);
    if (column >= 0) activeColumn.value = column;
    return focusCell();
  },
});

function endDrag(): void {
  emit('dragging', false);
  afterDrag();
}
</script>

<template>
  <div ref="grid" class="grid" @pointerdown.capture="onPointer" @paste="onPaste" @copy="onCopy">
    <table role="grid" :aria-label="label" :aria-readonly="readOnly" :aria-rowcount="rowIds.length + 1">
      <thead>
        <tr :style="{ height: `${headPx}px` }">
          <th
            v-for="column in columns"
            :key="column.id"
            scope="col"
            :class="column.align"
            :style="{ width: `${column.px}px` }"
          >
            {{ column.head }}
          </th>
        </tr>
      </thead>
      <VueDraggable
        v-model="dragCopy"
        tag="tbody"
        :group="dragGroup ? { name: dragGroup, pull: 'clone', put: true } : undefined"
        :sort="false"
        :disabled="!dragGroup || readOnly"
        handle=".grab"
        :force-fallback="true"
        :animation="120"
        @add="onDropped"
        @start="emit('dragging', true)"
        @end="endDrag"
      >
        <SheetRow
          v-for="club in clubs"
          :key="club.id"
          :draft="editing && activeRow === club.id ? draft : ''"
          :club="club"
          :columns="columns"
          :unit="unit"
          :row-px="rowPx"
          :active-column="activeRow === club.id ? activeColumn : null"
          :editing="editing && activeRow === club.id"
          :rejected="rejected"
          :badge="badges?.get(club.id)"
          :can-grab="dragGroup !== undefined"
          @update:draft="draft = $event"
          @key="onCellKey"
          @focus="onCellFocus(club.id, $event)"
          @down="onCellDown(club.id, $event)"
          @double="onCellDouble(club.id, $event)"
          @press="onCellPress"
          @open="emit('open', club.id)"
          @editor-key="onEditorKey"
          @leave="commit(0, 0)"
        />
      </VueDraggable>
      <tfoot v-if="!readOnly && !noNew">
        <tr :style="{ height: `${rowPx}px` }" class="new-row">
          <td
            :colspan="columns.length"
            role="gridcell"
            class="first"
            :tabindex="activeRow === NEW_ROW ? 0 : -1"
            :data-active="activeRow === NEW_ROW"
            data-column="new"
            @keydown="onCellKey"
            @focus="onCellFocus(NEW_ROW, 0)"
            @mousedown.left="onCellDown(NEW_ROW, 0)"
            @click="startEditing()"
          >
            <input
              v-if="editing && activeRow === NEW_ROW"
              v-model="draft"
              class="editor"
              aria-label="Name of the new club"
              autocomplete="off"
              spellcheck="false"
              @keydown="onEditorKey"
              @blur="commit(0, 0)"
            />
            <span v-else class="quiet">Type a club: 7 iron, 3w, PW, 56…</span>
          </td>
        </tr>
      </tfoot>
    </table>
  </div>
</template>

<style scoped src="./sheet-cell.css"></style>

<style scoped>
.grid {
  min-width: 0;
}
table {
  border-collapse: collapse;
  table-layout: fixed;
}
th {
  font-weight: 400;
  font-size: 12.5px;
  color: var(--quiet);
  padding: 0 7px;
  vertical-align: bottom;
  padding-bottom: 6px;
  text-align: left;
  white-space: nowrap;
}
.new-row td {
  border-bottom: 1px solid var(--line);
  cursor: text;
}
.new-row .quiet {
  font-weight: 400;
}
@media (max-width: 700px) {
  .grid {
    overflow-x: auto;
  }
  table {
    width: max-content;
    /* What stays in sight keeps its own lines. */
    border-collapse: separate;
    border-spacing: 0;
  }
  th {
    padding: 0 5px;
  }
  th:first-child {
    position: sticky;
    left: 0;
    z-index: 3;
    background: var(--linen);
  }
}
</style>
