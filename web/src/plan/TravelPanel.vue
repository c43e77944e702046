<script setup lang="ts">
import ProblemLine from '../app/ProblemLine.vue';
import WorkProgress from '../app/WorkProgress.vue';
import NumberField from '../fields/NumberField.vue';
import { proxy } from 'comlink';
import { NButton, NTable } from 'naive-ui';
import { dayOf, type CourseView, type EventView } from '@tasche/contract';
import { counted, type RoundAir, type SmallestTravelSet, type TravelSet } from '@tasche/core';
import { computed, ref, watch } from 'vue';
import { roundAirWords } from '../courses/ground-words';
import { insteadWords } from './round-swaps';
import { daysWords, travelDays } from './travel-days';
import NotAskedLine from './NotAskedLine.vue';
import { isAskable, useLongWork, type AskedRound, type NotAskable } from './use-round';

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
const MAX_SCENARIOS = 12;
const travel = useLongWork<Pick<SmallestTravelSet, 'set'> & Partial<SmallestTravelSet>>();
watch(
  () => props.event,
  () => travel.clear(),
);

/**
 * Rounds times members, thinned evenly to so many; a round without a forecast stands for itself, calmer and
 * windier.
 */
const scenarios = computed(() =>
  props.event.rounds.flatMap((round, at, rounds) => {
    const asked = props.askedOf(round.id);
    const course = props.courses.find(({ id }) => id === round.courseId);
    if (!isAskable(asked) || !course || course.holes.length === 0) return [];
    const each = Math.max(1, Math.floor(MAX_SCENARIOS / rounds.length));
    const scaled = [1, 0.5, 1.5].slice(0, each).map((share): RoundAir => ({
      ...round.air,
      windMps: Math.min(30, Math.round(round.air.windMps * share * 10) / 10),
    }));
    const members = round.forecast
      ? Array.from(
          { length: Math.min(each, round.forecast.members.length) },
          (_m, k) => round.forecast!.members[Math.floor((k * round.forecast!.members.length) / each)]!,
        )
      : scaled;
    return members.map((air, k) => ({
      name: `${round.name}, ${k + 1}: ${roundAirWords(air, asked.unit)}`,
      weight: 1 / members.length,
      request: { ...asked.request, day: dayOf({ ...round, air }, course) },
      rules: asked.rules,
      round: round.id,
      head: `${at + 1}${'abcdefghijkl'[k]!}`,
    }));
  }),
);
/** Why there is nothing to find a set for. */
const nothing = computed(() =>
  scenarios.value.length > 0
    ? undefined
    : props.event.rounds
        .map(({ id, courseId }) => ({ told: props.askedOf(id), courseId }))
        .find(({ told }) => !isAskable(told)),
);
const names = computed(
  () => new Map(scenarios.value[0]?.request.clubs.map((club) => [club.id, club.name]) ?? []),
);
const name = (id: string) => names.value.get(id) ?? 'a club that is gone';
const asked = () =>
  scenarios.value.map(({ name: named, weight, request }) => ({ name: named, weight, request }));
const rules = () => scenarios.value[0]!.rules;
function find(): void {
  travel.clear();
  // The best so far is shown while it is being proved.
  const onFound = proxy((found: TravelSet) => {
    if (isWorking.value) travel.result.value = { set: found };
  });
  void travel.run(async (link, progress) => ({
    set: await link.travel(asked(), rules(), size.value!, progress, onFound),
  }));
}
function findSmallest(): void {
  travel.clear();
  void travel.run((link, progress) => link.smallestTravel(asked(), rules(), lossStrokes.value!, progress));
}

