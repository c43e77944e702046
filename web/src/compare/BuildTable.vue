<script setup lang="ts">
import { NButton } from 'naive-ui';
import { distanceNumber, type BuildSummary, type DistanceUnit } from '@tasche/core';
import { computed } from 'vue';
import DataTable from '../app/DataTable.vue';
import { FIGURES, type DataColumn } from '../app/data-table';
import type { ComparisonAnswer } from '../range/range-worker';
import { heightUnit, plusMinusWords, speedNumber, speedUnit } from '../range/strike-units';
import Hint from '../app/Hint.vue';

/** The builds side by side, the one the others are compared with first. */
const props = defineProps<{
  summaries: readonly BuildSummary[];
  answer: Pick<ComparisonAnswer, 'points' | 'strokes'>;
  names: ReadonlyMap<string, string>;
  unit: DistanceUnit;
}>();
const emit = defineEmits<{ first: [id: string] }>();

const outliers = (id: string) => props.answer.points.find((one) => one.id === id)?.outliers ?? 0;
const strokes = (id: string) => props.answer.strokes.find((one) => one.id === id)?.strokes;
/** What a build stops in on a firm green, where that was measured. */
const holdsWords = ({ measured: { firmGreenRunM: run } }: BuildSummary) =>
  run ? distanceNumber(run.mean, props.unit) : '–';
const missWords = ({ measured: { missM: miss } }: BuildSummary) =>
  miss ? distanceNumber(miss.mean, props.unit, 1) : '–';
const strokesWords = (id: string) => {
  const [own, base] = [strokes(id), strokes(props.summaries[0]!.id)];
  if (own === undefined || base === undefined) return '';
  return id === props.summaries[0]!.id
    ? own.toFixed(2)
    : `${own.toFixed(2)} (${own - base < 0 ? '−' : '+'}${Math.abs(own - base).toFixed(2)})`;
};
const columns = computed((): DataColumn<BuildSummary>[] => [
  { id: 'build', head: 'Build', isRowHead: true, value: ({ id }) => props.names.get(id) },
  { id: 'shots', head: 'Shots', ...FIGURES, value: ({ n }) => n },
  { id: 'carry', head: 'Carry', ...FIGURES, value: ({ carryM }) => carryM.mean },
  {
    id: 'total',
    head: 'Total',
    hint: 'Average and spread of carry and run',
    ...FIGURES,
    value: ({ totalM }) => totalM.mean,
  },
  {
    id: 'miss',
    head: 'Miss',
    hint: 'How far balls pitch from the middle of their build',
    ...FIGURES,
    value: ({ measured }) => measured.missM?.mean,
  },
  { id: 'low', head: 'Mis-hit end', ...FIGURES, value: ({ lowEndM }) => lowEndM },
  {
    id: 'speed',
    head: `Ball ${speedUnit(props.unit)}`,
    ...FIGURES,
    value: ({ ballSpeedMps }) => ballSpeedMps.mean,
  },
  { id: 'launch', head: 'Launch', ...FIGURES, value: ({ launchDeg }) => launchDeg.mean },
  { id: 'spin', head: 'Spin', ...FIGURES, value: ({ spinRpm }) => spinRpm.mean },
  { id: 'apex', head: 'Apex', ...FIGURES, value: ({ apexM }) => apexM.mean },
  {
    id: 'descent',
    head: 'Descent, run',
    hint: 'Descent, and run on a firm green; a run only where launches were measured',
    ...FIGURES,
    value: ({ descentDeg }) => descentDeg.mean,
  },
  {
    id: 'strokes',
    head: 'Strokes',
    hint: 'Strokes to hole out: drives on a usual par four of 390 m, anything else at a usual green of 13 m radius; Broadie’s table, from memory',
    ...FIGURES,
    value: ({ id }) => strokes(id),
  },
  { id: 'first', head: 'The one the others are compared with', isActions: true },
]);
</script>

<template>
  <div class="scroll">
    <DataTable
      caption="The builds side by side"
      :columns="columns"
      :rows="summaries"
      :row-key="({ id }) => id"
      is-whole
    >
      <template #build="{ row: { id } }">
        <b>{{ names.get(id) }}</b>
      </template>
      <template #shots="{ row: { id, n } }">
        {{ n
        }}<Hint
          v-if="outliers(id)"
          class="verdict warning"
          says="Far from the rest; they count until they are left out on the range"
        >
          ◆{{ outliers(id) }}</Hint
        >
      </template>
      <template #carry="{ row: { carryM } }">
        <b>{{ distanceNumber(carryM.mean, unit, 1) }}</b>{{ ' ' }}
        <span class="quiet">{{ plusMinusWords(carryM.plusMinus, unit) }}</span>
      </template>
      <template #total="{ row: { totalM } }">
        {{ distanceNumber(totalM.mean, unit) }}{{ ' ' }}
        <span class="quiet">spread {{ distanceNumber(totalM.spread, unit, 1) }}</span>
      </template>
      <template #miss="{ row }">{{ missWords(row) }}</template>
      <template #low="{ row: { lowEndM } }">{{ distanceNumber(lowEndM, unit) }}</template>
      <template #speed="{ row: { ballSpeedMps } }">{{ speedNumber(ballSpeedMps.mean, unit) }}</template>
      <template #launch="{ row: { launchDeg } }">{{ launchDeg.mean.toFixed(1) }}°</template>
      <template #spin="{ row: { spinRpm } }">{{ spinRpm.mean.toFixed(0) }}</template>
      <template #apex="{ row: { apexM } }">
        {{ distanceNumber(apexM.mean, heightUnit(unit)) }}{{ ' ' }}
        <span class="quiet">{{ heightUnit(unit) }}</span>
      </template>
      <template #descent="{ row }">{{ row.descentDeg.mean.toFixed(0) }}°, {{ holdsWords(row) }}</template>
      <template #strokes="{ row: { id } }">{{ strokesWords(id) }}</template>
      <template #first="{ row: { id } }">
        <NButton v-if="id !== summaries[0]!.id" class="no-print" size="small" @click="emit('first', id)">
          make first
        </NButton>
      </template>
    </DataTable>
  </div>
</template>

<style scoped>
.scroll {
  margin: 10px 0;
}
/* Twelve numbers and a button side by side. */
.scroll :deep(.n-data-table-td),
.scroll :deep(.n-data-table-th) {
  padding-inline: 5px;
}
</style>
