<script setup lang="ts">
import ProblemLine from '../app/ProblemLine.vue';
import { NButton, NTable } from 'naive-ui';
import type { DayView, DifferenceView, EventView } from '@tasche/contract';
import type { DistanceUnit } from '@tasche/core';
import { computed, onMounted, ref, shallowRef, watch } from 'vue';
import { useRoute, useRouter } from 'vue-router';
import { request } from '../api/request';
import { shortDay, today } from '../app/day';
import { useSchedule } from '../courses/schedule-store';
import ChoiceField from '../fields/ChoiceField.vue';
import DateField from '../fields/DateField.vue';
import { useSheet } from '../sheet/sheet-store';
import Fold from '../app/Fold.vue';
import BagsOfDays from './BagsOfDays.vue';
import PutBackPanel from './PutBackPanel.vue';
import { factWords, readingName } from './fact-words';

/** Any two days, or events, side by side: what was in the gamer, how the clubs were built, who changed it and why; and the way back. */
const props = defineProps<{ playerId: string; unit: DistanceUnit }>();
const store = useSheet();
const schedule = useSchedule();
const route = useRoute();
const router = useRouter();
onMounted(() => void schedule.load());

const ZONE = Intl.DateTimeFormat().resolvedOptions().timeZone;
const MONTH_MS = 30 * 86_400_000;
const isDay = (value: unknown): value is string =>
  typeof value === 'string' && /^\d{4}-\d\d-\d\d$/.test(value);
const from = computed(() =>
  isDay(route.query.from) ? route.query.from : new Date(Date.now() - MONTH_MS).toISOString().slice(0, 10),
);
const to = computed(() => (isDay(route.query.to) ? route.query.to : today()));
const set = (days: { from?: string; to?: string }) =>
  void router.replace({ query: { ...route.query, ...days } });

/** Events that have begun; the gamer of one is what was in the bag at the end of its first day. */
const events = computed(() =>
  schedule.events
    .map((event: EventView) => ({ name: event.name, day: event.rounds.map(({ day }) => day).sort()[0]! }))
    .filter(({ day }) => day <= today())
    .sort((a, b) => b.day.localeCompare(a.day))
    .map(({ name, day }) => ({ value: day, label: `${name}, ${shortDay(day)}` })),
);

const days = shallowRef<{ then: DayView; after: DayView } | null>(null);
const differences = shallowRef<readonly DifferenceView[]>([]);
const problem = ref('');
let lastRequestId = 0;
watch(
  [from, to, () => props.playerId, () => store.lastChangeId],
  async () => {
    const requestId = ++lastRequestId;
    const day = (of: string) =>
      request<DayView>(`/players/${props.playerId}/day?day=${of}&zone=${encodeURIComponent(ZONE)}`);
    try {
      const [then, after, changed] = await Promise.all([
        day(from.value),
        day(to.value),
        request<DifferenceView[]>(`/players/${props.playerId}/differences?from=${from.value}&to=${to.value}`),
      ]);
      if (requestId !== lastRequestId) return;
      days.value = { then, after };
      differences.value = changed;
      problem.value = '';
    } catch (error) {
      if (requestId === lastRequestId) problem.value = (error as Error).message;
    }
  },
  { immediate: true },
);

const nameIn = (day: DayView, id: string) =>
  day.clubs.find((club) => club.id === id)?.name ?? store.clubsById.get(id)?.name ?? 'a club that is gone';
const bag = computed(() => {
  if (!days.value) return null;
  const { then, after } = days.value;
  const [was, is] = [then.gamer?.clubIds ?? [], after.gamer?.clubIds ?? []];
  return {
    out: was.filter((id) => !is.includes(id)).map((id) => nameIn(then, id)),
    in: is.filter((id) => !was.includes(id)).map((id) => nameIn(after, id)),
    stayed: was.filter((id) => is.includes(id)).length,
    thenName: then.gamer?.name,
    afterName: after.gamer?.name,
  };
});
const MAX_ROWS = 400;
/** Of a club that was not written down at all, one line says so. */
const isNew = computed(() => {
  const known = new Set(differences.value.flatMap((one) => (one.before ? [one.clubId] : [])));
  const unknownThen = new Set(
    (days.value?.then.clubs ?? []).flatMap(({ id, spec }) => (Object.keys(spec).length === 0 ? [id] : [])),
  );
  return (id: string) => !known.has(id) && unknownThen.has(id);
});
const newClubs = computed(() => [
  ...new Map(
    differences.value.filter((one) => isNew.value(one.clubId)).map((one) => [one.clubId, one.clubName]),
  ).entries(),
]);
const changed = computed(() => differences.value.filter((one) => !isNew.value(one.clubId)));
const shown = computed(() => changed.value.slice(0, MAX_ROWS));
const putting = ref(false);
</script>

