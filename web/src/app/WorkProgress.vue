<script setup lang="ts">
import { NProgress } from 'naive-ui';
import { computed } from 'vue';

/** How far work has come, for anything that takes over half a second. */
const props = defineProps<{
  /** 0 to 1; null or 0 while nothing is known yet. */
  share: number | null | undefined;
  label?: string;
}>();
const percent = computed(() => Math.round((props.share ?? 0) * 100));
</script>

<template>
  <NProgress
    class="work-progress"
    type="line"
    role="progressbar"
    :aria-label="label ?? 'Progress'"
    :aria-valuenow="percent"
    aria-valuemin="0"
    aria-valuemax="100"
    :percentage="Math.max(4, percent)"
    :show-indicator="false"
    :processing="percent < 100"
  />
</template>

<style scoped>
.work-progress {
  width: 160px;
  flex: none;
}
</style>
