<script setup lang="ts">
import { counted, NORMAL_95, distanceNumber, type DistanceUnit, type Prediction } from '@tasche/core';
import { computed } from 'vue';
import DataTable from '../app/DataTable.vue';
import type { DataColumn } from '../app/data-table';
import { shortDay } from '../app/day';
import { BASIS_WORDS, STRIP_DEVIATIONS, placeInStrip, type PredictionOfDay } from './review';

/** Carries that were expected, each with the range it was to come in, and what came. */
const props = defineProps<{ predictions: readonly PredictionOfDay[]; unit: DistanceUnit }>();

const n = (metres: number, decimals = 0) => distanceNumber(metres, props.unit, decimals);
const signed = (metres: number) => `${metres > 0 ? '+' : ''}${n(metres, 1)}`.replace('-', '−');
const isOff = ({ expectedM, foundM, deviationM }: Prediction) =>
  Math.abs(foundM - expectedM) > NORMAL_95 * deviationM;
const columns = computed((): DataColumn<PredictionOfDay>[] => [
  { id: 'day', head: 'Day', value: ({ day }) => day },
  { id: 'club', head: 'Club', value: ({ clubName }) => clubName },
  { id: 'expected', head: `Expected, ${props.unit}`, align: 'right', value: ({ expectedM }) => expectedM },
  { id: 'came', head: 'Came', align: 'right', value: ({ foundM }) => foundM },
  { id: 'off', head: 'Off by', align: 'right', value: ({ expectedM, foundM }) => foundM - expectedM },
  {
    id: 'within',
    head: 'Within its range',
    hint: 'order by how far outside its range it was',
    value: (one) => Math.abs(one.foundM - one.expectedM) / one.deviationM,
  },
  { id: 'basis', head: 'The carry was', value: ({ basis }) => BASIS_WORDS[basis], isLong: true },
]);

/** The picture of a range, in px: its ends, and half the width of what holds 95 in 100. */
const ENDS_PX = [4, 136] as const;
const MIDDLE_PX = (ENDS_PX[0] + ENDS_PX[1]) / 2;
const STRIP_95_PX = (NORMAL_95 / STRIP_DEVIATIONS) * (MIDDLE_PX - ENDS_PX[0]);
const strip = (place: number) => ENDS_PX[0] + place * (ENDS_PX[1] - ENDS_PX[0]);
</script>

<template>
  <DataTable
    caption="What was expected, and what happened"
    :columns="columns"
    :rows="predictions"
    :row-key="(one) => `${one.day} ${one.clubId}`"
    :searched="(one) => `${one.clubName} ${BASIS_WORDS[one.basis]}`"
    class="predictions"
  >
    <template #day="{ row }"
      ><span class="quiet">{{ shortDay(row.day) }}</span></template
    >
    <template #expected="{ row }"
      >{{ n(row.expectedM) }} <span class="quiet">± {{ n(NORMAL_95 * row.deviationM) }}</span></template
    >
    <template #came="{ row }"
      >{{ n(row.foundM) }} <span class="quiet">{{ counted(row.shots, 'shot') }}</span></template
    >
    <template #off="{ row }">{{ signed(row.foundM - row.expectedM) }}</template>
    <template #within="{ row }">
      <svg
        class="strip"
        width="140"
        height="18"
        role="img"
        :aria-label="isOff(row) ? 'outside its range' : 'within its range'"
      >
        <line :x1="ENDS_PX[0]" :x2="ENDS_PX[1]" y1="9" y2="9" class="axis" />
        <rect :x="MIDDLE_PX - STRIP_95_PX" :width="2 * STRIP_95_PX" y="4" height="10" rx="3" class="range" />
        <line :x1="MIDDLE_PX" :x2="MIDDLE_PX" y1="3" y2="15" class="middle" />
        <circle :cx="strip(placeInStrip(row))" cy="9" r="4" :class="{ off: isOff(row) }" />
      </svg>
      <b v-if="isOff(row)" class="verdict error small">outside</b>
    </template>
    <template #basis="{ row }"
      ><span class="quiet small">{{ BASIS_WORDS[row.basis] }}</span></template
    >
  </DataTable>
</template>

<style scoped>
.predictions {
  max-width: 980px;
}
.strip {
  vertical-align: middle;
}
.axis {
  stroke: var(--line);
}
.range {
  fill: var(--petrol-soft);
  stroke: var(--line);
}
.middle {
  stroke: var(--quiet);
}
circle {
  fill: var(--petrol);
}
circle.off {
  fill: var(--brick);
}
</style>
