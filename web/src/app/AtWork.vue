<script setup lang="ts">
import { NButton, NCard } from 'naive-ui';
import WorkProgress from './WorkProgress.vue';

/**
 * What the page is at work on, how far it is, and a way to stop it. It lies at the foot of the window and takes
 * no room: nothing moves while it is pressed, and no control is covered.
 */
defineProps<{ share: number }>();
defineEmits<{ stop: [] }>();
</script>

<template>
  <div class="at-work no-print">
    <NCard class="bar small" role="status">
      <WorkProgress :share="share" />
      <slot />
      <NButton size="small" @click="$emit('stop')">Cancel</NButton>
    </NCard>
  </div>
</template>

<style scoped>
.at-work {
  position: fixed;
  inset: auto 12px 12px;
  z-index: 6;
  display: flex;
  justify-content: center;
  pointer-events: none;
}
.at-work > .n-card {
  pointer-events: auto;
  padding: 4px 12px;
  box-shadow: 0 2px 14px rgb(30 25 15 / 18%);
}
</style>
