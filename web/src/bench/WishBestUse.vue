<script setup lang="ts">
import ProblemLine from '../app/ProblemLine.vue';
import { TIE_STROKES, type BestUse, type WishAnswer } from '@tasche/core';
import { NButton, NCard } from 'naive-ui';
import { computed } from 'vue';
import NumberField from '../fields/NumberField.vue';

/** The best use of a sum of money, and what other sums would gain. */
const props = defineProps<{
  /** Undefined before it is known, null where nothing says how far the player hits it. */
  answer: WishAnswer | null | undefined;
  working: boolean;
  problem: string;
  /** What a fitting of a club brings beside a new one in its place, in words. */
  pairs: readonly string[];
  nameOf: (id: string) => string;
}>();
const money = defineModel<number>('money', { required: true });
const emit = defineEmits<{ stop: [] }>();
const TIE = TIE_STROKES;
const best = computed(() => props.answer?.advised);
/** Sums that gain noticeably more than the one before. */
const sums = computed(() => {
  const worthIt: BestUse[] = [];
  for (const use of props.answer?.ladder ?? [])
    if (use.gain >= (worthIt.at(-1)?.gain ?? 0) + TIE) worthIt.push(use);
  return worthIt;
});
</script>

<template>
  <NCard tag="section" class="best">
    <div class="bar">
      <label
        >Best use of
        <NumberField v-model:value="money" label="Money" :bounds="[0, 100000]" money :step="50" :px="84"
      /></label>
      <span v-if="working" class="quiet" role="status"
        >working it out… <NButton size="tiny" @click="emit('stop')">Stop</NButton></span
      >
    </div>
    <ProblemLine v-if="problem" :text="problem" />
    <p v-else-if="answer === null" class="quiet">Enter one carry, and the list can be weighed.</p>
    <p v-else-if="best" class="use" aria-live="polite">
      <template v-if="best.buys.length > 0 && best.gain >= TIE"
        ><b>{{ best.buys.map(nameOf).join(' and ') }}</b> for {{ best.spent }}:
        {{ best.gain.toFixed(2) }} strokes a round.</template
      ><template v-else
        >Nothing on the list is worth buying for that: no bag with it gains more than a tie.</template
      >
    </p>
    <p v-if="sums.length > 1" class="quiet small">
      Sums worth having:
      <span v-for="(use, i) in sums" :key="use.spent"
        >{{ i ? '; ' : '' }}{{ use.spent }} for {{ use.gain.toFixed(2) }} ({{
          use.buys.map(nameOf).join(', ')
        }})</span
      >. Each is proved the best use of its sum, in a usual round, the bag chosen again for each.
    </p>
    <p v-for="pair in pairs" :key="pair" class="quiet small pair">{{ pair }}</p>
  </NCard>
</template>

<style scoped>
.best {
  padding: 12px 16px;
  margin-bottom: 14px;
  display: grid;
  gap: 6px;
  max-width: 980px;
}
.best label {
  display: inline-flex;
  align-items: center;
  gap: 8px;
  font-weight: 600;
}
.use {
  font-size: 16px;
}
</style>
