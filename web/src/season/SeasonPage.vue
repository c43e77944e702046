<script setup lang="ts">
import ShareButton from '../sharing/ShareButton.vue';
import { NButton, NCalendar, NConfigProvider, NEmpty } from 'naive-ui';
import {
  SEASON_RULE_BOUNDS,
  USUAL_SEASON,
  seasonOf,
  type PlayerSeason,
  type SeasonEntry,
  type SeasonEntryKind,
} from '@tasche/contract';
import { dayPlus, type SeasonRules } from '@tasche/core';
import { format, parseISO } from 'date-fns';
import { computed, onMounted, ref, useTemplateRef } from 'vue';
import { shortDay, today } from '../app/day';
import PageHead from '../app/PageHead.vue';
import { teeWords } from '../plan/tee-words';
import { useSchedule } from '../courses/schedule-store';
import NumberField from '../fields/NumberField.vue';
import { useSheet } from '../sheet/sheet-store';
import { entryLink } from './entry-link';
import CalendarImport from './CalendarImport.vue';
import SeasonItems from './SeasonItems.vue';
import SeasonTrials from './SeasonTrials.vue';
import SeasonWorth from './SeasonWorth.vue';
import TripClubs from './TripClubs.vue';
import { ENTRY_MARKS, ENTRY_WORDS } from './season-words';
import { calendarLocale, firstDayOfWeek } from './week-start';

/**
 * A player's season: events, what the days before them are for, freezes, trips, trials, what is due, and what
 * gets in each other's way.
 */
const props = defineProps<{ playerId: string }>();
const store = useSheet();
const schedule = useSchedule();
onMounted(() => void schedule.load());

const season = computed(() => store.sheet!.player.season ?? USUAL_SEASON);
const DAYS_BACK = 31;
const DAYS_ON = 400;
const view = computed(() =>
  seasonOf(store.sheet!, schedule.events, dayPlus(today(), -DAYS_BACK), dayPlus(today(), DAYS_ON), today()),
);
const coming = computed(() => view.value.entries.filter(({ to }) => to >= today()));
const clashes = computed(() => view.value.clashes.filter(({ day }) => day >= today()));

function set(next: PlayerSeason): void {
  const { id, version } = store.sheet!.player;
  store.change([{ do: 'editPlayer', playerId: id, version, set: { season: next } }]);
}
const RULES: readonly { key: keyof SeasonRules; label: string }[] = [
  { key: 'testDays', label: 'Test' },
  { key: 'playDays', label: 'Play in' },
  { key: 'untouchedDays', label: 'Leave alone' },
];
function setRule(key: keyof SeasonRules, days: number | null): void {
  if (days !== null && days !== season.value.rules[key])
    set({ ...season.value, rules: { ...season.value.rules, [key]: days } });
}

const locale = calendarLocale(navigator.language);
const month = ref(Date.now());
/** The component library gives its two arrows no name. */
const monthSection = useTemplateRef<HTMLElement>('monthSection');
onMounted(() => {
  const arrows = [...(monthSection.value?.querySelectorAll('.n-calendar-header button') ?? [])].filter(
    (button) => button.textContent!.trim() === '',
  );
  arrows[0]?.setAttribute('aria-label', 'Month before');
  arrows[1]?.setAttribute('aria-label', 'Month after');
});
const dayOf = ({ year, month: m, date }: { year: number; month: number; date: number }) =>
  `${year}-${String(m).padStart(2, '0')}-${String(date).padStart(2, '0')}`;
/** Kinds the name of an entry does not say. */
const SAID: ReadonlySet<SeasonEntryKind> = new Set(['freeze', 'trip', 'note', 'ticket', 'trial', 'round']);
const MAX_A_DAY = 3;
/** What goes on over days is named where it begins, and at the beginning of each week. */
const isNamed = ({ from }: SeasonEntry, day: string) =>
  from === day || (parseISO(day).getDay() + 6) % 7 === firstDayOfWeek(navigator.language);
const byDay = (day: string) => view.value.entries.filter(({ from, to }) => from <= day && day <= to);

const linkOf = (entry: SeasonEntry) => entryLink(props.playerId, entry);
const spanWords = ({ from, to, tee }: SeasonEntry) =>
  from === to
    ? [shortDay(from), tee && teeWords({ day: from, teeTime: tee.time }, tee.zone)].filter(Boolean).join(', ')
    : `${shortDay(from)} to ${shortDay(to)}`;
const monthOf = (day: string) => format(parseISO(day), 'MMMM yyyy');
const bringing = ref(false);
</script>

