<script setup lang="ts">
import { NButton } from 'naive-ui';
import { counted, MAX_BUILDS } from '@tasche/core';
import { shortDay } from '../app/day';
import type { HitBuild } from './builds';

/** The builds that were hit; the first one chosen is what the others are compared with. */
defineProps<{ builds: readonly HitBuild[]; chosen: readonly HitBuild[] }>();
const emit = defineEmits<{ choose: [id: string] }>();
</script>

<template>
  <div class="pick" role="group" aria-label="Builds">
    <NButton
      v-for="build in builds"
      :key="build.id"
      :aria-pressed="chosen.includes(build)"
      :disabled="!chosen.includes(build) && chosen.length >= MAX_BUILDS"
      @click="emit('choose', build.id)"
      quaternary
      class="row"
    >
      <b>{{ build.name }}</b><span class="quiet small"
        >{{ counted(build.strikes.length, 'shot') }}, {{ shortDay(build.days[0])
        }}<template v-if="build.days[1] !== build.days[0]"> to {{ shortDay(build.days[1]) }}</template></span
      >
    </NButton>
  </div>
</template>

<style scoped>
.pick {
  display: grid;
  gap: 3px;
  max-height: calc(100vh - 180px);
  overflow-y: auto;
  /* Room for the ring around what has the focus. */
  padding: 3px;
  margin: -3px;
}
.pick .row {
  height: auto;
  padding: 7px 10px;
  justify-content: flex-start;
  text-align: left;
  border-left: 3px solid transparent;
  border-radius: 0 4px 4px 0;
}
.pick .row :deep(.n-button__content) {
  display: grid;
}
.pick .row[aria-pressed='false'] {
  box-shadow: inset 0 0 0 1px var(--line-soft);
}
.pick .row[aria-pressed='true'] {
  border-left-color: var(--petrol);
}
@media (max-width: 700px) {
  .pick {
    grid-auto-flow: column;
    gap: 6px;
    overflow-x: auto;
  }
}
</style>
