<script setup lang="ts">
import {
  COVER_WINDOW_M,
  MIN_COVER_CHANCE,
  distanceNumber,
  formatDistance,
  fromMetres,
  isFullSwing,
  type DistanceCover,
  type DistanceUnit,
  shotsIn,
  uncovered,
  shotKindWords,
} from '@tasche/core';
import { computed, defineAsyncComponent, shallowRef, watch } from 'vue';
import { useSettings } from '../app/settings';
import { chartFrame, chartInk } from '../flight/flight-charts';
import { useSheet } from '../sheet/sheet-store';
import { rangeWorker } from './range-link';

const FlightChart = defineAsyncComponent(() => import('../flight/FlightChart.vue'));

/** What distances the gamer covers with all the shots it owns, and how surely. */
const props = defineProps<{ unit: DistanceUnit }>();
const store = useSheet();
const settings = useSettings();
const STEP_M = 1;
const covers = shallowRef<readonly DistanceCover[]>([]);
const clubs = computed(() =>
  (store.gamer?.clubIds ?? [])
    .flatMap((id) => store.ladderClubs.get(id) ?? [])
    .filter(({ kind }) => isFullSwing(kind)),
);
const known = computed(() =>
  clubs.value.flatMap(({ shots }) => shotsIn(shots).map(([, shot]) => shot)).filter(({ spreadM }) => spreadM),
);
watch(
  clubs,
  async (all) => {
    const carries = known.value.map(({ carryM }) => carryM);
    covers.value =
      carries.length < 2
        ? []
        : await rangeWorker().cover(
            all,
            Math.floor(Math.min(...carries)),
            Math.ceil(Math.max(...carries)),
            STEP_M,
          );
  },
  { immediate: true },
);
const ink = computed(() => chartInk(settings.dark));
const nameOf = (best: DistanceCover['best']) =>
  best ? `${store.nameOf(best.clubId)}${best.shot === 'full' ? '' : ` ${shotKindWords(best.shot)}`}` : '';

/** The full swing of each club, where its own carry is. */
const peaks = computed(() =>
  clubs.value.flatMap(({ name, shots: { full } }) => {
    const cover =
      full?.spreadM && covers.value.find(({ carryM }) => Math.abs(carryM - full.carryM) <= STEP_M / 2 + 1e-9);
    return cover ? [{ name, carryM: cover.carryM, reliability: cover.reliability }] : [];
  }),
);

/** Stretches that nothing covers well, with what is nearest at their ends. */
const holes = computed(() =>
  uncovered(covers.value).map(({ fromM, toM, worst, nearest }) => {
    const [shorter, longer] = nearest.map(nameOf);
    const nearby =
      shorter === longer ? `nearest is the ${shorter}` : `between the ${shorter} and the ${longer}`;
    return {
      fromM,
      toM,
      words: `is covered ${Math.round(worst * 100)} times in a hundred at worst; ${nearby}.`,
    };
  }),
);
const option = computed(() => {
  const base = chartFrame(ink.value, props.unit === 'yd' ? 'yards' : 'metres', 'chance, %');
  const first = covers.value[0],
    last = covers.value.at(-1);
  const at = (metres: number) => Math.round(fromMetres(metres, props.unit) * 10) / 10;
  return {
    ...base,
    xAxis: {
      ...base.xAxis,
      min: Math.floor(at(first?.carryM ?? 0)),
      max: Math.ceil(at(last?.carryM ?? 100)),
    },
    yAxis: { ...base.yAxis, min: 0, max: 100 },
    series: [
      {
        type: 'line' as const,
        showSymbol: false,
        data: covers.value.map(({ carryM, reliability }) => [at(carryM), Math.round(reliability * 100)]),
        lineStyle: { color: ink.value.lines[0], width: 1.8 },
        areaStyle: { color: ink.value.lines[0], opacity: 0.12 },
      },
      {
        type: 'scatter' as const,
        symbolSize: 1,
        silent: true,
        data: peaks.value.map(({ name, carryM, reliability }) => ({
          name,
          value: [at(carryM), Math.round(reliability * 100)],
        })),
        label: {
          show: true,
          color: ink.value.quiet,
          fontSize: 11,
          position: 'top' as const,
          formatter: '{b}',
        },
        // Where there is no room for all of them; the stretches below name their clubs.
        labelLayout: { hideOverlap: true },
      },
    ],
  };
});
</script>

<template>
  <section v-if="covers.length > 0" class="cover">
    <h2>What the gamer covers</h2>
    <p class="small quiet">
      The chance that the best shot for a distance, of all the player owns with a known spread, comes down
      within {{ formatDistance(COVER_WINDOW_M, unit) }} of it.
    </p>
    <FlightChart
      :option="option"
      :height="190"
      label="Chance of covering each distance; the holes are listed below"
    />
    <p v-for="{ fromM, toM, words } in holes" :key="fromM" class="small">
      <span class="verdict warning"
        >◆ {{ distanceNumber(fromM, unit) }} to {{ formatDistance(toM, unit) }}</span
      >
      {{ words }}
    </p>
    <p v-if="holes.length === 0" class="small verdict fine">
      ● No distance between the shortest and the longest is covered less than
      {{ MIN_COVER_CHANCE * 100 }} times in a hundred.
    </p>
  </section>
</template>

<style scoped>
.cover {
  margin-top: 22px;
  border-top: 1px solid var(--line);
  padding-top: 14px;
}
</style>
