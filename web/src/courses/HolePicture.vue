<script setup lang="ts">
import { distanceNumber, fromMetres, toMetres, type DistanceUnit, type Hole } from '@tasche/core';
import { computed } from 'vue';
import { compassPoint } from './ground-words';

/**
 * A hole seen from above, its first tee below and its green above, true to distance along; and all holes as
 * they lie to the compass.
 */
const props = defineProps<{ holes: readonly Hole[]; active: number; unit: DistanceUnit }>();
const emit = defineEmits<{ active: [hole: number] }>();
const hole = computed(() => props.holes[props.active] ?? props.holes[0]!);
const H = 420,
  W = 190,
  MID = 95,
  PAD = 22;
/** Across is drawn so many times as wide as along, so that there is something to see. */
const WIDER = 1.5;
const lengthM = computed(() => hole.value.lengthsM[0]!);
const scale = computed(() => (H - 2 * PAD) / Math.max(lengthM.value + hole.value.greenM / 2, 120));
const y = (m: number) => H - PAD - m * scale.value;
const across = (m: number) => m * scale.value * WIDER;
const halfPx = computed(() => Math.min(60, across(hole.value.corridorM / 2)));
const ticks = computed(() => {
  const step = 50;
  return Array.from({ length: Math.floor(fromMetres(lengthM.value, props.unit) / step) }, (_one, i) => ({
    at: (i + 1) * step,
    y: y(toMetres((i + 1) * step, props.unit)),
  }));
});
const boxes = computed(() =>
  hole.value.hazards.map(({ kind, side, fromM, toM }) => {
    const top = y(Math.min(toM, lengthM.value + 20)),
      height = Math.max(4, y(fromM) - top);
    const [x, width] =
      side === 'across'
        ? [MID - halfPx.value - 16, 2 * halfPx.value + 32]
        : side === 'left'
          ? [MID - halfPx.value - 24, 22]
          : [MID + halfPx.value + 2, 22];
    return {
      kind,
      side,
      x,
      width,
      top,
      height,
      says: `${kind} ${side}, ${distanceNumber(fromM, props.unit)} to ${distanceNumber(toM, props.unit)} ${props.unit}`,
    };
  }),
);
const longest = computed(() => Math.max(...props.holes.map(({ lengthsM }) => lengthsM[0]!)));
const rays = computed(() =>
  props.holes
    .map(({ bearingDeg, lengthsM }, i) => {
      if (bearingDeg === null) return null;
      const r = 16 + (lengthsM[0]! / longest.value) * 54;
      const angle = ((bearingDeg - 90) * Math.PI) / 180;
      return { i, x: 85 + Math.cos(angle) * r, y: 85 + Math.sin(angle) * r };
    })
    .filter((ray) => ray !== null),
);
/** From the tee to its full width, and on to the green. */
const corridor = computed(() => {
  const [tee, wide, green] = [y(0), y(lengthM.value * 0.35), y(lengthM.value - hole.value.greenM)];
  const [left, right] = [MID - halfPx.value, MID + halfPx.value];
  const corners = [
    [MID - 6, tee],
    [left, wide],
    [left, green],
    [right, green],
    [right, wide],
    [MID + 6, tee],
  ];
  return `M ${corners.map((corner) => corner.join(' ')).join(' L ')} Z`;
});
const unknown = computed(() =>
  props.holes.flatMap(({ bearingDeg }, i) => (bearingDeg === null ? [i + 1] : [])),
);
</script>

