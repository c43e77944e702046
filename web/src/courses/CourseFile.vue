<script setup lang="ts">
import type { CourseDetails, CourseView } from '@tasche/contract';
import { counted, courseLengthM, distanceNumber, type DistanceUnit } from '@tasche/core';
import { NButton, NCard } from 'naive-ui';
import { computed, ref } from 'vue';
import ChoiceField from '../fields/ChoiceField.vue';
import { likelyUnit, readCourseText, type CourseText } from './course-file';

/** What a file or a paste holds of a course, before any of it is taken. */
const props = defineProps<{ from: CourseText; course: CourseView; unit: DistanceUnit }>();
const emit = defineEmits<{ take: [part: Partial<CourseDetails>]; leave: [] }>();
const MAX_PROBLEMS = 30;
const MAX_PASSED = 12;

/** Of lengths that name none. */
const lengthUnit = ref<DistanceUnit>(likelyUnit(props.from, props.course, props.unit));
const UNITS = [
  { value: 'm', label: 'metres' },
  { value: 'yd', label: 'yards' },
] as const;
const file = computed(() => readCourseText(props.from, props.course, lengthUnit.value));

/** Lengths and pars are shown once all of them are read. */
const isSound = computed(() => file.value.problems.length === 0);

/** The position is imported where none is recorded. */
function take(): void {
  const { holes, tees, place } = file.value;
  const where =
    place && props.course.latitudeDeg === null
      ? { longitudeDeg: Number(place[0].toFixed(5)), latitudeDeg: Number(place[1].toFixed(5)) }
      : {};
  emit('take', { holes, tees, ...where });
}
</script>

<template>
  <NCard tag="section" class="brought" aria-label="What the file holds">
    <h2>
      {{ from.name }}: {{ counted(file.holes.length, 'hole')
      }}<template v-if="isSound">, par {{ file.holes.reduce((sum, { par }) => sum + par, 0) }}</template>
    </h2>
    <label v-if="file.isUnitGuessed" class="bar small">
      The lengths have no unit; they are in
      <ChoiceField v-model:value="lengthUnit" label="Unit of the lengths" :options="UNITS" />
    </label>
    <div v-if="file.problems.length" role="alert">
      <ul>
        <li v-for="one in file.problems.slice(0, MAX_PROBLEMS)" :key="one" class="verdict error">
          ■ {{ one }}
        </li>
      </ul>
    </div>
    <p v-if="isSound" class="small">
      {{ file.tees.length === 1 ? 'Tee' : 'Tees' }}:
      {{
        file.tees
          .map((tee, t) => `${tee}, ${distanceNumber(courseLengthM(file, t), unit)} ${unit}`)
          .join('; ')
      }}.
      <template v-if="file.isParGuessed"
        >No par in the file: each hole gets the par usual for its length.</template
      >
    </p>
    <p v-if="file.passed.length" class="small quiet">
      Ignored: {{ file.passed.slice(0, MAX_PASSED).join(', ')
      }}<template v-if="file.passed.length > MAX_PASSED">
        and {{ file.passed.length - MAX_PASSED }} more</template
      >.
    </p>
    <div class="bar">
      <NButton :disabled="file.problems.length > 0" type="primary" @click="take">
        Import it{{ course.holes.length ? ', replacing the present holes' : '' }}</NButton
      ><NButton @click="emit('leave')">Cancel</NButton>
    </div>
  </NCard>
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
