<script setup lang="ts">
import { NButton, NTag } from 'naive-ui';

/** One of a few things that were chosen, and can be taken out again. */
defineProps<{
  /** What the button says to a screen reader; the same on every tag would not say of which. */
  removes: string;
  type?: 'default' | 'warning';
  readOnly?: boolean;
}>();
const emit = defineEmits<{ remove: [] }>();
</script>

<template>
  <NTag class="removable" :type="type ?? 'default'">
    <slot />
    <NButton
      v-if="!readOnly"
      class="remove"
      :aria-label="removes"
      quaternary
      circle
      size="tiny"
      @click="emit('remove')"
      >×</NButton
    >
  </NTag>
</template>

<style scoped>
.removable {
  padding: 0 2px 0 8px;
  margin-right: 2px;
}
.remove {
  margin-left: 2px;
}
</style>
