<script setup lang="ts">
import { NAlert } from 'naive-ui';

/** What went wrong, in a sentence; empty while nothing has. What can be done about it goes beside it. */
defineProps<{ text: string | null | undefined; small?: boolean }>();
</script>

<template>
  <NAlert
    v-if="text"
    class="problem-line"
    :class="{ small }"
    type="error"
    :show-icon="false"
    :bordered="false"
  >
    ■ {{ text }}<slot />
  </NAlert>
</template>

<style scoped>
.problem-line {
  margin: 8px 0;
  width: fit-content;
  max-width: 100%;
}
.problem-line.n-alert :deep(.n-alert-body) {
  padding: 6px 10px;
}
.problem-line :deep(.n-alert-body__content) {
  display: flex;
  align-items: center;
  gap: 6px;
  flex-wrap: wrap;
  color: var(--brick-ink);
  font-weight: 500;
}
.problem-line.small {
  font-size: 12.5px;
}
</style>
