<script setup lang="ts">
import { QUESTIONS, QUESTION_WORDS, type DistanceUnit, type Margins, type Question } from '@tasche/core';
import { NButton } from 'naive-ui';
import { computed } from 'vue';
import NumberField from '../fields/NumberField.vue';
import { keptMargin, marginBounds, marginsOf, shownMargin, unitOfMargin } from './margins';

/** The question about the builds, and how close is close enough; both go into the address. */
const props = defineProps<{ question: Question; margins: Margins; unit: DistanceUnit }>();
const emit = defineEmits<{ set: [query: Record<string, string>] }>();

const fields = computed(() =>
  marginsOf(props.question).map((margin) => {
    const measure = unitOfMargin(margin.part, props.unit);
    return {
      ...margin,
      measure,
      value: shownMargin(props.margins[margin.part], measure),
      bounds: marginBounds(margin.part, props.unit),
    };
  }),
);
/** Told from the distance only where there are several. */
const isOfParts = computed(() => props.question === 'matches' || props.question === 'more-spin');
</script>

<template>
  <div class="bar ask no-print">
    <span role="group" aria-label="Task" class="group">
      <NButton
        v-for="task in QUESTIONS"
        :key="task"
        size="small"
        :aria-pressed="question === task"
        @click="emit('set', { ask: task })"
      >
        {{ QUESTION_WORDS[task] }}
      </NButton>
    </span>
    <label v-for="{ part, key, label, measure, value, bounds } in fields" :key="part" class="small quiet"
      >within
      <NumberField
        :value="value"
        :label="`Margin of ${label}`"
        :unit="measure"
        :bounds="bounds"
        :px="64"
        @write="emit('set', { [key]: keptMargin(part, $event!, unit) })"
      />
      of {{ isOfParts ? label : 'distance' }}</label
    >
  </div>
</template>

<style scoped>
.ask {
  gap: 8px 18px;
  margin-bottom: 10px;
}
.group {
  display: flex;
  flex-wrap: wrap;
}
</style>
