<script setup lang="ts">
import {
  planRoundOf,
  preferencesOf,
  type Command,
  type EventRoundSet,
  type PlanDetails,
  type PlanView,
  type RoundAfter,
} from '@tasche/contract';
import {
  clubsOfIds,
  gaps,
  lockerFindings,
  lockerFindingSentence,
  type BagPreferences,
  type GappingStrategyId,
  type ShotDemand,
} from '@tasche/core';
import { NButton } from 'naive-ui';
import { v4 as newId } from 'uuid';
import { computed, onMounted, ref } from 'vue';
import { useRoute, useRouter } from 'vue-router';
import ActionMenu, { type Action } from '../app/ActionMenu.vue';
import LinkButton from '../app/LinkButton.vue';
import LoadingRows from '../app/LoadingRows.vue';
import PageHead from '../app/PageHead.vue';
import ProblemLine from '../app/ProblemLine.vue';
import UnitButton from '../app/UnitButton.vue';
import WorkProgress from '../app/WorkProgress.vue';
import { counted } from '../app/counted';
import { today } from '../app/day';
import { steady } from '../app/steady';
import { useSettings } from '../app/settings';
import { keyOfRound } from '../basket/basket-rounds';
import { queriedSchool } from '../bag/use-bag-ladder';
import { groundWords, roundAirWords } from '../courses/ground-words';
import { useSchedule } from '../courses/schedule-store';
import { useSheet } from '../sheet/sheet-store';
import AfterRound from './AfterRound.vue';
import DayBar from './DayBar.vue';
import EventForm from './EventForm.vue';
import LockBoard from './LockBoard.vue';
import NeedsRail from './NeedsRail.vue';
import NeedsTable from './NeedsTable.vue';
import OtherBags from './OtherBags.vue';
import PlanForm from './PlanForm.vue';
import PlanPicker from './PlanPicker.vue';
import RoundAnswer from './RoundAnswer.vue';
import RoundFaults from './RoundFaults.vue';
import RoundTabs from './RoundTabs.vue';
import TravelPanel from './TravelPanel.vue';
import PreferencesPanel from './PreferencesPanel.vue';
import { hitReadings } from './hit-readings';
import { settledWords, swapsAgainst } from './round-swaps';
import { useComingIn } from './use-coming-in';
import { useUndoScope } from '../changes/undo-stack';
import { isTyping } from '../keys/is-typing';
import { useShortcuts } from '../keys/use-shortcuts';
import { useEventRound } from './use-event-round';
import { usePlan } from './use-plan';
import { useRound } from './use-round';
import { useSettling } from './use-settling';

/** A player at an event: round by round what the course asks, the bag that costs the fewest strokes for it, and why. */
const props = defineProps<{ playerId: string; plan: PlanView }>();
const store = useSheet();
const schedule = useSchedule();
const settings = useSettings();
const route = useRoute();
const router = useRouter();
onMounted(() => void schedule.load());
const { plans } = usePlan({ planId: props.plan.id });

const unit = computed(() => settings.unitFor(store.sheet!.player.distanceUnit));
const school = computed<GappingStrategyId>({
  get: () => queriedSchool(route.query.school) ?? store.gamer?.strategy ?? 'even-carries',
  set: (id) => void router.replace({ query: { ...route.query, school: id } }),
});
const { event, rounds, tab, round, course, onCourses, playedHere, bagOf, ask } = useEventRound(
  () => props.plan,
  { unit, school },
);
const own = steady(() => planRoundOf(props.plan, tab.value));
const preferences = steady(() => preferencesOf(props.plan.choosing, store.sheet!.player.preferences));
const readOnly = computed(() => store.readOnly);
const writing = ref<'edit' | 'new' | 'week' | null>(null);
const pointed = ref<ShotDemand | null>(null);
/** What a club's reason named, and somebody asked to see. */
const shown = ref<ShotDemand | null>(null);
function showNeed(named: string): void {
  const demand = worked.value?.needs.find((one) => one.name === named) ?? null;
  shown.value = demand && { ...demand };
  pointed.value = demand;
}

