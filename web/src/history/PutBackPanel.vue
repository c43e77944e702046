<script setup lang="ts">
import { NButton, NCard } from 'naive-ui';
import { putBack, type DayView, type PutBack } from '@tasche/contract';
import { counted, BUILDER_WORDS, JOB_CAUTIONS, type DistanceUnit } from '@tasche/core';
import { v4 as newId } from 'uuid';
import { computed, ref } from 'vue';
import { shortDay, today } from '../app/day';
import LinkButton from '../app/LinkButton.vue';
import { useSheet } from '../sheet/sheet-store';
import { factWords, readingName } from './fact-words';

/**
 * What it takes to restore everything: what is done at once, what the bench must do, and what cannot be
 * restored.
 */
const props = defineProps<{ then: DayView; unit: DistanceUnit }>();
const emit = defineEmits<{ leave: [] }>();
const store = useSheet();

const done = ref<PutBack | null>(null);
const plan = computed(() => done.value ?? putBack(store.sheet!, props.then, today(), newId));
const name = (id: string) => store.clubsById.get(id)?.name ?? 'a club';
const tickets = computed(() => plan.value.atBench.reduce((sum, { jobs }) => sum + jobs.length, 0));
const cautions = computed(() => [
  ...new Set(plan.value.atBench.flatMap(({ jobs }) => jobs.flatMap(({ job }) => JOB_CAUTIONS[job]))),
]);
const isSame = computed(() => plan.value.commands.length === 0);
function go(): void {
  const chosen = plan.value;
  store.change(chosen.commands, `put back as it was on ${props.then.day}`);
  done.value = chosen;
}
</script>

<template>
  <NCard tag="section" class="panel" :aria-label="`As it was on ${then.day}`">
    <p v-if="done" class="verdict fine" role="status">
      ● Put back as it was on {{ shortDay(then.day) }}.
      <template v-if="tickets > 0">{{ counted(tickets, 'ticket') }} made for the bench.</template> One undo
      takes it all back.
    </p>
    <template v-else>
      <p v-if="isSame" class="verdict fine">● Everything is as it was on {{ shortDay(then.day) }}.</p>
      <ul>
        <li v-if="plan.gamerName">{{ plan.gamerName }} becomes the gamer again.</li>
        <li v-if="plan.out.length">Out: {{ plan.out.map(name).join(', ') }}.</li>
        <li v-if="plan.in.length">In: {{ plan.in.map(name).join(', ') }}.</li>
        <li v-if="plan.ball">Ball: {{ plan.ball }}.</li>
        <li v-for="{ club, readings } in plan.byHand" :key="club.id">
          {{ club.name }}, at once:
          {{
            readings.map(({ key, value }) => `${readingName(key)} ${factWords(key, value, unit)}`).join(', ')
          }}.
        </li>
        <li v-for="{ club, jobs } in plan.atBench" :key="club.id">
          {{ club.name }}, on the bench:
          {{
            jobs
              .flatMap(({ wanted }) => wanted)
              .map(({ key, value }) => `${readingName(key)} ${factWords(key, value, unit)}`)
              .join(', ')
          }}.
        </li>
        <li v-for="sentence in plan.cannot" :key="sentence" class="verdict warning">◆ {{ sentence }}</li>
      </ul>
      <p v-if="cautions.length" class="small quiet">{{ cautions.join(' ') }} {{ BUILDER_WORDS }}</p>
    </template>
    <p class="bar">
      <NButton v-if="!done && !isSame" type="primary" @click="go">
        Put it back<template v-if="tickets > 0">, and make {{ counted(tickets, 'ticket') }}</template>
      </NButton>
      <LinkButton
        v-if="done && tickets > 0"
        :to="{ name: 'bench', params: { playerId: store.sheet!.player.id } }"
        >To the tickets</LinkButton
      >
      <NButton @click="emit('leave')">{{ done || isSame ? 'Close' : 'Cancel' }}</NButton>
    </p>
  </NCard>
</template>

<style scoped>
.panel {
  padding: 10px 14px;
  margin: 8px 0 12px;
  display: grid;
  gap: 6px;
}
ul {
  margin: 0;
  padding-left: 18px;
}
</style>
