<script setup lang="ts">
import { NButton } from 'naive-ui';

/** Above a form that holds what was half written before the page was left. */
defineProps<{ kept: boolean }>();
defineEmits<{ startOver: [] }>();
</script>

<template>
  <p v-if="kept" class="kept-note quiet small" role="status">
    As you left it, not saved yet.
    <NButton text size="small" type="primary" @click="$emit('startOver')">Start over</NButton>
  </p>
</template>

<style scoped>
.kept-note {
  flex: 1 0 100%;
  grid-column: 1 / -1;
  margin-bottom: 6px;
}
</style>
