<script setup lang="ts">
import { TIE_STROKES, decimals, isTie, type DistanceUnit } from '@tasche/core';
import type { ReviewView, roundsPlayed } from '@tasche/contract';
import DataTable from '../app/DataTable.vue';
import type { DataColumn } from '../app/data-table';
import { shortMoment } from '../app/day';
import { sinceWords, type PredictionOfDay } from './review';

type Swap = ReviewView['swaps'][number];

/** The changes of the gamer in a time, what each was to gain, and what is heard of its clubs since. */
const props = defineProps<{
  swaps: readonly Swap[];
  /** Strokes of a usual round by swap; none while it is worked out, and where it cannot be. */
  gains: ReadonlyMap<string, number | null>;
  predictions: readonly PredictionOfDay[];
  rounds: ReturnType<typeof roundsPlayed>;
  unit: DistanceUnit;
}>();

/** "0.11", "a tie", "−0.05". */
function gainWords(strokes: number | null | undefined): string {
  if (strokes == null) return '–';
  return isTie(strokes) ? 'a tie' : decimals(strokes, 2);
}
const names = (clubs: readonly { name: string }[]) => clubs.map(({ name }) => name).join(', ') || '–';
const columns: DataColumn<Swap>[] = [
  { id: 'when', head: 'When', value: ({ at }) => at },
  { id: 'in', head: 'In', value: ({ ins }) => names(ins) },
  { id: 'out', head: 'Out', value: ({ outs }) => names(outs) },
  { id: 'why', head: 'What for', isLong: true, value: ({ why, summary }) => why || summary },
  { id: 'gain', head: 'To gain', align: 'right', value: ({ id }) => props.gains.get(id) },
  { id: 'since', head: 'Since', isLong: true },
];
</script>

<template>
  <DataTable caption="Swaps made" :columns="columns" :rows="swaps" :row-key="({ id }) => id">
    <template #when="{ row }"
      ><span class="quiet">{{ shortMoment(row.at) }}<br />{{ row.who }}</span></template
    >
    <template #gain="{ row }">{{ gainWords(gains.get(row.id)) }}</template>
    <template #since="{ row }">
      <span v-for="{ id, name } in row.ins" :key="id" class="since small">
        {{ name }}: {{ sinceWords(row, id, predictions, rounds, unit) || 'not hit since' }}
      </span>
    </template>
  </DataTable>
  <p class="quiet small foot">
    To gain: strokes of a usual round, the bag before against the bag after, by what is known of their clubs
    now; under {{ TIE_STROKES }} is a tie. What a swap did gain cannot be read off a few rounds: a round’s
    luck is larger. What can be seen is whether the club did what was expected of it, and whether it was hit.
  </p>
</template>

<style scoped>
.since {
  display: block;
}
.foot {
  margin-top: 8px;
  max-width: 820px;
}
</style>
