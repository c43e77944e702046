<script setup lang="ts">
import { NSkeleton } from 'naive-ui';

/** The place of what is being read or worked out, in as many rows as it will have. */
withDefaults(defineProps<{ rows?: number; px?: number; label?: string }>(), {
  rows: 4,
  px: 38,
  label: 'Loading',
});
</script>

<template>
  <div class="loading-rows" role="status" :aria-label="label">
    <NSkeleton v-for="n in rows" :key="n" :height="`${px}px`" :sharp="false" />
  </div>
</template>

<style scoped>
.loading-rows {
  display: grid;
  gap: 8px;
}
</style>
