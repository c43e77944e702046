<script setup lang="ts">
import type { CourseView } from '@tasche/contract';
import { courseLengthM, distanceNumber, type DistanceUnit } from '@tasche/core';
import { useTemplateRef } from 'vue';
import { useHereInView } from '../app/here-in-view';

/** The courses of the workspace, each with its length; on a narrow screen the one that is open is in view. */
const props = defineProps<{ courses: readonly CourseView[]; shownId: string; unit: DistanceUnit }>();
useHereInView(useTemplateRef<HTMLElement>('strip'), () => props.shownId);
</script>

<template>
  <nav ref="strip" class="tabs" aria-label="Courses">
    <RouterLink
      v-for="one in courses"
      :key="one.id"
      :to="{ name: 'courses', params: { courseId: one.id } }"
      :class="{ here: one.id === shownId }"
      ><b>{{ one.name }}</b>
      <span class="quiet small">{{
        one.holes.length ? `${distanceNumber(courseLengthM(one, 0), unit)} ${unit}` : 'no holes yet'
      }}</span></RouterLink
    >
  </nav>
</template>

<style scoped>
.tabs {
  display: flex;
  flex-wrap: wrap;
  gap: 4px;
  border-bottom: 1px solid var(--line);
  margin-bottom: 12px;
}
.tabs a {
  display: inline-flex;
  align-items: baseline;
  gap: 6px;
  padding: 8px 12px;
  white-space: nowrap;
  text-decoration: none;
  color: var(--ink);
  border-bottom: 3px solid transparent;
}
.tabs a.here {
  border-bottom-color: var(--petrol);
  color: var(--petrol);
}
</style>
