<script setup lang="ts">
import { LineChart, ScatterChart } from 'echarts/charts';
import { GridComponent, MarkPointComponent } from 'echarts/components';
import { use } from 'echarts/core';
import { LabelLayout } from 'echarts/features';
import { SVGRenderer } from 'echarts/renderers';
import VChart from 'vue-echarts';

use([LineChart, ScatterChart, GridComponent, MarkPointComponent, LabelLayout, SVGRenderer]);

defineProps<{ option: Record<string, unknown>; height: number; label: string }>();
</script>

<template>
  <VChart
    class="chart"
    :option="option"
    :style="{ height: `${height}px` }"
    :init-options="{ renderer: 'svg' }"
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
