<script setup lang="ts">
import { NTable } from 'naive-ui';
import {
  distanceNumber,
  formatDegrees,
  formatDistance,
  ownShotLines,
  slowSwingWords,
  type CardShot,
  type DistanceUnit,
} from '@tasche/core';
import { computed } from 'vue';
import { shortDay } from '../app/day';
import { airWords } from '../conditions/air-units';
import { groundWords, roundAirWords } from '../courses/ground-words';
import { SHOT_HEADS, helperColumns, helperNumber, shotColumns, stepsWords } from './card-words';
import type { WorkedCard } from './use-cards';

/** One card: every club with its carries on that day, and what wind, height and warmth do to them. */
const props = defineProps<{ worked: WorkedCard; unit: DistanceUnit }>();
const page = computed(() => props.worked.page);
const card = computed(() => props.worked.card);
const columns = computed(() => shotColumns(card.value));
const helpers = computed(() => helperColumns(page.value.request.steps, props.unit));
const number = (metres: number) => distanceNumber(metres, props.unit);
const shotOf = (shots: readonly CardShot[], kind: string) => shots.find((shot) => shot.kind === kind);
const home = computed(() => page.value.roundIds.length === 0);
const slow = computed(() => slowSwingWords(card.value.clubs, 'left out'));
const anyModelled = computed(() =>
  card.value.clubs.some(({ shots }) => shots.some(({ source }) => source === 'modelled')),
);
const names = computed(() => new Map(card.value.clubs.map(({ id, name }) => [id, name])));
const own = computed(() => ownShotLines(card.value, props.unit));
const uncovered = computed(() => card.value.uncovered[0]);
</script>

<template>
  <section class="card-sheet" :aria-label="page.name">
    <h2>
      {{ page.name }}
      <span class="quiet small">
        <template v-if="page.day">{{ shortDay(page.day) }}</template>
        <template v-if="page.courseName">, {{ page.courseName }}</template>
        <template v-if="home"
          >{{ airWords('temperature', page.request.day.still.temperatureC, unit) }},
          {{ airWords('altitude', page.request.day.still.altitudeM, unit) }}, calm</template
        >
        <template v-else
          >. {{ roundAirWords(page.air!, unit) }}; {{ groundWords(page.request.day.ground) }}</template
        >
      </span>
    </h2>
    <p v-if="!page.isSettled" class="verdict warning small">
      ◆ No bag is settled yet: these are the gamer’s clubs.
    </p>
    <div class="both">
      <div class="scroll">
        <NTable size="small" :bordered="false" :bottom-bordered="false" class="carries">
          <caption class="sr-only">
            Carries,
            {{
              page.name
            }}
          </caption>
          <thead>
            <tr>
              <th scope="col">Club</th>
              <th v-for="kind in columns" :key="kind" scope="col" class="n">{{ SHOT_HEADS[kind] }}</th>
              <th v-if="!home" scope="col" class="n quiet">At home</th>
              <th scope="col" class="n" title="The flag a normal swing stops beside">Flag</th>
            </tr>
          </thead>
          <tbody>
            <tr v-for="club in card.clubs" :key="club.id">
              <th scope="row">
                {{ club.name }}
                <span v-if="club.loftDeg !== undefined" class="quiet loft">{{
                  formatDegrees(club.loftDeg)
                }}</span>
              </th>
              <td v-for="kind in columns" :key="kind" class="n" :class="kind">
                <template v-if="shotOf(club.shots, kind)">
                  <span :class="{ modelled: shotOf(club.shots, kind)!.source === 'modelled' }"
                    ><span
                      v-if="shotOf(club.shots, kind)!.source === 'modelled'"
                      class="hollow"
                      aria-label="modelled"
                      >○</span
                    >{{ number(shotOf(club.shots, kind)!.carryM) }}</span
                  >
                </template>
                <span v-else class="quiet">–</span>
              </td>
              <td v-if="!home" class="n quiet">
                {{ shotOf(club.shots, 'full') ? number(shotOf(club.shots, 'full')!.homeM) : '–' }}
              </td>
              <td class="n flag">{{ club.perfectM === undefined ? '–' : number(club.perfectM) }}</td>
            </tr>
          </tbody>
        </NTable>
      </div>
      <div class="scroll">
        <NTable size="small" :bordered="false" :bottom-bordered="false" class="helpers">
          <caption class="sr-only">
            What wind, height and warmth do to the stock shot,
            {{
              page.name
            }}
          </caption>
          <thead>
            <tr>
              <th scope="col" class="again">Club</th>
              <th v-for="{ key, head, says } in helpers" :key="key" scope="col" class="n" :title="says">
                {{ head }}
              </th>
            </tr>
          </thead>
          <tbody>
            <tr v-for="club in card.clubs" :key="club.id">
              <th scope="row" class="again">{{ club.name }}</th>
              <td v-for="{ key } in helpers" :key="key" class="n">{{ helperNumber(club, key, unit) }}</td>
            </tr>
          </tbody>
        </NTable>
      </div>
    </div>
    <p v-if="own.length > 0" class="small">Own shots. {{ own.join('; ') }}.</p>
    <p v-if="uncovered" class="small">
      ◆ Nobody covers the {{ formatDistance(uncovered.widestGapM, unit) }} between
      {{ names.get(uncovered.upperId) }} and {{ names.get(uncovered.lowerId) }}.
    </p>
    <p v-if="slow" class="small">◆ {{ slow }}</p>
    <p class="small quiet">
      Carries in {{ unit === 'yd' ? 'yards' : 'metres' }} in this air without its wind. Flag: where a normal
      swing stops. Helpers, on the stock shot: {{ stepsWords(page.request.steps, unit) }}.
      <template v-if="anyModelled">○ modelled, not measured.</template>
    </p>
  </section>
</template>

<style scoped>
.card-sheet {
  border-top: 2px solid var(--ink);
  padding: 10px 0 12px;
  break-inside: avoid;
}
h2 {
  font-size: 17px;
  margin-bottom: 6px;
}
h2 .small {
  font-weight: 400;
  margin-left: 8px;
}
.both {
  display: grid;
  grid-template-columns: minmax(0, 1fr) minmax(0, 1fr);
  gap: 24px;
  margin-bottom: 6px;
}
th,
td {
  padding: 4px 10px 4px 0;
  height: 30px;
  white-space: nowrap;
}
thead th {
  font-weight: 400;
  font-size: 12.5px;
  color: var(--quiet);
}
tbody th {
  text-align: left;
  font-weight: 600;
}
.n {
  text-align: right;
  font-variant-numeric: tabular-nums;
}
.full {
  font-weight: 700;
  font-size: 16px;
}
.flag {
  color: var(--petrol);
  font-weight: 600;
}
.loft {
  font-weight: 400;
  font-size: 12px;
}
.modelled {
  font-style: italic;
  font-weight: 500;
}
.hollow {
  font-size: 11px;
  margin-right: 3px;
  font-style: normal;
}
.again {
  display: none;
}
.sr-only {
  position: absolute;
  width: 1px;
  height: 1px;
  overflow: hidden;
  clip-path: inset(50%);
}
@media (max-width: 900px) {
  .both {
    grid-template-columns: minmax(0, 1fr);
    gap: 14px;
  }
  .again {
    display: table-cell;
  }
  th,
  td {
    padding-right: 6px;
  }
}
@media print {
  th,
  td {
    height: 22px;
    padding-block: 1px;
  }
}
</style>
