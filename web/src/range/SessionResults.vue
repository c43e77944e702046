<script setup lang="ts">
import { baselineOf, tellsCarry, type SessionEntry, type StrikeView } from '@tasche/contract';
import {
  counted,
  distanceNumber,
  shotIn,
  type DistanceUnit,
  type Shot,
  type ShotKey,
  type ShotKind,
  shotKindWords,
} from '@tasche/core';
import { computed, defineAsyncComponent } from 'vue';
import { useRoute, useRouter } from 'vue-router';
import Later from '../app/Later.vue';
import ProblemLine from '../app/ProblemLine.vue';
import { useSettings } from '../app/settings';
import { settingWords } from '../conditions/air-units';
import ChoiceField from '../fields/ChoiceField.vue';
import { chartInk } from '../flight/flight-charts';
import { useSheet } from '../sheet/sheet-store';
import GroupTable from './GroupTable.vue';
import StrikeTable from './StrikeTable.vue';
import { averageFlights, landingView, HELD_SHARE } from './range-charts';
import { useRange } from './range-store';
import type { DriftRow, GroupSummary } from './range-worker';
import type { WorkedShots } from './worked-shots';
import { DRIFT_SPANS, type DriftSpan } from './use-session';

const CHART_PX = 300;
const FlightChart = defineAsyncComponent(() => import('../flight/FlightChart.vue'));

/** What was hit in a session: what each club did, where its balls came down, and the balls one by one. */
const props = defineProps<{
  session: SessionEntry;
  strikes: readonly StrikeView[];
  rows: WorkedShots;
  groups: readonly GroupSummary[];
  drifts: readonly DriftRow[];
  /** What each club is compared with. */
  span: DriftSpan;
  unit: DistanceUnit;
  /** Why the shots could not be worked out; empty where they were. */
  problem: string;
  earlierSays: string;
}>();
const SPANS = Object.keys(DRIFT_SPANS) as DriftSpan[];
const store = useSheet();
const range = useRange();
const settings = useSettings();
const route = useRoute();
const router = useRouter();
const baseline = computed(() => baselineOf(store.sheet!.player));
const name = (clubId: string, shot: ShotKind) =>
  `${store.clubsById.get(clubId)?.name ?? '?'}${shot === 'full' ? '' : ` ${shotKindWords(shot)}`}`;

/** The clubs whose shots and ellipses are looked at; all of them until one is chosen. Part of the address. */
const chosen = computed(() =>
  typeof route.query.clubs === 'string'
    ? route.query.clubs
        .split(',')
        .filter((key) => props.groups.some((group) => group.key.replace(' ', '~') === key))
        .map((key) => key.replace('~', ' '))
    : [],
);
function show(key: string): void {
  const next = chosen.value.includes(key)
    ? chosen.value.filter((one) => one !== key)
    : [...chosen.value, key];
  void router.replace({
    query: {
      ...route.query,
      clubs: next.length > 0 ? next.map((one) => one.replace(' ', '~')).join(',') : undefined,
    },
  });
}
const looked = computed(() =>
  props.groups
    .filter(({ key, n }) => n > 0 && (chosen.value.length === 0 || chosen.value.includes(key)))
    .sort((a, b) => b.summary!.carryM.mean - a.summary!.carryM.mean),
);
const listed = computed(() =>
  props.strikes.filter(
    (strike) => chosen.value.length === 0 || chosen.value.includes(`${strike.clubId} ${strike.shot}`),
  ),
);
const ink = computed(() => chartInk(settings.dark));
const above = computed(() =>
  landingView(
    looked.value.map(({ clubId, shot, points }) => ({ name: name(clubId, shot), ...points })),
    props.unit,
    ink.value,
  ),
);
const side = computed(() =>
  averageFlights(
    looked.value.map(({ clubId, shot, path }) => ({ name: name(clubId, shot), path })),
    props.unit,
    ink.value,
  ),
);

function saidOf(shot: Shot | undefined): Partial<Shot> {
  const { teeGainM, startDeg, curveM } = shot ?? {};
  return {
    ...(teeGainM !== undefined && { teeGainM }),
    ...(startDeg !== undefined && { startDeg }),
    ...(curveM !== undefined && { curveM }),
  };
}

