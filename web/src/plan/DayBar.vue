<script setup lang="ts">
import WorkProgress from '../app/WorkProgress.vue';
import ChoiceField from '../fields/ChoiceField.vue';
import { NButton, NCard } from 'naive-ui';
import type { CourseView, EventRound, EventRoundSet } from '@tasche/contract';
import { middleAir, quantileOf, type DistanceUnit } from '@tasche/core';
import { computed } from 'vue';
import { shortMoment } from '../app/day';
import { airWords } from '../conditions/air-units';
import GroundFields from '../courses/GroundFields.vue';
import { compassPoint, groundWords, roundAirWords } from '../courses/ground-words';
import Fold from '../app/Fold.vue';
import { useForecast, type RoundOnCourse } from './use-forecast';

/**
 * What a round is expected to be played in: written by hand, taken from a season of the course, or from a
 * forecast.
 */
const props = defineProps<{
  round: EventRound;
  course: CourseView;
  /** Every round of the event, this one too. */
  rounds: readonly RoundOnCourse[];
  unit: DistanceUnit;
  readOnly: boolean;
}>();
const emit = defineEmits<{ set: [days: readonly { roundId: string; set: EventRoundSet }[]] }>();
const set = (part: EventRoundSet) => {
  emit('set', [{ roundId: props.round.id, set: part }]);
};
const { share, problem, ask, stop } = useForecast((came) => {
  emit('set', came);
});
const range = computed(() => {
  const members = props.round.forecast?.members;
  if (!members) return '';
  const span = (part: 'temperature' | 'wind', values: readonly number[]) =>
    `${airWords(part, quantileOf(values, 0.1), props.unit).split(' ')[0]!} to ${airWords(part, quantileOf(values, 0.9), props.unit)}`;
  return `${members.length} ways it may turn out: ${span(
    'temperature',
    members.map((one) => one.temperatureC),
  )}, wind ${span(
    'wind',
    members.map((one) => one.windMps),
  )} from about the ${compassPoint(middleAir(members).windFromDeg)}`;
});
/** Asks for the forecast of this round, or of every one. */
function askForecast(every: boolean): void {
  if (props.readOnly || share.value !== null) return;
  void ask(every ? props.rounds : [{ round: props.round, course: props.course }]);
}
defineExpose({ askForecast });
function takeSeason(name: string): void {
  const season = props.course.seasons.find((one) => one.name === name);
  if (season) set({ air: season.air, ground: season.ground });
}
</script>

<template>
  <NCard tag="section" class="day no-print" aria-label="The day">
    <Fold>
      <template #head>
        The day
        <span class="quiet small">{{ roundAirWords(round.air, unit) }}; {{ groundWords(round.ground) }}</span>
      </template>
      <GroundFields
        :air="round.air"
        :ground="round.ground"
        :unit="unit"
        :read-only="readOnly"
        :of="round.name"
        @air="set({ air: $event })"
        @ground="set({ ground: { ...round.ground, ...$event } })"
      >
        <label v-if="course.seasons.length && !readOnly" class="season"
          >Season of the course
          <ChoiceField
            :value="null"
            @update:value="takeSeason($event)"
            label="Take a season"
            :options="[...course.seasons.map((season) => ({ value: season.name, label: season.name }))]"
          />
        </label>
        <template v-if="share === null && !readOnly">
          <NButton title="Alt W" @click="askForecast(false)"> Ask for the forecast </NButton>
          <NButton v-if="rounds.length > 1" title="Alt Shift W" @click="askForecast(true)">
            of all {{ rounds.length }} rounds
          </NButton>
        </template>
      </GroundFields>
    </Fold>
    <p v-if="share !== null" class="bar small" role="status">
      <WorkProgress :share="share" /> Asking for the forecast…
      <NButton @click="stop" size="small">Cancel</NButton>
    </p>
    <p v-if="problem" class="verdict warning small" role="alert">◆ {{ problem }}</p>
    <p v-if="round.forecast" class="small quiet">
      {{ range }}. {{ round.forecast.source }}, {{ shortMoment(round.forecast.askedAt) }}.
    </p>
  </NCard>
</template>

<style scoped>
.day {
  padding: 8px 14px;
  display: grid;
  gap: 6px;
}
.season {
  display: grid;
  gap: 2px;
  font-size: 12px;
  color: var(--quiet);
}
</style>
