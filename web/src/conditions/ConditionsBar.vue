<script setup lang="ts">
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
import FieldInput from '../app/FieldInput.vue';
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
const first = ref<HTMLSelectElement | null>(null);
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
const bounds = (field: (typeof FIELDS)[number]) =>
  CONDITION_BOUNDS[field.field].map((si) => Math.round(units.value[field.part].show(si))) as [number, number];
const refused = ref('');

function write(field: (typeof FIELDS)[number], text: string): void {
  const [min, max] = CONDITION_BOUNDS[field.field];
  const unit = units.value[field.part];
  const value = unit.read(Number(text.replace(',', '.')));
  if (text.trim() === '' || !Number.isFinite(value) || value < min - 1e-6 || value > max + 1e-6) {
    const [from, to] = bounds(field);
    refused.value = `${field.label} must be between ${from} and ${to} ${unit.name}, not “${text}”.`;
    return;
  }
  refused.value = '';
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
  props.setting ? (places.value.find((place) => same(place, shown.value))?.id ?? 'own') : 'baseline',
);
const courses = computed(() => [...new Set(places.value.map((place) => place.course))]);

function goTo(id: string): void {
  refused.value = '';
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
  <section class="conditions card no-print" aria-label="Air and ground">
    <label class="place"
      >Read in
      <select ref="first" :value="placeId" @change="goTo(($event.target as HTMLSelectElement).value)">
        <option value="baseline">
          Baseline: {{ airWords('temperature', baseline.conditions.temperatureC, unit) }},
          {{
            baseline.conditions.altitudeM === 0
              ? 'sea level'
              : airWords('altitude', baseline.conditions.altitudeM, unit)
          }}, calm
        </option>
        <option v-if="placeId === 'own'" value="own">Air of my own</option>
        <optgroup v-for="course in courses" :key="course" :label="course">
          <option
            v-for="place in places.filter((one) => one.course === course)"
            :key="place.id"
            :value="place.id"
          >
            {{ place.course }}, {{ place.season }}
          </option>
        </optgroup>
      </select>
    </label>
    <label v-for="field in FIELDS" :key="field.field"
      >{{ field.label }}
      <span class="field">
        <FieldInput
          type="number"
          :value="String(number(field))"
          :step="units[field.part].step"
          :min="bounds(field)[0]"
          :max="bounds(field)[1]"
          :style="{ width: `${field.px}px` }"
          @write="write(field, String($event))"
        />
        <ArrowDown
          v-if="field.part === 'from'"
          :size="17"
          class="arrow"
          :style="{ transform: `rotate(${shown.conditions.windFromDeg}deg)` }"
          :aria-label="windWords(shown.conditions.windFromDeg)"
        />
        <i v-else>{{ units[field.part].name }}</i>
      </span>
    </label>
    <label
      >Ground
      <select
        :value="shown.surface.firmness"
        @change="choose('firmness', ($event.target as HTMLSelectElement).value)"
      >
        <option v-for="one in FIRMNESSES" :key="one">{{ one }}</option>
      </select>
    </label>
    <label
      >Grass
      <select
        :value="shown.surface.grass"
        @change="choose('grass', ($event.target as HTMLSelectElement).value)"
      >
        <option v-for="one in GRASSES" :key="one">{{ one }}</option>
      </select>
    </label>
    <label
      >Lands on
      <select
        :value="shown.surface.area"
        @change="choose('area', ($event.target as HTMLSelectElement).value)"
      >
        <option v-for="one in AREAS" :key="one">{{ one }}</option>
      </select>
    </label>
    <p v-if="refused || complaints.length || problem" class="verdict fault small said" role="alert">
      ■ {{ refused || problem || `Left out of the address: ${complaints.join('; ')}.` }}
    </p>
    <slot />
  </section>
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
input,
select {
  font: inherit;
  font-size: 13.5px;
  color: var(--ink);
  background: var(--linen);
  border: 1px solid var(--line);
  border-radius: 4px;
  padding: 3px 5px;
  min-height: 30px;
}
input {
  text-align: right;
}
.place select {
  max-width: 210px;
}
.arrow {
  color: var(--petrol);
  transition: transform 0.15s;
}
.said {
  flex-basis: 100%;
}
</style>
