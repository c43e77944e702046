<script setup lang="ts">
import {
  planRoundOf,
  preferencesOf,
  type Command,
  type CourseView,
  type EventRound,
  type EventRoundSet,
  type EventView,
  type PlanView,
  type RoundAfter,
} from '@tasche/contract';
import {
  clubsOfIds,
  gaps,
  lockerFindings,
  lockerFindingSentence,
  type BagPreferences,
  type DistanceUnit,
  type GappingStrategyId,
  type ShotDemand,
} from '@tasche/core';
import { computed, ref } from 'vue';
import AtWork from '../app/AtWork.vue';
import LoadingRows from '../app/LoadingRows.vue';
import ProblemLine from '../app/ProblemLine.vue';
import { steady } from '../app/steady';
import { groundWords, roundAirWords } from '../courses/ground-words';
import { useSheet } from '../sheet/sheet-store';
import AfterRound from './AfterRound.vue';
import DayBar from './DayBar.vue';
import LockBoard from './LockBoard.vue';
import NeedsRail from './NeedsRail.vue';
import NeedsTable from './NeedsTable.vue';
import NotAskedLine from './NotAskedLine.vue';
import OtherBags from './OtherBags.vue';
import PreferencesPanel from './PreferencesPanel.vue';
import RoundAnswer from './RoundAnswer.vue';
import RoundFaults from './RoundFaults.vue';
import { hitReadings } from './hit-readings';
import { swapsAgainst } from './round-swaps';
import type { useEventRound } from './use-event-round';
import { isAskable, useRound, type AskedRound, type NotAskable } from './use-round';

type OfAnEvent = ReturnType<typeof useEventRound>;

/** A round of an event: the bag that costs the fewest strokes for what the course asks, why, and what it comes to. */
const props = defineProps<{
  plan: PlanView;
  event: EventView;
  round: EventRound;
  course: CourseView | undefined;
  rounds: OfAnEvent['onCourses']['value'];
  /** What is asked of it, or why nothing can be. */
  told: AskedRound | NotAskable;
  settled: ReturnType<OfAnEvent['bagOf']>;
  played: OfAnEvent['playedHere']['value'];
  isSettling: boolean;
  unit: DistanceUnit;
}>();
const school = defineModel<GappingStrategyId>('school', { required: true });
const emit = defineEmits<{ settle: []; days: [days: readonly { roundId: string; set: EventRoundSet }[]] }>();
const store = useSheet();
const readOnly = computed(() => store.readOnly);

const own = steady(() => planRoundOf(props.plan, props.round.id));
const preferences = steady(() => preferencesOf(props.plan.choosing, store.sheet!.player.preferences));
const pointed = ref<ShotDemand | null>(null);
/** What a club's reason named, and somebody asked to see. */
const shown = ref<ShotDemand | null>(null);
function showNeed(named: string): void {
  const demand = worked.value?.needs.find((one) => one.name === named) ?? null;
  shown.value = demand && { ...demand };
  pointed.value = demand;
}

const asked = computed(() => (isAskable(props.told) ? props.told : null));
const { worked, chosen, faultless, busy, share, pending, problem, stop } = useRound(asked);
const findings = computed(() =>
  asked.value ? lockerFindings(asked.value.request.clubs).map((one) => lockerFindingSentence(one, name)) : [],
);
const locker = steady(() => asked.value?.request.clubs ?? []);
const best = steady(() => chosen.value?.answer?.best.ids ?? []);
/** The steps of the best bag: the fewest strokes may open one. */
const gapSettings = steady(() => asked.value?.rules.settings ?? {});
const report = computed(() =>
  best.value.length > 0
    ? gaps(clubsOfIds(locker.value, best.value), { school: school.value, settings: gapSettings.value })
    : null,
);
const carried = steady(() => clubsOfIds(locker.value, props.settled?.clubIds ?? []));
const same = computed(
  () =>
    best.value.length > 0 &&
    props.settled?.clubIds.length === best.value.length &&
    best.value.every((id) => props.settled!.clubIds.includes(id)),
);
const name = store.nameOf;
const swaps = computed(() =>
  chosen.value?.answer && asked.value
    ? swapsAgainst(props.plan.baseClubIds, chosen.value.answer, asked.value.request.clubs, chosen.value.why)
    : [],
);

function editPlan(set: Extract<Command, { do: 'editPlan' }>['set']): void {
  store.change([{ do: 'editPlan', planId: props.plan.id, version: props.plan.version, set }]);
}
function setPreferences(part: Partial<BagPreferences>): void {
  editPlan({ choosing: { ...preferences.value, needs: props.plan.choosing?.needs ?? [], ...part } });
}
/** What is wanted here is wanted in every plan, on the bag's page and of the next basket. */
function keepPreferences(preferences: BagPreferences | null): void {
  const { id: playerId, version } = store.sheet!.player;
  store.change([{ do: 'editPlayer', playerId, version, set: { preferences } }]);
}
function editRound(set: Extract<Command, { do: 'editRound' }>['set']): void {
  const { id: planId, version } = props.plan;
  store.change([{ do: 'editRound', planId, version, roundId: props.round.id, set }]);
}
function writeHits(hits: RoundAfter['hits']): void {
  store.change(hitReadings(hits, props.round.day, store.clubsById), `hit at ${props.plan.name}`);
}

