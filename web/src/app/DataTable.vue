<script setup lang="ts" generic="R extends object">
import { contains } from '@tasche/contract';
import { digits } from '@tasche/core';
import { useElementVisibility, useEventListener } from '@vueuse/core';
import { NButton, NDataTable, type DataTableColumn } from 'naive-ui';
import {
  computed,
  h,
  onBeforeUnmount,
  ref,
  shallowRef,
  useTemplateRef,
  watch,
  watchPostEffect,
  type VNodeChild,
} from 'vue';
import TextField from '../fields/TextField.vue';
import { nextOrder, ordered, type DataColumn, type DataOrder } from './data-table';
import { whenIdle } from './when-idle';

/**
 * A table that is only read and may grow: ordered by the head of a column, searched, and so many rows at a
 * time. All of it works by keyboard, which the library's own headers and pages do not.
 */
const props = withDefaults(
  defineProps<{
    /** What the table is, for screen readers. */
    caption: string;
    columns: readonly DataColumn<R>[];
    rows: readonly R[];
    rowKey: (row: R) => string;
    rowClass?: (row: R) => string;
    /** So many rows at first, and as many more with each press. */
    page?: number;
    /** What is looked for in a row; left out, there is nothing to search. */
    searched?: (row: R) => string;
    empty?: string;
    /** Whether heads order it: not where only the newest of a long list are here. */
    orders?: boolean;
    /** All its rows are drawn, visible or not. */
    isWhole?: boolean;
    /** They are drawn from the start: few rows that are the page itself. */
    isAtOnce?: boolean;
    /** Its rows are loading; its headers are there. */
    coming?: boolean;
  }>(),
  { page: 50, empty: 'Nothing yet.', orders: true },
);
/** The reader searches or orders: more rows may be needed. */
const emit = defineEmits<{ whole: [] }>();
const slots = defineSlots<Record<string, (slot: { row: R }) => VNodeChild>>();

const order = shallowRef<DataOrder | null>(null);
const wanted = ref('');
const count = ref(props.page);
const found = computed(() => {
  const { searched } = props;
  const isWanted = contains(wanted.value);
  const kept =
    searched && wanted.value.trim() ? props.rows.filter((row) => isWanted(searched(row))) : props.rows;
  const by = props.columns.find(({ id }) => id === order.value?.id)?.value;
  return by ? ordered(kept, by, order.value!.isDescending) : kept;
});
const wantedRows = computed(() => Math.min(count.value, found.value.length));
const left = computed(() => found.value.length - wantedRows.value);

/** A table of more cells comes step by step, as it would block the page. */
const AT_ONCE_CELLS = 60;
/**
 * The library's table with nothing in it, its heads as words, then as buttons, its body with an empty first
 * row, that row.
 */
const STAGES = ['nothing', 'table', 'heads', 'order', 'body', 'row'] as const;
type Stage = (typeof STAGES)[number];
const STEP_CELLS = 13;
const SOON_PX = 300;
const rowsOf = (cells: number) => Math.ceil(cells / props.columns.length);
const isAtOnce = props.isAtOnce || (!props.coming && props.rows.length <= rowsOf(AT_ONCE_CELLS));
const stage = ref<number>(isAtOnce ? STAGES.length - 1 : 0);
const has = (wantedStage: Stage) => stage.value >= STAGES.indexOf(wantedStage);
const drawn = ref(props.isAtOnce ? Infinity : isAtOnce ? rowsOf(AT_ONCE_CELLS) : 1);
/** As far as they may be scrolled to soon. */
const shown = computed(() =>
  has('body') ? found.value.slice(0, Math.min(wantedRows.value, drawn.value)) : [],
);
const end = useTemplateRef<HTMLElement>('end');
const isSeenSoon = useElementVisibility(end, { rootMargin: `0px 0px ${SOON_PX}px 0px` });
let stopDrawing = () => {};
function drawOn(): void {
  stopDrawing();
  const isMore = (isSeenSoon.value || props.isWhole) && (has('body') ? drawn.value : 0) < wantedRows.value;
  const isBegun = !has('order') || (has('body') && !has('row'));
  if (!isMore && !isBegun) return;
  stopDrawing = whenIdle(() => {
    if (has('row')) drawn.value += rowsOf(STEP_CELLS);
    else stage.value += 1;
    drawOn();
  });
}
watch([wantedRows, isSeenSoon], drawOn, { immediate: true });
onBeforeUnmount(() => stopDrawing());
// On paper all of them are drawn.
useEventListener('beforeprint', () => {
  drawn.value = Math.max(drawn.value, wantedRows.value);
  stage.value = STAGES.length - 1;
});

