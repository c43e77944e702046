<script setup lang="ts">
import { showQuantity, type ReadingView } from '@tasche/contract';
import {
  distanceNumber,
  quantityOf,
  shotKindOf,
  shotKindWords,
  sourceWords,
  type DistanceUnit,
} from '@tasche/core';
import { NButton } from 'naive-ui';
import { usePages } from '../api/read';
import { shortDay } from '../app/day';
import ProblemLine from '../app/ProblemLine.vue';

/** Everything that was ever recorded about a club, the newest first. */
const props = defineProps<{ clubId: string; unit: DistanceUnit }>();
const { rows, total, hasMore, more, problem } = usePages<ReadingView>(
  (next) => `/clubs/${props.clubId}/readings?limit=${next === null ? 50 : `200&before=${next}`}`,
);

function readingText({ key, value }: ReadingView): string {
  const quantity = quantityOf(key);
  const kind = shotKindOf(key);
  const label = quantity?.label ?? `${kind ? shotKindWords(kind) : key} shot`;
  if (value === null) return `${label}: not known`;
  if (quantity) return `${label} ${showQuantity(quantity, value)}`;
  return typeof value === 'object'
    ? `${label} ${distanceNumber(value.carryM, props.unit)} ${props.unit}, ${sourceWords(value, props.unit)}`
    : label;
}
</script>

<template>
  <ProblemLine :text="problem" />
  <ol v-if="rows" class="readings small">
    <li v-for="reading in rows" :key="reading.id" :class="{ undone: reading.undone }">
      <span class="quiet">{{ shortDay(reading.takenOn) }}</span> {{ readingText(reading) }}
      <span class="quiet"
        >{{ reading.who }}{{ reading.why ? `: ${reading.why}` : ''
        }}{{ reading.undone ? ' (undone)' : '' }}</span
      >
    </li>
  </ol>
  <NButton v-if="hasMore" @click="more" size="small"
    >Older: {{ rows?.length ?? 0 }} of {{ total }} shown</NButton
  >
</template>

<style scoped>
.readings {
  list-style: none;
  padding: 0;
  margin: 0;
  display: grid;
  gap: 3px;
}
.undone {
  text-decoration: line-through;
  opacity: 0.6;
}
</style>
