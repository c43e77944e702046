<script setup lang="ts">
import { onBeforeUnmount, ref } from 'vue';
import { whenIdle } from './when-idle';

/**
 * A part of a page that is put there once the rest stands, each such part in a moment of its own: no page is
 * blocked by its lower half.
 */
const props = defineProps<{
  /** The height kept free for it, so that nothing jumps. */
  px?: number;
  /** Something on the page cannot wait for it. */
  atOnce?: boolean;
}>();
const isTime = ref(false);
onBeforeUnmount(
  whenIdle(() => {
    isTime.value = true;
  }),
);
</script>

<template>
  <slot v-if="isTime || props.atOnce" />
  <div v-else :style="{ minHeight: `${px ?? 0}px` }" />
</template>
