<script setup lang="ts">
import { bagLossVerdict, counted, listed, proofWords, type Swap } from '@tasche/core';
import { NButton, NCard } from 'naive-ui';
import { computed } from 'vue';
import type { RoundAnswer } from './round-worker';

/** What the bag of a round is, what changes against the gamer, and the one thing to do about it. */
const props = defineProps<{
  roundName: string;
  chosen: RoundAnswer;
  /** The bag of the round is settled, and what it holds is the best possible. */
  same: boolean;
  settled: boolean;
  swaps: readonly Swap[];
  /** How many clubs are carried now, and how many may be. */
  carried: number;
  allowed: number;
  nameOf: (clubId: string) => string;
  readOnly: boolean;
  busy: boolean;
}>();
const emit = defineEmits<{ settle: [] }>();

/** Clubs that come in, each for one or beside the rest; then those that only go out. */
const swapped = computed(() => props.swaps.flatMap(({ inId, outId }) => (inId ? [{ inId, outId }] : [])));
const without = computed(() =>
  props.swaps.flatMap(({ inId, outId }) => (outId && !inId ? [props.nameOf(outId)] : [])),
);
const best = computed(() => props.chosen.answer!.best.ids.length);
const verdict = computed((): { isFine: boolean; text: string } | null => {
  const { against } = props.chosen;
  if (props.same)
    return {
      isFine: true,
      text: `The bag of ${props.roundName} is settled, and the best possible: ${counted(best.value, 'club')}.`,
    };
  if (!against) return null;
  if (props.settled) return bagLossVerdict('The settled bag', against);
  if (props.carried > best.value && props.carried > props.allowed)
    return {
      isFine: false,
      text: `The gamer holds ${counted(props.carried, 'club')}, ${props.allowed} are wanted: the best ${best.value} are below.`,
    };
  return bagLossVerdict('The gamer', against);
});
/** Reasons shown at once; the rest stand beside each club. */
const MAX_REASONS = 3;
const reasons = computed(() =>
  props.same ? [] : props.swaps.flatMap(({ why }) => (why ? [why] : [])).slice(0, MAX_REASONS),
);
const proof = computed(() => props.chosen.answer!.proof);
</script>

<template>
  <NCard class="sentence" aria-live="polite">
    <p class="words">
      <template v-if="verdict"
        ><span class="verdict" :class="verdict.isFine ? 'fine' : 'warning'">{{
          verdict.isFine ? '●' : '◆'
        }}</span>
        {{ verdict.text }}</template
      >
      <span v-if="swaps.length" class="changes">
        {{ ' '
        }}<template v-for="({ inId, outId }, i) in swapped" :key="i"
          >{{ i ? '; ' : '' }}<b class="in">{{ nameOf(inId) }}</b
          >{{ outId ? ` for ${nameOf(outId)}` : ' as well' }}</template
        ><template v-if="without.length"
          >{{ swapped.length ? '; without ' : 'Without ' }}{{ listed(without) }}</template
        >.
      </span>
      <span class="small quiet proof">{{ proofWords(proof) }}</span>
    </p>
    <ul v-if="reasons.length" class="small reasons">
      <li v-for="reason in reasons" :key="reason">{{ reason }}</li>
    </ul>
    <NButton
      v-if="!readOnly && !same"
      class="no-print"
      title="Alt Enter"
      :disabled="busy"
      type="primary"
      @click="emit('settle')"
    >
      Make it the bag of {{ roundName }}
    </NButton>
  </NCard>
</template>

<style scoped>
.sentence {
  padding: 12px 16px;
  margin-bottom: 10px;
  font-size: 15px;
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 8px 16px;
}
.words {
  flex: 1 1 320px;
}
.reasons {
  order: 1;
  flex: 1 0 100%;
  margin: 0;
  padding-left: 18px;
  color: var(--quiet);
}
.in {
  color: var(--petrol);
}
.proof {
  margin-left: 8px;
}
</style>