const told = computed(() => (round.value ? ask(round.value) : null));
const asked = computed(() => (told.value && typeof told.value !== 'string' ? told.value : null));
const askedOf = (roundId: string) => {
  const one = rounds.value.find(({ id }) => id === roundId);
  const question = one && ask(one);
  return question && typeof question !== 'string' ? question : null;
};
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
const settled = computed(() => bagOf(tab.value));
const carried = steady(() => clubsOfIds(locker.value, settled.value?.clubIds ?? []));
const settledSays = computed(() =>
  settledWords(
    rounds.value.flatMap(({ id, name }) => {
      const bag = bagOf(id);
      return bag ? [{ name, clubIds: bag.clubIds }] : [];
    }),
    (id) => store.clubsById.get(id)?.name ?? 'club that is gone',
  ),
);
const settledIds = steady(() => rounds.value.flatMap(({ id }) => (bagOf(id) ? [id] : [])));
const settledRounds = computed(() => new Set(settledIds.value));
const same = computed(
  () =>
    best.value.length > 0 &&
    settled.value?.clubIds.length === best.value.length &&
    best.value.every((id) => settled.value!.clubIds.includes(id)),
);
const name = (id: string) => store.clubsById.get(id)?.name ?? 'a club that is gone';
const swaps = computed(() =>
  chosen.value?.answer && asked.value
    ? swapsAgainst(props.plan.baseClubIds, best.value, asked.value.request.clubs, chosen.value.why)
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
function setDays(days: readonly { roundId: string; set: EventRoundSet }[]): void {
  const { id: eventId, version } = event.value!;
  schedule.change(days.map(({ roundId, set }) => ({ do: 'editEventRound', eventId, version, roundId, set })));
}
function editRound(set: Extract<Command, { do: 'editRound' }>['set']): void {
  const { id: planId, version } = props.plan;
  store.change([{ do: 'editRound', planId, version, roundId: tab.value, set }]);
}
function writeHits(hits: RoundAfter['hits']): void {
  store.change(hitReadings(hits, round.value?.day ?? today(), store.clubsById), `hit at ${props.plan.name}`);
}
function planWeek(details: PlanDetails): void {
  const id = newId();
  store.change([{ do: 'addPlan', plan: { id, bagId: newId(), playerId: props.playerId, ...details } }]);
  void router.push({ name: 'plan', params: { playerId: props.playerId, planId: id } });
}
function remove(): void {
  store.change([{ do: 'removePlan', planId: props.plan.id, version: props.plan.version }]);
  void router.push({ name: 'plan', params: { playerId: props.playerId } });
}

/** Which balls to hit so that this round's bag and shots are decided. */
function toBasket(): void {
  const query = { round: keyOfRound(props.plan.id, tab.value) };
  void router.push({ name: 'basket', params: { playerId: props.playerId }, query });
}

const { work: settling, settle } = useSettling(() => props.plan, ask, { unit, nameOf: name });
const { comingIn, makeTickets } = useComingIn(() => props.plan, rounds);
const actions = computed((): Action[] => [
  ...(event.value
    ? [
        { key: 'edit', label: 'Edit the event', run: () => (writing.value = 'edit') },
        {
          key: 'basket',
          label: 'A basket for this round',
          disabled: asked.value === null,
          run: toBasket,
        },
        {
          key: 'settle',
          label: 'Settle every round',
          disabled: settling.share.value !== null,
          run: () => void settle(rounds.value),
        },
      ]
    : []),
  {
    key: 'tickets',
    label: 'Tickets for what comes in',
    disabled: comingIn.value.length === 0,
    run: makeTickets,
  },
  { key: 'event', label: 'Plan an event', run: () => (writing.value = 'new') },
  { key: 'week', label: 'Plan a week', run: () => (writing.value = 'week') },
  { key: 'remove', label: 'Delete this plan', run: remove },
]);

const day = ref<InstanceType<typeof DayBar> | null>(null);
useUndoScope(() => `event/${props.plan.eventId}`);
useShortcuts('An event', {
  'Alt 1 to 8': (_event, digit) => {
    const to = rounds.value[digit - 1];
    if (to) tab.value = to.id;
    return to !== undefined;
  },
  'Alt T': (event) => {
    if (isTyping(event)) return false;
    tab.value = 'travel';
    return true;
  },
  'Alt W': ({ shiftKey }) => {
    day.value?.askForecast(shiftKey);
  },
  'Alt Enter': () => {
    if (!round.value || readOnly.value) return false;
    void settle([round.value]);
    return true;
  },
});
</script>

<template>
  <div class="page">
    <PageHead :of="store.sheet!.player.name">
      {{ plan.name }}
      <template #says>
        <p v-if="event" class="quiet small">
          At most {{ counted(event.limits.clubs, 'club') }}, none over {{ event.limits.lengthIn }} in<template
            v-if="event.notes"
            >. {{ event.notes }}</template
          >
        </p>
      </template>
      <template #actions>
        <PlanPicker :player-id="playerId" :plans="plans" :plan-id="plan.id" />
        <UnitButton :own="store.sheet!.player.distanceUnit" />
        <LinkButton :to="{ name: 'swap-sheet', params: { playerId, planId: plan.id } }"
          >Swap sheet</LinkButton
        >
        <ActionMenu v-if="!readOnly" label="More for this plan" :actions="actions" />
      </template>
    </PageHead>
    <PlanForm
      v-if="writing === 'week'"
      action="Plan it from the gamer bag"
      @save="planWeek"
      @leave="writing = null"
    />
    <EventForm
      v-else-if="writing"
      :key="writing"
      :player-id="playerId"
      :event="writing === 'edit' ? event : undefined"
      @leave="writing = null"
    />
    <p v-if="settling.share.value !== null" class="bar" role="status">
      <WorkProgress :share="settling.share.value" /> Settling the bag, and looking what would change it on the
      morning… <NButton @click="settling.stop()" size="small">Cancel</NButton>
    </p>
    <ProblemLine :text="settling.problem.value" />
    <p v-if="schedule.state === 'away'" class="quiet" role="status">
      The courses cannot be reached; this opens by itself as soon as they can be.
    </p>
    <p v-else-if="schedule.state === 'ready' && !event" class="quiet">
      This event was deleted. <NButton @click="remove" size="small">Delete this plan</NButton>
    </p>
    <template v-if="event">
      <RoundTabs
        v-model:tab="tab"
        :event="event"
        :courses="schedule.courses"
        :settled="settledRounds"
        :says="settledSays"
      />
      <TravelPanel v-if="tab === 'travel'" :event="event" :courses="schedule.courses" :asked-of="askedOf" />
      <template v-else-if="round">
        <p v-if="typeof told === 'string'" class="verdict warning" role="alert">
          ◆ {{ told }}
          <RouterLink :to="{ name: 'courses', params: { courseId: round.courseId } }"
            >To the course</RouterLink
          >
        </p>
        <p v-for="finding in findings" :key="finding" class="verdict warning small">◆ {{ finding }}</p>
        <ProblemLine :text="problem || worked?.refused || chosen?.refused" />
        <p v-if="busy" class="bar small" role="status">
          <WorkProgress :share="share" /> Playing the course…
          <NButton @click="stop()" size="small">Cancel</NButton>
        </p>
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
            :busy="settling.share.value !== null"
            @settle="settle([round])"
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
            :rounds="onCourses"
            :unit="unit"
            :read-only="readOnly"
            @set="setDays"
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
              :played="playedHere"
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
          <p class="print-only small">
            {{ roundAirWords(round.air, unit) }}; {{ groundWords(round.ground) }}.
          </p>
        </template>
        <LoadingRows v-else-if="busy" :rows="6" :px="24" label="Working" />
      </template>
    </template>
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
