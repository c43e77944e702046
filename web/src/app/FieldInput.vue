<script setup lang="ts">
import { ref, watch } from 'vue';

/** A text field that keeps what is being typed while the value behind it changes, and says so when it is left. */
const props = defineProps<{
  value: string;
  /** More than one line. */
  rows?: number;
}>();
const emit = defineEmits<{ write: [text: string] }>();
defineOptions({ inheritAttrs: true });

const text = ref(props.value);
const typing = ref(false);
watch(
  () => props.value,
  (value) => {
    if (!typing.value) text.value = value;
  },
);

function leave(): void {
  if (typing.value && text.value !== props.value) emit('write', text.value);
  typing.value = false;
}
</script>

<template>
  <textarea
    v-if="rows"
    v-model="text"
    :rows="rows"
    :data-untouched="typing ? undefined : ''"
    @input="typing = true"
    @change="leave"
    @blur="leave"
  />
  <input
    v-else
    v-model="text"
    :data-untouched="typing ? undefined : ''"
    @input="typing = true"
    @change="leave"
    @blur="leave"
  />
</template>
