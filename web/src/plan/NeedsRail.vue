<script setup lang="ts">
import {
  counted,
  distanceNumber,
  fromMetres,
  toMetres,
  stepSentence,
  type DistanceUnit,
  type GapReport,
  type LadderClub,
  type ShotDemand,
} from '@tasche/core';
import { computed } from 'vue';
import { spreadLabels } from '../ladder/spread-labels';
import { NEED_BAR_KINDS, needBars } from './need-bars';

/**
 * One rail of distance: clubs hang on its left as they carry that day, what the round asks grows to its
 * right. Where much is asked, steps should be small; each step stands between its clubs with its verdict.
 */
const props = defineProps<{
  clubs: readonly LadderClub[];
  home: readonly LadderClub[];
  chosen: readonly string[];
  needs: readonly ShotDemand[];
  /** The steps of the chosen bag, as it hangs at home. */ report: GapReport;
  unit: DistanceUnit;
  pointed: ShotDemand | null;
  height: number;
}>();

const WIDTH = 330;
/** Left of the rail: carries, steps, names, and what leads from a name to its place. */
const STEPS_PX = 78;
const LEAD_PX = 36;
const CHARACTER_PX = 6.4;
/** Longer names are cut, and whole under the pointer. */
const MAX_NAME = 15;
const TOP = 16;
const BOTTOM = 16;
const BIN = 5;

/** Both sides speak of the stock carry at home, which is what a club is known by. */
const rungs = computed(() =>
  props.home
    .flatMap((club) =>
      club.shots.full
        ? [
            {
              id: club.id,
              name: club.name,
              carryM: club.shots.full.carryM,
              modelled: club.shots.full.source === 'modelled',
              inBag: props.chosen.includes(club.id),
            },
          ]
        : [],
    )
    .filter(({ inBag }) => inBag)
    .sort((a, b) => b.carryM - a.carryM),
);
const shortName = (name: string) => (name.length > MAX_NAME ? `${name.slice(0, MAX_NAME - 1)}…` : name);
const rail = computed(() => {
  const longest = Math.max(6, ...rungs.value.map(({ name }) => shortName(name).length));
  return STEPS_PX + Math.round(longest * CHARACTER_PX) + LEAD_PX;
});
const maxBar = computed(() => WIDTH - rail.value - 46);
const out = computed(() => props.home.filter(({ id, shots }) => shots.full && !props.chosen.includes(id)));
const asked = computed(() => props.needs.filter(({ playsLikeM }) => playsLikeM !== undefined));
const ends = computed(() => {
  const all = [
    ...props.home.flatMap(({ shots }) => shots.full?.carryM ?? []),
    ...asked.value.map(({ playsLikeM }) => playsLikeM!),
  ];
  return all.length > 0 ? { most: Math.max(...all) + 8, least: 0 } : { most: 250, least: 0 };
});
const y = (m: number) =>
  TOP + ((ends.value.most - m) / (ends.value.most - ends.value.least)) * (props.height - TOP - BOTTOM);
const labels = computed(() =>
  spreadLabels(
    rungs.value.map(({ carryM }) => y(carryM)),
    17,
    TOP,
    props.height - BOTTOM,
  ),
);
/** The space between neighbours, in the middle between their names. */
const steps = computed(() => {
  const at = new Map(rungs.value.map(({ id }, i) => [id, labels.value[i]!]));
  return props.report.steps.flatMap((step) => {
    const [upper, lower] = [at.get(step.upperId), at.get(step.lowerId)];
    return upper === undefined || lower === undefined
      ? []
      : [
          {
            id: step.upperId,
            y: (upper + lower) / 2,
            size: distanceNumber(step.carryM, props.unit),
            severity: step.severity,
            reason: `${step.word}: ${stepSentence(step, props.report, props.unit)}`,
          },
        ];
  });
});
const MARKS = { fine: '', warning: '◆', error: '■', unknown: '○' } as const;
const said = computed(() => {
  const count = (severity: 'error' | 'warning') =>
    steps.value.filter((step) => step.severity === severity).length;
  return `; ${count('error')} steps at fault, ${count('warning')} to look at`;
});
const ticks = computed(() => {
  const step = 50;
  const max = fromMetres(ends.value.most, props.unit);
  return Array.from({ length: Math.floor(max / step) + 1 }, (_one, i) => ({
    at: i * step,
    y: y(toMetres(i * step, props.unit)),
  }));
});

const bars = computed(() => {
  const heaps = needBars(props.needs, BIN);
  const max = Math.max(0.5, ...heaps.map(({ total }) => total));
  return heaps.map(({ fromM, toM, asked: by, total }) => {
    let at = rail.value + 10;
    const parts = NEED_BAR_KINDS.flatMap((kind) => {
      const width = (by[kind] / max) * maxBar.value;
      const part = { kind, x: at, width };
      at += width;
      return width > 0 ? [part] : [];
    });
    return {
      fromM,
      parts,
      top: y(toM),
      height: Math.max(2, y(fromM) - y(toM) - 1.5),
      says: `${distanceNumber(fromM, props.unit)} to ${distanceNumber(toM, props.unit)} ${props.unit}: ${total.toFixed(1)} a round`,
    };
  });
});
</script>

