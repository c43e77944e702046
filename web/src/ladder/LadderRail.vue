<script setup lang="ts">
import {
  counted,
  carryLadder,
  distanceNumber,
  formatDegrees,
  formatDistance,
  signedDistance,
  sourceWords,
  toMetres,
  type DistanceUnit,
  type GapReport,
  type LadderClub,
  type Rung,
  type StepReport,
  shotsIn,
} from '@tasche/core';
import { useElementSize } from '@vueuse/core';
import { computed, ref } from 'vue';
import type { Moved } from '../conditions/use-conditions';
import { fitName } from './fit-name';
import { spanLanes, spreadLabels } from './spread-labels';

/**
 * The rail true to distance, joined to the rail of degrees: spans from soft to hard, spreads, gaps, and what
 * was there before.
 */
const props = defineProps<{
  clubs: readonly LadderClub[];
  report: GapReport;
  height: number;
  unit: DistanceUnit;
  /** Clubs that hung here before and do not now. */
  gone?: readonly LadderClub[];
  /** Clubs that are new. */
  fresh?: ReadonlySet<string>;
  pointed?: StepReport | null;
  /** What the air did to each club, while the ladder is read in other air. */
  moved?: ReadonlyMap<string, Moved> | undefined;
}>();

const box = ref<HTMLElement | null>(null);
const { width } = useElementSize(box);
const TOP = 44;
const BOTTOM = 18;
const LOFT_X = 40;
const RAIL_X = 116;
/** Spans side by side are so far apart, and nearer where many of them overlap: names need their room. */
const LANE_PX = 11;
const LANES_PX = 66;

/** The carry it is known by, where that was. */
function knownOf(rung: Rung): number | undefined {
  const moved = props.moved?.get(rung.id);
  return moved && rung.carryM - moved.shiftCarryM;
}
/** Where the number comes from, in words. */
function originOf(rung: Rung): string {
  const own = `${rung.name}: carry ${formatDistance(rung.carryM, props.unit)}, ${sourceWords(rung.full, props.unit)}`;
  const moved = props.moved?.get(rung.id);
  return moved
    ? `${own}, moved by ${signedDistance(moved.shiftCarryM, props.unit)}, within ${formatDistance(moved.plusMinusM, props.unit)}; total ${distanceNumber(moved.totalM, props.unit)}, moved by ${signedDistance(moved.shiftTotalM, props.unit)}`
    : own;
}
const rungs = computed(() => carryLadder(props.clubs));
const goneRungs = computed(() => carryLadder(props.gone ?? []));
const all = computed(() => [...rungs.value, ...goneRungs.value]);
const range = computed(() => {
  const carries = all.value.flatMap((rung) => [
    rung.carryM,
    knownOf(rung) ?? rung.carryM,
    ...shotsIn(rung.shots).map(([, shot]) => shot.carryM),
  ]);
  return { low: Math.min(...carries) - 6, high: Math.max(...carries) + 6 };
});
const lofts = computed(() => {
  const known = all.value.flatMap((rung) => rung.loftDeg ?? []);
  return { low: Math.min(...known) - 1, high: Math.max(...known) + 1 };
});

const yOf = (carryM: number) =>
  TOP + ((range.value.high - carryM) / (range.value.high - range.value.low)) * (props.height - TOP - BOTTOM);
const yOfLoft = (loftDeg: number) =>
  TOP + ((loftDeg - lofts.value.low) / (lofts.value.high - lofts.value.low)) * (props.height - TOP - BOTTOM);

const ticks = computed(() => {
  const stepM = toMetres(10, props.unit);
  const first = Math.ceil(range.value.low / stepM);
  const last = Math.floor(range.value.high / stepM);
  return Array.from({ length: Math.max(0, last - first + 1) }, (_tick, i) => ({
    tens: first + i,
    y: yOf((first + i) * stepM),
  }));
});

/**
 * From the shortest to the longest shot the player owns with it, or one spread either way of the stock shot.
 */
function spanOf(rung: Rung): { from: number; to: number; partial: boolean } {
  const carries = shotsIn(rung.shots).map(([, shot]) => shot.carryM);
  const spreadM = rung.full.spreadM ?? rung.full.plusMinusM ?? 0;
  // What is not known may lie far beyond the rail.
  const onRail = (carryM: number) => Math.min(props.height - BOTTOM, Math.max(TOP, yOf(carryM)));
  return {
    from: onRail(Math.max(...carries, rung.carryM + spreadM)),
    to: onRail(Math.min(...carries, rung.carryM - spreadM)),
    partial: carries.length > 1,
  };
}