<template>
  <section>
    <h2>Between two days</h2>
    <p class="bar">
      <label
        >end of <DateField :value="from" :max="to" label="end of" @update:value="set({ from: $event })"
      /></label>
      <label
        >to end of <DateField :value="to" :min="from" label="to end of" @update:value="set({ to: $event })"
      /></label>
    </p>
    <p v-if="events.length > 0" class="bar">
      <ChoiceField
        :value="events.find(({ value }) => value === from)?.value ?? null"
        label="From an event"
        placeholder="from an event…"
        :options="events"
        @update:value="set({ from: $event })"
      />
      <ChoiceField
        :value="events.find(({ value }) => value === to)?.value ?? null"
        label="To an event"
        placeholder="to an event…"
        :options="events.filter(({ value }) => value >= from)"
        @update:value="set({ to: $event })"
      />
    </p>
    <ProblemLine :text="problem" />
    <template v-if="days && bag">
      <p class="gamer">
        <template v-if="bag.thenName === undefined">No gamer yet on {{ shortDay(from) }}.</template>
        <template v-else-if="bag.out.length + bag.in.length === 0">
          The gamer holds the same {{ bag.stayed }} clubs<template v-if="bag.thenName !== bag.afterName"
            >, now in {{ bag.afterName }}</template
          >.
        </template>
        <template v-else>
          Gamer: <del v-for="name in bag.out" :key="name">{{ name }}</del>
          <ins v-for="name in bag.in" :key="name">{{ name }}</ins>
          <span class="quiet">{{ bag.stayed }} stayed</span>
        </template>
      </p>
      <Fold v-if="days.then.gamer || days.after.gamer" starts-open>
        <template #head>
          Both bags side by side
          <span v-if="days.then.ball !== days.after.ball" class="quiet small">and another ball</span>
        </template>
        <BagsOfDays :then="days.then" :after="days.after" :unit="unit" />
      </Fold>
      <p class="bar">
        <NButton v-if="!putting && days.then.gamer && !store.readOnly" @click="putting = true">
          Put it back as it was on {{ shortDay(from) }}…
        </NButton>
        <RouterLink :to="{ name: 'bag', params: { playerId }, query: { asOf: from } }"
          >The sheet of that day</RouterLink
        >
      </p>
      <PutBackPanel v-if="putting" :then="days.then" :unit="unit" @leave="putting = false" />
      <NTable v-if="shown.length" size="small" :bordered="false" :bottom-bordered="false" class="differences">
        <thead>
          <tr>
            <th scope="col">Club</th>
            <th scope="col">What</th>
            <th scope="col">{{ shortDay(from) }}</th>
            <th scope="col">{{ shortDay(to) }}</th>
            <th scope="col">Who and why</th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="(one, i) in shown" :key="`${one.clubId} ${one.key}`">
            <td>
              <RouterLink
                v-if="shown[i - 1]?.clubId !== one.clubId"
                :to="{ name: 'club-life', params: { playerId, clubId: one.clubId } }"
                >{{ one.clubName }}</RouterLink
              >
            </td>
            <td>{{ readingName(one.key) }}</td>
            <td class="quiet">{{ factWords(one.key, one.before?.value ?? null, unit) }}</td>
            <td>{{ factWords(one.key, one.after?.value ?? null, unit) }}</td>
            <td class="quiet small">
              <template v-if="one.by"
                >{{ one.by.who }}<template v-if="one.by.why">: {{ one.by.why }}</template></template
              >
            </td>
          </tr>
        </tbody>
      </NTable>
      <p v-if="newClubs.length > 0" class="new">
        Written down since:
        <template v-for="([id, name], i) in newClubs" :key="id"
          >{{ i ? ', ' : ''
          }}<RouterLink :to="{ name: 'club-life', params: { playerId, clubId: id } }">{{
            name
          }}</RouterLink></template
        >.
      </p>
      <p v-if="changed.length > MAX_ROWS" class="quiet small">
        {{ MAX_ROWS }} of {{ changed.length }} differences are shown; choose days nearer each other.
      </p>
      <p v-if="shown.length + newClubs.length === 0" class="quiet">No club is built or carries otherwise.</p>
    </template>
  </section>
</template>

<style scoped>
h2 {
  margin-bottom: 10px;
}
.gamer {
  margin-top: 10px;
  line-height: 1.6;
}
del {
  color: var(--brick);
  margin-right: 8px;
}
ins {
  color: var(--petrol);
  text-decoration: none;
  font-weight: 600;
  margin-right: 8px;
}
ins::before {
  content: '+ ';
}
.differences {
  margin-top: 10px;
  font-size: 13.5px;
}
th {
  text-align: left;
  font-weight: 400;
  color: var(--quiet);
}
td,
th {
  padding: 5px 10px 5px 0;
  vertical-align: top;
}
td:first-child {
  font-weight: 600;
}
</style>
