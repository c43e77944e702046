<script setup lang="ts">
import {
  distanceNumber,
  formatDistance,
  signedDistance,
  sourceWords,
  type DistanceUnit,
  type Shot,
} from '@tasche/core';
import { computed } from 'vue';
import DataTable from '../app/DataTable.vue';
import { FIGURES, type DataColumn } from '../app/data-table';
import type { NamedTrace } from './flight-charts';

/** Flights in some air in numbers, the longest first. */
const props = defineProps<{
  flights: readonly NamedTrace[];
  /** The full shot each is known by, by its club's id. */
  knownBy: (clubId: string) => Shot | undefined;
  unit: DistanceUnit;
  /** The air or the lie is not the one the carries are known in: what that does is told. */
  isElsewhere: boolean;
}>();

const number = (metres: number) => distanceNumber(metres, props.unit);
const height = computed(() => (props.unit === 'yd' ? 'ft' : 'm'));
/** Less than this a wind does not drift a ball. Metres. */
const MIN_DRIFT_M = 0.3;
const driftWords = (lateralM: number) =>
  Math.abs(lateralM) < MIN_DRIFT_M ? '0' : `${number(Math.abs(lateralM))} ${lateralM < 0 ? 'left' : 'right'}`;

const columns = computed((): DataColumn<NamedTrace>[] => [
  { id: 'club', head: 'Club', value: ({ name }) => name },
  { id: 'carry', head: 'Carry', ...FIGURES, value: ({ trace }) => trace.moved.carryM },
  ...(props.isElsewhere
    ? [
        {
          id: 'shift',
          head: 'Against baseline',
          ...FIGURES,
          value: ({ trace }: NamedTrace) => trace.moved.shiftCarryM,
        },
      ]
    : []),
  {
    id: 'sure',
    head: 'Sure to',
    hint: '95 % of the time within it',
    ...FIGURES,
    value: ({ trace }) => trace.moved.plusMinusM,
  },
  { id: 'low', head: 'Nine in ten past', ...FIGURES, value: ({ trace }) => trace.spread.lowEndM },
  { id: 'total', head: 'Total', ...FIGURES, value: ({ trace }) => trace.moved.totalM },
  { id: 'run', head: 'Run', ...FIGURES, value: ({ trace }) => trace.moved.runM },
  { id: 'apex', head: 'Apex', ...FIGURES, value: ({ trace }) => trace.moved.apexM },
  { id: 'lands', head: 'Lands', ...FIGURES, value: ({ trace }) => trace.moved.descentDeg },
  { id: 'drift', head: 'Drift', ...FIGURES, value: ({ trace }) => trace.moved.lateralM },
  {
    id: 'wide',
    head: 'Wide',
    hint: 'one standard deviation, across',
    ...FIGURES,
    value: ({ trace }) => trace.spread.lateralSdM,
  },
  { id: 'air', head: 'In the air', ...FIGURES, value: ({ trace }) => trace.flightS },
  { id: 'known', head: 'Carry known by', value: ({ trace }) => props.knownBy(trace.clubId)?.source },
]);
</script>

<template>
  <DataTable
    caption="Flights in this air"
    :columns="columns"
    :rows="flights"
    :row-key="({ trace }) => trace.clubId"
    is-whole
    class="flights"
  >
    <template #club="{ row: { name } }"
      ><b>{{ name }}</b></template
    >
    <template #carry="{ row: { trace } }">{{ number(trace.moved.carryM) }} {{ unit }}</template>
    <template #shift="{ row: { trace } }"
      ><span class="brass"
        >{{ signedDistance(trace.moved.shiftCarryM, unit) }}, total
        {{ signedDistance(trace.moved.shiftTotalM, unit) }}</span
      ></template
    >
    <template #sure="{ row: { trace } }"
      ><span class="quiet">±{{ number(trace.moved.plusMinusM) }}</span></template
    >
    <template #low="{ row: { trace } }">{{ number(trace.spread.lowEndM) }}</template>
    <template #total="{ row: { trace } }">{{ number(trace.moved.totalM) }}</template>
    <template #run="{ row: { trace } }"
      >{{ number(trace.moved.runM).replace('-', '−') }}
      <span class="quiet">{{ trace.moved.runWord }}</span></template
    >
    <template #apex="{ row: { trace } }">{{ formatDistance(trace.moved.apexM, height) }}</template>
    <template #lands="{ row: { trace } }">{{ trace.moved.descentDeg.toFixed(0) }}°</template>
    <template #drift="{ row: { trace } }">{{ driftWords(trace.moved.lateralM) }}</template>
    <template #wide="{ row: { trace } }"
      ><span class="quiet">±{{ number(trace.spread.lateralSdM) }}</span></template
    >
    <template #air="{ row: { trace } }"
      ><span class="quiet">{{ trace.flightS.toFixed(1) }} s</span></template
    >
    <template #known="{ row: { trace } }"
      ><span v-if="knownBy(trace.clubId)" :class="knownBy(trace.clubId)!.source">{{
        sourceWords(knownBy(trace.clubId)!, unit)
      }}</span></template
    >
  </DataTable>
</template>

<style scoped>
.flights {
  margin-top: 6px;
}
.brass {
  color: var(--brass-ink);
}
</style>