<template>
  <figure>
    <svg
      :viewBox="`0 0 ${WIDTH} ${height}`"
      :width="WIDTH"
      :height="height"
      role="img"
      :aria-label="`The ladder of ${counted(rungs.length, 'club')} beside the shots the round will ask for${said}`"
    >
      <g v-for="tick in ticks" :key="tick.at">
        <line :x1="rail" :x2="WIDTH - 4" :y1="tick.y" :y2="tick.y" class="grid" />
        <text :x="WIDTH - 4" :y="tick.y - 3" class="tick">{{ tick.at }}</text>
      </g>
      <line :x1="rail" :x2="rail" :y1="TOP" :y2="height - BOTTOM" class="rail" />
      <g v-for="bar in bars" :key="bar.fromM">
        <title>{{ bar.says }}</title>
        <rect
          v-for="part in bar.parts"
          :key="part.kind"
          :x="part.x"
          :y="bar.top"
          :width="part.width"
          :height="bar.height"
          :class="['bar', part.kind]"
          rx="1"
        />
      </g>
      <g v-for="club in out" :key="club.id">
        <title>
          {{ club.name }}, left out: {{ distanceNumber(club.shots.full!.carryM, unit) }} {{ unit }}
        </title>
        <line
          :x1="rail - 5"
          :x2="rail"
          :y1="y(club.shots.full!.carryM)"
          :y2="y(club.shots.full!.carryM)"
          class="gone"
        />
      </g>
      <g v-for="(rung, i) in rungs" :key="rung.id" :class="{ modelled: rung.modelled }">
        <path
          :d="`M ${rail} ${y(rung.carryM)} L ${rail - 12} ${y(rung.carryM)} L ${rail - 26} ${labels[i]} L ${rail - 32} ${labels[i]}`"
          class="peg"
        />
        <text :x="rail - LEAD_PX" :y="labels[i]! + 4" class="name">
          {{ shortName(rung.name) }}
          <title>{{ rung.name }}</title>
        </text>
        <text :x="26" :y="labels[i]! + 4" class="carry">{{ distanceNumber(rung.carryM, unit) }}</text>
      </g>
      <g v-for="step in steps" :key="step.id" :class="['step', step.severity]">
        <title>{{ step.reason }}</title>
        <path :d="`M 33 ${step.y - 5} h 4 v 10 h -4`" />
        <text x="40" :y="step.y + 4">{{ step.size }} {{ MARKS[step.severity] }}</text>
      </g>
      <g v-if="pointed?.playsLikeM">
        <line
          :x1="rail - 12"
          :x2="WIDTH - 30"
          :y1="y(pointed.playsLikeM)"
          :y2="y(pointed.playsLikeM)"
          class="pointed"
        />
      </g>
    </svg>
    <figcaption class="small quiet">
      <span><i class="key tee" /> off the tee, and laid up</span
      ><span><i class="key approach" /> at a green</span><span><i class="key short" /> short game</span
      ><span>Distances are stock carries at home.</span
      ><span v-if="rungs.some(({ modelled }) => modelled)"><i>Italics</i>: modelled, not measured.</span
      ><span v-if="steps.some(({ severity }) => severity !== 'fine')"
        >Steps: ◆ look, ■ fault, ○ not known yet.</span
      >
    </figcaption>
  </figure>
</template>

<style scoped>
figure {
  margin: 0;
}
svg {
  display: block;
  max-width: 100%;
  height: auto;
}
.grid {
  stroke: var(--line-soft);
}
.tick {
  font-size: 11px;
  fill: var(--quiet);
  text-anchor: end;
}
.rail {
  stroke: var(--ink);
  stroke-width: 2;
}
.peg {
  fill: none;
  stroke: var(--petrol);
  stroke-width: 1.3;
}
.modelled .peg {
  stroke-dasharray: 3 2.5;
}
.modelled .carry {
  font-style: italic;
  font-weight: 500;
}
.gone {
  stroke: var(--sand);
  stroke-width: 1.5;
}
.name {
  font: 500 12.5px var(--narrow);
  fill: var(--ink);
  text-anchor: end;
}
.carry {
  font: 600 12.5px var(--narrow);
  fill: var(--quiet);
  text-anchor: end;
}
.step text {
  font: 500 11px var(--narrow);
  fill: var(--quiet);
}
.step path {
  fill: none;
  stroke: var(--line);
}
.step.warning text {
  fill: var(--brass-ink);
}
.step.warning path {
  stroke: var(--brass);
}
.step.error text {
  fill: var(--brick-ink);
}
.step.error path {
  stroke: var(--brick);
  stroke-width: 2;
}
.bar.tee {
  fill: var(--sand);
}
.bar.approach {
  fill: var(--petrol-mid);
}
.bar.short {
  fill: var(--brass);
  opacity: 0.65;
}
.pointed {
  stroke: var(--brick);
  stroke-dasharray: 3 3;
  stroke-width: 1.5;
}
figcaption {
  display: flex;
  flex-wrap: wrap;
  gap: 2px 12px;
  margin-top: 4px;
  max-width: 330px;
}
.key {
  display: inline-block;
  width: 10px;
  height: 10px;
  border-radius: 2px;
  margin-right: 3px;
}
.key.tee {
  background: var(--sand);
}
.key.approach {
  background: var(--petrol-mid);
}
.key.short {
  background: var(--brass);
  opacity: 0.65;
}
</style>
