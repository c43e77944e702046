<script setup lang="ts">
import { demandKey, type DistanceUnit, type ShotDemand } from '@tasche/core';
import { playedFromWords } from '@tasche/contract';
import { NButton, NForm } from 'naive-ui';
import { computed, ref } from 'vue';
import ProblemLine from '../app/ProblemLine.vue';
import TextField from '../fields/TextField.vue';
import { readNeeds } from './read-needs';

/** What practice rounds, and rounds played here before, showed that a round will ask for. */
const props = defineProps<{
  notes: readonly ShotDemand[];
  /** What earlier rounds on this course asked for, as far as shots were recorded. */
  played: readonly ShotDemand[];
  unit: DistanceUnit;
  readOnly: boolean;
}>();
const emit = defineEmits<{ notes: [notes: readonly ShotDemand[]] }>();

const problem = ref('');
const typed = ref('');
const playedFresh = computed(() =>
  props.played.filter((played) => !props.notes.some(({ name }) => name === played.name)),
);
const playedWords = computed(() =>
  playedFresh.value.map((demand) => `${playedFromWords(demand, props.unit)} ×${demand.weight}`).join(', '),
);

function add(): void {
  const read = readNeeds(typed.value, props.unit);
  if (!read.ok) {
    problem.value = `${read.reason}; nothing was added yet.`;
    return;
  }
  problem.value = '';
  typed.value = '';
  const known = new Set(props.notes.map(({ name }) => name));
  emit('notes', [
    ...props.notes,
    ...read.needs.map((demand) => {
      let name = `practice: ${demand.name}`;
      while (known.has(name)) name += '’';
      known.add(name);
      return { ...demand, name: name.slice(0, 80) };
    }),
  ]);
}
</script>

<template>
  <NForm v-if="!readOnly" class="bar no-print" @submit.prevent="add">
    <TextField
      v-model:value="typed"
      class="line"
      aria-label="Practice-round notes"
      :placeholder="`notes, ${unit}: 230-250 x6, 155 hold x3`"
      autocomplete="off"
    />
    <NButton :disabled="typed.trim() === ''" attr-type="submit">Add</NButton>
  </NForm>
  <ProblemLine :text="problem" />
  <p v-if="playedFresh.length > 0 && !readOnly" class="small no-print">
    Rounds played here had {{ playedWords }}.
    <NButton size="small" @click="emit('notes', [...notes, ...playedFresh])">Add to the needs</NButton>
    <span class="quiet"
      >added to the shots worked out from the course; remove there what is counted twice.</span
    >
  </p>
  <ul v-if="notes.length" class="notes">
    <li v-for="(demand, i) in notes" :key="demandKey(demand)">
      <span
        >{{ demand.name }} <b>×{{ demand.weight }}</b></span
      >
      <NButton
        v-if="!readOnly"
        :aria-label="`Remove ${demand.name}`"
        @click="emit('notes', notes.toSpliced(i, 1))"
        size="small"
      >
        ×
      </NButton>
    </li>
  </ul>
</template>

<style scoped>
.bar {
  margin: 8px 0;
}
.line {
  flex: 1 1 220px;
  width: auto;
}
.notes {
  list-style: none;
  margin: 0 0 6px;
  padding: 0;
  display: flex;
  flex-wrap: wrap;
  gap: 5px 12px;
  font-size: 13px;
}
</style>
