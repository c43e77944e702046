<script setup lang="ts">
import { NCard } from 'naive-ui';
import { mixedWarning, pairSentence, wishOf, type DistanceUnit, type Margins, type Pair } from '@tasche/core';
import { computed } from 'vue';
import IntervalBars from './IntervalBars.vue';

/** The verdict on one build against the first, with its intervals beside their margins. */
const props = defineProps<{
  pair: Pair;
  name: string;
  firstName: string;
  margins: Margins;
  unit: DistanceUnit;
}>();

const SEVERITY = {
  met: ['fine', '●'],
  'not met': ['error', '■'],
  even: ['warning', '◆'],
  open: ['unknown', '○'],
} as const;
const severity = computed(() => SEVERITY[wishOf(props.pair)]);
const warning = computed(() => mixedWarning(props.pair, props.name));
</script>

<template>
  <NCard tag="section" class="pair" aria-live="polite">
    <p class="sentence">
      <span class="verdict" :class="severity[0]" :title="pair.word">{{ severity[1] }}</span>
      {{ pairSentence(pair, name, firstName, unit) }}
    </p>
    <p v-if="warning" class="verdict warning small">◆ {{ warning }}</p>
    <IntervalBars :differences="pair.differences" :margins="margins" :unit="unit" :open="pair.open" />
  </NCard>
</template>

<style scoped>
.pair {
  padding: 12px 16px 8px;
  margin-bottom: 8px;
}
.sentence {
  font-size: 15.5px;
}
</style>
