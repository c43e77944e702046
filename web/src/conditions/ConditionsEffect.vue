<script setup lang="ts">
import {
  distanceNumber,
  formatDistance,
  signedDistance,
  slowSwingWords,
  type DistanceUnit,
  type LadderClub,
  type StepReport,
} from '@tasche/core';
import { computed } from 'vue';
import { MARKS } from '../ladder/marks';
import type { Moved } from './use-conditions';

/**
 * What this air does to the bag in a line or two: the shift from the longest club to the shortest, and the
 * steps it opens or closes.
 */
const props = defineProps<{
  clubs: readonly LadderClub[];
  moved: ReadonlyMap<string, Moved> | undefined;
  turned: readonly { before: StepReport; after: StepReport }[];
  unit: DistanceUnit;
}>();

const names = computed(() => new Map(props.clubs.map((club) => [club.id, club.name])));
const shifts = computed(() =>
  props.clubs
    .flatMap((club) => {
      const there = props.moved?.get(club.id);
      return there ? [{ club, there }] : [];
    })
    .sort((a, b) => b.there.carryM - a.there.carryM),
);
const slow = computed(() =>
  slowSwingWords(
    shifts.value.map(({ club, there }) => ({ name: club.name, isSlow: there.isSlow })),
    'guessed',
  ),
);
const few = computed(() => {
  const all = shifts.value;
  return all.length <= 3 ? all : [all[0]!, all[Math.floor(all.length / 2)]!, all.at(-1)!];
});
const drift = computed(() => shifts.value.find(({ there }) => Math.abs(there.lateralM) >= 1)?.there.lateralM);
const short = computed(
  () => props.clubs.length - shifts.value.length - props.clubs.filter((club) => !club.shots.full).length,
);
/**
 * What is reported in that air and was not before, or no longer is; a step that is only less sure is counted.
 */
const isReported = (step: StepReport) =>
  step.severity === 'error' || step.severity === 'warning' || step.word === 'either-or';
const said = computed(() =>
  props.turned.filter(({ before, after }) => isReported(before) || isReported(after)),
);
const unsure = computed(() => props.turned.length - said.value.length);
const stepName = (step: StepReport) => `${names.value.get(step.upperId)} to ${names.value.get(step.lowerId)}`;
</script>

<template>
  <p class="effect small" role="status">
    <span
      v-for="{ club, there } in few"
      :key="club.id"
      class="shift"
      :title="`95 % of the time within ${formatDistance(there.plusMinusM, unit)}`"
    >
      <b>{{ club.name }}</b> {{ distanceNumber(there.carryM, unit) }}
      <span class="brass">{{ signedDistance(there.shiftCarryM, unit) }}</span>
      <span class="quiet">
        ±{{ distanceNumber(there.plusMinusM, unit) }}, total {{ distanceNumber(there.totalM, unit) }}
        <span class="brass">{{ signedDistance(there.shiftTotalM, unit) }}</span></span
      >
    </span>
    <span v-if="drift !== undefined" class="quiet"
      >the wind drifts the {{ shifts[0]?.club.name }}
      {{ formatDistance(Math.abs(shifts[0]?.there.lateralM ?? 0), unit) }}
      {{ drift < 0 ? 'left' : 'right' }}</span
    >
    <span v-for="{ before, after } in said" :key="stepName(after)"
      ><span class="verdict" :class="after.severity"
        >{{ MARKS[after.severity] }} {{ stepName(after) }} {{ distanceNumber(before.carryM, unit) }} →
        {{ distanceNumber(after.carryM, unit) }}: {{ after.word }}</span
      ><span v-if="after.word !== before.word" class="quiet"> (at the baseline {{ before.word }})</span></span
    >
    <span v-if="unsure > 0" class="quiet"
      >{{ unsure }} {{ unsure === 1 ? 'step is' : 'steps are' }} less sure here.</span
    >
    <span v-if="said.length === 0 && shifts.length > 1" class="quiet"
      >No step opens or closes because of it.</span
    >
    <span v-if="slow" class="verdict warning">◆ {{ slow }}</span>
    <span v-if="short > 0" class="verdict warning"
      >◆ {{ short }} {{ short === 1 ? 'shot has' : 'shots have' }} no flight here: shown as known.</span
    >
  </p>
</template>

<style scoped>
.effect {
  flex-basis: 100%;
  display: flex;
  flex-wrap: wrap;
  gap: 2px 18px;
  align-items: baseline;
}
.brass {
  color: var(--brass-ink);
  font-weight: 500;
}
</style>
