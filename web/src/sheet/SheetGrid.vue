<script setup lang="ts">
import type { ClubView } from '@tasche/contract';
import type { DistanceUnit } from '@tasche/core';
import { VueDraggable } from 'vue-draggable-plus';
import { afterDrag } from '../app/drag-end';
import { computed, ref, watch } from 'vue';
import SheetRow from './SheetRow.vue';
import { sheetTable } from './copy-sheet';
import { editText, type SheetColumn } from './sheet-columns';
import { cellAction, editorAction, type CellAction } from './sheet-keys';
import { useCellEditor } from './use-cell-editor';
import { NEW_ROW, useSheetCursor } from './use-sheet-cursor';

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

/** Beneath the last club, where another is typed. */
const WHAT_TO_TYPE = 'Type a club: 7 iron, 3w, 56, 4-PW…';

const grid = ref<HTMLElement | null>(null);
const hasNewRow = computed(() => !props.readOnly && !props.noNew);
const cells = () => ({ clubs: props.clubs, columns: props.columns, hasNewRow: hasNewRow.value });
const cursor = useSheetCursor(cells, grid);
const { rowIds, rowId, columnIndex } = cursor;
watch(rowId, (id) => emit('active', id === NEW_ROW ? null : id), { immediate: true });

const editor = useCellEditor(
  () => ({
    ...cells(),
    unit: props.unit,
    readOnly: props.readOnly,
    refusedText: (clubId, columnId) => props.rejected.get(`${clubId} ${columnId}`)?.text,
  }),
  cursor,
  grid,
  (clubId, column, text) => emit('write', clubId, column, text),
  (name) => emit('add', name),
);
const { isEditing, draft } = editor;

/** The whole sheet is chosen, to be copied: until the next key or press. */
const isAllChosen = ref(false);

function act(action: CellAction): void {
  const { rowIndex, isNewRow, column } = cursor;
  const wasAllChosen = isAllChosen.value;
  isAllChosen.value = action.do === 'all';
  switch (action.do) {
    case 'move':
      return void cursor.moveTo(rowIndex.value + action.rows, columnIndex.value + action.columns);
    case 'row-start':
      return void cursor.moveTo(rowIndex.value, 0);
    case 'row-end':
      return void cursor.moveTo(rowIndex.value, props.columns.length);
    case 'sheet-start':
      return void cursor.moveTo(0, 0);
    case 'sheet-end':
      return void cursor.moveTo(rowIds.value.length, props.columns.length);
    case 'open':
      return isNewRow.value ? undefined : emit('open', rowId.value);
    case 'edit':
      return editor.start();
    case 'type':
      return editor.start(action.text);
    case 'clear':
      // A club without a name is none; it is deleted where it is opened.
      if (!props.readOnly && !isNewRow.value && columnIndex.value > 0 && !wasAllChosen)
        emit('write', rowId.value, column.value, '');
  }
}

function onCellKey(event: KeyboardEvent): void {
  if (isEditing.value || event.isComposing) return;
  if (event.key === 'Escape') isAllChosen.value = false;
  const action = cellAction(event, columnIndex.value, props.columns.length);
  if (!action || (props.readOnly && action.do === 'type')) return;
  event.preventDefault();
  act(action);
}

function onEditorKey(event: KeyboardEvent): void {
  if (event.isComposing) return;
  event.stopPropagation();
  const action = editorAction(event);
  if (!action) return;
  event.preventDefault();
  if (action.do === 'commit') void editor.commit(action.rows, action.columns);
  else editor.cancel();
}

function onPaste(event: ClipboardEvent): void {
  const text = event.clipboardData?.getData('text/plain') ?? '';
  if (props.readOnly || text.trim() === '') return;
  const isTable = /[\t\n]/.test(text.trim()) || /^[^,;]*[,;][^,;]*[,;]/.test(text.trim());
  if (isEditing.value && !isTable) return;
  event.preventDefault();
  isEditing.value = false;
  emit('paste', text, cursor.rowIndex.value, columnIndex.value);
}

