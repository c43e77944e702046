<script setup lang="ts">
import ProblemLine from '../app/ProblemLine.vue';
import { NButton } from 'naive-ui';
import DataTable from '../app/DataTable.vue';
import type { DataColumn } from '../app/data-table';
import type { DayView, DifferenceView, EventView } from '@tasche/contract';
import type { DistanceUnit } from '@tasche/core';
import { computed, onMounted, ref, watch } from 'vue';
import { useRoute, useRouter } from 'vue-router';
import { useRead, useReads } from '../api/read';
import { shortDay, today } from '../app/day';
import { useSchedule } from '../courses/schedule-store';
import ChoiceField from '../fields/ChoiceField.vue';
import DateField from '../fields/DateField.vue';
import { useSheet } from '../sheet/sheet-store';
import Fold from '../app/Fold.vue';
import LoadingRows from '../app/LoadingRows.vue';
import BagsOfDays from './BagsOfDays.vue';
import PutBackPanel from './PutBackPanel.vue';
import { factWords, readingName } from './fact-words';

/**
 * Any two days, or events, side by side: what was in the gamer, how the clubs were built, who changed it and
 * why; and the way back.
 */
const props = defineProps<{ playerId: string; unit: DistanceUnit }>();
/** All of it is laid out: what is below does not move any more. */
const emit = defineEmits<{ settled: [] }>();
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

const dayOf = (day: string) => `/players/${props.playerId}/day?day=${day}&zone=${encodeURIComponent(ZONE)}`;
const bothDays = useReads<DayView>(() => [dayOf(from.value), dayOf(to.value)]);
const days = computed(() => {
  const [then, after] = bothDays.found.value ?? [];
  return then && after ? { then, after } : null;
});
const between = useRead<DifferenceView[]>(
  () => `/players/${props.playerId}/differences?from=${from.value}&to=${to.value}`,
);
const differences = computed(() => between.found.value ?? []);
const problem = computed(() => bothDays.problem.value || between.problem.value);
const isRead = computed(() => days.value !== null && between.found.value !== undefined);
watch(
  () => isRead.value || problem.value !== '',
  (isSettled) => {
    if (isSettled) emit('settled');
  },
  { immediate: true },
);

const nameIn = (day: DayView, id: string) =>
  day.clubs.find((club) => club.id === id)?.name ?? store.nameOf(id);
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
/** Of a club that was not recorded at all, one line says so. */
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
const columns = computed((): DataColumn<DifferenceView>[] => [
  { id: 'club', head: 'Club', value: ({ clubName }) => clubName },
  { id: 'what', head: 'What', value: ({ key }) => readingName(key) },
  { id: 'before', head: shortDay(from.value), value: (one) => valueWords(one.key, one.before) },
  { id: 'after', head: shortDay(to.value), value: (one) => valueWords(one.key, one.after) },
  {
    id: 'by',
    isLong: true,
    head: 'Who and why',
    value: ({ by }) => (by ? [by.who, by.why].filter(Boolean).join(': ') : ''),
  },
]);
const valueWords = (key: DifferenceView['key'], reading: DifferenceView['before']) =>
  factWords(key, reading?.value ?? null, props.unit);
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
    <LoadingRows v-if="!isRead && !problem" :rows="6" label="Reading both days" />
    <template v-else-if="days && bag">
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
          <span v-if="days.then.ball !== days.after.ball" class="quiet small">and a different ball</span>
        </template>
        <BagsOfDays :then="days.then" :after="days.after" :unit="unit" />
      </Fold>
      <p class="bar">
        <NButton v-if="!putting && days.then.gamer && store.may('putIn')" @click="putting = true">
          Put it back as it was on {{ shortDay(from) }}…
        </NButton>
        <RouterLink :to="{ name: 'bag', params: { playerId }, query: { asOf: from } }"
          >The sheet of that day</RouterLink
        >
      </p>
      <PutBackPanel v-if="putting" :then="days.then" :unit="unit" @leave="putting = false" />
      <DataTable
        v-if="changed.length"
        caption="What differs between the two days"
        :columns="columns"
        :rows="changed"
        :row-key="(one) => `${one.clubId} ${one.key}`"
        :searched="
          (one) => `${one.clubName} ${readingName(one.key)} ${one.by?.who ?? ''} ${one.by?.why ?? ''}`
        "
        class="differences"
      >
        <template #club="{ row }">
          <RouterLink :to="{ name: 'club-life', params: { playerId, clubId: row.clubId } }">{{
            row.clubName
          }}</RouterLink>
        </template>
      </DataTable>
      <p v-if="newClubs.length > 0" class="new">
        Recorded since:
        <template v-for="([id, name], i) in newClubs" :key="id"
          >{{ i ? ', ' : ''
          }}<RouterLink :to="{ name: 'club-life', params: { playerId, clubId: id } }">{{
            name
          }}</RouterLink></template
        >.
      </p>
      <p v-if="changed.length + newClubs.length === 0" class="quiet">No club’s build or carry differs.</p>
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
</style>
