<script setup lang="ts">
import type { PlayerSet } from '@tasche/contract';
import { BASELINE, CONDITION_BOUNDS, type Conditions } from '@tasche/core';
import { computed } from 'vue';
import { airUnits, airWords, type AirPart } from '../conditions/air-units';
import NumberField from '../fields/NumberField.vue';
import { useSheet } from '../sheet/sheet-store';

/** The air a player's carries are known in; an empty field is the usual. */
const emit = defineEmits<{ save: [set: PlayerSet] }>();
const store = useSheet();
const unit = computed(() => store.sheet!.player.distanceUnit);
const air = computed(() => store.sheet!.player.baseline ?? BASELINE);
const units = computed(() => airUnits(unit.value));

const AIR = [
  { field: 'temperatureC', part: 'temperature', label: 'Temperature' },
  { field: 'altitudeM', part: 'altitude', label: 'Altitude' },
  { field: 'humidityPct', part: 'humidity', label: 'Humidity' },
] as const satisfies readonly { field: keyof Conditions; part: AirPart; label: string }[];
type Air = (typeof AIR)[number];
/** What is nearer the usual air than this is the usual air, in the numbers' own units. */
const USUAL_WITHIN = 0.3;

const shown = ({ field, part }: Air) => Number(units.value[part].show(air.value[field]).toFixed(0));
/** In whole numbers that are still within what is kept. */
const bounds = ({ field, part }: Air): [number, number] => {
  const [min, max] = CONDITION_BOUNDS[field];
  const { show } = units.value[part];
  return [Math.ceil(show(min)), Math.floor(show(max))];
};
function write({ field, part }: Air, value: number | null): void {
  const kept = value === null ? BASELINE[field] : Math.round(units.value[part].read(value) * 100) / 100;
  const next: Conditions = { ...air.value, [field]: kept };
  const isUsual = AIR.every((one) => Math.abs(next[one.field] - BASELINE[one.field]) < USUAL_WITHIN);
  emit('save', { baseline: isUsual ? null : next });
}
</script>

<template>
  <fieldset>
    <legend>The air the carries are known in</legend>
    <label v-for="one in AIR" :key="one.field"
      >{{ one.label }}
      <NumberField
        :value="shown(one)"
        :label="one.label"
        :unit="units[one.part].name"
        :bounds="bounds(one)"
        :step="units[one.part].step"
        :disabled="!store.may('editPlayer')"
        :px="62"
        optional
        @write="write(one, $event)"
      />
    </label>
    <p class="quiet small">
      Calm. Carries in other air are worked out from here. An empty field means:
      {{ airWords('temperature', BASELINE.temperatureC, unit) }}, sea level, {{ BASELINE.humidityPct }} %.
    </p>
  </fieldset>
</template>

<style scoped>
fieldset {
  border: 1px solid var(--line);
  border-radius: 4px;
  margin: 12px 0 0;
  padding: 8px 12px 10px;
  display: grid;
  grid-template-columns: repeat(3, 1fr);
  gap: 8px;
}
legend {
  font-size: 12.5px;
  color: var(--quiet);
  padding: 0 4px;
}
label {
  display: grid;
  gap: 3px;
  font-size: 12.5px;
  color: var(--quiet);
  align-content: start;
}
p {
  grid-column: 1 / -1;
}
</style>
