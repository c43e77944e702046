<script setup lang="ts">
import { NButton } from 'naive-ui';
import PageWindow from '../app/PageWindow.vue';
import type { Freeze } from '@tasche/core';
import { nextTick, onMounted, ref } from 'vue';
import { shortDay } from '../app/day';
import TextField from '../fields/TextField.vue';

/** Asks why, before something new comes into a gamer whose player wants nothing new. */
defineProps<{ freeze: Freeze }>();
const emit = defineEmits<{ answer: [why: string | null] }>();
const why = ref('');
const field = ref<InstanceType<typeof TextField> | null>(null);
onMounted(() => void nextTick(() => field.value?.focus()));
function go(): void {
  if (why.value.trim() !== '') emit('answer', why.value.trim());
}
</script>

<template>
  <PageWindow title="Nothing new for now" :px="460" @close="emit('answer', null)">
    <p>
      {{ freeze.name }}, until {{ shortDay(freeze.to) }}: nothing new in the bag. Give a reason and it is
      done; the reason is kept.
    </p>
    <p class="why">
      <TextField
        ref="field"
        :value="why"
        aria-label="Reason"
        placeholder="the 7 iron is cracked…"
        :maxlength="300"
        @update:value="why = $event"
        @keydown.enter.prevent="go"
      />
    </p>
    <p class="bar">
      <NButton type="primary" :disabled="why.trim() === ''" @click="go">Do it anyway</NButton>
      <NButton @click="emit('answer', null)">Don’t change it</NButton>
    </p>
  </PageWindow>
</template>

<style scoped>
.why {
  margin: 10px 0;
}
</style>