const day = ref<InstanceType<typeof DayBar> | null>(null);
defineExpose({ askForecast: (forEvery: boolean) => day.value?.askForecast(forEvery) });
</script>

<template>
  <div>
    <NotAskedLine v-if="!isAskable(told)" :told="told" :course-id="round.courseId" />
    <p v-for="finding in findings" :key="finding" class="verdict warning small">◆ {{ finding }}</p>
    <ProblemLine :text="problem || worked?.refused || chosen?.refused" />
    <AtWork v-if="busy && !isSettling" :share="share" @stop="stop">Playing the course…</AtWork>
    <template v-if="worked && !worked.refused && asked">
      <RoundAnswer
        v-if="chosen?.answer"
        :round-name="round.name"
        :chosen="chosen"
        :same="same"
        :settled="Boolean(settled)"
        :swaps="swaps"
        :carried="asked.against.length"
        :allowed="Math.min(preferences.limit, event.limits.clubs)"
        :name-of="name"
        :read-only="readOnly"
        :busy="isSettling"
        @settle="emit('settle')"
      />
      <RoundFaults
        :report="report"
        :best="best"
        :faultless="faultless"
        :name-of="name"
        :unit="unit"
        :read-only="readOnly"
        @avoid="faultless && setPreferences({ unevenStrokes: faultless.unevenStrokes })"
      />
    </template>
    <div class="folds">
      <DayBar
        ref="day"
        v-if="course"
        :round="round"
        :course="course"
        :rounds="rounds"
        :unit="unit"
        :read-only="readOnly"
        @set="emit('days', $event)"
      />
      <PreferencesPanel
        v-if="asked"
        :preferences="preferences"
        :school="school"
        :clubs="locker"
        :allowed="event.limits.clubs"
        :unit="unit"
        :read-only="readOnly"
        :kept="store.sheet!.player.preferences"
        @set="setPreferences"
        @school="school = $event"
        @keep="keepPreferences"
      />
    </div>
    <template v-if="worked && !worked.refused && asked">
      <div class="board">
        <LockBoard
          v-if="chosen?.answer"
          :clubs="worked.still"
          :home="locker"
          :chosen="best"
          :always="preferences.always"
          :never="preferences.never"
          :one-of="preferences.oneOf"
          :kinds="preferences.kinds"
          :limit="preferences.limit"
          :allowed="event.limits.clubs"
          :gamer="plan.baseClubIds"
          :modelled="worked.modelled"
          :why="chosen.why"
          :answer="chosen.answer"
          :unit="unit"
          :read-only="readOnly"
          @set="setPreferences($event)"
          @need="showNeed"
        />
        <NeedsRail
          v-if="chosen?.answer"
          :clubs="worked.still"
          :home="locker"
          :chosen="best"
          :needs="worked.needs"
          :report="report!"
          :unit="unit"
          :pointed="pointed"
          :height="760"
        />
        <NeedsTable
          :needs="worked.needs"
          :taken-away="worked.takenAway"
          :shown="shown"
          :changes="own.changes"
          :notes="own.notes"
          :played="played"
          :strokes="worked.strokes"
          :rare-strokes="worked.rareStrokes"
          :unit="unit"
          :read-only="readOnly"
          @changes="editRound({ changes: $event })"
          @notes="editRound({ notes: $event })"
          @point="pointed = $event"
        />
      </div>
      <OtherBags v-if="chosen?.answer" :asked="asked" :chosen="chosen" :pending="pending" />
      <AfterRound
        :after="own.after"
        :carried="carried"
        :clubs="store.clubs"
        :unit="unit"
        :read-only="readOnly"
        @set="editRound({ after: $event })"
        @to-sheet="writeHits"
      />
      <p class="print-only small">{{ roundAirWords(round.air, unit) }}; {{ groundWords(round.ground) }}.</p>
    </template>
    <LoadingRows v-else-if="busy" :rows="6" :px="24" label="Working" />
  </div>
</template>

<style scoped>
.board {
  display: grid;
  grid-template-columns: minmax(390px, 1.2fr) 330px minmax(290px, 0.9fr);
  gap: 8px 22px;
  align-items: start;
}
.print-only {
  display: none;
}
@media (max-width: 1100px) {
  .board {
    grid-template-columns: minmax(0, 1fr) 330px;
  }
  .board > :last-child {
    grid-column: 1 / -1;
  }
}
@media (max-width: 760px) {
  .board {
    grid-template-columns: minmax(0, 1fr);
  }
}
@media print {
  .print-only {
    display: block;
  }
}
.folds {
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(min(100%, 420px), 1fr));
  gap: 10px;
  align-items: start;
  margin-bottom: 12px;
}
</style>
