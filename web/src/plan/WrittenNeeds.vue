<script setup lang="ts">
import type { DistanceUnit, ShotDemand } from '@tasche/core';
import { NButton, NForm } from 'naive-ui';
import { ref } from 'vue';
import ProblemLine from '../app/ProblemLine.vue';
import TextField from '../fields/TextField.vue';
import { pasteLines } from '../fields/paste-lines';
import { readNeeds } from './read-needs';

/** A line in which needs are written. What is wrong with it is said, and the line stays. */
const props = defineProps<{
  label: string;
  placeholder: string;
  unit: DistanceUnit;
  /** Takes the needs, or says why it cannot. */
  take: (needs: readonly ShotDemand[]) => string | undefined;
}>();

const line = ref<InstanceType<typeof TextField> | null>(null);
const typed = ref('');
const problem = ref('');

function add(): void {
  const read = readNeeds(typed.value, props.unit);
  const wrong = read.ok ? props.take(read.needs) : `${read.reason}; nothing was added yet.`;
  problem.value = wrong ?? '';
  if (wrong === undefined) line.value?.clear();
}
</script>

<template>
  <div>
    <NForm class="bar no-print" @submit.prevent="add">
      <TextField
        ref="line"
        v-model:value="typed"
        class="line"
        :aria-label="label"
        :placeholder="placeholder"
        autocomplete="off"
        @paste="pasteLines($event, '; ')"
      />
      <NButton :disabled="typed.trim() === ''" attr-type="submit">Add</NButton>
      <slot />
    </NForm>
    <ProblemLine :text="problem" />
  </div>
</template>

<style scoped>
.line {
  flex: 1 1 220px;
  width: auto;
  max-width: 560px;
}
</style>
