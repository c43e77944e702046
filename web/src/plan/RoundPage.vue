<script setup lang="ts">
import {
  planRoundOf,
  type CourseView,
  type EventRound,
  type EventRoundSet,
  type EventView,
  type PlanView,
} from '@tasche/contract';
import {
  lockerFindings,
  lockerFindingSentence,
  type DistanceUnit,
  type GappingStrategyId,
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
import RoundProblemLine from './RoundProblemLine.vue';
import OtherBags from './OtherBags.vue';
import PreferencesPanel from './PreferencesPanel.vue';
import RoundAnswer from './RoundAnswer.vue';
import RoundBoard from './RoundBoard.vue';
import RoundFaults from './RoundFaults.vue';
import type { useEventRound } from './use-event-round';
import { useRoundBag } from './use-round-bag';
import { useRoundEdits } from './use-round-edits';
import { isAskable, useRound, type AskedRound, type NotAskable } from './use-round';

type OfAnEvent = ReturnType<typeof useEventRound>;

/**
 * A round of an event: the bag that costs the fewest strokes for what the course asks, why, and what it comes
 * to.
 */
const props = defineProps<{
  plan: PlanView;
  event: EventView;
  round: EventRound;
  course: CourseView | undefined;
  rounds: OfAnEvent['onCourses']['value'];
  /** What is asked of it, or why nothing can be. */
  question: AskedRound | NotAskable;
  settled: ReturnType<OfAnEvent['bagOf']>;
  played: OfAnEvent['playedHere']['value'];
  isSettling: boolean;
  unit: DistanceUnit;
}>();
const school = defineModel<GappingStrategyId>('school', { required: true });
const emit = defineEmits<{ settle: []; days: [days: readonly { roundId: string; set: EventRoundSet }[]] }>();
const store = useSheet();
const readOnly = computed(() => !store.may('setRoundBag'));

const own = steady(() => planRoundOf(props.plan, props.round.id));
const { preferences, setPreferences, keepPreferences, editRound, writeHits } = useRoundEdits(() => props);
const asked = computed(() => (isAskable(props.question) ? props.question : null));
const { worked, chosen, faultless, busy, share, pending, problem, stop } = useRound(asked);
const name = store.nameOf;
const findings = computed(() =>
  asked.value ? lockerFindings(asked.value.request.clubs).map((one) => lockerFindingSentence(one, name)) : [],
);
const { locker, best, report, carried, isSettledBest, swaps } = useRoundBag(asked, chosen, () => ({
  plan: props.plan,
  settled: props.settled,
  school: school.value,
}));

const day = ref<InstanceType<typeof DayBar> | null>(null);
defineExpose({ askForecast: (forEvery: boolean) => day.value?.askForecast(forEvery) });
</script>

<template>
  <div>
    <RoundProblemLine v-if="!isAskable(question)" :question="question" :course-id="round.courseId" />
    <p v-for="finding in findings" :key="finding" class="verdict warning small">◆ {{ finding }}</p>
    <ProblemLine :text="problem || worked?.refused || chosen?.refused" />
    <AtWork v-if="busy && !isSettling" :share="share" @stop="stop">Playing the course…</AtWork>
    <template v-if="worked && !worked.refused && asked">
      <RoundAnswer
        v-if="chosen?.answer"
        :round-name="round.name"
        :chosen="chosen"
        :same="isSettledBest"
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
        :read-only="!store.may('editEventRound')"
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
      <RoundBoard
        :worked="worked"
        :chosen="chosen"
        :locker="locker"
        :report="report"
        :preferences="preferences"
        :allowed="event.limits.clubs"
        :gamer="plan.baseClubIds"
        :own="own"
        :played="played"
        :unit="unit"
        :read-only="readOnly"
        @preferences="setPreferences"
        @round="editRound"
      />
      <OtherBags v-if="chosen?.answer" :asked="asked" :chosen="chosen" :pending="pending" />
      <AfterRound
        :key="round.id"
        :about="`${store.sheet!.player.id}/${round.id}`"
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
.print-only {
  display: none;
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
