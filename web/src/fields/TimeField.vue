<script setup lang="ts">
import { readClock } from '@tasche/contract';
import { ref } from 'vue';
import TextField from './TextField.vue';

/**
 * A time of the day as people write one: "8:40", "840", "1:15 pm". Reports what it cannot read, and keeps the
 * text.
 */
const props = defineProps<{
  /** "08:40", or empty. */
  value: string;
  label: string;
  readonly?: boolean;
}>();
const emit = defineEmits<{ 'update:value': [time: string] }>();
const complaint = ref('');

const read = (text: string) => (text.trim() === '' ? '' : readClock(text));
/** The error goes as soon as the time is fixed, so that nothing moves while a press leaves the field. */
function complete(text: string): void {
  if (read(text) !== undefined) complaint.value = '';
}
function write(text: string): void {
  const time = read(text);
  complaint.value = time === undefined ? `${props.label}: "${text.trim()}" is not a time; write 8:40` : '';
  if (time !== undefined && time !== props.value) emit('update:value', time);
}
</script>

<template>
  <span class="time-field">
    <TextField
      :value="value"
      :aria-label="label"
      placeholder="8:40"
      maxlength="12"
      :bad="complaint !== ''"
      :readonly="readonly"
      @update:value="complete"
      @write="write"
    />
    <span v-if="complaint" class="verdict error small" role="alert">■ {{ complaint }}</span>
  </span>
</template>

<style scoped>
.time-field {
  display: inline-grid;
  width: 96px;
}
</style>
