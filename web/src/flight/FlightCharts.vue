<script setup lang="ts">
import { counted, type DistanceUnit } from '@tasche/core';
import { useElementSize } from '@vueuse/core';
import { computed, defineAsyncComponent, useTemplateRef } from 'vue';
import { useSettings } from '../app/settings';
import { chartInk, sideView, viewFromAbove, type NamedTrace } from './flight-charts';

const FlightChart = defineAsyncComponent(() => import('./FlightChart.vue'));

/** Flights from the side and from above, as wide as there is room. */
const props = defineProps<{ flights: readonly NamedTrace[]; unit: DistanceUnit }>();
const settings = useSettings();

const SIDE_PX = 270;
const ABOVE_PX = 200;
/** Until it is laid out. */
const USUAL_PX = 1140;
const { width } = useElementSize(useTemplateRef<HTMLElement>('charts'));
const sizeOf = (heightPx: number) => ({ widthPx: width.value || USUAL_PX, heightPx });
const ink = computed(() => chartInk(settings.dark));
const side = computed(() => sideView(props.flights, props.unit, ink.value, sizeOf(SIDE_PX)));
const above = computed(() => viewFromAbove(props.flights, props.unit, ink.value, sizeOf(ABOVE_PX)));
</script>

<template>
  <div ref="charts" class="charts">
    <figure>
      <figcaption class="small quiet">
        From the side, height drawn larger; the dotted end is bounce and roll
      </figcaption>
      <FlightChart
        :option="side"
        :height="SIDE_PX"
        :label="`Side view of ${counted(flights.length, 'flight')}; the table below lists them`"
      />
    </figure>
    <figure>
      <figcaption class="small quiet">From above; ellipses hold one spread of where they land</figcaption>
      <FlightChart
        :option="above"
        :height="ABOVE_PX"
        :label="`View from above of ${counted(flights.length, 'flight')}; the table below lists them`"
      />
    </figure>
  </div>
</template>

<style scoped>
.charts {
  display: grid;
  gap: 2px;
}
figure {
  margin: 0;
  min-width: 0;
}
figcaption {
  padding-left: 46px;
}
</style>