const set = computed<TravelSet | null>(() => travel.result.value?.set ?? null);
const sizes = computed(() => travel.result.value?.sizes ?? []);
const days = computed(() => (set.value ? travelDays(set.value) : []));
const base = computed(() => set.value?.bags[0]?.ids ?? []);
const unproved = computed(() => (set.value ? set.value.strokes - set.value.bound : 0));
const lost = computed(() => (set.value ? Math.max(0, set.value.strokes - set.value.wholeLocker) : 0));
const leftWords = computed(
  () => `no set of that size can save more than another ${unproved.value.toFixed(3)} strokes.`,
);
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
        >or as few as lose at most
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
    <NotAskedLine
      v-if="nothing && !isAskable(nothing.told)"
      :told="nothing.told"
      :course-id="nothing.courseId"
    />
    <p
      v-if="
        scenarios.length &&
        scenarios.every(({ round }) => !event.rounds.find(({ id }) => id === round)?.forecast)
      "
      class="small quiet"
    >
      No round has a forecast yet: each is looked at as it is, at half its wind and at half as much again.
    </p>
    <p v-if="travel.share.value !== null" class="bar small" role="status">
      <WorkProgress :share="travel.share.value" />
      {{ set ? 'Looking for a better set…' : `Working ${scenarios.length} days out…` }}
      <NButton @click="travel.stop()" size="small">{{ set ? 'This one will do' : 'Cancel' }}</NButton>
    </p>
    <ProblemLine :text="travel.problem.value" />
    <template v-if="set">
      <p class="card sentence" aria-live="polite">
        <b>{{ counted(set.ids.length, 'club') }}</b> {{ set.ids.length === 1 ? 'loses' : 'lose' }}
        <b>{{ lost < 0.005 ? 'nothing' : `${lost.toFixed(2)} strokes a round` }}</b> against the whole locker.
        {{
          set.proved
            ? 'Proved the best set of that size.'
            : `${isWorking ? 'The best so far' : 'Not proved the best'}: ${leftWords}`
        }}
        <template v-if="sizes.length">{{
          !travel.result.value!.smallest
            ? 'Whether fewer would do is not proved.'
            : sizes.length === 1
              ? 'The largest bag of the week is enough.'
              : 'Proved that fewer will not do.'
        }}</template>
      </p>
      <dl v-if="sizes.length > 1" class="sizes small">
        <template v-for="one in sizes" :key="one.size"
          ><dt>{{ counted(one.size, 'club') }} {{ one.size === 1 ? 'loses' : 'lose' }}</dt>
          <dd>
            <b>{{ one.loses.toFixed(2) }}</b><span v-if="one.loses - one.losesAtLeast > 0.005" class="quiet">
              (at least {{ one.losesAtLeast.toFixed(2) }})</span
            >
          </dd></template
        >
      </dl>
      <div class="found">
        <div class="scroll" tabindex="0" role="group" aria-label="Clubs by day">
          <NTable size="small" :bordered="false" :bottom-bordered="false">
            <caption class="unseen">
              Which club is carried on which day
            </caption>
            <thead>
              <tr>
                <th scope="col">Club</th>
                <th scope="col">Carried</th>
                <th
                  v-for="(one, s) in scenarios"
                  :key="one.name"
                  scope="col"
                  class="day"
                  :class="{ first: s === 0 || scenarios[s - 1]!.round !== one.round }"
                  :title="one.name"
                >
                  {{ one.head }}
                </th>
              </tr>
            </thead>
            <tbody>
              <tr
                v-for="one in days"
                :key="one.id"
                :class="{ always: one.days === one.carried.length, never: one.days === 0 }"
              >
                <th scope="row">{{ name(one.id) }}</th>
                <td class="small">{{ daysWords(one) }}</td>
                <td
                  v-for="(carried, s) in one.carried"
                  :key="s"
                  class="day"
                  :class="{ first: s === 0 || scenarios[s - 1]!.round !== scenarios[s]!.round }"
                >
                  <span v-if="carried" class="in">●</span><span v-else class="quiet">–</span
                  ><span class="unseen">{{ carried ? 'carried' : 'left' }}</span>
                </td>
              </tr>
            </tbody>
          </NTable>
        </div>
        <ol class="small day-by-day" aria-label="Day by day">
          <li v-for="(bag, s) in set.bags" :key="bag.name">
            <b>{{ scenarios[s]?.head }}</b> <span class="quiet">{{ bag.name }}</span> –
            {{
              bag === set.bags[0]
                ? bag.ids.map(name).join(', ')
                : bag.ids.every((id) => base.includes(id)) && bag.ids.length === base.length
                  ? 'the same clubs'
                  : insteadWords(
                      bag.ids.filter((id) => !base.includes(id)),
                      base.filter((id) => !bag.ids.includes(id)),
                      name,
                    )
            }}<template v-if="bag.regret > 0.005">
              (the whole locker would save {{ bag.regret.toFixed(2) }})</template
            >
          </li>
        </ol>
      </div>
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
.sentence {
  padding: 10px 14px;
  font-size: 15px;
}
.sizes {
  display: flex;
  flex-wrap: wrap;
  gap: 2px 6px;
  margin: 0;
}
.sizes dt {
  color: var(--quiet);
}
.sizes dd {
  margin: 0 16px 0 0;
}
table {
  border-collapse: collapse;
  font-size: 13.5px;
}
th {
  text-align: left;
  font-weight: 600;
  padding: 3px 16px 3px 4px;
  white-space: nowrap;
}
thead th {
  font-weight: 400;
  color: var(--quiet);
  font-size: 12.5px;
}
td {
  padding: 3px 14px 3px 0;
  white-space: nowrap;
}
tbody tr > * {
  border-top: 1px solid var(--line-soft);
}
.day {
  text-align: center;
  padding: 3px 0;
  min-width: 34px;
}
.day.first {
  border-left: 1px solid var(--line);
}
.in {
  color: var(--petrol);
}
.always th {
  color: var(--petrol);
}
.never th {
  font-weight: 400;
  color: var(--quiet);
}
.found {
  display: grid;
  grid-template-columns: minmax(0, max-content) minmax(280px, 1fr);
  gap: 12px 32px;
  align-items: start;
}
.day-by-day {
  list-style: none;
  margin: 0;
  padding: 4px 0 0;
  display: grid;
  gap: 5px;
}
.day-by-day b {
  display: inline-block;
  min-width: 24px;
}
@media (max-width: 1000px) {
  .found {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>
