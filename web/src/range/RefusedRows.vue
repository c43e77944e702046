<script setup lang="ts">
import type { StrikeImportReport } from '@tasche/contract';
import { counted, digits } from '@tasche/core';
import { NButton } from 'naive-ui';
import { computed } from 'vue';
import DataTable from '../app/DataTable.vue';
import type { DataColumn } from '../app/data-table';

/** What of a file cannot be imported, with its reasons; if it is a lot, a summary comes before the lines. */
const props = defineProps<{ report: Pick<StrikeImportReport, 'refused' | 'reasons' | 'refusals'> }>();
const emit = defineEmits<{ save: [] }>();

const MAX_LINES = 100;
const MAX_REASONS = 12;
interface Row {
  key: string;
  /** Its line in the file, or how many lines there are like it. */
  line: string;
  column: string;
  found: string;
  why: string;
  isSum: boolean;
}
const rows = computed((): Row[] => [
  ...(props.report.refused > MAX_REASONS ? props.report.reasons.slice(0, MAX_REASONS) : []).map(
    ({ column, reason, count }) => ({
      key: `${column} ${reason}`,
      line: counted(count, 'row'),
      column,
      found: '',
      why: reason,
      isSum: true,
    }),
  ),
  ...props.report.refusals.slice(0, MAX_LINES).map(({ line, column, text, reason }) => ({
    key: String(line),
    line: String(line),
    column,
    found: text,
    why: reason,
    isSum: false,
  })),
]);
const COLUMNS: readonly DataColumn<Row>[] = [
  { id: 'line', head: 'Line', isRowHead: true, value: ({ line }) => line },
  { id: 'column', head: 'Column', value: ({ column }) => column },
  { id: 'found', head: 'Found', columnClass: 'found', value: ({ found }) => found },
  { id: 'why', head: 'Why', isLong: true, value: ({ why }) => why },
];
</script>

<template>
  <div>
    <p class="title">
      <b>Not imported</b>
      <NButton size="small" @click="emit('save')">Save the list</NButton>
    </p>
    <DataTable
      class="refused"
      caption="Not imported"
      :columns="COLUMNS"
      :rows="rows"
      :row-key="({ key }) => key"
      :row-class="({ isSum }) => (isSum ? 'sum' : '')"
      :orders="false"
      is-at-once
    />
    <p v-if="report.refused > MAX_LINES" class="quiet small">
      and {{ digits(report.refused - MAX_LINES) }} more like these
    </p>
  </div>
</template>

<style scoped>
.title {
  display: flex;
  gap: 10px;
  align-items: center;
}
.refused :deep(.sum) {
  font-weight: 600;
}
.refused :deep(.found) {
  max-width: 180px;
  overflow: hidden;
  text-overflow: ellipsis;
}
</style>
