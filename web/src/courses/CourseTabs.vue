<script setup lang="ts">
import type { CourseView } from '@tasche/contract';
import { courseLengthM, distanceNumber, type DistanceUnit } from '@tasche/core';
import { computed } from 'vue';
import PageTabs from '../app/PageTabs.vue';

/** The courses of the workspace, each with its length. */
const props = defineProps<{ courses: readonly CourseView[]; shownId: string; unit: DistanceUnit }>();
const tabs = computed(() =>
  props.courses.map((course) => ({
    name: course.id,
    to: { name: 'courses', params: { courseId: course.id } },
    course,
    length: course.holes.length
      ? `${distanceNumber(courseLengthM(course, 0), props.unit)} ${props.unit}`
      : 'no holes yet',
  })),
);
</script>

<template>
  <PageTabs v-slot="{ tab }" label="Courses" :tabs="tabs" :open="shownId">
    <b>{{ tab.course.name }}</b> <span class="quiet small">{{ tab.length }}</span>
  </PageTabs>
</template>
