<script setup lang="ts">
import type { CourseDetails, CourseView } from '@tasche/contract';
import type { DistanceUnit } from '@tasche/core';
import { NButton, NEmpty } from 'naive-ui';
import { ref } from 'vue';
import { useReadOnly } from '../fields/read-only';
import HolePicture from './HolePicture.vue';
import HoleTable from './HoleTable.vue';
import { usualHoles } from './new-course';

/** The holes of a course: a table to type in, and a picture of the one that is pointed at. */
const props = defineProps<{ course: CourseView; unit: DistanceUnit }>();
const isReadOnly = useReadOnly();
const emit = defineEmits<{ holes: [holes: CourseDetails['holes']]; card: [text: string] }>();

const active = ref(0);
const begin = (count: 9 | 18) => emit('holes', usualHoles(count, props.course.tees.length));
</script>

<template>
  <NEmpty
    v-if="course.holes.length === 0"
    class="empty"
    :description="
      isReadOnly
        ? 'No holes yet.'
        : 'No holes yet. Paste a scorecard here, import a file, or start with usual ones and type over them.'
    "
  >
    <template v-if="!isReadOnly" #extra>
      <span class="bar">
        <NButton type="primary" @click="begin(18)">Start with eighteen usual holes</NButton>
        <NButton @click="begin(9)">Nine</NButton>
      </span></template
    >
  </NEmpty>
  <div v-else class="board">
    <HoleTable
      :holes="course.holes"
      :tees="course.tees"
      :unit="unit"
      :active="active"
      @holes="emit('holes', $event)"
      @card="emit('card', $event)"
      @active="active = $event"
    />
    <HolePicture
      :holes="course.holes"
      :active="Math.min(active, course.holes.length - 1)"
      :unit="unit"
      @active="active = $event"
    />
  </div>
</template>

<style scoped>
.board {
  display: grid;
  grid-template-columns: minmax(0, max-content) 200px;
  gap: 24px;
  align-items: start;
}

.empty {
  padding: 28px;
}
@media (max-width: 1180px) {
  .board {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>
