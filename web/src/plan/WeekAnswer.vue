<script setup lang="ts">
import { NButton } from 'naive-ui';
import { bagLossVerdict, counted, proofWords, type BagAnswer, type Swap } from '@tasche/core';
import { computed } from 'vue';
import Fold from '../app/Fold.vue';
import type { ChosenAnswer } from './choosing-worker';
import { differsWords } from './round-swaps';

/** The best bag of a week: what it changes, why, and what comes next after it. */
const props = defineProps<{
  chosen: ChosenAnswer;
  answer: BagAnswer;
  /** The bag of the week as it is. */
  planned: readonly string[];
  limit: number;
  swaps: readonly Swap[];
  nameOf: (clubId: string) => string;
  readOnly: boolean;
}>();
const emit = defineEmits<{ swaps: [swaps: readonly Swap[]] }>();

const isSame = computed(() => {
  const { ids } = props.answer.best;
  return ids.length === props.planned.length && ids.every((id) => props.planned.includes(id));
});
const verdict = computed((): { isFine: boolean; text: string } => {
  const { planned, limit, chosen } = props;
  if (isSame.value)
    return { isFine: true, text: 'The bag of the week is the best possible for these shots.' };
  if (planned.length > limit)
    return {
      isFine: false,
      text: `The bag of the week holds ${counted(planned.length, 'club')}, ${limit} ${limit === 1 ? 'is' : 'are'} wanted.`,
    };
  return chosen.loses
    ? bagLossVerdict('The bag of the week', chosen.loses)
    : { isFine: false, text: 'The bag of the week is empty; this is the best possible.' };
});
</script>

<template>
  <p class="sentence">
    <span class="verdict" :class="verdict.isFine ? 'fine' : 'warning'">{{ verdict.isFine ? '●' : '◆' }}</span>
    {{ verdict.text }}
  </p>
  <template v-if="!isSame">
    <ol v-if="swaps.length" class="swap-list">
      <li v-for="({ inId, outId, why }, i) in swaps" :key="i">
        <b v-if="inId" class="in">{{ nameOf(inId) }} in</b><span v-if="inId && outId">, </span
        ><span v-if="outId">{{ nameOf(outId) }} out</span><span class="quiet small why">{{ why }}</span>
      </li>
    </ol>
    <p v-else class="small">The gamer as it is.</p>
    <p v-if="!readOnly" class="no-print">
      <NButton type="primary" @click="emit('swaps', swaps)">Put it into the plan</NButton>
    </p>
  </template>
  <p class="small quiet">
    {{ proofWords(answer.proof)
    }}<template v-if="answer.runnersUp.length">
      Next best:
      {{ answer.runnersUp.map((bag) => differsWords(bag, answer.best, nameOf)).join('; ') }}.</template
    >
  </p>
  <Fold class="small reasons">
    <template #head>Why, club by club</template>
    <ul>
      <li v-for="(sentence, id) in chosen.why" :key="id">{{ sentence }}</li>
    </ul>
  </Fold>
</template>

<style scoped>
.sentence {
  font-size: 16px;
}
.swap-list {
  margin: 0;
  padding-left: 20px;
  display: grid;
  gap: 4px;
}
.in {
  color: var(--petrol);
}
.why {
  display: block;
}
.reasons ul {
  padding-left: 18px;
  margin: 6px 0;
  display: grid;
  gap: 2px;
}
</style>
