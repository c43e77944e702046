<script setup lang="ts">
import NumberField from '../fields/NumberField.vue';
import { NCheckbox } from 'naive-ui';
import ChoiceField from '../fields/ChoiceField.vue';
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
import { computed } from 'vue';
import { useReadOnly } from '../fields/read-only';
import { airUnits } from '../conditions/air-units';
import { compassPoint } from './ground-words';
import Hint from '../app/Hint.vue';

/**
 * The air of a day, by the compass, and how a course plays underfoot. Of a season template, the wind has no
 * side and the course's own grass and sand are left out.
 */
const props = defineProps<{
  air: RoundAir;
  ground: Partial<CourseGround>;
  unit: DistanceUnit;
  template?: boolean;
  readOnly?: boolean;
  of: string;
}>();
const emit = defineEmits<{ air: [air: RoundAir]; ground: [ground: Partial<CourseGround>] }>();

const isReadOnly = useReadOnly();
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
  Number(units.value[part].show(props.air[field]).toFixed(units.value[part].decimals));
const bounds = ({ field, part }: (typeof FIELDS)[number]) =>
  ROUND_AIR_BOUNDS[field].map((si) => Math.round(units.value[part].show(si))) as [number, number];
function write({ field, part }: (typeof FIELDS)[number], value: number): void {
  const [min, max] = ROUND_AIR_BOUNDS[field];
  emit('air', { ...props.air, [field]: Math.min(max, Math.max(min, units.value[part].read(value))) });
}
const speed = computed(() => units.value.greenSpeed);
const speedBounds = computed(
  () => GREEN_SPEED_M.map((m) => Number(speed.value.show(m).toFixed(1))) as [number, number],
);
function writeSpeed(value: number): void {
  const [min, max] = GREEN_SPEED_M;
  emit('ground', { ...props.ground, greenSpeedM: Math.min(max, Math.max(min, speed.value.read(value))) });
}
type GroundChoice = 'fairways' | 'greens' | 'rough' | 'grass' | 'sand';
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
    ] as [GroundChoice, string, readonly string[]][],
);
const choose = (part: keyof CourseGround, value: string | boolean) =>
  emit('ground', { ...props.ground, [part]: value });
</script>

<template>
  <div class="fields" role="group" :aria-label="`Air and ground of ${of}`">
    <label v-for="field in fields" :key="field.field"
      >{{ field.label }}
      <span class="field"
        ><NumberField
          :value="shown(field)"
          :label="field.label"
          :bounds="bounds(field)"
          :readonly="readOnly"
          :unit="
            field.field === 'windFromDeg' ? `° ${compassPoint(air.windFromDeg)}` : units[field.part].name
          "
          :px="58"
          @write="write(field, $event!)"
      /></span>
    </label>
    <label v-for="[part, label, of_] in CHOICES" :key="part"
      >{{ label }}
      <ChoiceField
        :value="ground[part]"
        :disabled="readOnly"
        @update:value="choose(part, $event)"
        :label="label"
        :options="of_"
      />
    </label>
    <NCheckbox
      class="tick"
      :checked="ground.wet"
      :disabled="readOnly || isReadOnly"
      @update:checked="choose('wet', $event)"
      >wet</NCheckbox
    >
    <label
      ><Hint says="How far a ball rolls off the ramp of a green-speed gauge">Green speed</Hint>
      <span class="field"
        ><NumberField
          :value="Number(speed.show(ground.greenSpeedM ?? 3).toFixed(1))"
          label="Green speed"
          :bounds="speedBounds"
          :readonly="readOnly"
          :unit="speed.name"
          :px="58"
          @write="writeSpeed($event!)" /></span
    ></label>
    <slot />
  </div>
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

.tick {
  display: flex;
  align-items: center;
  gap: 5px;
  font-size: 13.5px;
  color: var(--ink);
  min-height: 34px;
}
</style>