function head({ id, head: text, hint, value, isActions }: DataColumn<R>): VNodeChild {
  if (isActions) return h('span', { class: 'unseen' }, text);
  if (!value || !props.orders || !has('order')) return h('span', { title: hint }, text);
  const now = order.value?.id === id ? (order.value.isDescending ? ' ▼' : ' ▲') : '';
  return h(
    NButton,
    {
      text: true,
      title: hint ?? `order by ${text.toLowerCase()}`,
      'aria-label': `${text}${now && (now === ' ▼' ? ', descending' : ', ascending')}: order`,
      class: 'head',
      onClick: () => {
        order.value = nextOrder(order.value, id);
        emit('whole');
      },
    },
    () => `${text}${now}`,
  );
}
function cellProps({ isRowHead, cellClass }: DataColumn<R>, row: R) {
  return {
    ...(isRowHead && { role: 'rowheader' }),
    ...(cellClass && { class: typeof cellClass === 'string' ? cellClass : cellClass(row) }),
  };
}
const tableColumns = computed(() =>
  (has('heads') ? props.columns : []).map((column): DataTableColumn<R> => ({
    key: column.id,
    title: () => head(column),
    align: column.align ?? 'left',
    className: [!column.isLong && 'short', column.columnClass].filter(Boolean).join(' '),
    ...((column.isRowHead || column.cellClass) && { cellProps: (row: R) => cellProps(column, row) }),
    render: (row) => {
      const cell = slots[column.id];
      if (!cell) return String(column.value?.(row) ?? '');
      // The raw value is not for readers: metres, where the page shows yards.
      return has('row') ? cell({ row }) : '…';
    },
  })),
);

const emptyWords = computed(() => {
  if (props.coming || found.value.length > 0) return '…';
  return wanted.value ? 'Nothing matches the search.' : props.empty;
});

/** The library has no name for its table. */
const whole = useTemplateRef<HTMLElement>('whole');
watchPostEffect(() => {
  if (has('table')) whole.value?.querySelector('table')?.setAttribute('aria-label', props.caption);
});
</script>

<template>
  <div ref="whole" class="whole scroll">
    <TextField
      v-if="searched && rows.length > page / 2"
      v-model:value="wanted"
      :aria-label="`Search: ${caption}`"
      placeholder="search…"
      @update:value="emit('whole')"
      class="search no-print"
    />
    <NDataTable
      v-if="has('table')"
      size="small"
      :bordered="false"
      :bottom-bordered="false"
      :columns="tableColumns"
      :data="shown as R[]"
      :row-key="rowKey"
      :row-class-name="rowClass"
    >
      <template #empty
        ><span class="quiet">{{ emptyWords }}</span></template
      >
    </NDataTable>
    <div ref="end" />
    <NButton v-if="left > 0" size="small" class="no-print more" @click="count += page"
      >Show {{ digits(Math.min(page, left)) }} more: {{ digits(wantedRows) }} of
      {{ digits(found.length) }} shown</NButton
    >
  </div>
</template>

<style scoped>
/* However wide its rows are, it takes the room there is. */
.whole {
  display: grid;
  grid-template-columns: minmax(0, 1fr);
}
.search {
  max-width: 260px;
  margin-bottom: 6px;
}
.more {
  justify-self: start;
  margin-top: 6px;
}
.whole :deep(.n-data-table-th) {
  color: var(--quiet);
  font-weight: 400;
  font-size: 12.5px;
  white-space: nowrap;
}
.whole :deep(.head) {
  font-size: inherit;
  text-decoration: underline dotted var(--line);
  text-underline-offset: 4px;
  --n-text-color: var(--quiet);
}
.whole :deep(.n-data-table) {
  --n-merged-td-color: transparent;
  --n-merged-th-color: transparent;
}
.whole :deep(.short) {
  white-space: nowrap;
}
/* Words keep room for some of them in a line; a narrow screen scrolls instead. */
.whole :deep(.n-data-table-th:not(.short)) {
  min-width: 150px;
}
</style>
