<script setup lang="ts">
import { formatDegrees, type LoftKey } from '@tasche/core';
import { NButton, NCard, NRadioButton, NRadioGroup } from 'naive-ui';
import { computed } from 'vue';
import type { LoftQuestion } from './use-sheet-editing';

/** Says what a loft written over another was taken as, and takes another answer. */
const props = defineProps<{ question: LoftQuestion }>();
defineEmits<{ answer: [key: LoftKey]; close: [] }>();
const MEANINGS: readonly { key: LoftKey; label: string }[] = [
  { key: 'loftSetDeg', label: 'bent or set to' },
  { key: 'loftStampedDeg', label: 'stamped' },
  { key: 'loftMeasuredDeg', label: 'measured' },
];
const MAX_NAMED = 4;
const lofts = computed(() => {
  const { lofts: all } = props.question;
  const named = all.slice(0, MAX_NAMED).map(({ name, deg }) => `${name} at ${formatDegrees(deg)}`);
  return all.length > MAX_NAMED ? `${named.join(', ')} and ${all.length - MAX_NAMED} more` : named.join(', ');
});
</script>

<template>
  <NCard class="loft-question" role="status">
    <span
      ><strong>{{ lofts }}</strong> {{ question.lofts.length === 1 ? 'is' : 'are' }} taken as what was</span
    >
    <NRadioGroup
      :value="question.key"
      size="small"
      aria-label="What the loft is"
      @update:value="$emit('answer', $event)"
    >
      <NRadioButton v-for="{ key, label } in MEANINGS" :key="key" :value="key" :label="label" />
    </NRadioGroup>
    <NButton size="small" @click="$emit('close')">Close</NButton>
  </NCard>
</template>

<style scoped>
.loft-question {
  padding: 8px 12px;
  margin-bottom: 10px;
  display: flex;
  flex-wrap: wrap;
  gap: 8px 12px;
  align-items: center;
}
.loft-question .n-button {
  margin-left: auto;
}
</style>
