<script setup lang="ts">
import type { EventRoundSet, PlanDetails, PlanView } from '@tasche/contract';
import { counted, type GappingStrategyId } from '@tasche/core';
import { NButton } from 'naive-ui';
import { v4 as newId } from 'uuid';
import { computed, onMounted, ref } from 'vue';
import { useRoute, useRouter } from 'vue-router';
import NotThere from '../app/NotThere.vue';
import AtWork from '../app/AtWork.vue';
import ActionMenu, { type Action } from '../app/ActionMenu.vue';
import LinkButton from '../app/LinkButton.vue';
import PageHead from '../app/PageHead.vue';
import ProblemLine from '../app/ProblemLine.vue';
import UnitButton from '../app/UnitButton.vue';
import { steady } from '../app/steady';
import { useSettings } from '../app/settings';
import { keyOfRound } from '../basket/basket-rounds';
import { queriedSchool } from '../bag/use-bag-ladder';
import { useSchedule } from '../courses/schedule-store';
import { useSheet } from '../sheet/sheet-store';
import EventForm from './EventForm.vue';
import GamerChanged from './GamerChanged.vue';
import PlanForm from './PlanForm.vue';
import PlanPicker from './PlanPicker.vue';
import RoundPage from './RoundPage.vue';
import RoundTabs from './RoundTabs.vue';
import TravelPanel from './TravelPanel.vue';
import { settledWords } from './round-swaps';
import { useComingIn } from './use-coming-in';
import { isDraftKept } from '../fields/kept-draft';
import { useUndoScope } from '../changes/undo-stack';
import { isTyping } from '../keys/is-typing';
import { useShortcuts } from '../keys/use-shortcuts';
import { useEventRound } from './use-event-round';
import { isAskable } from './use-round';
import { usePlan } from './use-plan';
import { useSettling } from './use-settling';

/**
 * A player at an event: round by round what the course asks, the bag that costs the fewest strokes for it, and
 * why.
 */
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
const readOnly = computed(() => !store.may('setRoundBag'));
/** A form that was left half written is open again. */
const writing = ref<'edit' | 'new' | 'week' | null>(
  isDraftKept(`event/${props.playerId}/${props.plan.eventId}`)
    ? 'edit'
    : isDraftKept(`event/${props.playerId}/new`)
      ? 'new'
      : isDraftKept(`week/${props.playerId}/new`)
        ? 'week'
        : null,
);
const question = computed(() => (round.value ? ask(round.value) : null));
const asked = computed(() => (question.value && isAskable(question.value) ? question.value : null));
const askedOf = (roundId: string) => {
  const one = rounds.value.find(({ id }) => id === roundId);
  const question = one && ask(one);
  return question ?? { reason: 'This round was deleted.', fixOn: 'course' as const };
};
const settledSays = computed(() =>
  settledWords(
    rounds.value.flatMap(({ id, name }) => {
      const bag = bagOf(id);
      return bag ? [{ name, clubIds: bag.clubIds }] : [];
    }),
    store.nameOf,
  ),
);
const settledIds = steady(() => rounds.value.flatMap(({ id }) => (bagOf(id) ? [id] : [])));
const settledRounds = computed(() => new Set(settledIds.value));
const name = store.nameOf;

function setDays(days: readonly { roundId: string; set: EventRoundSet }[]): void {
  const { id: eventId, version } = event.value!;
  schedule.change(days.map(({ roundId, set }) => ({ do: 'editEventRound', eventId, version, roundId, set })));
}
function planWeek(details: PlanDetails): void {
  const id = newId();
  store.change([{ do: 'addPlan', plan: { id, bagId: newId(), playerId: props.playerId, ...details } }]);
  void router.push({ name: 'plan', params: { playerId: props.playerId, planId: id } });
}
function remove(): void {
  settling.stop();
  store.change([{ do: 'removePlan', planId: props.plan.id, version: props.plan.version }]);
  void router.push({ name: 'plan', params: { playerId: props.playerId } });
}

