<script setup lang="ts" generic="Value extends string | number">
import { NButton } from 'naive-ui';
import { nextTick, ref, useTemplateRef } from 'vue';
import ChoiceField from './ChoiceField.vue';
import type { Choice } from './choices';

/**
 * One of several in a long table: its word, which becomes the list to choose from when it is pressed. A list
 * in every row is slow.
 */
defineProps<{ value: Value; words: string; options: readonly (Value | Choice<Value>)[]; label: string }>();
const emit = defineEmits<{ 'update:value': [value: Value] }>();

const isChoosing = ref(false);
const button = useTemplateRef<{ $el: HTMLElement }>('button');
const field = useTemplateRef<{ focus: () => void }>('field');
async function begin(): Promise<void> {
  isChoosing.value = true;
  await nextTick();
  field.value?.focus();
}
async function choose(value: Value): Promise<void> {
  emit('update:value', value);
  isChoosing.value = false;
  await nextTick();
  button.value?.$el.focus();
}
</script>

<template>
  <ChoiceField
    v-if="isChoosing"
    ref="field"
    :value="value"
    :options="options"
    :label="label"
    starts-open
    @update:value="choose"
    @leave="isChoosing = false"
  />
  <NButton v-else ref="button" text class="words" :aria-label="`${label}: ${words}`" @click="begin">{{
    words
  }}</NButton>
</template>

<style scoped>
.words {
  min-height: 24px;
  font-size: inherit;
  text-decoration: underline dotted var(--line);
  text-underline-offset: 4px;
}
</style>
