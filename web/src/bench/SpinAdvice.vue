<script setup lang="ts">
import { distanceNumber, spinCost, type DistanceUnit } from '@tasche/core';
import { computed, reactive } from 'vue';
import Fold from '../app/Fold.vue';
import NumberField from '../fields/NumberField.vue';

/**
 * What a driver's spin costs at one speed: what a shaft, a loft or a better strike could bring at most,
 * before money goes to any of them.
 */
const props = defineProps<{ unit: DistanceUnit }>();
const MPH = 0.44704;
const drive = reactive({ ballMph: 160, launchDeg: 11, spinRpm: 3000 });
const cost = computed(() => {
  try {
    return spinCost(drive.ballMph * MPH, drive.launchDeg, drive.spinRpm);
  } catch {
    return null;
  }
});
const size = (metres: number) => `${distanceNumber(Math.max(0, metres), props.unit)} ${props.unit}`;
</script>

<template>
  <Fold class="spin">
    <template #head>What does the driver’s spin cost?</template>
    <div class="bar">
      <label
        >Ball speed
        <NumberField v-model:value="drive.ballMph" label="Ball speed" unit="mph" :bounds="[70, 210]"
      /></label>
      <label
        >Launch
        <NumberField v-model:value="drive.launchDeg" label="Launch" unit="°" :bounds="[4, 22]" :px="54"
      /></label>
      <label
        >Spin
        <NumberField v-model:value="drive.spinRpm" label="Spin" unit="rpm" :bounds="[800, 6000]" :step="100"
      /></label>
    </div>
    <p v-if="cost" role="status">
      <template v-if="cost.totalLostM >= 1"
        >{{ drive.spinRpm }} rpm at this speed and launch costs about
        <b>{{ size(cost.carryLostM) }} of carry</b> and <b>{{ size(cost.totalLostM) }} in all</b> against
        {{ cost.bestSpinRpm }} rpm. That is the most a shaft, less loft or a strike higher on the face could
        bring together; the strike is the cheapest to try.</template
      ><template v-else>That is as good as it gets at this speed and launch.</template>
    </p>
    <p v-else class="quiet">Enter speed, launch and spin within their bounds.</p>
  </Fold>
</template>

<style scoped>
.spin {
  margin-top: 16px;
  max-width: 980px;
}
.bar {
  gap: 8px 20px;
  margin: 8px 0;
}
label {
  display: inline-flex;
  align-items: center;
  gap: 6px;
}
</style>
