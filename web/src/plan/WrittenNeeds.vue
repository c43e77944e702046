<script setup lang="ts">
import type { DistanceUnit, ShotDemand } from '@tasche/core';
import { NButton, NForm } from 'naive-ui';
import { ref } from 'vue';
import ProblemLine from '../app/ProblemLine.vue';
import TextField from '../fields/TextField.vue';
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

/** A field of one line drops the line ends of what is pasted, and two distances would become one. */
function paste(event: ClipboardEvent): void {
  const text = event.clipboardData?.getData('text/plain') ?? '';
  const field = event.target;
  if (!/[\r\n]/.test(text.trim()) || !(field instanceof HTMLInputElement)) return;
  event.preventDefault();
  const lines = text
    .split(/[\r\n]+/)
    .map((line) => line.trim())
    .filter((line) => line !== '');
  field.setRangeText(lines.join('; '), field.selectionStart ?? 0, field.selectionEnd ?? 0, 'end');
  field.dispatchEvent(new Event('input', { bubbles: true }));
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
        @paste="paste"
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
