<script setup lang="ts">
import type { CourseDetails, CourseView, ReadHoles } from '@tasche/contract';
import { counted, courseLengthM, distanceNumber, type DistanceUnit } from '@tasche/core';
import { NButton } from 'naive-ui';

/** What a file of a course holds, before any of it is taken. */
const props = defineProps<{ file: ReadHoles & { name: string }; course: CourseView; unit: DistanceUnit }>();
const emit = defineEmits<{ take: [part: Partial<CourseDetails>]; leave: [] }>();
const MAX_PROBLEMS = 30;
const MAX_PASSED = 12;

/** The place comes along where nobody has written it down. */
function take(): void {
  const { holes, tees, place } = props.file;
  const where =
    place && props.course.latitudeDeg === null
      ? { longitudeDeg: Number(place[0].toFixed(5)), latitudeDeg: Number(place[1].toFixed(5)) }
      : {};
  emit('take', { holes, tees, ...where });
}
</script>

<template>
  <section class="card brought" aria-label="What the file holds">
    <h2>
      {{ file.name }}: {{ counted(file.holes.length, 'hole')
      }}<template v-if="file.holes.length"
        >, {{ distanceNumber(courseLengthM(file, 0), unit) }} {{ unit }}, par
        {{ file.holes.reduce((sum, { par }) => sum + par, 0) }}</template
      >
    </h2>
    <ul v-if="file.problems.length" role="alert">
      <li v-for="one in file.problems.slice(0, MAX_PROBLEMS)" :key="one" class="verdict error">
        ■ {{ one }}
      </li>
    </ul>
    <p v-if="file.passed.length" class="small quiet">
      Passed over: {{ file.passed.slice(0, MAX_PASSED).join(', ')
      }}<template v-if="file.passed.length > MAX_PASSED">
        and {{ file.passed.length - MAX_PASSED }} more</template
      >.
    </p>
    <div class="bar">
      <NButton :disabled="file.problems.length > 0" type="primary" @click="take">
        Take it{{ course.holes.length ? ', in the place of the holes there are' : '' }}</NButton
      ><NButton @click="emit('leave')">Cancel</NButton>
    </div>
  </section>
</template>

<style scoped>
.brought {
  padding: 12px 16px;
  margin-bottom: 12px;
  display: grid;
  gap: 8px;
}
.brought ul {
  list-style: none;
  margin: 0;
  padding: 0;
  display: grid;
}
</style>
