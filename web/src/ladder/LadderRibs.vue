<script setup lang="ts">
import {
  distanceNumber,
  formatDegrees,
  formatDistance,
  fromMetres,
  stepSentence,
  type DistanceUnit,
  type GapReport,
  type StepReport,
} from '@tasche/core';
import { useElementSize } from '@vueuse/core';
import { computed, ref } from 'vue';
import { MARKS } from './marks';

/**
 * The steps between the rows of the sheet: loft to the left of a spine, carry to the right, against a dotted
 * target.
 */
const props = defineProps<{
  report: GapReport;
  /** The clubs in the rows of the sheet beside it; the rungs are among them, in order. */
  rowIds: readonly string[];
  rowPx: number;
  headPx: number;
  unit: DistanceUnit;
  /** Steps that are new since "before". */
  fresh?: ReadonlySet<string>;
}>();
const emit = defineEmits<{ point: [step: StepReport | null] }>();

const box = ref<HTMLElement | null>(null);
const { width } = useElementSize(box);
const narrow = computed(() => width.value < 180);
/** Room for the number and its mark, not for the word. */
const short = computed(() => width.value < 300);
const spine = computed(() => (narrow.value ? 6 : Math.max(64, width.value * 0.27)));
const LABEL_PX = 128;
const longestM = computed(() =>
  Math.max(24, ...props.report.steps.map((step) => step.interval?.highM ?? step.carryM)),
);
const pxPerM = computed(() =>
  Math.max(1, (width.value - spine.value - (short.value ? 66 : LABEL_PX)) / longestM.value),
);
const pxPerDeg = computed(
  () => (spine.value - 46) / Math.max(8, ...props.report.steps.map((step) => step.loftDeg ?? 0)),
);
/** The row a club stands in. */
const rowOf = computed(() => new Map(props.rowIds.map((id, row) => [id, row])));
/** Where a step is: between the rows of its clubs, or in their middle where others stand between. */
const yOf = ({ upperId, lowerId }: StepReport, i: number) => {
  const [upper, lower] = [rowOf.value.get(upperId) ?? i, rowOf.value.get(lowerId) ?? i + 1];
  return props.headPx + ((upper + lower + 1) / 2) * props.rowPx;
};
const lastRow = computed(
  () => (rowOf.value.get(props.report.rungs.at(-1)?.clubId ?? '') ?? props.report.rungs.length - 1) + 1,
);
const height = computed(() => props.headPx + Math.max(props.rowIds.length, lastRow.value) * props.rowPx);
const target = computed(() => {
  const targets = new Set(
    props.report.steps.flatMap((step) => (step.targetM === undefined ? [] : [step.targetM.toFixed(3)])),
  );
  const only = targets.size === 1 ? Number([...targets][0]) : undefined;
  return only === undefined
    ? undefined
    : { x: spine.value + only * pxPerM.value, text: fromMetres(only, props.unit).toFixed(1) };
});
const targetDeg = computed(() => props.report.steps.find((step) => step.targetDeg !== undefined)?.targetDeg);

interface Rib {
  step: StepReport;
  y: number;
  loftPx: number;
  carryPx: number;
  low?: number;
  high?: number;
  targetX?: number;
  coverX?: number;
  label: string;
  shape: string;
  fresh: boolean;
}

const ribs = computed<Rib[]>(() =>
  props.report.steps.map((step, i) => {
    const carryPx = Math.max(2, step.carryM * pxPerM.value);
    const at = (metres: number) => spine.value + Math.max(0, metres) * pxPerM.value;
    return {
      step,
      carryPx,
      y: yOf(step, i),
      loftPx: Math.max(0, step.loftDeg ?? 0) * pxPerDeg.value,
      ...(step.interval && { low: at(step.interval.lowM), high: at(step.interval.highM) }),
      ...(step.targetM !== undefined && { targetX: at(step.targetM) }),
      ...(step.cover && { coverX: at(step.cover.leavesM[0]) }),
      label: labelOf(step),
      shape: shapeOf(step, spine.value + 4, carryPx),
      fresh: props.fresh?.has(`${step.upperId} ${step.lowerId}`) ?? false,
    };
  }),
);

function labelOf(step: StepReport): string {
  const size = distanceNumber(step.carryM, props.unit);
  const mark = step.severity === 'fine' ? '' : `${MARKS[step.severity]} `;
  if (step.word === 'even' || short.value) return `${mark}${size}`;
  if (step.word === 'either-or' && step.flight?.apexM !== undefined) {
    return `either-or · ${formatDistance(Math.abs(step.flight.apexM), props.unit === 'yd' ? 'ft' : 'm')}`;
  }
  return `${mark}${size} ${step.word}`;
}

/** Fine is a plain bar, a warning a pointed one, an error a pointed one with a barb. */
function shapeOf(step: StepReport, x: number, length: number): string {
  const half = step.severity === 'error' ? 7 : step.severity === 'warning' ? 6 : 5;
  const end = x + length;
  if (step.severity === 'fine' || step.severity === 'unknown') return `M${x} ${-half}H${end}V${half}H${x}Z`;
  const point = `M${x} ${-half}H${end - 5}L${end + 3} 0L${end - 5} ${half}H${x}Z`;
  return step.severity === 'warning'
    ? point
    : `${point}M${end - 2} ${-half - 3}L${end + 7} 0L${end - 2} ${half + 3}L${end + 1} 0Z`;
}

