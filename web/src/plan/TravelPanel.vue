<script setup lang="ts">
import { dayOf, type CourseView, type EventView } from '@tasche/contract';
import type { RoundAir, TravelSet } from '@tasche/core';
import { computed, ref, watch } from 'vue';
import { roundAirWords } from '../courses/ground-words';
import { insteadWords } from './round-swaps';
import { useLongWork, type AskedRound } from './use-round';

/** The clubs that travel: one set that serves every round of the event under every way the forecast may turn out. */
const props = defineProps<{ event: EventView; courses: readonly CourseView[]; askedOf: (roundId: string) => AskedRound | null }>();
const size = ref(18);
const MOST_SCENARIOS = 12;
const travel = useLongWork<TravelSet>();
watch(() => props.event, () => travel.clear());

/** Rounds times members, thinned evenly to so many; a round without a forecast stands for itself, calmer and windier. */
const scenarios = computed(() => props.event.rounds.flatMap((round, _at, rounds) => {
  const asked = props.askedOf(round.id);
  const course = props.courses.find(({ id }) => id === round.courseId);
  if (!asked || !course || course.holes.length === 0) return [];
  const each = Math.max(1, Math.floor(MOST_SCENARIOS / rounds.length));
  const scaled = [1, 0.5, 1.5].slice(0, each).map((share): RoundAir => ({ ...round.air, windMps: Math.min(30, Math.round(round.air.windMps * share * 10) / 10) }));
  const members = round.forecast ? Array.from({ length: Math.min(each, round.forecast.members.length) }, (_m, k) => round.forecast!.members[Math.floor((k * round.forecast!.members.length) / each)]!) : scaled;
  return members.map((air, k) => ({ name: `${round.name}, ${k + 1}: ${roundAirWords(air, asked.unit)}`, weight: 1 / members.length, order: { ...asked.order, day: dayOf({ ...round, air }, course) }, taste: asked.taste, round: round.id }));
}));
const names = computed(() => new Map(scenarios.value[0]?.order.clubs.map((club) => [club.id, club.name]) ?? []));
const name = (id: string) => names.value.get(id) ?? 'a club that is gone';
const find = () => travel.run((link, progress) => link.travel(scenarios.value.map(({ name: named, weight, order }) => ({ name: named, weight, order })), scenarios.value[0]!.taste, size.value, progress));
const spare = computed(() => { const set = travel.result.value; return set ? set.ids.map((id) => ({ id, days: set.bags.filter(({ ids }) => ids.includes(id)).length })) : []; });
const base = computed(() => travel.result.value?.bags[0]?.ids ?? []);
</script>

<template>
  <section class="travel" aria-label="Travel set">
    <h2>What travels <span class="quiet small">one set for {{ scenarios.length }} ways the {{ event.rounds.length }} {{ event.rounds.length === 1 ? 'round' : 'rounds' }} may turn out</span></h2>
    <div class="bar no-print"><label class="small quiet">clubs that travel <input v-model.number="size" type="number" min="1" max="40" class="number"></label>
      <button class="plain-button main" :disabled="scenarios.length === 0 || travel.share.value !== null || !(size >= 1 && size <= 40)" @click="find">Find the set</button>
      <span v-if="scenarios.every(({ round }) => !event.rounds.find(({ id }) => id === round)?.forecast)" class="small quiet">No round has a forecast yet: each is looked at as it is, at half its wind and at half as much again.</span></div>
    <p v-if="travel.share.value !== null" class="bar small" role="status"><progress :value="travel.share.value || undefined" max="1" /> Working {{ scenarios.length }} days out… <button class="plain-button slim" @click="travel.stop()">Cancel</button></p>
    <p v-if="travel.problem.value" class="verdict fault" role="alert">■ {{ travel.problem.value }}</p>
    <template v-if="travel.result.value">
      <ul class="clubs"><li v-for="one in spare" :key="one.id" :class="{ always: one.days === travel.result.value.bags.length, never: one.days === 0 }"><b>{{ name(one.id) }}</b> <span class="small quiet">{{ one.days === travel.result.value.bags.length ? 'every day' : one.days === 0 ? 'in reserve' : `${one.days} of ${travel.result.value.bags.length}` }}</span></li></ul>
      <p class="small">{{ travel.result.value.proved ? 'Proved the best set of that size.' : `No set of that size costs ${(travel.result.value.strokes - travel.result.value.bound).toFixed(3)} strokes a round less than this one; whether one costs a little less is not proved.` }}</p>
      <details class="small"><summary>Day by day</summary><ul><li v-for="bag in travel.result.value.bags" :key="bag.name"><span class="quiet">{{ bag.name }}</span> – {{ bag === travel.result.value.bags[0] ? bag.ids.map(name).join(', ') : bag.ids.every((id) => base.includes(id)) && bag.ids.length === base.length ? 'the same fourteen' : insteadWords(bag.ids.filter((id) => !base.includes(id)), base.filter((id) => !bag.ids.includes(id)), name) }}<template v-if="bag.regret > 0.005"> (the whole locker would save {{ bag.regret.toFixed(2) }})</template></li></ul></details>
    </template>
  </section>
</template>

<style scoped>
.travel { display: grid; gap: 8px; }
h2 .small { font-weight: 400; margin-left: 8px; }
.number { font: inherit; width: 64px; min-height: 32px; padding: 2px 6px; border: 1px solid var(--line); border-radius: 4px; background: var(--paper); color: var(--ink); }
.clubs { list-style: none; margin: 0; padding: 0; display: flex; flex-wrap: wrap; gap: 6px; }
.clubs li { border: 1px solid var(--line); border-radius: 4px; padding: 4px 10px; background: var(--paper); }
.clubs .always { border-color: var(--petrol-mid); background: var(--petrol-soft); }
.clubs .never { border-style: dashed; }
progress { width: 140px; accent-color: var(--petrol); }
details ul { padding-left: 18px; display: grid; gap: 3px; }
</style>