function onCopy(event: ClipboardEvent): void {
  const club = cursor.club.value;
  if (isEditing.value || String(window.getSelection() ?? '') !== '') return;
  const text = isAllChosen.value
    ? sheetTable(props.clubs, props.columns, props.unit)
    : club && editText(club, cursor.column.value, props.unit);
  if (text === undefined) return;
  event.preventDefault();
  event.clipboardData?.setData('text/plain', text);
}

function onCellDown(row: string, column: number): void {
  isAllChosen.value = false;
  if (isEditing.value) void editor.commit(0, 0);
  cursor.choose(row, column);
  void cursor.focus();
}

/** Focus may come from a pointer, a screen reader or a script; the chosen cell is wherever it is. */
function onCellFocus(row: string, column: number): void {
  if (!isEditing.value) cursor.choose(row, column);
}

function onCellDouble(row: string, column: number): void {
  cursor.choose(row, column);
  editor.start();
}

/** The library moves what is dragged in a copy; the clubs themselves move when the bag says so. */
const dragCopy = computed({ get: () => [...props.clubs], set: () => undefined });
function onDropped(event: { data?: ClubView; item: HTMLElement }): void {
  event.item.remove();
  if (event.data) emit('dropped', event.data.id);
}
function endDrag(): void {
  emit('dragging', false);
  afterDrag();
}

defineExpose({ focus: cursor.focus, goTo: cursor.goTo });
</script>

<template>
  <div ref="grid" class="grid" @pointerdown.capture="editor.onPointer" @paste="onPaste" @copy="onCopy">
    <p class="unseen" role="status">
      {{ isAllChosen ? 'The whole sheet is chosen; Ctrl C copies it.' : '' }}
    </p>
    <table
      role="grid"
      :class="{ all: isAllChosen }"
      :aria-label="label"
      :aria-readonly="readOnly"
      :aria-rowcount="rowIds.length + 1"
    >
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
          :draft="isEditing && rowId === club.id ? draft : ''"
          :club="club"
          :columns="columns"
          :unit="unit"
          :row-px="rowPx"
          :active-column="rowId === club.id ? columnIndex : null"
          :editing="isEditing && rowId === club.id"
          :rejected="rejected"
          :badge="badges?.get(club.id)"
          :can-grab="dragGroup !== undefined"
          @update:draft="draft = $event"
          @key="onCellKey"
          @focus="onCellFocus(club.id, $event)"
          @down="onCellDown(club.id, $event)"
          @double="onCellDouble(club.id, $event)"
          @press="editor.onCellPress"
          @open="emit('open', club.id)"
          @editor-key="onEditorKey"
          @leave="editor.commit(0, 0)"
        />
      </VueDraggable>
      <tfoot v-if="hasNewRow">
        <tr :style="{ height: `${rowPx}px` }" class="new-row">
          <td
            :colspan="columns.length"
            role="gridcell"
            class="first"
            :tabindex="rowId === NEW_ROW ? 0 : -1"
            :data-active="rowId === NEW_ROW"
            data-column="new"
            @keydown="onCellKey"
            @focus="onCellFocus(NEW_ROW, 0)"
            @mousedown.left="onCellDown(NEW_ROW, 0)"
            @click="editor.start()"
          >
            <input
              v-if="isEditing && rowId === NEW_ROW"
              v-model="draft"
              class="editor"
              aria-label="Name of the new club"
              :placeholder="WHAT_TO_TYPE"
              autocomplete="off"
              spellcheck="false"
              @keydown="onEditorKey"
              @blur="editor.commit(0, 0)"
            />
            <span v-else class="quiet">{{ WHAT_TO_TYPE }}</span>
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
table.all {
  background: var(--petrol-soft);
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
.new-row .first {
  padding-left: 7px;
}
.new-row .quiet,
.new-row .editor::placeholder {
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