<template>
  <figure>
    <figcaption>
      <b>Hole {{ active + 1 }}</b
      >, par {{ hole.par }}, {{ distanceNumber(lengthM, unit) }} {{ unit
      }}<template v-if="hole.bearingDeg !== null">, to the {{ compassPoint(hole.bearingDeg) }}</template
      ><template v-if="Math.round(hole.elevationChangeM) !== 0"
        >, {{ hole.elevationChangeM > 0 ? 'up' : 'down' }}
        {{ distanceNumber(Math.abs(hole.elevationChangeM), unit) }}</template
      >
    </figcaption>
    <svg
      :viewBox="`0 0 ${W} ${H}`"
      :width="W"
      :height="H"
      role="img"
      :aria-label="`Hole ${active + 1} from above`"
    >
      <path :d="corridor" class="corridor" :class="{ three: hole.par === 3 }" />
      <g v-for="(box, i) in boxes" :key="i">
        <title>{{ box.says }}</title>
        <rect
          :x="box.x"
          :y="box.top"
          :width="box.width"
          :height="box.height"
          :class="['hazard', box.kind.replaceAll(' ', '-')]"
          rx="4"
        />
        <text
          v-if="box.height > 11"
          :x="box.x + box.width / 2"
          :y="box.top + box.height / 2 + 4"
          class="mark"
        >
          {{ { bunker: '∴', water: '≈', 'out of bounds': '⊘', trees: '♣' }[box.kind] }}
        </text>
      </g>
      <rect
        v-if="hole.front !== 'open'"
        :x="MID - 22"
        :y="y(lengthM - hole.greenM / 2) + 2"
        width="44"
        height="7"
        :class="['hazard', hole.front === 'sand' ? 'bunker' : 'water']"
        rx="3"
      />
      <ellipse
        :cx="MID"
        :cy="y(lengthM)"
        :rx="Math.max(9, across(hole.greenM / 2) * 0.8)"
        :ry="Math.max(8, (hole.greenM / 2) * scale)"
        class="green"
      />
      <circle :cx="MID" :cy="y(lengthM)" r="2.4" class="pin" />
      <rect :x="MID - 7" :y="y(0) - 3" width="14" height="6" class="tee" />
      <g v-for="tick in ticks" :key="tick.at">
        <line :x1="W - 32" :x2="W - 25" :y1="tick.y" :y2="tick.y" class="tick" />
        <text :x="W - 22" :y="tick.y + 4" class="number" text-anchor="start">{{ tick.at }}</text>
      </g>
    </svg>
    <svg viewBox="0 0 170 170" width="170" height="170" role="img" aria-label="The holes to the compass">
      <circle cx="85" cy="85" r="72" class="ring" />
      <text x="85" y="11" class="north">N</text>
      <g
        v-for="ray in rays"
        :key="ray.i"
        class="ray"
        :class="{ on: ray.i === active }"
        @mouseenter="emit('active', ray.i)"
      >
        <line x1="85" y1="85" :x2="ray.x" :y2="ray.y" />
        <circle :cx="ray.x" :cy="ray.y" r="7" />
        <text :x="ray.x" :y="ray.y + 3.5">{{ ray.i + 1 }}</text>
      </g>
    </svg>
    <p v-if="unknown.length" class="small quiet">
      No bearing known of {{ unknown.length === holes.length ? 'any hole' : `hole ${unknown.join(', ')}` }}:
      {{ unknown.length > 1 ? 'these are assumed to go round evenly' : 'it is assumed' }}.
    </p>
  </figure>
</template>

<style scoped>
figure {
  margin: 0;
  display: grid;
  gap: 8px;
  justify-items: start;
}
.corridor {
  fill: var(--linen-deep);
  stroke: var(--line);
}
.corridor.three {
  opacity: 0.45;
}
.hazard {
  stroke-width: 1;
}
.hazard.bunker {
  fill: var(--brass-soft);
  stroke: var(--brass);
}
.hazard.water {
  fill: var(--petrol-soft);
  stroke: var(--petrol-mid);
}
.hazard.out-of-bounds {
  fill: var(--brick-soft);
  stroke: var(--brick);
}
.hazard.trees {
  fill: var(--sand);
  stroke: var(--quiet);
  opacity: 0.7;
}
.mark {
  font-size: 12px;
  text-anchor: middle;
  fill: var(--ink);
}
.green {
  fill: var(--petrol-mid);
  stroke: var(--petrol);
}
.pin {
  fill: var(--ink);
}
.tee {
  fill: var(--ink);
}
.tick {
  stroke: var(--quiet);
}
.number {
  font-size: 9.5px;
  fill: var(--quiet);
}
.ring {
  fill: none;
  stroke: var(--line);
}
.north {
  font-size: 11px;
  text-anchor: middle;
  fill: var(--quiet);
}
.ray line {
  stroke: var(--sand);
  stroke-width: 1.5;
}
.ray circle {
  fill: var(--linen);
  stroke: var(--sand);
}
.ray text {
  font-size: 9px;
  text-anchor: middle;
  fill: var(--ink);
}
.ray.on line {
  stroke: var(--petrol);
  stroke-width: 2.5;
}
.ray.on circle {
  fill: var(--petrol-soft);
  stroke: var(--petrol);
}
</style>