const pegs = computed(() => {
  const spans = rungs.value.map(spanOf);
  const laneOf = spanLanes(spans, 2);
  const labelYs = spreadLabels(
    rungs.value.map((rung) => yOf(rung.carryM)),
    18,
    TOP,
    props.height - BOTTOM,
  );
  return rungs.value.map((rung, i) => ({
    rung,
    span: spans[i]!,
    lane: laneOf[i]!,
    y: yOf(rung.carryM),
    labelY: labelYs[i]!,
    loftY: rung.loftDeg === undefined ? undefined : yOfLoft(rung.loftDeg),
    partials: shotsIn(rung.shots)
      .filter(([kind]) => kind !== 'full')
      .map(([, shot]) => yOf(shot.carryM)),
    lit: props.pointed?.upperId === rung.id || props.pointed?.lowerId === rung.id,
  }));
});
const lanes = computed(() => Math.max(0, ...pegs.value.map((peg) => peg.lane)) + 1);
const lanePx = computed(() => Math.min(LANE_PX, LANES_PX / lanes.value));
const lanesWide = computed(() => 10 + lanes.value * lanePx.value);
const labelX = computed(() => RAIL_X + lanesWide.value + 14);
/** The carry after a name, and what the air did to it. */
const NUMBER_PX = 34;
const nameBeside = (rung: Rung) =>
  fitName(rung.name, width.value - labelX.value - NUMBER_PX * (knownOf(rung) === undefined ? 1 : 2));
const carryOf = computed(() => new Map(rungs.value.map((rung) => [rung.id, rung.carryM])));
const holes = computed(() =>
  props.report.steps
    .filter(
      (step) =>
        step.severity === 'error' &&
        step.word === 'wide' &&
        carryOf.value.has(step.upperId) &&
        carryOf.value.has(step.lowerId),
    )
    .map((step) => {
      const top = yOf(carryOf.value.get(step.upperId)!);
      const bottom = yOf(carryOf.value.get(step.lowerId)!);
      return { step, top, height: bottom - top, text: `${formatDistance(step.carryM, props.unit)}: no club` };
    }),
);
/** Room for the gap's words between the labels of the clubs either side. */
function holeLabelY(hole: { step: StepReport; top: number; height: number }): number | undefined {
  const above = pegs.value.find((peg) => peg.rung.id === hole.step.upperId)!.labelY;
  const below = pegs.value.find((peg) => peg.rung.id === hole.step.lowerId)!.labelY;
  return below - above >= 34 ? (above + below) / 2 + 4 : undefined;
}
const loftTicks = computed(() =>
  Array.from({ length: 8 }, (_tick, i) => (i + 1) * 10).filter(
    (deg) => deg > lofts.value.low && deg < lofts.value.high,
  ),
);
</script>

<template>
  <div ref="box" class="rail">
    <svg
      v-if="width > 0 && rungs.length > 0"
      :width="width"
      :height="height"
      role="img"
      :aria-label="`Rail of ${counted(rungs.length, 'club')} by carry; the table form lists them`"
    >
      <text :x="LOFT_X" y="16" class="head" text-anchor="middle">degrees</text>
      <text :x="RAIL_X" y="16" class="head" text-anchor="middle">
        {{ unit === 'yd' ? 'yards' : 'metres' }}{{ moved ? ' here' : '' }}
      </text>
      <g v-for="hole in holes" :key="`${hole.step.upperId}${hole.step.lowerId}`">
        <rect :x="RAIL_X" :y="hole.top" :width="lanesWide + 2" :height="hole.height" class="hole" />
        <text v-if="holeLabelY(hole) !== undefined" :x="labelX" :y="holeLabelY(hole)" class="hole-label">
          {{ hole.text }}
        </text>
      </g>
      <line :x1="LOFT_X" :x2="LOFT_X" :y1="TOP - 14" :y2="height - 6" class="loft-rail" />
      <g v-for="deg in loftTicks" :key="deg">
        <line :x1="LOFT_X - 5" :x2="LOFT_X" :y1="yOfLoft(deg)" :y2="yOfLoft(deg)" class="tick" />
        <text :x="LOFT_X - 9" :y="yOfLoft(deg) + 4" class="tick-label" text-anchor="end">{{ deg }}</text>
      </g>
      <line :x1="RAIL_X" :x2="RAIL_X" :y1="TOP - 14" :y2="height - 6" class="distance-rail" />
      <g v-for="tick in ticks" :key="tick.tens">
        <line
          :x1="RAIL_X - (tick.tens % 5 === 0 ? 9 : 4)"
          :x2="RAIL_X"
          :y1="tick.y"
          :y2="tick.y"
          class="tick"
        />
      </g>
      <g v-for="peg in goneRungs" :key="`gone ${peg.id}`" class="gone">
        <circle :cx="RAIL_X" :cy="yOf(peg.carryM)" r="4" />
        <line :x1="RAIL_X" :x2="RAIL_X + lanesWide" :y1="yOf(peg.carryM)" :y2="yOf(peg.carryM)" />
      </g>
      <g
        v-for="peg in pegs"
        :key="peg.rung.id"
        :class="['peg', peg.rung.full.source, { lit: peg.lit, fresh: fresh?.has(peg.rung.id) }]"
      >
        <line
          v-if="peg.loftY !== undefined"
          :x1="LOFT_X"
          :x2="RAIL_X"
          :y1="peg.loftY"
          :y2="peg.y"
          class="join"
        />
        <circle v-if="peg.loftY !== undefined" :cx="LOFT_X" :cy="peg.loftY" r="2.6" class="loft-dot" />
        <line
          :x1="RAIL_X + 10 + peg.lane * lanePx"
          :x2="RAIL_X + 10 + peg.lane * lanePx"
          :y1="peg.span.from"
          :y2="peg.span.to"
          class="span"
          :class="{ partial: peg.span.partial }"
        />
        <line
          v-for="(y, i) in peg.partials"
          :key="i"
          :x1="RAIL_X + 6 + peg.lane * lanePx"
          :x2="RAIL_X + 14 + peg.lane * lanePx"
          :y1="y"
          :y2="y"
          class="partial-mark"
        />
        <path :d="`M${RAIL_X} ${peg.y}H${RAIL_X + lanesWide}L${labelX - 4} ${peg.labelY}`" class="lead" />
        <template v-if="knownOf(peg.rung) !== undefined">
          <path :d="`M${RAIL_X - 7} ${yOf(knownOf(peg.rung)!)}H${RAIL_X - 1}`" class="known" />
        </template>
        <circle :cx="RAIL_X" :cy="peg.y" r="4.5" class="dot" />
        <text :x="labelX" :y="peg.labelY + 4.5" class="label">
          <title>{{ originOf(peg.rung) }}</title>
          <tspan>{{ nameBeside(peg.rung) }}</tspan>
          <tspan dx="6" class="number">{{ distanceNumber(peg.rung.carryM, unit) }}</tspan>
          <tspan v-if="knownOf(peg.rung) !== undefined" dx="6" class="shift-number">
            {{ signedDistance(peg.rung.carryM - knownOf(peg.rung)!, unit) }}
          </tspan>
        </text>
      </g>
      <g v-for="tick in ticks.filter((one) => one.tens % 5 === 0)" :key="`label ${tick.tens}`">
        <text :x="RAIL_X - 12" :y="tick.y + 4" class="tick-label on-rail" text-anchor="end">
          {{ tick.tens * 10 }}
        </text>
      </g>
      <text
        v-if="pointed?.loftDeg !== undefined"
        :x="LOFT_X"
        :y="height - 2"
        class="tick-label"
        text-anchor="middle"
      >
        {{ formatDegrees(pointed.loftDeg) }}
      </text>
    </svg>
    <p v-else class="quiet small nothing">The rail appears when two clubs have a carry.</p>
  </div>
