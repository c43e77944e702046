<script setup lang="ts">
import {
  differenceWords,
  marginWords,
  type Difference,
  type DistanceUnit,
  type MarginPart,
  type Measure,
  type Margins,
} from '@tasche/core';
import { computed } from 'vue';

/**
 * Intervals of one pair's differences, each drawn against its margin: inside the band they match, off the
 * line they differ.
 */
const props = defineProps<{
  differences: readonly Difference[];
  margins: Margins;
  unit: DistanceUnit;
  open: readonly string[];
}>();
const WIDTH = 320;
/** A distance is as near as a carry's margin; nothing is said of a descent. */
const marginOf = (part: Measure): MarginPart | undefined =>
  part === 'apexM' || part === 'spinRpm' ? part : part === 'descentDeg' ? undefined : 'carryM';
const bars = computed(() =>
  props.differences.flatMap((one) => {
    const part = marginOf(one.part);
    if (!part) return [];
    const margin = props.margins[part];
    const reach = 1.15 * Math.max(margin * 1.6, Math.abs(one.low), Math.abs(one.high));
    const at = (value: number) => WIDTH / 2 + (value / reach) * (WIDTH / 2);
    return [
      {
        ...one,
        words: differenceWords(one, props.unit),
        margin: marginWords(part, margin, props.unit),
        x0: at(one.low),
        x1: at(one.high),
        x: at(one.by),
        m0: at(-margin),
        m1: at(margin),
        open: props.open.includes(one.part),
      },
    ];
  }),
);
</script>

<template>
  <ul>
    <li v-for="bar in bars" :key="bar.part">
      <svg :viewBox="`0 0 ${WIDTH} 26`" role="img" :aria-label="`${bar.words}, margin ${bar.margin}`">
        <rect :x="bar.m0" y="3" :width="bar.m1 - bar.m0" height="20" class="band" />
        <line :x1="WIDTH / 2" :x2="WIDTH / 2" y1="0" y2="26" class="zero" />
        <line :x1="bar.x0" :x2="bar.x1" y1="13" y2="13" class="bar" :class="{ open: bar.open }" />
        <line :x1="bar.x0" :x2="bar.x0" y1="8" y2="18" class="bar" :class="{ open: bar.open }" />
        <line :x1="bar.x1" :x2="bar.x1" y1="8" y2="18" class="bar" :class="{ open: bar.open }" />
        <circle :cx="bar.x" cy="13" r="4" class="dot" :class="{ open: bar.open }" />
      </svg>
      <span class="small"
        >{{ bar.words }} <span class="quiet">margin {{ bar.margin }}</span></span
      >
    </li>
  </ul>
</template>

<style scoped>
ul {
  list-style: none;
  padding: 0;
  margin: 6px 0;
  display: grid;
  gap: 4px;
}
li {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 4px 14px;
}
svg {
  width: 320px;
  height: 26px;
  flex: none;
  max-width: 100%;
}
.band {
  fill: var(--petrol-soft);
}
.zero {
  stroke: var(--quiet);
  stroke-width: 1;
  stroke-dasharray: 2 3;
}
.bar {
  stroke: var(--petrol);
  stroke-width: 2.4;
}
.dot {
  fill: var(--petrol);
}
.bar.open {
  stroke: var(--brass);
}
.dot.open {
  fill: var(--brass);
}
</style>
