<script setup lang="ts">
import ProblemLine from '../app/ProblemLine.vue';
import { NTable } from 'naive-ui';
import { useReadOnly } from '../fields/read-only';
import TextField from '../fields/TextField.vue';
import { isScorecard } from '@tasche/contract';
import { courseLengthM, distanceNumber, type DistanceUnit, type Hole } from '@tasche/core';
import { computed, nextTick, ref } from 'vue';
import { holeColumns } from './hole-columns';

/** The holes of a course as a sheet: arrows move, rows of a spreadsheet can be pasted at any cell. */
const props = defineProps<{
  holes: readonly Hole[];
  tees: readonly string[];
  unit: DistanceUnit;
  active: number;
}>();
const emit = defineEmits<{
  holes: [holes: readonly Hole[]];
  active: [hole: number];
  /** A whole scorecard was pasted. */
  card: [text: string];
}>();
const isReadOnly = useReadOnly();
const columns = computed(() => holeColumns(props.tees, props.unit));
const problem = ref<{ hole: number; column: string; text: string } | null>(null);

function write(hole: number, column: string, text: string): void {
  const read = columns.value.find(({ id }) => id === column)!.read(props.holes[hole]!, text);
  if ('problem' in read) {
    problem.value = { hole, column, text: `Hole ${hole + 1}: ${read.problem}.` };
    return;
  }
  problem.value = null;
  emit('holes', props.holes.with(hole, read));
}

function move(event: KeyboardEvent, hole: number, column: number): void {
  const by =
    event.key === 'ArrowDown' || event.key === 'Enter' ? [1, 0] : event.key === 'ArrowUp' ? [-1, 0] : null;
  if (!by) return;
  event.preventDefault();
  const next = document.querySelector<HTMLInputElement>(`.holes [data-cell="${hole + by[0]!} ${column}"]`);
  (event.target as HTMLInputElement).blur();
  void nextTick(() => {
    next?.focus();
    next?.select();
  });
}

/** Rows of a spreadsheet, from this cell on down and to the right; taken whole or not at all. */
function paste(event: ClipboardEvent, hole: number, column: number): void {
  const text = event.clipboardData?.getData('text/plain') ?? '';
  if (isReadOnly.value || !/[\t\n]/.test(text.trim())) return;
  event.preventDefault();
  if (isScorecard(text)) {
    emit('card', text);
    return;
  }
  let holes = [...props.holes];
  for (const [r, row] of text.replace(/\r/g, '').replace(/\n$/, '').split('\n').entries()) {
    for (const [c, cell] of row.split('\t').entries()) {
      const target = columns.value[column + c];
      const before = holes[hole + r];
      if (!target || !before) continue;
      const read = target.read(before, cell);
      if ('problem' in read) {
        problem.value = {
          hole: hole + r,
          column: target.id,
          text: `Row ${r + 1} of what was pasted: ${read.problem}; nothing was pasted.`,
        };
        return;
      }
      holes = holes.with(hole + r, read);
    }
  }
  problem.value = null;
  emit('holes', holes);
}
const par = (from: number, to: number) => props.holes.slice(from, to).reduce((sum, one) => sum + one.par, 0);
</script>

<template>
  <div class="scroll">
    <NTable size="small" :bordered="false" :bottom-bordered="false" class="holes">
      <caption class="unseen">
        Holes
      </caption>
      <thead>
        <tr>
          <th scope="col">Hole</th>
          <th v-for="column in columns" :key="column.id" scope="col" :title="column.title">
            {{ column.label }}
          </th>
        </tr>
      </thead>
      <tbody>
        <tr
          v-for="(hole, h) in holes"
          :key="h"
          :class="{ on: active === h }"
          @focusin="emit('active', h)"
          @mouseenter="emit('active', h)"
        >
          <th scope="row">{{ h + 1 }}</th>
          <td v-for="(column, c) in columns" :key="column.id">
            <TextField
              class="quiet-field"
              :value="column.show(hole)"
              :data-cell="`${h} ${c}`"
              :bad="problem?.hole === h && problem.column === column.id"
              :class="{ words: column.px > 70 }"
              :style="{ width: `${column.px}px` }"
              :aria-label="`${column.label} of hole ${h + 1}`"
              autocomplete="off"
              @keydown="move($event, h, c)"
              @paste="paste($event, h, c)"
              @write="write(h, column.id, $event)"
            />
          </td>
        </tr>
      </tbody>
      <tfoot>
        <tr>
          <th scope="row">{{ holes.length }}</th>
          <td>
            <b>{{ par(0, 18) }}</b>
          </td>
          <td v-for="t in tees.length" :key="t">
            <b>{{ distanceNumber(courseLengthM({ holes }, t - 1), unit) }}</b>
          </td>
        </tr>
      </tfoot>
    </NTable>
  </div>
  <ProblemLine :text="problem?.text" />
</template>

<style scoped>
table {
  border-collapse: collapse;
  font-size: 13.5px;
}
th {
  font-weight: 400;
  color: var(--quiet);
  font-size: 12.5px;
  text-align: left;
  padding: 2px 8px 2px 2px;
}
tbody th {
  color: var(--ink);
  font-weight: 600;
  font-size: 13.5px;
}
td {
  border-top: 1px solid var(--line-soft);
  padding: 0 2px;
}
tr.on td,
tr.on th {
  background: var(--paper);
}

tfoot td {
  text-align: right;
  padding-right: 9px;
}
</style>
