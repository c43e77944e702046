<script setup lang="ts">
import {
  bendAnswerWords,
  counted,
  evennessWords,
  type BendAnswer,
  type BendPlan,
  type DistanceUnit,
} from '@tasche/core';
import { NButton, NCard } from 'naive-ui';
import { computed } from 'vue';
import { offTargetWords, planTitle } from './bend-plan-words';

/** What a plan comes to, and how much bending others would take. */
const props = defineProps<{ answer: BendAnswer; plan: BendPlan; unit: DistanceUnit }>();
const emit = defineEmits<{ pick: [effort: number] }>();
const words = computed(() => bendAnswerWords(props.answer, props.unit));
const off = (one: BendPlan) => offTargetWords(one, props.answer, props.unit);
/** Plans that read as good as the one before are left out. */
const shownPlans = computed(() => {
  const shown: BendPlan[] = [];
  for (const one of props.answer.plans) {
    const last = shown.at(-1);
    if (!last || off(one) !== off(last) || one === props.answer.chosen) shown.push(one);
  }
  return shown;
});
function faultWords(before: number, after: number): string {
  if (before === 0 && after === 0) return '';
  return before === after
    ? `${counted(after, 'fault')} before and after: no bend fixes ${after === 1 ? 'it' : 'them'}.`
    : `${counted(before, 'fault')} before, ${after === 0 ? 'none' : after} after.`;
}
</script>

<template>
  <NCard tag="section" class="answer" aria-live="polite">
    <h2>{{ plan === answer.chosen ? words.title : planTitle(plan) }}</h2>
    <p>
      {{
        plan === answer.chosen
          ? words.text
          : `From ${off(answer.now)} to ${off(plan)}; at worst ±${evennessWords({ rms: plan.offTargetAtWorst, unit: answer.unit }, unit)} with every bent club half a degree off.`
      }}
      {{ faultWords(answer.now.report.faults, plan.report.faults) }}
    </p>
    <p v-if="plan === answer.chosen && answer.nextBest" class="quiet">
      Next best with no more bending: {{ planTitle(answer.nextBest) }} ({{ off(answer.nextBest) }}).
    </p>
    <div v-if="answer.plans.length > 1" class="bar picks no-print" role="group" aria-label="How much bending">
      <span class="quiet">Half degrees bent in all:</span>
      <NButton
        v-for="one in shownPlans"
        :key="one.effort"
        size="small"
        :aria-pressed="one === plan"
        :title="planTitle(one)"
        @click="emit('pick', one.effort)"
      >
        {{ one.effort }}&nbsp;<span class="quiet small">{{ off(one) }}</span>
      </NButton>
    </div>
  </NCard>
</template>

<style scoped>
.answer {
  padding: 14px 18px;
  margin-bottom: 14px;
  display: grid;
  gap: 6px;
}
.answer h2 {
  font-size: 19px;
}
</style>
