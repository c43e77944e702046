<script setup lang="ts">
import { NButton } from 'naive-ui';
import WorkProgress from './WorkProgress.vue';

/** What the page is at work on, how far it is, and a way to stop it; it takes no room: nothing moves away from under a press. */
defineProps<{ share: number; label?: string }>();
defineEmits<{ stop: [] }>();
</script>

<template>
  <div class="at-work no-print">
    <p class="card bar small" role="status">
      <WorkProgress :share="share" v-bind="label === undefined ? {} : { label }" />
      <slot />
      <NButton size="small" @click="$emit('stop')">Cancel</NButton>
    </p>
  </div>
</template>

<style scoped>
.at-work {
  position: sticky;
  top: 8px;
  z-index: 6;
  height: 0;
  display: flex;
  justify-content: center;
  align-items: flex-start;
}
.at-work > p {
  padding: 4px 12px;
  box-shadow: 0 2px 14px rgb(30 25 15 / 18%);
}
</style>
