<script setup lang="ts">
import ShareButton from '../sharing/ShareButton.vue';
import { NButton, NCard } from 'naive-ui';
import {
  SEASON_RULE_BOUNDS,
  USUAL_SEASON,
  seasonOf,
  type Command,
  type PlayerSeason,
} from '@tasche/contract';
import { dayPlus, type SeasonRules } from '@tasche/core';
import { computed, defineAsyncComponent, onMounted, ref } from 'vue';
import AwayLine from '../app/AwayLine.vue';
import { shortDay, today } from '../app/day';
import PageHead from '../app/PageHead.vue';
import { useSchedule } from '../courses/schedule-store';
import { isDraftKept } from '../fields/kept-draft';
import NumberField from '../fields/NumberField.vue';
import { useSheet } from '../sheet/sheet-store';
import { IMPORT_FORM } from './event-import';
import SeasonAgenda from './SeasonAgenda.vue';
import SeasonItems from './SeasonItems.vue';
import SeasonMonth from './SeasonMonth.vue';
import SeasonTrials from './SeasonTrials.vue';
import SeasonWorth from './SeasonWorth.vue';

/**
 * A player's season: events, what the days before them are for, freezes, trips, trials, what is due, and what
 * conflicts.
 */
defineProps<{ playerId: string }>();
const store = useSheet();
const schedule = useSchedule();
onMounted(() => void schedule.load());

const season = computed(() => store.sheet!.player.season ?? USUAL_SEASON);
const DAYS_ON = 400;
const between = (from: string, to: string) => seasonOf(store.sheet!, schedule.events, from, to, today());
const view = computed(() => between(today(), dayPlus(today(), DAYS_ON)));
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

// Its reader knows the months in ten languages.
const EventImport = defineAsyncComponent(() => import('./EventImport.vue'));
const isImporting = ref(isDraftKept(IMPORT_FORM));
const importsFor = computed(() => {
  const { id, name } = store.sheet!.player;
  return { id, name, hasGamer: store.gamer !== undefined };
});
function leaveImport(plans: readonly Command[]): void {
  isImporting.value = false;
  // The events are in the outbox before the plans that are for them, and are sent before them.
  if (plans.length > 0) store.change(plans, 'out of a list');
}
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
              :readonly="!store.may('editPlayer')"
              @write="setRule(key, $event)"
            />
          </label>
        </p>
      </template>
      <template #actions>
        <NButton tag="a" :href="`/api/players/${playerId}/season.ics`">Calendar file</NButton>
        <ShareButton :player-id="playerId" paper="calendar" label="Calendar feed" />
        <NButton tag="a" :href="`/api/players/${playerId}/season.csv`">CSV</NButton>
        <NButton v-if="store.may('addEvent') && !isImporting" @click="isImporting = true"
          >Import events…</NButton
        >
      </template>
    </PageHead>
    <EventImport v-if="isImporting" :player="importsFor" @leave="leaveImport" />
    <AwayLine :state="schedule.state" />
    <NCard tag="section" class="clashes" v-if="clashes.length > 0" aria-label="Conflicts">
      <p v-for="(clash, i) in clashes" :key="i" class="verdict warning">
        ◆ {{ shortDay(clash.day) }}: {{ clash.text }}
      </p>
    </NCard>
    <div class="columns">
      <section class="agenda" aria-label="What is coming">
        <h2>Coming</h2>
        <SeasonAgenda :player-id="playerId" :coming="view.entries" :is-whole="schedule.state === 'ready'" />
        <SeasonWorth class="no-print" />
      </section>
      <section class="no-print" aria-label="Month">
        <SeasonMonth class="month" :between="(from, to) => between(from, to).entries" />
        <SeasonItems
          :player-id="playerId"
          :season="season"
          :read-only="!store.may('editPlayer')"
          @set="set"
        />
        <SeasonTrials
          :player-id="playerId"
          :season="season"
          :clubs="store.clubs"
          :read-only="!store.may('editPlayer')"
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
.month {
  margin-bottom: 18px;
}
@media (max-width: 900px) {
  .columns {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>