function take(group: GroupSummary, shot: Shot): void {
  const club = store.clubsById.get(group.clubId);
  if (!club) return;
  const key = `shot.${group.shot}` as ShotKey;
  const before = shotIn(club.spec, key);
  // What the player says of it stays: what a tee gives, where it starts, how it curves.
  const isTeed = !tellsCarry(props.session.hitOff, club.kind);
  const kept: Shot = { ...saidOf(before), ...shot };
  const wasSaid =
    before && `; was ${distanceNumber(before.carryM, props.unit)} ${props.unit} ${before.source}`;
  const shots = `${counted(group.n, 'shot')} at ${props.session.name}`;
  const takenOn = (isTeed && club.spec[key]?.takenOn) || props.session.heldOn;
  store.change(
    [
      {
        do: 'editClub',
        clubId: club.id,
        version: club.version,
        readings: [{ key, value: kept, takenOn }],
      },
    ],
    isTeed ? `off a tee, ${shots}` : `measured, ${shots}${wasSaid ?? ''}`,
  );
}
</script>

<template>
  <p class="small quiet lead">
    Every number below is in {{ store.sheet!.player.name.split(' ')[0] }}’s own air ({{
      settingWords(baseline, unit)
    }}); the shots further down are as they were hit.
    <Later
      ><label class="against"
        >Each club compared with itself:
        <ChoiceField
          :value="span"
          @update:value="
            router.replace({
              query: { ...route.query, against: $event },
            })
          "
          label="Against"
          :options="SPANS" /></label
    ></Later>
  </p>
  <ProblemLine :text="problem" />
  <p v-if="earlierSays" class="verdict warning small">◆ {{ earlierSays }}</p>
  <GroupTable
    :session="session"
    :groups="groups"
    :drifts="drifts"
    :shown="chosen"
    :unit="unit"
    @take="take"
    @show="show"
  />
  <div v-if="looked.length > 0" class="charts">
    <Later :px="CHART_PX"
      ><figure>
        <figcaption class="small quiet">
          Where they came down, from above; a dashed ellipse should hold {{ HELD_SHARE * 10 }} of the next ten
        </figcaption>
        <FlightChart
          v-if="looked.some(({ points }) => points.xs.length > 0)"
          :option="above"
          :height="CHART_PX"
          :label="`Landing points of ${counted(looked.length, 'club')}; the table above sums them up`"
        />
        <p v-else class="small quiet">
          The side of these shots is not known. By hand, enter it after the carry: 152 3L.
        </p>
      </figure></Later
    >
    <Later :px="CHART_PX"
      ><figure>
        <figcaption class="small quiet">The flight of each average launch, height drawn larger</figcaption>
        <FlightChart
          :option="side"
          :height="CHART_PX"
          :label="`Side view of ${looked.length} average flights`"
        /></figure
    ></Later>
  </div>
  <h2>Shots, as they were hit <span class="quiet small">italics: worked out by the flight model</span></h2>
  <Later :px="400"
    ><StrikeTable
      :strikes="listed"
      :rows="rows"
      :coming="rows.size === 0 && !problem"
      :unit="unit"
      @leave-out="
        (ids, reason) =>
          range.change([
            { do: 'editStrikes', sessionId: session.id, strikeIds: ids, set: { leftOut: reason } },
          ])
      "
      @count="
        (ids) =>
          range.change([{ do: 'editStrikes', sessionId: session.id, strikeIds: ids, set: { leftOut: null } }])
      "
      @give="(id, set) => range.change([{ do: 'editStrikes', sessionId: session.id, strikeIds: [id], set }])"
  /></Later>
</template>

<style scoped>
.lead {
  margin: 8px 0 4px;
}
.against {
  display: inline-flex;
  gap: 6px;
  flex-wrap: wrap;
  align-items: center;
}

.charts {
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: 18px;
  margin: 14px 0 6px;
}
figure {
  margin: 0;
  min-width: 0;
}
h2 {
  margin: 14px 0 2px;
}
@media (max-width: 1000px) {
  .charts {
    grid-template-columns: 1fr;
  }
}
</style>
