<script setup lang="ts">
import { storedMetres } from '@tasche/contract';
import {
  DEMAND_BOUNDS,
  LIE_NAMES,
  distanceNumber,
  type DemandChanges,
  type DistanceUnit,
  type ShotDemand,
} from '@tasche/core';
import { NButton, NCheckbox } from 'naive-ui';
import NameTag from '../app/NameTag.vue';
import { computed } from 'vue';
import ChoiceField from '../fields/ChoiceField.vue';
import NumberField from '../fields/NumberField.vue';

/**
 * One shot of a hole: how far, how often, from what, and whether it must hold; each to be changed, or taken
 * away.
 */
const props = defineProps<{
  demand: ShotDemand;
  isChanged: boolean;
  unit: DistanceUnit;
  readOnly: boolean;
}>();
const emit = defineEmits<{
  change: [part: NonNullable<DemandChanges[string]>];
  takeAway: [];
  bringBack: [];
}>();

const number = (m: number) => distanceNumber(m, props.unit);
/** From where to where it is hit, when it was gathered from many. */
const hitFrom = computed(() => {
  const { hitFromM } = props.demand;
  return hitFromM && hitFromM.length > 1
    ? `Hit from ${number(hitFromM[0]!)} to ${number(hitFromM.at(-1)!)} ${props.unit} from the hole; the middle is written`
    : '';
});
/** The bounds of a distance as the reader sees them. */
const distanceBounds = computed(
  () => DEMAND_BOUNDS.distanceM.map((m) => Number(number(m))) as [number, number],
);
/** Bounds are shown rounded, so that the last of them may lie a little outside. */
function writeDistance(shown: number): void {
  const [min, max] = DEMAND_BOUNDS.distanceM;
  emit('change', { distanceM: Math.min(max, Math.max(min, storedMetres(shown, props.unit))) });
}
</script>

<template>
  <p>
    <span class="name"
      >{{ demand.stroke ?? demand.name }}<NameTag v-if="isChanged" kind="changed">changed</NameTag></span
    >
    <span :title="hitFrom"
      ><NumberField
        class="quiet-field"
        :value="Number(number(demand.distanceM))"
        :label="`Distance of ${demand.name}`"
        :unit="unit"
        :bounds="distanceBounds"
        :readonly="readOnly"
        :px="58"
        @write="writeDistance($event!)"
    /></span>
    <span class="often"
      >×<NumberField
        class="quiet-field"
        :value="demand.weight"
        :label="`How often ${demand.name}`"
        :bounds="DEMAND_BOUNDS.weight"
        :readonly="readOnly"
        :px="58"
        @write="emit('change', { weight: $event! })"
    /></span>
    <ChoiceField
      class="quiet-field"
      :value="demand.lie"
      :disabled="readOnly"
      :label="`Lie of ${demand.name}`"
      :options="LIE_NAMES"
      @update:value="emit('change', { lie: $event })"
    />
    <NCheckbox
      v-if="demand.to === 'green'"
      :checked="demand.mustHold"
      :disabled="readOnly"
      :aria-label="`${demand.name} must hold`"
      @update:checked="emit('change', { mustHold: $event })"
      >holds</NCheckbox
    >
    <NButton
      v-if="!readOnly"
      class="no-print"
      :aria-label="isChanged ? `Bring ${demand.name} back` : `Take away ${demand.name}`"
      :title="isChanged ? 'as it was worked out' : 'take it away'"
      size="small"
      @click="isChanged ? emit('bringBack') : emit('takeAway')"
    >
      {{ isChanged ? '↺' : '×' }}
    </NButton>
  </p>
</template>

<style scoped>
p {
  display: flex;
  flex-wrap: wrap;
  gap: 0 8px;
  align-items: center;
}
.name {
  flex: 1 0 100%;
}
.often {
  white-space: nowrap;
}
</style>
