<script setup lang="ts">
import {
  counted,
  distanceNumber,
  formatDegrees,
  formatDistance,
  signedDistance,
  sourceWords,
  type DistanceUnit,
  type GapReport,
  type LadderClub,
  type Rung,
  type StepReport,
} from '@tasche/core';
import { useElementSize } from '@vueuse/core';
import { computed, ref } from 'vue';
import type { Moved } from '../conditions/use-conditions';
import { fitName } from './fit-name';
import { RAIL, railLayout, type RailPeg } from './rail-layout';

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

/** The carry it is known by, where that was. */
function knownOf(rung: Rung): number | undefined {
  const moved = props.moved?.get(rung.id);
  return moved && rung.carryM - moved.shiftCarryM;
}
/** Where the number comes from, in words. */
function originOf(rung: Rung): string {
  const { unit } = props;
  const own = `${rung.name}: carry ${formatDistance(rung.carryM, unit)}, ${sourceWords(rung.full, unit)}`;
  const moved = props.moved?.get(rung.id);
  if (!moved) return own;
  const carry = `moved by ${signedDistance(moved.shiftCarryM, unit)}, within ${formatDistance(moved.plusMinusM, unit)}`;
  const total = `total ${distanceNumber(moved.totalM, unit)}, moved by ${signedDistance(moved.shiftTotalM, unit)}`;
  return `${own}, ${carry}; ${total}`;
}
const layout = computed(() =>
  railLayout({
    clubs: props.clubs,
    gone: props.gone ?? [],
    report: props.report,
    heightPx: props.height,
    unit: props.unit,
    knownM: knownOf,
  }),
);
const isLit = ({ id }: Rung) => props.pointed?.upperId === id || props.pointed?.lowerId === id;
/** The carry after a name, and what the air did to it. */
const NUMBER_PX = 34;
const nameBeside = ({ rung, knownY }: RailPeg) =>
  fitName(rung.name, width.value - layout.value.labelX - NUMBER_PX * (knownY === undefined ? 1 : 2));
</script>

<template>
  <div ref="box" class="rail">
    <svg
      v-if="width > 0 && layout.pegs.length > 0"
      :width="width"
      :height="height"
      role="img"
      :aria-label="`Rail of ${counted(layout.pegs.length, 'club')} by carry; the table form lists them`"
    >
      <text :x="RAIL.loftX" y="16" class="head" text-anchor="middle">degrees</text>
      <text :x="RAIL.carryX" y="16" class="head" text-anchor="middle">
        {{ unit === 'yd' ? 'yards' : 'metres' }}{{ moved ? ' here' : '' }}
      </text>
      <g v-for="gap in layout.gaps" :key="`${gap.step.upperId}${gap.step.lowerId}`">
        <rect :x="RAIL.carryX" :y="gap.top" :width="layout.lanesPx + 2" :height="gap.height" class="gap" />
        <text v-if="gap.labelY !== undefined" :x="layout.labelX" :y="gap.labelY" class="gap-label">
          {{ formatDistance(gap.step.carryM, unit) }}: no club
        </text>
      </g>
      <line :x1="RAIL.loftX" :x2="RAIL.loftX" :y1="RAIL.top - 14" :y2="height - 6" class="loft-rail" />
      <g v-for="{ deg, y } in layout.loftTicks" :key="deg">
        <line :x1="RAIL.loftX - 5" :x2="RAIL.loftX" :y1="y" :y2="y" class="tick" />
        <text :x="RAIL.loftX - 9" :y="y + 4" class="tick-label" text-anchor="end">{{ deg }}</text>
      </g>
      <line :x1="RAIL.carryX" :x2="RAIL.carryX" :y1="RAIL.top - 14" :y2="height - 6" class="distance-rail" />
      <g v-for="tick in layout.ticks" :key="tick.tens">
        <line
          :x1="RAIL.carryX - (tick.tens % 5 === 0 ? 9 : 4)"
          :x2="RAIL.carryX"
          :y1="tick.y"
          :y2="tick.y"
          class="tick"
        />
      </g>
      <g v-for="peg in layout.gone" :key="`gone ${peg.rung.id}`" class="gone">
        <circle :cx="RAIL.carryX" :cy="peg.y" r="4" />
        <line :x1="RAIL.carryX" :x2="RAIL.carryX + layout.lanesPx" :y1="peg.y" :y2="peg.y" />
      </g>
      <g
        v-for="peg in layout.pegs"
        :key="peg.rung.id"
        :class="['peg', peg.rung.full.source, { lit: isLit(peg.rung), fresh: fresh?.has(peg.rung.id) }]"
      >
        <line
          v-if="peg.loftY !== undefined"
          :x1="RAIL.loftX"
          :x2="RAIL.carryX"
          :y1="peg.loftY"
          :y2="peg.y"
          class="join"
        />
        <circle v-if="peg.loftY !== undefined" :cx="RAIL.loftX" :cy="peg.loftY" r="2.6" class="loft-dot" />
        <line
          :x1="RAIL.carryX + 10 + peg.lane * layout.lanePx"
          :x2="RAIL.carryX + 10 + peg.lane * layout.lanePx"
          :y1="peg.span.from"
          :y2="peg.span.to"
          class="span"
          :class="{ partial: peg.span.hasPartials }"
        />
        <line
          v-for="(y, i) in peg.partials"
          :key="i"
          :x1="RAIL.carryX + 6 + peg.lane * layout.lanePx"
          :x2="RAIL.carryX + 14 + peg.lane * layout.lanePx"
          :y1="y"
          :y2="y"
          class="partial-mark"
        />
        <path
          :d="`M${RAIL.carryX} ${peg.y}H${RAIL.carryX + layout.lanesPx}L${layout.labelX - 4} ${peg.labelY}`"
          class="lead"
        />
        <path
          v-if="peg.knownY !== undefined"
          :d="`M${RAIL.carryX - 7} ${peg.knownY}H${RAIL.carryX - 1}`"
          class="known"
        />
        <circle :cx="RAIL.carryX" :cy="peg.y" r="4.5" class="dot" />
        <text :x="layout.labelX" :y="peg.labelY + 4.5" class="label">
          <title>{{ originOf(peg.rung) }}</title>
          <tspan>{{ nameBeside(peg) }}</tspan>
          <tspan dx="6" class="number">{{ distanceNumber(peg.rung.carryM, unit) }}</tspan>
          <tspan v-if="peg.knownY !== undefined" dx="6" class="shift-number">
            {{ signedDistance(peg.rung.carryM - knownOf(peg.rung)!, unit) }}
          </tspan>
        </text>
      </g>
      <g v-for="tick in layout.ticks.filter((one) => one.tens % 5 === 0)" :key="`label ${tick.tens}`">
        <text :x="RAIL.carryX - 12" :y="tick.y + 4" class="tick-label on-rail" text-anchor="end">
          {{ tick.tens * 10 }}
        </text>
      </g>
      <text
        v-if="pointed?.loftDeg !== undefined"
        :x="RAIL.loftX"
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
.gap {
  fill: var(--brick-soft);
  stroke: var(--brick);
  stroke-width: 1;
  stroke-dasharray: 4 3;
  opacity: 0.75;
}
.gap-label {
  font-size: 13px;
  font-weight: 600;
  fill: var(--brick-ink);
}
.nothing {
  padding: 60px 16px;
}
</style>
