<script setup lang="ts">
import {
  distanceNumber,
  formatDegrees,
  formatDistance,
  lockerFindingSentence,
  ownShotLines,
  slowSwingWords,
  type CardShot,
  type DistanceUnit,
} from '@tasche/core';
import { computed } from 'vue';
import DataTable from '../app/DataTable.vue';
import { FIGURES, type DataColumn } from '../app/data-table';
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
type Club = (typeof card.value.clubs)[number];
const homeOf = (shots: readonly CardShot[]) => {
  const full = shotOf(shots, 'full');
  return full ? number(full.homeM) : '–';
};
const carryColumns = computed((): DataColumn<Club>[] => [
  { id: 'club', head: 'Club', isRowHead: true },
  ...columns.value.map((kind) => ({ id: kind, head: SHOT_HEADS[kind], ...FIGURES, cellClass: kind })),
  ...(home.value
    ? []
    : [
        {
          id: 'home',
          head: 'At home',
          ...FIGURES,
          cellClass: 'quiet',
          value: ({ shots }: Club) => homeOf(shots),
        },
      ]),
  {
    id: 'flag',
    head: 'Flag',
    hint: 'The flag a normal swing stops beside',
    ...FIGURES,
    cellClass: 'flag',
    value: ({ perfectM }) => (perfectM === undefined ? '–' : number(perfectM)),
  },
]);
const helperTableColumns = computed((): DataColumn<Club>[] => [
  { id: 'club', head: 'Club', isRowHead: true, columnClass: 'again', value: ({ name }) => name },
  ...helpers.value.map(({ key, head, says }) => ({
    id: key,
    head,
    hint: says,
    ...FIGURES,
    value: (club: Club) => helperNumber(club, key, props.unit),
  })),
]);
const slow = computed(() => slowSwingWords(card.value.clubs, 'left out'));
const anyModelled = computed(() =>
  card.value.clubs.some(({ shots }) => shots.some(({ source }) => source === 'modelled')),
);
const names = computed(() => new Map(card.value.clubs.map(({ id, name }) => [id, name])));
const own = computed(() => ownShotLines(card.value, props.unit));
const uncovered = computed(() => card.value.uncovered[0]);
const mixedUp = computed(() =>
  card.value.mixedUp.map((clubIds) =>
    lockerFindingSentence({ code: 'mixed up', clubIds }, (id) => names.value.get(id)!),
  ),
);
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
        <DataTable
          class="carries"
          :caption="`Carries, ${page.name}`"
          :columns="carryColumns"
          :rows="card.clubs"
          :row-key="({ id }) => id"
          :orders="false"
          is-at-once
        >
          <template #club="{ row: club }">
            {{ club.name }}{{ ' '
            }}<span v-if="club.loftDeg !== undefined" class="quiet loft">{{
              formatDegrees(club.loftDeg)
            }}</span>
          </template>
          <template v-for="kind in columns" :key="kind" #[kind]="{ row: { shots } }">
            <template v-for="(shot, i) in [shotOf(shots, kind)]" :key="i">
              <span v-if="shot" :class="{ modelled: shot.source === 'modelled' }"
                ><span v-if="shot.source === 'modelled'" class="hollow" aria-label="modelled">○</span
                >{{ number(shot.carryM) }}</span
              >
              <span v-else class="quiet">–</span>
            </template>
          </template>
        </DataTable>
      </div>
      <div class="scroll">
        <DataTable
          class="helpers"
          :caption="`What wind, height and warmth do to the stock shot, ${page.name}`"
          :columns="helperTableColumns"
          :rows="card.clubs"
          :row-key="({ id }) => id"
          :orders="false"
          is-at-once
        />
      </div>
    </div>
    <p v-if="own.length > 0" class="small">Own shots. {{ own.join('; ') }}.</p>
    <p v-for="text in mixedUp" :key="text" class="verdict warning small">◆ {{ text }}</p>
    <p v-if="uncovered" class="small">
      ◆ No club covers the {{ formatDistance(uncovered.widestGapM, unit) }} between
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
.both :deep(.n-data-table-td),
.both :deep(.n-data-table-th) {
  padding: 4px 10px 4px 0;
  height: 30px;
  /* The rows of both tables line up. */
  line-height: 22px;
  box-sizing: border-box;
}
.both :deep([role='rowheader']) {
  font-weight: 600;
}
.both :deep(.full) {
  font-weight: 700;
  font-size: 16px;
}
.both :deep(.flag) {
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
  /* It is of another font, and would make its row taller. */
  line-height: 0;
  margin-right: 3px;
  font-style: normal;
}
.both :deep(.again) {
  display: none;
}
@media (max-width: 900px) {
  .both {
    grid-template-columns: minmax(0, 1fr);
    gap: 14px;
  }
  .both :deep(.again) {
    display: table-cell;
  }
  .both :deep(.n-data-table-td),
  .both :deep(.n-data-table-th) {
    padding-right: 6px;
  }
}
@media print {
  .both :deep(.n-data-table-td),
  .both :deep(.n-data-table-th) {
    height: 22px;
    padding-block: 1px;
  }
}
</style>
