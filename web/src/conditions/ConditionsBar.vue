<script setup lang="ts">
import { NCard } from 'naive-ui';
import type { Choice, ChoiceGroup } from '../fields/choices';
import NumberField from '../fields/NumberField.vue';
import ChoiceField from '../fields/ChoiceField.vue';
import {
  AREAS,
  CONDITION_BOUNDS,
  FIRMNESSES,
  GRASSES,
  stillAir,
  type Conditions,
  type DistanceUnit,
  type PlayingConditions,
  type Surface,
} from '@tasche/core';
import { ArrowDown } from 'lucide-vue-next';
import { computed, nextTick, onMounted, ref } from 'vue';
import { airUnits, airWords, windWords, type AirPart } from './air-units';
import { useSchedule } from '../courses/schedule-store';

/** The air and the ground the ladder is read in: a place, or numbers of one's own. */
const props = defineProps<{
  setting: PlayingConditions | null;
  baseline: PlayingConditions;
  unit: DistanceUnit;
  complaints: readonly string[];
  problem?: string;
}>();
const emit = defineEmits<{ set: [setting: PlayingConditions | null] }>();
const store = useSchedule();
const first = ref<{ focus: () => void } | null>(null);
onMounted(() => void store.load());

const shown = computed(() => props.setting ?? props.baseline);
const units = computed(() => airUnits(props.unit));
const FIELDS: readonly {
  part: AirPart;
  field: Exclude<keyof Conditions, 'pressureHpa'>;
  label: string;
  px: number;
}[] = [
  { part: 'temperature', field: 'temperatureC', label: 'Temperature', px: 62 },
  { part: 'altitude', field: 'altitudeM', label: 'Altitude', px: 70 },
  { part: 'humidity', field: 'humidityPct', label: 'Humidity', px: 58 },
  { part: 'wind', field: 'windMps', label: 'Wind', px: 58 },
  { part: 'from', field: 'windFromDeg', label: 'Wind from', px: 62 },
  { part: 'rise', field: 'targetElevationM', label: 'Target up', px: 58 },
];
const number = (field: (typeof FIELDS)[number]) => {
  const { show, decimals } = units.value[field.part];
  return Number(show(shown.value.conditions[field.field]).toFixed(decimals));
};
/** The bounds of each field, as they are shown: the same lists from one change of the air to the next. */
const bounds = computed(() =>
  FIELDS.map(({ field, part }) => {
    const [min, max] = CONDITION_BOUNDS[field];
    const { show } = units.value[part];
    return [Math.round(show(min)), Math.round(show(max))] as const;
  }),
);

function write(field: (typeof FIELDS)[number], shownValue: number): void {
  const [min, max] = CONDITION_BOUNDS[field.field];
  const value = units.value[field.part].read(shownValue);
  const conditions = { ...shown.value.conditions, [field.field]: Math.min(max, Math.max(min, value)) };
  // A pressure of its own belongs to the place it was read at.
  if (field.field === 'altitudeM') delete conditions.pressureHpa;
  emit('set', { ...shown.value, conditions });
}

function choose(part: keyof Surface, value: string): void {
  emit('set', { ...shown.value, surface: { ...shown.value.surface, [part]: value } });
}

const same = (a: PlayingConditions, b: PlayingConditions) =>
  (Object.keys(CONDITION_BOUNDS) as (keyof Conditions)[]).every(
    (field) => Math.abs((a.conditions[field] ?? -1) - (b.conditions[field] ?? -1)) < 0.006,
  ) &&
  (Object.keys(props.baseline.surface) as (keyof Surface)[]).every(
    (part) => a.surface[part] === b.surface[part],
  );
