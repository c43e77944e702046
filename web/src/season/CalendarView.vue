<script setup lang="ts">
import { byName } from '../app/by-name';
import ProblemLine from '../app/ProblemLine.vue';
import LoadingRows from '../app/LoadingRows.vue';
import {
  seasonOf,
  type CalendarEntry,
  type CalendarPage,
  type SeasonEntry,
  type SeasonEntryKind,
  type SheetView,
} from '@tasche/contract';
import { dayPlus } from '@tasche/core';
import { format, parseISO } from 'date-fns';
import { NButton, NEmpty } from 'naive-ui';
import { computed, defineAsyncComponent, onMounted, ref } from 'vue';
import { useRoute, useRouter } from 'vue-router';
import { usePages } from '../api/read';
import { shortDay, today } from '../app/day';
import PageHead from '../app/PageHead.vue';
import { useSchedule } from '../courses/schedule-store';
import { isDraftKept } from '../fields/kept-draft';
import { mayDoHere } from '../people/rights';
import CalendarLanes from './CalendarLanes.vue';
import { IMPORT_FORM } from './event-import';
import { calendarLanes } from './calendar-lanes';
import { ENTRY_MARKS, ENTRY_WORDS } from './season-words';
import { firstDayOfWeek } from './week-start';

/**
 * Everybody's season on the same weeks: who plays where, what the days before are for, what is due, and what
 * conflicts.
 */
const WEEKS = 5;
const DAYS = WEEKS * 7;
const PAGE = 50;
const LEGEND = Object.keys(ENTRY_WORDS).filter((kind) => kind !== 'round') as SeasonEntryKind[];
const route = useRoute();
const router = useRouter();
const schedule = useSchedule();
onMounted(() => void schedule.load());

/** The week a day is in begins where the reader's weeks do. */
function weekOf(day: string): string {
  const since = ((parseISO(day).getDay() + 6) % 7) - firstDayOfWeek(navigator.language);
  return dayPlus(day, -((since + 7) % 7));
}
const from = computed(() => {
  const asked = route.query.from;
  return weekOf(typeof asked === 'string' && /^\d{4}-\d\d-\d\d$/.test(asked) ? asked : today());
});
const to = computed(() => dayPlus(from.value, DAYS - 1));
const go = (day: string) => void router.replace({ query: { ...route.query, from: day } });

const { rows, total, hasMore, more, again, problem } = usePages<CalendarEntry, CalendarPage>(
  (next) =>
    `/calendar?from=${from.value}&to=${to.value}&today=${today()}&limit=${PAGE}${next === null ? '' : `&after=${encodeURIComponent(next)}`}`,
);

// Its reader knows the months in ten languages.
const EventImport = defineAsyncComponent(() => import('./EventImport.vue'));
const isImporting = ref(isDraftKept(IMPORT_FORM));

const days = computed(() => Array.from({ length: DAYS }, (_one, i) => dayPlus(from.value, i)));
const weeks = computed(() => days.value.filter((_day, i) => i % 7 === 0));
const isWeekend = (day: string) => [0, 6].includes(parseISO(day).getDay());
const now = computed(() => days.value.indexOf(today()));
const players = computed(() =>
  (rows.value ?? [])
    .map(({ player, entries, clashes }) => ({
      player,
      lanes: calendarLanes(entries, from.value, DAYS),
      clashes: clashes.filter(({ day }) => day >= from.value && day <= to.value),
    }))
    .sort((a, b) => byName(a.player, b.player)),
);
/** All events, with or without a planned player. */
const events = computed(() => {
  const nobody = {
    player: { season: null },
    plans: [],
    tickets: [],
    clubs: [],
    bags: [],
  } as unknown as SheetView;
  const { entries } = seasonOf(nobody, schedule.events, from.value, to.value, today());
  return calendarLanes(entries as readonly SeasonEntry[], from.value, DAYS);
});
</script>