function labelX(rib: Rib): number {
  const end = spine.value + (rib.step.word === 'either-or' ? 30 : rib.carryPx + 4);
  return Math.max(end, rib.high ?? 0) + (rib.step.severity === 'fine' ? 8 : 12);
}
</script>

<template>
  <div ref="box" class="ribs">
    <svg v-if="width > 0" :width="width" :height="height" role="group" aria-label="Steps between neighbours">
      <template v-if="!narrow && report.rungs.length > 0">
        <text :x="spine - 6" y="16" class="head" text-anchor="end">loft step</text>
        <text :x="spine + 8" y="16" class="head">carry step</text>
        <text v-if="target" :x="target.x" :y="headPx - 6" class="head" text-anchor="middle">
          target {{ target.text }}
        </text>
        <text v-if="targetDeg !== undefined" :x="spine - 6" :y="headPx - 6" class="head" text-anchor="end">
          target {{ formatDegrees(targetDeg) }}
        </text>
      </template>
      <line
        v-if="report.rungs.length > 0"
        :x1="spine"
        :x2="spine"
        :y1="headPx + 4"
        :y2="headPx + lastRow * rowPx - 4"
        class="spine"
      />
      <g
        v-for="rib in ribs"
        :key="`${rib.step.upperId} ${rib.step.lowerId}`"
        :transform="`translate(0 ${rib.y})`"
        class="rib"
        :class="[rib.step.severity, { fresh: rib.fresh }]"
        tabindex="0"
        role="img"
        :aria-label="stepSentence(rib.step, report, unit)"
        @mouseenter="emit('point', rib.step)"
        @mouseleave="emit('point', null)"
        @focus="emit('point', rib.step)"
        @blur="emit('point', null)"
      >
        <rect x="0" :y="-rowPx / 2" :width="width" :height="rowPx" class="touch" />
        <template v-if="!narrow && rib.step.loftDeg !== undefined">
          <rect :x="spine - 4 - rib.loftPx" y="-5" :width="rib.loftPx" height="10" class="loft" />
          <text :x="spine - 9 - rib.loftPx" y="4" class="deg" text-anchor="end">
            {{ formatDegrees(rib.step.loftDeg) }}
          </text>
        </template>
        <line
          v-if="rib.targetX !== undefined"
          :x1="rib.targetX"
          :x2="rib.targetX"
          :y1="-rowPx / 2"
          :y2="rowPx / 2"
          class="target"
        />
        <template v-if="rib.step.word === 'either-or'">
          <path
            :d="`M${spine + 1} 0H${spine + 8}M${spine + 30} -5H${spine + 14}L${spine + 8} 0L${spine + 14} 5H${spine + 30}`"
            class="fork"
          />
        </template>
        <path v-else :d="rib.shape" class="carry" />
        <path
          v-if="rib.coverX !== undefined"
          :d="`M${rib.coverX - 3} -8H${rib.coverX + 3}M${rib.coverX} -8V8M${rib.coverX - 3} 8H${rib.coverX + 3}`"
          class="cover"
        />
        <path
          v-if="rib.low !== undefined && rib.step.word !== 'either-or'"
          :d="`M${rib.low + 4} 0H${rib.high! + 4}M${rib.high! + 4} -3V3`"
          class="sure"
        />
        <text :x="labelX(rib)" y="4.5" class="label">{{ rib.label }}</text>
      </g>
    </svg>
  </div>
</template>

<style scoped>
.ribs {
  min-width: 0;
  overflow: hidden;
}
svg {
  display: block;
}
.head {
  font-size: 12.5px;
  fill: var(--quiet);
}
.spine {
  stroke: var(--ink);
  stroke-width: 2;
}
.touch {
  fill: transparent;
}
.rib {
  outline: none;
  cursor: default;
}
.rib:hover .touch,
.rib:focus-visible .touch {
  fill: var(--petrol-soft);
  opacity: 0.5;
}
.loft {
  fill: var(--sand);
}
.deg {
  font-size: 12px;
  fill: var(--quiet);
}
.target {
  stroke: var(--ink);
  stroke-width: 1.3;
  stroke-dasharray: 1.5 4;
  opacity: 0.65;
}
.carry {
  fill: var(--petrol-mid);
}
.warning .carry {
  fill: var(--brass);
}
.error .carry {
  fill: var(--brick);
}
.unknown .carry {
  fill: none;
  stroke: var(--quiet);
  stroke-width: 1.4;
  stroke-dasharray: 4 3;
}
.fork {
  fill: none;
  stroke: var(--petrol);
  stroke-width: 3;
}
.cover {
  fill: none;
  stroke: var(--ink);
  stroke-width: 1.6;
}
.sure {
  fill: none;
  stroke: var(--ink);
  stroke-width: 1;
  opacity: 0.55;
}
.label {
  font-size: 13px;
  fill: var(--ink);
  paint-order: stroke;
  stroke: var(--linen);
  stroke-width: 4px;
  stroke-linejoin: round;
}
.warning .label {
  fill: var(--brass-ink);
  font-weight: 500;
}
.error .label {
  fill: var(--brick-ink);
  font-weight: 600;
}
.unknown .label {
  fill: var(--quiet);
}
.fresh .label {
  text-decoration: underline;
  text-decoration-style: dotted;
  text-underline-offset: 3px;
}
</style>