<template>
  <div class="page">
    <PageHead :of="store.sheet!.player.name">
      Season
      <template #says>
        <p class="quiet rules no-print">
          Before an event, days to
          <label v-for="{ key, label } in RULES" :key="key"
            >{{ label.toLowerCase() }}
            <NumberField
              :value="season.rules[key]"
              :label="`Days to ${label.toLowerCase()}`"
              :bounds="SEASON_RULE_BOUNDS"
              whole
              :px="48"
              :readonly="store.readOnly"
              @write="setRule(key, $event)"
            />
          </label>
        </p>
      </template>
      <template #actions>
        <NButton tag="a" :href="`/api/players/${playerId}/season.ics`">Calendar file</NButton>
        <ShareButton :player-id="playerId" paper="calendar" label="Calendar feed" />
        <NButton tag="a" :href="`/api/players/${playerId}/season.csv`">CSV</NButton>
        <NButton v-if="!store.readOnly && !bringing" @click="bringing = true">Bring a calendar…</NButton>
      </template>
    </PageHead>
    <CalendarImport v-if="bringing" @leave="bringing = false" />
    <section v-if="clashes.length > 0" class="card clashes" aria-label="In each other’s way">
      <p v-for="(clash, i) in clashes" :key="i" class="verdict warning">
        ◆ {{ shortDay(clash.day) }}: {{ clash.text }}
      </p>
    </section>
    <div class="columns">
      <section class="agenda" aria-label="What is coming">
        <h2>Coming</h2>
        <NEmpty v-if="coming.length === 0" description="Nothing is planned." />
        <ol class="rows">
          <template v-for="(entry, i) in coming" :key="entry.uid">
            <li v-if="i === 0 || monthOf(coming[i - 1]!.from) !== monthOf(entry.from)" class="month">
              {{ monthOf(entry.from) }}
            </li>
            <li :class="entry.kind">
              <span class="quiet day">{{ spanWords(entry) }}</span>
              <span class="mark" aria-hidden="true">{{ ENTRY_MARKS[entry.kind] }}</span>
              <span>
                <RouterLink v-if="linkOf(entry)" :to="linkOf(entry)!">{{ entry.name }}</RouterLink>
                <template v-else>{{ entry.name }}</template>
                {{ ' '
                }}<span v-if="SAID.has(entry.kind)" class="quiet small">{{ ENTRY_WORDS[entry.kind] }}</span>
                <span v-if="entry.kind === 'event' && entry.planId === null" class="verdict warning small">
                  ◆ no plan</span
                >
                <TripClubs v-if="entry.kind === 'trip'" :player-id="playerId" :trip="entry" />
              </span>
            </li>
          </template>
        </ol>
        <SeasonWorth class="no-print" />
      </section>
      <section ref="monthSection" class="no-print" aria-label="Month">
        <NConfigProvider :locale="locale" abstract>
          <NCalendar v-model:value="month" class="calendar" #="{ year, month: m, date }">
            <span
              v-for="entry in byDay(dayOf({ year, month: m, date })).slice(0, MAX_A_DAY)"
              :key="entry.uid"
              class="chip"
              :class="entry.kind"
              :title="`${entry.name}, ${ENTRY_WORDS[entry.kind]}`"
              ><template v-if="isNamed(entry, dayOf({ year, month: m, date }))"
                ><span aria-hidden="true">{{ ENTRY_MARKS[entry.kind] }}</span> {{ entry.name }}</template
              ><template v-else>&nbsp;</template></span
            >
            <span v-if="byDay(dayOf({ year, month: m, date })).length > MAX_A_DAY" class="quiet more"
              >{{ byDay(dayOf({ year, month: m, date })).length - MAX_A_DAY }} more</span
            >
          </NCalendar>
        </NConfigProvider>
        <SeasonItems :season="season" :read-only="store.readOnly" @set="set" />
        <SeasonTrials
          :player-id="playerId"
          :season="season"
          :clubs="store.clubs"
          :read-only="store.readOnly"
          @set="set"
        />
      </section>
    </div>
  </div>
</template>

<style scoped>
.rules {
  display: flex;
  flex-wrap: wrap;
  gap: 4px 12px;
  align-items: center;
  margin-top: 4px;
}
.rules label {
  display: inline-flex;
  gap: 6px;
  align-items: center;
}
.clashes {
  padding: 8px 14px;
  margin-bottom: 12px;
  display: grid;
  gap: 3px;
}
.columns {
  display: grid;
  grid-template-columns: minmax(0, 2fr) minmax(0, 3fr);
  gap: 32px;
}
.rows {
  list-style: none;
  margin: 6px 0 0;
  padding: 0;
}
.rows li {
  display: grid;
  grid-template-columns: 118px 20px 1fr;
  gap: 6px;
  padding: 6px 0;
  border-top: 1px solid var(--line-soft);
}
.rows li.month {
  display: block;
  border-top: 0;
  padding-top: 12px;
  font-weight: 600;
}
.rows li.event {
  font-weight: 600;
}
.day {
  font-weight: 400;
  font-size: 13px;
  padding-top: 1px;
}
.mark {
  color: var(--petrol);
}
.calendar {
  height: auto;
  margin-bottom: 18px;
}
.calendar :deep(.n-calendar-cell) {
  height: 92px;
}
.calendar :deep(.n-calendar-date__day),
.calendar :deep(.n-calendar-cell--other-month .n-calendar-date__date) {
  color: var(--quiet) !important;
}
.calendar :deep(.n-calendar-cell__bar) {
  display: none;
}
.chip {
  display: block;
  font-size: 11px;
  line-height: 16px;
  overflow: hidden;
  white-space: nowrap;
  text-overflow: ellipsis;
  padding: 0 3px;
  border-radius: 2px;
  margin-bottom: 1px;
  background: var(--linen-deep);
  color: var(--ink);
}
.chip.event {
  background: var(--petrol);
  color: var(--paper);
}
.chip.untouched,
.chip.freeze {
  background: var(--brass-soft);
}
.more {
  font-size: 11px;
}
.no-plan {
  margin-left: 8px;
}
@media (max-width: 900px) {
  .columns {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>
