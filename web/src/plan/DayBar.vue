<script setup lang="ts">
import type { CourseView, EventRound, EventRoundSet, ForecastView } from '@tasche/contract';
import { meanOf, quantileOf, type DistanceUnit, type RoundAir } from '@tasche/core';
import { computed, onScopeDispose, ref } from 'vue';
import { request } from '../api/request';
import { shortMoment } from '../app/day';
import { airWords } from '../conditions/air-units';
import GroundFields from '../courses/GroundFields.vue';
import { compassPoint } from '../courses/ground-words';

/** What a round is expected to be played in: written by hand, taken from a season of the course, or from a forecast. */
const props = defineProps<{ round: EventRound; course: CourseView; unit: DistanceUnit; readOnly: boolean }>();
const emit = defineEmits<{ set: [roundId: string, set: EventRoundSet] }>();
const set = (part: EventRoundSet) => emit('set', props.round.id, part);

const asking = ref<AbortController | null>(null);
const problem = ref('');
/** The middle of the members; of the wind's direction the mean of its arrows. */
function middle(members: readonly RoundAir[]): RoundAir {
  const of = (part: 'temperatureC' | 'humidityPct' | 'windMps') => quantileOf(members.map((one) => one[part]), 0.5);
  const angle = (one: RoundAir) => (one.windFromDeg * Math.PI) / 180;
  const from = Math.atan2(meanOf(members.map((one) => one.windMps * Math.sin(angle(one)))), meanOf(members.map((one) => one.windMps * Math.cos(angle(one)))));
  const tenth = (value: number) => Math.round(value * 10) / 10;
  return { temperatureC: tenth(of('temperatureC')), humidityPct: Math.round(of('humidityPct')), windMps: tenth(of('windMps')), windFromDeg: Math.round((((from * 180) / Math.PI) + 360) % 360) };
}

async function forecast(): Promise<void> {
  asking.value?.abort();
  const mine = new AbortController();
  // Whatever round is looked at by the time it comes.
  const { id, day } = props.round;
  asking.value = mine;
  problem.value = '';
  try {
    const { source, askedAt, days } = await request<ForecastView>(`/courses/${props.course.id}/forecast?from=${day}&days=1`, { signal: mine.signal });
    const members = days[0]?.members ?? [];
    if (members.length === 0) { problem.value = 'The forecast says nothing of this day. Write the air down by hand.'; return; }
    emit('set', id, { forecast: { source, askedAt, members }, air: middle(members) });
  } catch (error) {
    if (!mine.signal.aborted) problem.value = (error as Error).message;
  } finally {
    if (asking.value === mine) asking.value = null;
  }
}
onScopeDispose(() => asking.value?.abort());
function stop(): void {
  asking.value?.abort();
  asking.value = null;
}
const range = computed(() => {
  const members = props.round.forecast?.members;
  if (!members) return '';
  const span = (part: 'temperature' | 'wind', values: readonly number[]) => `${airWords(part, quantileOf(values, 0.1), props.unit).split(' ')[0]!} to ${airWords(part, quantileOf(values, 0.9), props.unit)}`;
  return `${members.length} ways it may turn out: ${span('temperature', members.map((one) => one.temperatureC))}, wind ${span('wind', members.map((one) => one.windMps))} from about the ${compassPoint(middle(members).windFromDeg)}`;
});
function takeSeason(name: string): void {
  const season = props.course.seasons.find((one) => one.name === name);
  if (season) set({ air: season.air, ground: season.ground });
}
</script>

<template>
  <section class="card day no-print" aria-label="The day">
    <GroundFields :air="round.air" :ground="round.ground" :unit="unit" :read-only="readOnly" :of="round.name" @air="set({ air: $event })" @ground="set({ ground: { ...round.ground, ...$event } })">
      <label v-if="course.seasons.length && !readOnly" class="season">Season of the course
        <select :value="''" aria-label="Take a season" @change="takeSeason(($event.target as HTMLSelectElement).value); ($event.target as HTMLSelectElement).value = ''"><option value="">take one…</option><option v-for="season in course.seasons" :key="season.name">{{ season.name }}</option></select>
      </label>
      <button v-if="!asking && !readOnly" type="button" class="plain-button" title="Alt W" @click="forecast">Ask for the forecast</button>
    </GroundFields>
    <p v-if="asking" class="bar small" role="status">Asking for the forecast… <button type="button" class="plain-button slim" @click="stop">Cancel</button></p>
    <p v-if="problem" class="verdict look small" role="alert">◆ {{ problem }}</p>
    <p v-if="round.forecast" class="small quiet">{{ range }}. {{ round.forecast.source }}, {{ shortMoment(round.forecast.askedAt) }}.</p>
  </section>
</template>

<style scoped>
.day { padding: 10px 14px; display: grid; gap: 6px; margin-bottom: 12px; }
.season { display: grid; gap: 2px; font-size: 12px; color: var(--quiet); }
.season select { font: inherit; font-size: 14px; min-height: 34px; border: 1px solid var(--line); border-radius: 4px; background: var(--paper); color: var(--ink); }
</style>
