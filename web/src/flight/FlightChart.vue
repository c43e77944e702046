<script setup lang="ts">
import { LineChart, ScatterChart } from 'echarts/charts';
import { GridComponent, MarkPointComponent } from 'echarts/components';
import { use } from 'echarts/core';
import { LabelLayout } from 'echarts/features';
import { CanvasRenderer, SVGRenderer } from 'echarts/renderers';
import { computed } from 'vue';
import VChart from 'vue-echarts';

use([LineChart, ScatterChart, GridComponent, MarkPointComponent, LabelLayout, SVGRenderer, CanvasRenderer]);

const props = withDefaults(
  defineProps<{
    option: Record<string, unknown>;
    height: number;
    label: string;
    /** How many points there are in it. */
    points?: number;
  }>(),
  { points: 0 },
);
/** More are drawn as one picture: an element each holds the page up. It prints a little less sharply. */
const MAX_ELEMENTS = 400;
const renderer = computed(() => (props.points > MAX_ELEMENTS ? 'canvas' : 'svg'));
</script>

<template>
  <VChart
    class="chart"
    :option="option"
    :style="{ height: `${height}px` }"
    :key="renderer"
    :init-options="{ renderer }"
    :update-options="{ notMerge: true }"
    autoresize
    role="img"
    :aria-label="label"
  />
</template>

<style scoped>
.chart {
  width: 100%;
}
</style>
