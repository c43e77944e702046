<script setup lang="ts">
import ProblemLine from '../app/ProblemLine.vue';
import WorkProgress from '../app/WorkProgress.vue';
import NumberField from '../fields/NumberField.vue';
import { proxy } from 'comlink';
import { NButton } from 'naive-ui';
import { clubName, type CourseView, type EventView } from '@tasche/contract';
import { counted, type SmallestTravelSet, type TravelSet } from '@tasche/core';
import { computed, ref, watch } from 'vue';
import RoundProblemLine from './RoundProblemLine.vue';
import TravelAnswer from './TravelAnswer.vue';
import TravelDays from './TravelDays.vue';
import { travelScenarios } from './travel-scenarios';
import { useLongWork } from './use-long-work';
import { isAskable, type AskedRound, type NotAskable } from './use-round';

/**
 * The clubs that travel: one set that serves every round of the event under every way the forecast may turn
 * out; of a size, or as small as will do.
 */
const props = defineProps<{
  event: EventView;
  courses: readonly CourseView[];
  askedOf: (roundId: string) => AskedRound | NotAskable;
}>();
const size = ref<number | null>(18);
const lossStrokes = ref<number | null>(0.05);
const travel = useLongWork<Pick<SmallestTravelSet, 'set'> & Partial<SmallestTravelSet>>();
watch(
  // What another event says leaves this one's answer standing.
  () => JSON.stringify(props.event),
  travel.renew,
);

const scenarios = computed(() => travelScenarios(props.event, props.courses, props.askedOf));
/** Why there is nothing to find a set for. */
const nothing = computed(() =>
  scenarios.value.length > 0
    ? undefined
    : props.event.rounds
        .map(({ id, courseId }) => ({ question: props.askedOf(id), courseId }))
        .find(({ question }) => !isAskable(question)),
);
const name = (id: string) => clubName(scenarios.value[0]?.request.clubs ?? [], id);
const asked = () =>
  scenarios.value.map(({ name: named, weight, request }) => ({ name: named, weight, request }));
const rules = () => scenarios.value[0]!.rules;
function find(): void {
  travel.clear();
  void travel.run(async ([link], progress, soFar) => {
    // The best so far is shown while it is being proved.
    const onFound = proxy((set: TravelSet) => {
      soFar({ set });
    });
    return { set: await link.travel(asked(), rules(), size.value!, progress, onFound) };
  });
}
function findSmallest(): void {
  travel.clear();
  void travel.run(([link], progress) => link.smallestTravel(asked(), rules(), lossStrokes.value!, progress));
}

const set = computed<TravelSet | null>(() => travel.result.value?.set ?? null);
const isWorking = computed(() => travel.share.value !== null);
const idle = computed(() => scenarios.value.length > 0 && !isWorking.value);
</script>

<template>
  <section class="travel" aria-label="Travel set">
    <h2>
      What travels
      <span class="quiet small" v-if="scenarios.length"
        >one set for {{ scenarios.length }} ways the {{ event.rounds.length }}
        {{ event.rounds.length === 1 ? 'round' : 'rounds' }} may turn out</span
      >
    </h2>
    <div class="bar no-print">
      <label class="small quiet"
        >clubs that travel
        <NumberField
          v-model:value="size"
          class="number"
          @keydown.enter="idle && find()"
          label="clubs that travel"
          :bounds="[1, 40]"
      /></label>
      <NButton :disabled="!idle || size === null" @click="find" type="primary"> Find the set </NButton>
      <label class="small quiet or"
        >or the fewest that lose at most
        <NumberField
          v-model:value="lossStrokes"
          label="What it may lose"
          unit="strokes a round"
          :bounds="[0, 10]"
          :step="0.01"
          @keydown.enter="idle && lossStrokes !== null && findSmallest()"
      /></label>
      <NButton :disabled="!idle || lossStrokes === null" @click="findSmallest"> Find the fewest </NButton>
    </div>
    <RoundProblemLine
      v-if="nothing && !isAskable(nothing.question)"
      :question="nothing.question"
      :course-id="nothing.courseId"
    />
    <p
      v-if="
        scenarios.length &&
        scenarios.every(({ round }) => !event.rounds.find(({ id }) => id === round)?.forecast)
      "
      class="small quiet"
    >
      No round has a forecast yet: each is tried with its wind as it is, half of it, and half as much again.
    </p>
    <p v-if="travel.share.value !== null" class="bar small" role="status">
      <WorkProgress :share="travel.share.value" />
      {{ set ? 'Looking for a better set…' : `Working out ${counted(scenarios.length, 'day')}…` }}
      <NButton @click="travel.stop()" size="small">{{ set ? 'This one will do' : 'Cancel' }}</NButton>
    </p>
    <ProblemLine :text="travel.problem.value" />
    <template v-if="set">
      <TravelAnswer :found="travel.result.value!" :is-working="isWorking" />
      <TravelDays :set="set" :scenarios="scenarios" :name="name" />
    </template>
  </section>
</template>

<style scoped>
.travel {
  display: grid;
  gap: 8px;
  min-width: 0;
}
h2 .small {
  font-weight: 400;
  margin-left: 8px;
}
.or {
  margin-left: 10px;
}
.number {
  font: inherit;
  width: 64px;
  min-height: 32px;
  padding: 2px 6px;
  border: 1px solid var(--line);
  border-radius: 4px;
  background: var(--paper);
  color: var(--ink);
}
</style>