</template>

<style scoped>
.rail {
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
.distance-rail {
  stroke: var(--ink);
  stroke-width: 2;
}
.loft-rail {
  stroke: var(--sand);
  stroke-width: 2;
}
.tick {
  stroke: var(--ink);
  stroke-width: 1;
  opacity: 0.7;
}
.tick-label {
  font-size: 11.5px;
  fill: var(--quiet);
}
.on-rail {
  paint-order: stroke;
  stroke: var(--linen);
  stroke-width: 4px;
  stroke-linejoin: round;
}
.join {
  stroke: var(--sand);
  stroke-width: 1;
  opacity: 0.8;
}
.loft-dot {
  fill: var(--sand);
}
.span {
  stroke: var(--petrol-mid);
  stroke-width: 2.5;
  opacity: 0.75;
}
.span.partial {
  stroke-width: 6;
}
.partial-mark {
  stroke: var(--paper);
  stroke-width: 1.6;
}
.lead {
  fill: none;
  stroke: var(--quiet);
  stroke-width: 0.8;
  opacity: 0.6;
}
.dot {
  fill: var(--petrol);
  stroke: var(--linen);
  stroke-width: 1.5;
}
.stated .dot {
  fill: var(--brass);
}
.stated .span {
  stroke: var(--brass);
  opacity: 0.6;
}
.modelled .dot {
  fill: var(--linen);
  stroke: var(--quiet);
  stroke-width: 1.6;
}
.modelled .span {
  stroke: var(--quiet);
  stroke-dasharray: 2 2.5;
}
.label {
  font-size: 13px;
  fill: var(--ink);
}
.number {
  fill: var(--quiet);
}
.stated .number {
  fill: var(--brass-ink);
}
.modelled .number {
  font-style: italic;
}
.lit .join {
  stroke: var(--petrol);
  stroke-width: 2;
  opacity: 1;
}
.lit .label {
  font-weight: 600;
  fill: var(--petrol);
}
.fresh .label {
  text-decoration: underline;
  text-decoration-style: dotted;
  text-underline-offset: 3px;
}
.gone circle {
  fill: none;
  stroke: var(--quiet);
  stroke-dasharray: 2 2;
}
.gone line {
  stroke: var(--quiet);
  stroke-dasharray: 2 3;
}
.known {
  stroke: var(--brass);
  stroke-width: 3;
}
.shift-number {
  fill: var(--brass-ink);
  font-size: 12px;
}
.hole {
  fill: var(--brick-soft);
  stroke: var(--brick);
  stroke-width: 1;
  stroke-dasharray: 4 3;
  opacity: 0.75;
}
.hole-label {
  font-size: 13px;
  font-weight: 600;
  fill: var(--brick-ink);
}
.nothing {
  padding: 60px 16px;
}
</style>
