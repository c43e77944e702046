<script setup lang="ts">
import { useElementSize } from '@vueuse/core';
import { ref, shallowRef, useTemplateRef, watch } from 'vue';
import { chartWorker } from './chart-link';
import type { ChartOption } from './draw-chart';

const props = defineProps<{
  option: ChartOption;
  height: number;
  label: string;
}>();
const box = useTemplateRef<HTMLElement>('box');
const { width } = useElementSize(box);
const picture = shallowRef('');
const problem = ref('');
let lastRequestId = 0;

watch(
  [() => props.option, () => props.height, () => Math.floor(width.value)],
  async ([option, heightPx, widthPx]) => {
    if (widthPx === 0) return;
    const requestId = ++lastRequestId;
    try {
      const drawn = await chartWorker().draw(option, widthPx, heightPx);
      if (requestId !== lastRequestId) return;
      picture.value = drawn;
      problem.value = '';
    } catch (error) {
      if (requestId === lastRequestId)
        problem.value = `The chart could not be drawn: ${(error as Error).message}`;
    }
  },
);
</script>

<template>
  <p v-if="problem" class="verdict warning small">◆ {{ problem }}</p>
  <!-- The picture is ECharts' own text; it escapes the names in it, and a test checks that. -->
  <!-- eslint-disable vue/no-v-html -->
  <div
    ref="box"
    class="chart"
    :style="{ height: `${height}px` }"
    role="img"
    :aria-label="label"
    v-html="picture"
  />
</template>

<style scoped>
.chart {
  width: 100%;
  overflow: hidden;
}
/* A paper is narrower than the screen the picture was drawn for. */
@media print {
  .chart {
    height: auto !important;
  }
  .chart :deep(svg) {
    width: 100%;
    height: auto;
  }
}
/* Lines answer the pointer, but there is nothing to press. */
.chart :deep(svg *) {
  cursor: default !important;
}
</style>
