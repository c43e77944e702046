<script setup lang="ts">
import type { CourseDetails, CourseView } from '@tasche/contract';
import { CONDITION_BOUNDS, GRASSES, SANDS, fromMetres, toMetres, type DistanceUnit } from '@tasche/core';
import { computed, onMounted, ref, useTemplateRef } from 'vue';
import ProblemLine from '../app/ProblemLine.vue';
import ChoiceField from '../fields/ChoiceField.vue';
import NumberField from '../fields/NumberField.vue';
import TextField from '../fields/TextField.vue';

/** What a course is called, where it lies, what grows on it, and its tees. */
const props = defineProps<{
  course: CourseView;
  unit: DistanceUnit;
  /** It was just added: its name is there to be typed over. */
  isNew?: boolean;
}>();
const emit = defineEmits<{ set: [part: Partial<CourseDetails>] }>();
const problem = ref('');
const name = useTemplateRef<InstanceType<typeof TextField>>('name');
onMounted(() => {
  if (!props.isNew) return;
  name.value?.focus();
  name.value?.select();
});
const MAX_TEES = 6;

/** Altitudes are in feet where distances are in yards. */
const height = computed(() => (props.unit === 'yd' ? 'ft' : 'm'));
const inHeight = (metres: number) => Math.round(fromMetres(metres, height.value));
const altitudeBounds = computed(() => CONDITION_BOUNDS.altitudeM.map(inHeight) as [min: number, max: number]);
function setAltitude(typed: number | null): void {
  const [min, max] = CONDITION_BOUNDS.altitudeM;
  if (typed !== null) emit('set', { altitudeM: Math.min(max, Math.max(min, toMetres(typed, height.value))) });
}

function setName(text: string): void {
  problem.value = text.trim() === '' ? 'Name must not be empty.' : '';
  if (problem.value === '') emit('set', { name: text.trim() });
}

/** Tees by name, longest first; a new one is as long as the last until its lengths are typed. */
function setTees(text: string): void {
  const tees = text
    .split(',')
    .map((one) => one.trim())
    .filter(Boolean);
  if (tees.length < 1 || tees.length > MAX_TEES) {
    problem.value = `Tees must be 1 to ${MAX_TEES} names with commas between, not “${text}”.`;
    return;
  }
  problem.value = '';
  const holes = props.course.holes.map((hole) => ({
    ...hole,
    lengthsM: tees.map((_tee, i) => hole.lengthsM[i] ?? hole.lengthsM.at(-1)!),
  }));
  emit('set', { tees, holes });
}
</script>

<template>
  <div class="fields">
    <label class="wide"
      >Name <TextField ref="name" aria-label="Name" :value="course.name" maxlength="80" @write="setName"
    /></label>
    <label
      >Altitude
      <NumberField
        :value="inHeight(course.altitudeM)"
        label="Altitude"
        :unit="height"
        :bounds="altitudeBounds"
        :step="10"
        @write="setAltitude"
    /></label>
    <label
      >Latitude
      <NumberField
        :value="course.latitudeDeg"
        label="Latitude"
        unit="°"
        :bounds="[-90, 90]"
        optional
        placeholder="not known"
        :px="92"
        @write="emit('set', { latitudeDeg: $event })"
    /></label>
    <label
      >Longitude
      <NumberField
        :value="course.longitudeDeg"
        label="Longitude"
        unit="°"
        :bounds="[-180, 180]"
        optional
        placeholder="not known"
        :px="92"
        @write="emit('set', { longitudeDeg: $event })"
    /></label>
    <label
      >Grass
      <ChoiceField
        :value="course.grass"
        label="Grass"
        :options="GRASSES"
        @update:value="emit('set', { grass: $event })"
    /></label>
    <label
      >Sand
      <ChoiceField
        :value="course.sand"
        label="Sand"
        :options="SANDS"
        @update:value="emit('set', { sand: $event })"
    /></label>
    <label
      >Tees, longest first
      <TextField aria-label="Tees, longest first" :value="course.tees.join(', ')" @write="setTees"
    /></label>
    <label class="wide"
      >Notes
      <TextField
        aria-label="Notes"
        :value="course.notes"
        maxlength="2000"
        @write="emit('set', { notes: $event })"
    /></label>
  </div>
  <ProblemLine :text="problem" />
</template>

<style scoped>
.fields {
  display: flex;
  flex-wrap: wrap;
  gap: 8px 14px;
}
.fields label {
  display: grid;
  gap: 2px;
  font-size: 12px;
  color: var(--quiet);
}
.fields .wide {
  flex: 1 1 240px;
}
</style>
