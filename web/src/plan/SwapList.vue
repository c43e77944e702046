<script setup lang="ts">
import type { ClubView, PlanView } from '@tasche/contract';
import {
  counted,
  evennessChangeWords,
  gappingStrategyOf,
  type DistanceUnit,
  type GapReport,
  type GappingStrategyId,
  type Swap,
  type SwapEffect,
} from '@tasche/core';
import { computed } from 'vue';
import SwapCard from './SwapCard.vue';

/** The swaps of a week, one after the other, and what they come to together. */
const props = defineProps<{
  plan: PlanView;
  isGamer: boolean;
  effects: readonly SwapEffect[];
  before: GapReport;
  after: GapReport;
  school: GappingStrategyId;
  clubs: ReadonlyMap<string, ClubView>;
  /** Clubs in the bag after them, and how many of those are too many. */
  count: number;
  tooMany: number;
  unit: DistanceUnit;
  canEdit: boolean;
}>();
const emit = defineEmits<{ swaps: [swaps: readonly Swap[]] }>();

const faults = computed(() => {
  const [was, is] = [props.before.faults, props.after.faults];
  return was === is ? `${counted(is, 'fault')} as before` : `${was} → ${counted(is, 'fault')}`;
});
const evenness = computed(() => evennessChangeWords(props.before, props.after, props.unit));

function setWhy(index: number, why: string): void {
  emit(
    'swaps',
    props.plan.swaps.map((swap, i) => (i === index ? { ...swap, why } : swap)),
  );
}
</script>

<template>
  <section class="swaps">
    <h2>
      Swaps
      <span class="quiet small"
        ><template v-if="evenness"
          >{{ evenness.before }} → <b>{{ evenness.after }}</b>,
        </template>
        {{ gappingStrategyOf(school).name.toLowerCase() }}; {{ faults }}; {{ counted(count, 'club')
        }}<template v-if="tooMany">
          <span class="verdict warning">◆ {{ tooMany }} must go</span></template
        ></span
      >
    </h2>
    <p v-if="isGamer" class="quiet small no-print">
      This bag is the gamer now; undo (Ctrl Z, or History) makes the old one the gamer again.
    </p>
    <ol v-if="plan.swaps.length">
      <SwapCard
        v-for="(swap, i) in plan.swaps"
        :key="i"
        :swap="swap"
        :number="i + 1"
        :effect="effects[i]"
        :clubs="clubs"
        :unit="unit"
        :read-only="!canEdit"
        @why="setWhy(i, $event)"
        @remove="emit('swaps', plan.swaps.toSpliced(i, 1))"
      />
    </ol>
    <p v-else class="quiet">The gamer stays as it is. Take a club out below, or put one in.</p>
  </section>
</template>

<style scoped>
h2 {
  margin-bottom: 8px;
}
h2 .small {
  font-weight: 400;
  margin-left: 10px;
}
ol {
  list-style: none;
  padding: 0;
  margin: 0 0 6px;
  display: grid;
  gap: 8px;
}
</style>
