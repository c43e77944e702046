<script setup lang="ts">
import { DEMAND_BOUNDS, demandKey, type DistanceUnit, type ShotDemand } from '@tasche/core';
import { playedFromWords } from '@tasche/contract';
import { NButton } from 'naive-ui';
import { computed } from 'vue';
import WrittenNeeds from './WrittenNeeds.vue';

/** What practice rounds, and rounds played here before, showed that a round will ask for. */
const props = defineProps<{
  notes: readonly ShotDemand[];
  /** What earlier rounds on this course asked for, as far as shots were recorded. */
  played: readonly ShotDemand[];
  unit: DistanceUnit;
  readOnly: boolean;
}>();
const emit = defineEmits<{ notes: [notes: readonly ShotDemand[]] }>();

/** A third of a time is 0.33. */
const timesWords = ({ weight }: ShotDemand) => String(Math.round(weight * 100) / 100);
const playedFresh = computed(() =>
  props.played.filter((played) => !props.notes.some(({ name }) => name === played.name)),
);
const playedWords = computed(() =>
  playedFresh.value
    .map((demand) => `${playedFromWords(demand, props.unit)} ×${timesWords(demand)}`)
    .join(', '),
);

/** What is written a second time comes up more often. */
function add(needs: readonly ShotDemand[]): string | undefined {
  const notes = [...props.notes];
  for (const need of needs) {
    const name = `practice: ${need.name}`.slice(0, MAX_NAME);
    const named = notes.findIndex((note) => note.name === name);
    const isSame = named !== -1 && notes[named]!.leftM === need.leftM;
    if (isSame) notes[named] = { ...notes[named]!, weight: notes[named]!.weight + need.weight };
    else notes.push({ ...need, name: named === -1 ? name : freeName(name, notes) });
  }
  const often = notes.find(({ weight }) => weight > DEMAND_BOUNDS.weight[1]);
  if (often) return `${often.name}: ${timesWords(often)} times is too often; nothing was added yet.`;
  emit('notes', notes);
  return undefined;
}
const MAX_NAME = 80;
function freeName(name: string, notes: readonly ShotDemand[]): string {
  const numbered = (number: number) => `${name.slice(0, MAX_NAME - ' (99)'.length)} (${number})`;
  let number = 2;
  while (notes.some((note) => note.name === numbered(number))) number++;
  return numbered(number);
}
</script>

<template>
  <WrittenNeeds
    v-if="!readOnly"
    class="written"
    label="Practice-round notes"
    :placeholder="`notes, ${unit}: 230-250 x6, 155 hold x3`"
    :unit="unit"
    :take="add"
  />
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
        >{{ demand.name }} <b>×{{ timesWords(demand) }}</b></span
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
.written {
  margin: 8px 0;
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
