<script setup lang="ts">
import {
  distanceNumber,
  formatDegrees,
  signedDistance,
  stepSentence,
  type DistanceUnit,
  type GapReport,
  type StepReport,
} from '@tasche/core';
import { computed } from 'vue';
import DataTable from '../app/DataTable.vue';
import { FIGURES, type DataColumn } from '../app/data-table';
import type { Moved } from '../conditions/use-conditions';
import { MARKS } from './marks';

/** The ladder for people who would rather read it, or hear it. */
const props = defineProps<{
  report: GapReport;
  unit: DistanceUnit;
  /** What the air did to each club, while the ladder is read in other air. */
  moved?: ReadonlyMap<string, Moved> | undefined;
}>();

/** "239 −13", where anything was moved. */
const totalOf = (clubId: string): string => {
  const moved = props.moved?.get(clubId);
  return moved
    ? `${distanceNumber(moved.totalM, props.unit)} ${signedDistance(moved.shiftTotalM, props.unit)}`
    : '';
};
const shiftOf = (clubId: string): string => {
  const moved = props.moved?.get(clubId);
  return moved ? signedDistance(moved.shiftCarryM, props.unit) : '';
};
const degrees = (deg: number | undefined) => (deg === undefined ? '' : formatDegrees(deg));
function targetOf({ targetM, targetDeg }: StepReport): string {
  return targetM === undefined ? degrees(targetDeg) : String(distanceNumber(targetM, props.unit, 1));
}
/** Each club, with the step to the next. */
const rows = computed(() => props.report.rungs.map((rung, i) => ({ rung, step: props.report.steps[i] })));
type Row = (typeof rows.value)[number];
const columns = computed((): DataColumn<Row>[] => [
  { id: 'club', head: 'Club', isRowHead: true, value: ({ rung }) => rung.name },
  { id: 'loft', head: 'Loft', ...FIGURES, value: ({ rung }) => degrees(rung.loftDeg) },
  {
    id: 'carry',
    head: 'Carry',
    ...FIGURES,
    cellClass: ({ rung }) => (rung.plusMinusM === undefined ? '' : 'modelled'),
  },
  ...(props.moved
    ? [
        { id: 'shift', head: 'Against baseline', ...FIGURES, value: ({ rung }: Row) => shiftOf(rung.clubId) },
        {
          id: 'total',
          head: 'Total, against baseline',
          ...FIGURES,
          value: ({ rung }: Row) => totalOf(rung.clubId),
        },
      ]
    : []),
  { id: 'loft-step', head: 'Loft step', ...FIGURES, value: ({ step }) => degrees(step?.loftDeg) },
  {
    id: 'carry-step',
    head: 'Carry step',
    ...FIGURES,
    value: ({ step }) => step && distanceNumber(step.carryM, props.unit),
  },
  { id: 'target', head: 'Target', ...FIGURES, value: ({ step }) => step && targetOf(step) },
  { id: 'verdict', head: 'Verdict', isLong: true, columnClass: 'said' },
]);
</script>

<template>
  <DataTable
    class="ladder"
    caption="Ladder: each club with its loft and carry, and the step to the next club"
    :columns="columns"
    :rows="rows"
    :row-key="({ rung }) => rung.clubId"
    :orders="false"
    is-at-once
  >
    <template #carry="{ row: { rung } }">
      {{ distanceNumber(rung.carryM, unit) }} {{ unit }}{{ ' '
      }}<span v-if="rung.plusMinusM !== undefined" class="small"
        >modelled ±{{ distanceNumber(rung.plusMinusM, unit) }}</span
      >
    </template>
    <template #verdict="{ row: { step } }">
      <template v-if="step">
        <span class="verdict" :class="step.severity">{{ MARKS[step.severity] }} {{ step.word }}</span>
        <div class="small quiet">{{ stepSentence(step, report, unit) }}</div>
      </template>
    </template>
  </DataTable>
</template>

<style scoped>
.ladder :deep(.said) {
  width: 46%;
}
.ladder :deep(.n-data-table-td),
.ladder :deep(.n-data-table-th) {
  padding-inline: 0 10px;
}
.ladder :deep(.n-data-table-td) {
  vertical-align: top;
}
.ladder :deep([role='rowheader']) {
  font-weight: 600;
}
.ladder :deep(.modelled) {
  font-style: italic;
  color: var(--quiet);
}
</style>