/** Which balls to hit so that this round's bag and shots are decided. */
function toBasket(): void {
  const query = { round: keyOfRound(props.plan.id, tab.value) };
  void router.push({ name: 'basket', params: { playerId: props.playerId }, query });
}

const { work: settling, settle, isWaitedFor } = useSettling(() => props.plan, ask, { unit, nameOf: name });
const { comingIn, makeTickets } = useComingIn(() => props.plan, rounds);
const actions = computed((): Action[] => {
  const all: (Action & { may: boolean })[] = [
    {
      key: 'edit',
      label: 'Edit the event',
      may: store.may('editEvent'),
      run: () => (writing.value = 'edit'),
    },
    {
      key: 'basket',
      label: 'A basket for this round',
      may: store.may('addSession'),
      disabled: asked.value === null,
      run: toBasket,
    },
    {
      key: 'settle',
      label: 'Settle every round',
      may: store.may('setRoundBag'),
      disabled: settling.share.value !== null,
      run: () => void settle(rounds.value),
    },
    {
      key: 'tickets',
      label: 'Tickets for what comes in',
      may: store.may('addTicket'),
      disabled: comingIn.value.length === 0,
      run: makeTickets,
    },
    { key: 'event', label: 'Plan an event', may: store.may('addPlan'), run: () => (writing.value = 'new') },
    { key: 'week', label: 'Plan a week', may: store.may('addPlan'), run: () => (writing.value = 'week') },
    { key: 'remove', label: 'Delete this plan', may: store.may('removePlan'), run: remove },
  ];
  const ofTheEvent = ['edit', 'basket', 'settle'];
  return all.filter(({ key, may }) => may && (event.value || !ofTheEvent.includes(key)));
});

const page = ref<InstanceType<typeof RoundPage> | null>(null);
useUndoScope(() => `event/${props.plan.eventId}`);
useShortcuts('An event', {
  'Alt N': (event) => {
    if (isTyping(event) || !store.gamer || !store.may('addPlan')) return false;
    writing.value = 'new';
    return true;
  },
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
    page.value?.askForecast(shiftKey);
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
        <ActionMenu v-if="actions.length > 0" label="More for this plan" :actions="actions" />
      </template>
    </PageHead>
    <PlanForm
      v-if="writing === 'week'"
      :player-id="playerId"
      action="Plan it from the gamer bag"
      @save="planWeek"
      @leave="writing = null"
    />
    <EventForm
      v-else-if="writing === 'new' || (writing === 'edit' && event)"
      :key="writing"
      :player-id="playerId"
      :event="writing === 'edit' ? event : undefined"
      @leave="writing = null"
    />
    <GamerChanged v-if="event" :plan="plan" />
    <AtWork v-if="settling.share.value !== null" :share="settling.share.value" @stop="settling.stop()">
      Settling the bag, and checking what would change it that morning…
      <template v-if="isWaitedFor">The next page opens when it is done.</template>
    </AtWork>
    <ProblemLine :text="settling.problem.value" />
    <NotThere v-if="schedule.state === 'away'" title="The courses cannot be reached" opens-itself />
    <NotThere v-else-if="schedule.state === 'ready' && !event" title="This event was deleted">
      <NButton @click="remove">Delete this plan</NButton>
    </NotThere>
    <template v-if="event">
      <RoundTabs
        :open="tab"
        :event="event"
        :courses="schedule.courses"
        :settled="settledRounds"
        :says="settledSays"
      />
      <TravelPanel v-if="tab === 'travel'" :event="event" :courses="schedule.courses" :asked-of="askedOf" />
      <!-- Kept while another tab is looked at, with the worker that has played its course. -->
      <KeepAlive
        ><RoundPage
          v-if="round && question"
          ref="page"
          v-model:school="school"
          :plan="plan"
          :event="event"
          :round="round"
          :course="course"
          :rounds="onCourses"
          :question="question"
          :settled="bagOf(tab)"
          :played="playedHere"
          :is-settling="settling.share.value !== null"
          :unit="unit"
          @settle="settle([round])"
          @days="setDays"
      /></KeepAlive>
    </template>
  </div>
</template>