<template>
  <div class="page">
    <PageHead>
      Calendar
      <template #says>
        <p class="quiet small">{{ shortDay(from) }} to {{ shortDay(to) }}, everybody.</p>
      </template>
      <template #actions>
        <NButton @click="go(dayPlus(from, -7 * (WEEKS - 1)))">Earlier</NButton>
        <NButton @click="go(today())">Today</NButton>
        <NButton @click="go(dayPlus(from, 7 * (WEEKS - 1)))">Later</NButton>
        <NButton v-if="mayDoHere('addEvent') && !isImporting" @click="isImporting = true"
          >Import events…</NButton
        >
      </template>
    </PageHead>
    <EventImport v-if="isImporting" @leave="isImporting = false" />
    <ProblemLine :text="problem"> <NButton size="small" @click="again">Try again</NButton></ProblemLine>
    <NEmpty v-if="rows?.length === 0" description="Nobody is on the roster yet.">
      <template #extra><RouterLink to="/roster">To the roster</RouterLink></template>
    </NEmpty>
    <div v-else-if="rows" class="board" tabindex="0" role="region" aria-label="Weeks of everybody">
      <div class="line heads">
        <span class="who" />
        <div class="days">
          <b
            v-for="(week, i) in weeks"
            :key="week"
            class="week"
            :style="{ gridColumn: `${i * 7 + 1} / span 7` }"
            >{{ format(parseISO(week), 'd MMM') }}</b
          >
          <span
            v-for="(day, i) in days"
            :key="day"
            class="day"
            :class="{ weekend: isWeekend(day), now: i === now }"
            :style="{ gridColumn: i + 1 }"
            >{{ format(parseISO(day), 'd') }}</span
          >
        </div>
      </div>
      <div v-if="events.length > 0" class="line">
        <span class="who quiet">Events</span>
        <CalendarLanes :lanes="events" :days="DAYS" :now="now" />
      </div>
      <div v-for="{ player, lanes, clashes } in players" :key="player.id" class="line">
        <RouterLink class="who" :to="{ name: 'season', params: { playerId: player.id } }">{{
          player.name
        }}</RouterLink>
        <div>
          <CalendarLanes :lanes="lanes" :days="DAYS" :now="now" :player-id="player.id" />
          <p v-for="(clash, i) in clashes" :key="i" class="verdict warning small">
            ◆ {{ shortDay(clash.day) }}: {{ clash.text }}
          </p>
        </div>
      </div>
    </div>
    <p v-if="rows?.length" class="quiet small">
      <span v-for="kind in LEGEND" :key="kind" class="mark"
        ><span aria-hidden="true">{{ ENTRY_MARKS[kind] }}</span> {{ ENTRY_WORDS[kind] }}</span
      >
    </p>
    <p v-if="hasMore">
      <NButton @click="more">Show more players: {{ rows?.length }} of {{ total }} shown</NButton>
    </p>
    <LoadingRows v-if="!rows && !problem" />
  </div>
</template>

<style scoped>
.board {
  overflow-x: auto;
}
.line {
  display: grid;
  grid-template-columns: 130px minmax(840px, 1fr);
  border-top: 1px solid var(--line-soft);
  padding: 5px 0;
  align-items: start;
}
.heads {
  border-top: 0;
}
.who {
  position: sticky;
  left: 0;
  z-index: 1;
  background: var(--linen);
  padding: 1px 8px 1px 0;
  font-weight: 600;
}
.mark {
  margin-right: 16px;
}
.days {
  display: grid;
  grid-template-columns: repeat(35, minmax(0, 1fr));
}
.week {
  font-size: 12.5px;
  border-left: 1px solid var(--line);
  padding-left: 4px;
}
.day {
  grid-row: 2;
  font-size: 11px;
  text-align: center;
  color: var(--quiet);
}
.day.weekend {
  background: var(--linen-deep);
}
.day.now {
  background: var(--petrol);
  color: var(--on-petrol);
  border-radius: 3px;
}
</style>
