<script setup lang="ts">
import { distanceNumber, formatDegrees, stepBetween, type DistanceUnit, type GapReport } from '@tasche/core';
import { computed } from 'vue';

/** The steps of a bag now and after a plan, each as a bar against its target. */
const props = defineProps<{ now: GapReport; then: GapReport; unit: DistanceUnit }>();

const name = (clubId: string) => props.now.names.get(clubId) ?? '';
const rows = computed(() =>
  props.now.steps.map((step) => {
    const after = stepBetween(props.then, step);
    const ofLofts = step.targetDeg !== undefined && step.loftDeg !== undefined;
    const size = (one: typeof step | undefined) => (ofLofts ? one?.loftDeg : one?.carryM);
    const said = (value: number | undefined) =>
      value === undefined ? '–' : ofLofts ? formatDegrees(value) : distanceNumber(value, props.unit);
    return {
      key: `${step.upperId} ${step.lowerId}`,
      name: `${name(step.upperId)} to ${name(step.lowerId)}`,
      now: size(step),
      then: size(after),
      target: ofLofts ? step.targetDeg : step.targetM,
      nowWords: said(size(step)),
      thenWords: said(size(after)),
      ofLofts,
      severity: after?.severity ?? 'fine',
    };
  }),
);
const widest = computed(() => Math.max(1e-9, ...rows.value.flatMap((row) => [row.now ?? 0, row.then ?? 0])));
const percent = (value: number | undefined) =>
  `${Math.max(0, Math.min(100, ((value ?? 0) / widest.value) * 100))}%`;
</script>

<template>
  <section class="steps">
    <h2>Steps <span class="quiet small">now, and after; the mark is the target</span></h2>
    <ul>
      <li v-for="row in rows" :key="row.key" :class="row.severity">
        <span class="name">{{ row.name }}</span>
        <span class="bars" aria-hidden="true">
          <span class="bar-now" :style="{ width: percent(row.now) }" />
          <span class="bar-then" :style="{ width: percent(row.then) }" />
          <span v-if="row.target !== undefined" class="target" :style="{ left: percent(row.target) }" />
        </span>
        <span class="figure"
          ><template v-if="row.nowWords !== row.thenWords"
            ><span class="quiet was">{{ row.nowWords }} →</span></template
          ><b>{{ row.thenWords }}</b></span
        >
      </li>
    </ul>
  </section>
</template>

<style scoped>
h2 {
  margin-bottom: 8px;
}
h2 .small {
  font-weight: 400;
}
ul {
  list-style: none;
  margin: 0;
  padding: 0;
  display: grid;
  gap: 5px;
}
li {
  display: grid;
  grid-template-columns: minmax(90px, 1.2fr) 2fr 74px;
  gap: 10px;
  align-items: center;
  font-size: 13px;
}
.name {
  white-space: nowrap;
  overflow: hidden;
  text-overflow: ellipsis;
}
.bars {
  position: relative;
  height: 16px;
  background: var(--linen-deep);
  border-radius: 2px;
}
.bar-now,
.bar-then {
  position: absolute;
  left: 0;
  border-radius: 2px;
}
.bar-now {
  top: 1px;
  height: 5px;
  background: var(--line);
}
.bar-then {
  bottom: 1px;
  height: 8px;
  background: var(--petrol);
}
.error .bar-then {
  background: var(--brick);
}
.warning .bar-then {
  background: var(--brass);
}
.target {
  position: absolute;
  top: -2px;
  bottom: -2px;
  width: 2px;
  background: var(--ink);
}
.was {
  margin-right: 4px;
}
.figure {
  text-align: right;
  white-space: nowrap;
}
</style>
