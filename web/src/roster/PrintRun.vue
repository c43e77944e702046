<script setup lang="ts">
import { NButton, NCard, NCheckbox } from 'naive-ui';
import { PAPERS, type PaperName } from '@tasche/contract';
import { computed, ref } from 'vue';
import { counted } from '@tasche/core';
import { vOpened } from '../fields/opened';

/** Papers of several players as one document. */
const props = defineProps<{ playerIds: readonly string[] }>();
const emit = defineEmits<{ leave: []; all: [] }>();

const WORDS: Record<PaperName, string> = {
  sheet: 'spec sheets',
  swaps: 'swap sheets',
  card: 'cards',
  tickets: 'tickets',
};
const chosen = ref<PaperName[]>(['sheet']);
function flip(paper: PaperName): void {
  chosen.value = PAPERS.filter((one) => (one === paper) !== chosen.value.includes(one));
}
const MAX_PLAYERS = 40;
const tooMany = computed(() => props.playerIds.length > MAX_PLAYERS);
const isReady = computed(() => props.playerIds.length > 0 && chosen.value.length > 0 && !tooMany.value);
const address = computed(
  () => `/api/print.pdf?players=${props.playerIds.join(',')}&papers=${chosen.value.join(',')}`,
);
</script>

<template>
  <NCard
    v-opened="{ leave: () => emit('leave') }"
    tag="section"
    class="run bar no-print"
    aria-label="Print run"
  >
    <b>{{ counted(playerIds.length, 'player') }} chosen</b>
    <NButton size="small" @click="emit('all')">Choose all that are shown</NButton>
    <NCheckbox
      v-for="paper in PAPERS"
      :key="paper"
      :checked="chosen.includes(paper)"
      @update:checked="flip(paper)"
      >{{ WORDS[paper] }}</NCheckbox
    >
    <NButton v-if="isReady" type="primary" size="small" tag="a" :href="address" target="_blank"
      >Print as one PDF</NButton
    >
    <span v-else class="quiet small">{{
      tooMany
        ? `At most ${MAX_PLAYERS} players at once.`
        : playerIds.length === 0
          ? 'Tick players.'
          : 'Tick what to print.'
    }}</span>
    <NButton size="small" @click="emit('leave')">Cancel</NButton>
  </NCard>
</template>

<style scoped>
.run {
  padding: 8px 14px;
  margin-bottom: 12px;
  gap: 8px 14px;
}
</style>