/** Courses in their seasons. The wind of a season is put in the face: a ladder knows no bearing. */
const places = computed(() =>
  store.courses.flatMap((course) =>
    course.seasons.map(({ name, air, ground }) => ({
      id: `${course.id} ${name}`,
      course: course.name,
      season: name,
      conditions: { ...stillAir(air, course), windMps: air.windMps },
      surface: { area: 'fairway' as const, firmness: ground.fairways, grass: ground.grass },
    })),
  ),
);
const placeId = computed(() =>
  same(shown.value, props.baseline)
    ? 'baseline'
    : (places.value.find((place) => same(place, shown.value))?.id ?? 'own'),
);
const courses = computed(() => [...new Set(places.value.map((place) => place.course))]);
const placeChoices = computed((): (Choice | ChoiceGroup)[] => {
  const { temperatureC, altitudeM } = props.baseline.conditions;
  const height = altitudeM === 0 ? 'sea level' : airWords('altitude', altitudeM, props.unit);
  return [
    {
      value: 'baseline',
      label: `Baseline: ${airWords('temperature', temperatureC, props.unit)}, ${height}, calm`,
    },
    ...(placeId.value === 'own' ? [{ value: 'own', label: 'Air of my own' }] : []),
    ...courses.value.map((course) => ({
      label: course,
      choices: places.value
        .filter((place) => place.course === course)
        .map(({ id, season }) => ({ value: id, label: `${course}, ${season}` })),
    })),
  ];
});

function goTo(id: string): void {
  const place = places.value.find((one) => one.id === id);
  if (id === 'baseline') emit('set', null);
  else if (place) emit('set', { conditions: place.conditions, surface: place.surface });
}

/** Puts the cursor here, for the key that opens the bar. */
function focus(): void {
  void nextTick(() => first.value?.focus());
}
defineExpose({ focus });
</script>

<template>
  <NCard tag="section" class="conditions no-print" aria-label="Air and ground">
    <label class="place"
      >Read in
      <ChoiceField
        ref="first"
        :value="placeId"
        label="Read in"
        :options="placeChoices"
        @update:value="goTo"
      />
    </label>
    <label v-for="(field, i) in FIELDS" :key="field.field"
      >{{ field.label }}
      <span class="field"
        ><NumberField
          :value="number(field)"
          :label="field.label"
          :unit="field.part === 'from' ? '' : units[field.part].name"
          :step="units[field.part].step"
          :bounds="bounds[i]"
          :px="field.px"
          @write="write(field, $event!)" /><ArrowDown
          v-if="field.part === 'from'"
          :size="17"
          class="arrow"
          :style="{ transform: `rotate(${shown.conditions.windFromDeg}deg)` }"
          :aria-label="windWords(shown.conditions.windFromDeg)"
      /></span>
    </label>
    <label
      >Ground
      <ChoiceField
        :value="shown.surface.firmness"
        @update:value="choose('firmness', $event)"
        label="Ground"
        :options="FIRMNESSES"
      />
    </label>
    <label
      >Grass
      <ChoiceField
        :value="shown.surface.grass"
        @update:value="choose('grass', $event)"
        label="Grass"
        :options="GRASSES"
      />
    </label>
    <label
      >Lands on
      <ChoiceField
        :value="shown.surface.area"
        @update:value="choose('area', $event)"
        label="Lands on"
        :options="AREAS"
      />
    </label>
    <p v-if="complaints.length || problem" class="verdict error small said" role="alert">
      ■ {{ problem || `Left out of the address: ${complaints.join('; ')}.` }}
    </p>
    <slot />
  </NCard>
</template>

<style scoped>
.conditions {
  display: flex;
  flex-wrap: wrap;
  gap: 6px 12px;
  align-items: flex-end;
  padding: 7px 12px 9px;
  margin-bottom: 8px;
}
label {
  display: grid;
  gap: 2px;
  font-size: 12.5px;
  color: var(--quiet);
}
.field {
  display: flex;
  align-items: center;
  gap: 4px;
}
i {
  font-style: normal;
  font-size: 12.5px;
}

.arrow {
  color: var(--petrol);
  transition: transform 0.15s;
}
.said {
  flex-basis: 100%;
}
</style>
