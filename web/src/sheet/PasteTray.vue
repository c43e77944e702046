<script setup lang="ts">
import { COLUMNS, unitLabel } from '@tasche/contract';
import { CLUB_KINDS, counted } from '@tasche/core';
import { NButton, NCard, NForm, NTable } from 'naive-ui';
import { computed } from 'vue';
import ChoiceField from '../fields/ChoiceField.vue';
import TextField from '../fields/TextField.vue';
import type { LeftRow, PasteReport } from './use-paste';

/** What a paste did, and what it could not take, to be fixed here and taken in. */
const props = defineProps<{ report: PasteReport }>();
const emit = defineEmits<{
  close: [];
  /** The rows as they are fixed so far. */
  edit: [rows: readonly LeftRow[]];
  fix: [];
  column: [head: string, id: string];
}>();

/** Rows are fixed a few at a time. */
const MAX_ROWS_SHOWN = 20;

const rows = computed(() => props.report.rows);
/** Columns that say something in these rows, and the club's own. */
const shown = computed(() =>
  props.report.columns.flatMap((column, i) =>
    column &&
    column.id !== 'clubId' &&
    (column.id === 'name' || props.report.rows.some(({ cells }) => cells[i]?.trim()))
      ? [i]
      : [],
  ),
);
const rest = computed(() => Math.max(props.report.rows.length - MAX_ROWS_SHOWN, 0));

function change(row: number, set: Partial<LeftRow>): void {
  emit(
    'edit',
    rows.value.map((one, i) => (i === row ? { ...one, ...set } : one)),
  );
}
const write = (row: LeftRow, i: number, column: number, text: string) =>
  change(i, { cells: row.cells.map((cell, k) => (k === column ? text : cell)) });

const choices = computed(() =>
  COLUMNS.filter(({ type }) => type !== 'club').map((column) => {
    const unit = unitLabel(column, props.report.unit);
    return { value: column.id as string, label: unit ? `${column.label}, ${unit}` : column.label };
  }),
);
</script>

<template>
  <NCard tag="section" class="tray" aria-label="What was pasted">
    <div class="bar">
      <p role="status">
        <strong>{{ report.from || 'Pasted' }}:</strong> {{ report.added }} new, {{ report.changed }} changed,
        {{ report.same }} unchanged.
        <span v-if="report.inPlace" class="bad"
          >{{ counted(report.inPlace, 'cell') }} could not be imported,
          {{ report.inPlace === 1 ? 'marked' : 'each marked' }} in the sheet.</span
        >
      </p>
      <NButton size="small" @click="emit('close')">Close</NButton>
    </div>
    <p v-if="report.remarks?.length" class="quiet small">
      Not imported, as they name no club:
      {{
        report.remarks
          .slice(0, 5)
          .map((said) => `“${said}”`)
          .join(', ')
      }}{{ report.remarks.length > 5 ? '…' : '.' }}
    </p>
    <div v-for="{ head, cells } in report.unknown" :key="head" class="unknown">
      <span class="warning">◆ No column is called “{{ head }}”.</span>
      <template v-if="cells.length > 0">
        <span class="quiet"
          >{{
            cells
              .slice(0, 3)
              .map(({ text }) => text)
              .join(', ')
          }}{{ cells.length > 3 ? '…' : '' }}</span
        >
        <ChoiceField
          :value="null"
          :label="`What “${head}” is`"
          placeholder="choose what it is"
          size="small"
          :options="choices"
          @update:value="emit('column', head, $event)"
        />
      </template>
    </div>
    <NForm v-if="rows.length > 0" @submit.prevent="emit('fix')">
      <p class="bad">
        ■
        {{ counted(rows.length, 'row') }}
        could not be imported. Fix what is wrong, then import them.
      </p>
      <div class="scroll">
        <NTable
          aria-label="Rows that could not be imported"
          size="small"
          :bordered="false"
          :bottom-bordered="false"
        >
          <thead>
            <tr>
              <th>Row</th>
              <th v-for="column in shown" :key="column">{{ report.heads[column] || 'club' }}</th>
            </tr>
          </thead>
          <tbody>
            <template v-for="(row, i) in rows.slice(0, MAX_ROWS_SHOWN)" :key="row.line">
              <tr>
                <td>{{ row.line }}</td>
                <td v-for="column in shown" :key="column">
                  <TextField
                    :value="row.cells[column] ?? ''"
                    size="small"
                    :aria-label="`${report.heads[column] || 'club'}, row ${row.line}`"
                    @update:value="write(row, i, column, $event)"
                  />
                </td>
              </tr>
              <tr>
                <td></td>
                <td class="bad" :colspan="shown.length">
                  <div class="why">
                    <span>{{ row.reasons.join('; ') }}</span>
                    <ChoiceField
                      v-if="row.asksKind"
                      :value="row.kind"
                      :label="`Kind of club, row ${row.line}`"
                      placeholder="choose a kind"
                      size="small"
                      :options="CLUB_KINDS"
                      @update:value="change(i, { kind: $event })"
                    />
                  </div>
                </td>
              </tr>
            </template>
          </tbody>
        </NTable>
      </div>
      <div class="bar">
        <NButton size="small" type="primary" attr-type="submit"
          >Import {{ counted(rows.length, 'row') }}</NButton
        >
        <span v-if="rest > 0" class="small quiet">{{ counted(rest, 'more row') }} after these.</span>
      </div>
    </NForm>
  </NCard>
</template>

<style scoped>
.tray {
  padding: 8px 12px;
  display: grid;
  grid-template-columns: minmax(0, 1fr);
  gap: 8px;
  margin-bottom: 10px;
  font-size: 13.5px;
}
.bar {
  justify-content: space-between;
}
.unknown {
  display: flex;
  flex-wrap: wrap;
  gap: 4px 10px;
  align-items: center;
}
th {
  font-weight: 400;
  color: var(--quiet);
}
td:not(:first-child) {
  min-width: 84px;
}
td:nth-child(2) {
  min-width: 130px;
}
/* Stays in sight where the row is scrolled sideways. */
.why {
  position: sticky;
  left: 0;
  display: flex;
  flex-wrap: wrap;
  gap: 4px 10px;
  align-items: center;
  width: fit-content;
  max-width: min(100%, 68vw);
}
tr:has(+ tr .why) td {
  border-bottom: 0;
}
.bad {
  color: var(--brick-ink);
}
.warning {
  color: var(--brass-ink);
}
</style>
