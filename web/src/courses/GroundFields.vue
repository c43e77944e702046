<script setup lang="ts">
import {
  FIRMNESSES,
  GRASSES,
  GREEN_SPEED_M,
  ROUGH_LENGTHS,
  ROUND_AIR_BOUNDS,
  SANDS,
  type CourseGround,
  type DistanceUnit,
  type RoundAir,
} from '@tasche/core';
import { computed, ref } from 'vue';
import FieldInput from '../app/FieldInput.vue';
import { airUnits } from '../conditions/air-units';
import { compassPoint } from './ground-words';

/** The air of a day, by the compass, and how a course plays underfoot. Of a season template, the wind has no side and the course's own grass and sand are left out. */
const props = defineProps<{
  air: RoundAir;
  ground: Partial<CourseGround>;
  unit: DistanceUnit;
  template?: boolean;
  readOnly?: boolean;
  of: string;
}>();
const emit = defineEmits<{ air: [air: RoundAir]; ground: [ground: Partial<CourseGround>] }>();
const problem = ref('');

const units = computed(() => airUnits(props.unit));
type AirField = 'temperatureC' | 'humidityPct' | 'windMps' | 'windFromDeg';
const FIELDS: readonly {
  field: AirField;
  part: 'temperature' | 'humidity' | 'wind' | 'from';
  label: string;
}[] = [
  { field: 'temperatureC', part: 'temperature', label: 'Temperature' },
  { field: 'humidityPct', part: 'humidity', label: 'Humidity' },
  { field: 'windMps', part: 'wind', label: 'Wind' },
  { field: 'windFromDeg', part: 'from', label: 'Wind from' },
];
const fields = computed(() => FIELDS.filter(({ field }) => !props.template || field !== 'windFromDeg'));
const shown = ({ field, part }: (typeof FIELDS)[number]) =>
  String(
    Number(
      units.value[part]
        .show(props.air[field])
        .toFixed(Math.max(units.value[part].decimals, part === 'temperature' ? 0 : 0)),
    ),
  );
function write({ field, part, label }: (typeof FIELDS)[number], text: string): void {
  const [min, max] = ROUND_AIR_BOUNDS[field];
  const unit = units.value[part];
  const value = unit.read(Number(text.replace(',', '.')));
  if (text.trim() === '' || !Number.isFinite(value) || value < min - 1e-6 || value > max + 1e-6) {
    problem.value = `${label} must be between ${Math.round(unit.show(min))} and ${Math.round(unit.show(max))} ${unit.name}, not “${text}”.`;
    return;
  }
  problem.value = '';
  emit('air', { ...props.air, [field]: Math.min(max, Math.max(min, value)) });
}
function writeSpeed(text: string): void {
  const [min, max] = GREEN_SPEED_M;
  const value = Number(text.replace(',', '.'));
  if (!(value >= min && value <= max)) {
    problem.value = `Green speed must be between ${min} and ${max} m, not “${text}”.`;
    return;
  }
  problem.value = '';
  emit('ground', { ...props.ground, greenSpeedM: value });
}
const CHOICES = computed(
  () =>
    [
      ['fairways', 'Fairways', FIRMNESSES],
      ['greens', 'Greens', FIRMNESSES],
      ['rough', 'Rough', ROUGH_LENGTHS],
      ...(props.template
        ? []
        : [
            ['grass', 'Grass', GRASSES],
            ['sand', 'Sand', SANDS],
          ]),
    ] as [keyof CourseGround, string, readonly string[]][],
);
const choose = (part: keyof CourseGround, value: string | boolean) =>
  emit('ground', { ...props.ground, [part]: value });
</script>

<template>
  <div class="fields" role="group" :aria-label="`Air and ground of ${of}`">
    <label v-for="field in fields" :key="field.field"
      >{{ field.label }}
      <span class="field"
        ><FieldInput
          :value="shown(field)"
          inputmode="decimal"
          :readonly="readOnly"
          :aria-label="field.label"
          @write="write(field, $event)"
        /><em>{{
          field.field === 'windFromDeg' ? `° ${compassPoint(air.windFromDeg)}` : units[field.part].name
        }}</em></span
      >
    </label>
    <label v-for="[part, label, of_] in CHOICES" :key="part"
      >{{ label }}
      <select
        :value="ground[part]"
        :disabled="readOnly"
        :aria-label="label"
        @change="choose(part, ($event.target as HTMLSelectElement).value)"
      >
        <option v-for="one in of_" :key="one">{{ one }}</option>
      </select>
    </label>
    <label class="tick"
      ><input
        type="checkbox"
        :checked="ground.wet"
        :disabled="readOnly"
        @change="choose('wet', ($event.target as HTMLInputElement).checked)"
      />
      wet</label
    >
    <label title="How far a ball rolls off the ramp of a green-speed gauge"
      >Green speed
      <span class="field"
        ><FieldInput
          :value="String(ground.greenSpeedM ?? 3)"
          inputmode="decimal"
          :readonly="readOnly"
          aria-label="Green speed"
          @write="writeSpeed"
        /><em>m</em></span
      ></label
    >
    <slot />
  </div>
  <p v-if="problem" class="verdict fault" role="alert">■ {{ problem }}</p>
</template>

<style scoped>
.fields {
  display: flex;
  flex-wrap: wrap;
  gap: 6px 14px;
  align-items: end;
}
label {
  display: grid;
  gap: 2px;
  font-size: 12px;
  color: var(--quiet);
}
.field {
  display: inline-flex;
  align-items: baseline;
  gap: 4px;
}
.field em {
  font-style: normal;
  font-size: 12.5px;
  min-width: 26px;
}
input:not([type='checkbox']) {
  font: inherit;
  font-size: 14px;
  width: 58px;
  min-height: 34px;
  padding: 3px 7px;
  border: 1px solid var(--line);
  border-radius: 4px;
  background: var(--paper);
  color: var(--ink);
}
select {
  font: inherit;
  font-size: 14px;
  min-height: 34px;
  padding: 3px 6px;
  border: 1px solid var(--line);
  border-radius: 4px;
  background: var(--paper);
  color: var(--ink);
}
.tick {
  display: flex;
  align-items: center;
  gap: 5px;
  font-size: 13.5px;
  color: var(--ink);
  min-height: 34px;
}
</style>
