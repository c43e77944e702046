<script setup lang="ts">
import { NButton } from 'naive-ui';
import {
  hitFrom,
  hitsARound,
  roundsPlayed,
  type Command,
  type RoundAfter,
  type RoundPlayedDetails,
} from '@tasche/contract';
import { counted, distanceNumber, ladderClub } from '@tasche/core';
import { v4 as newId } from 'uuid';
import { computed, onMounted, ref } from 'vue';
import { useRoute, useRouter } from 'vue-router';
import AwayLine from '../app/AwayLine.vue';
import DataTable from '../app/DataTable.vue';
import type { DataColumn } from '../app/data-table';
import { shortDay, today } from '../app/day';
import { useSchedule } from '../courses/schedule-store';
import { useSettings } from '../app/settings';
import { isDraftKept } from '../fields/kept-draft';
import AfterRound from '../plan/AfterRound.vue';
import { hitReadings } from '../plan/hit-readings';
import { useSheet } from '../sheet/sheet-store';
import RoundForm from './RoundForm.vue';

/**
 * Recorded rounds, of events and by themselves: how often clubs are hit, what the
 * player said, what to keep.
 */
const props = defineProps<{ playerId: string }>();
const store = useSheet();
const schedule = useSchedule();
const settings = useSettings();
const unit = computed(() => settings.unitFor(store.sheet!.player.distanceUnit));
onMounted(() => void schedule.load());

const rounds = computed(() => roundsPlayed(store.sheet!, schedule.events, schedule.courses));
const hits = computed(() => hitsARound(rounds.value).filter(({ clubId }) => store.clubsById.has(clubId)));
const name = (id: string) => store.clubsById.get(id)!.name;
const written = (id: string) => {
  const value = store.clubsById.get(id)!.spec.hitsPerRound?.value;
  return typeof value === 'number' ? value : null;
};
const differing = computed(() => hits.value.filter(({ clubId, perRound }) => written(clubId) !== perRound));
const never = computed(() => hits.value.filter(({ perRound, rounds: count }) => perRound === 0 && count > 1));
function write(): void {
  store.change(
    differing.value.map(({ clubId, perRound }): Command => ({
      do: 'editClub',
      clubId,
      version: store.clubsById.get(clubId)!.version,
      readings: [{ key: 'hitsPerRound', value: perRound, takenOn: today() }],
    })),
    `mean of ${counted(rounds.value.length, 'round')} played`,
  );
}
/** "150 to 168 yd": from where a club was hit, eight times in ten. */
function from(clubId: string): string {
  const found = hitFrom(
    rounds.value.flatMap(({ shots }) => shots),
    clubId,
  );
  if (!found) return '';
  const [low, high] = [found.fromM, found.toM].map((metres) => distanceNumber(metres, unit.value));
  return low === high ? `${low} ${unit.value}` : `${low} to ${high} ${unit.value}`;
}
/** The round outside any event that is open, by the address. */
const route = useRoute();
const router = useRouter();
const open = computed(() => store.sheet!.roundsPlayed.find(({ id }) => id === route.query.played));
const show = (id: string | null) =>
  void router.replace({
    query: { ...route.query, played: id === open.value?.id ? undefined : (id ?? undefined) },
  });
const adding = ref(isDraftKept(`round/${props.playerId}/new`));
const editing = ref(false);
function add(round: Omit<RoundPlayedDetails, 'after'>): void {
  const id = newId();
  const after = { hits: {}, says: '', keep: '' };
  store.change([{ do: 'addRoundPlayed', round: { id, playerId: props.playerId, ...round, after } }]);
  adding.value = false;
  show(id);
}
function edit(set: Partial<RoundPlayedDetails>): void {
  const { id, version } = open.value!;
  store.change([{ do: 'editRoundPlayed', roundId: id, version, set }]);
  editing.value = false;
}
function remove(): void {
  const { id, version } = open.value!;
  store.change([{ do: 'removeRoundPlayed', roundId: id, version }]);
  show(null);
}
const carried = computed(() => {
  const ids = store.sheet!.bags.find(({ id }) => id === open.value?.bagId)?.clubIds ?? [];
  return ids.flatMap((id) => (store.clubsById.has(id) ? [ladderClub(store.clubsById.get(id)!)] : []));
});
function writeHits(counted: RoundAfter['hits']): void {
  store.change(hitReadings(counted, open.value!.playedOn, store.clubsById), `hit on ${open.value!.playedOn}`);
}
const total = (round: (typeof rounds.value)[number]) =>
  Object.values(round.hits).reduce((sum, times) => sum + times, 0);
const columns: DataColumn<(typeof rounds.value)[number]>[] = [
  { id: 'day', head: 'Day', value: ({ day }) => day },
  { id: 'round', head: 'Round', isLong: true, value: ({ name }) => name },
  {
    id: 'said',
    head: 'What the player said',
    isLong: true,
    value: ({ says, keep }) => [says, keep && `keep: ${keep}`].filter(Boolean).join(' '),
  },
  { id: 'hits', head: 'Hits', align: 'right', value: total },
];
</script>

<template>
  <section aria-label="Rounds played" class="played">
    <div class="head">
      <h2>Rounds played</h2>
      <NButton v-if="!adding && store.may('addRoundPlayed')" size="small" @click="adding = true"
        >Add a round…</NButton
      >
    </div>
    <RoundForm v-if="adding" @save="add" @leave="adding = false" />
    <AwayLine :state="schedule.state" />
    <p v-if="rounds.length === 0 && !adding && schedule.state === 'ready'" class="quiet small">
      No rounds yet. What was hit from where shows how often each club is hit, and what a course asks for.
    </p>
    <DataTable
      v-if="rounds.length > 0"
      caption="Rounds played"
      :columns="columns"
      :rows="rounds"
      :row-key="({ roundId }) => roundId"
      :searched="(round) => `${round.name} ${round.courseName ?? ''} ${round.says} ${round.keep}`"
    >
      <template #day="{ row }"
        ><span class="quiet">{{ shortDay(row.day) }}</span></template
      >
      <template #round="{ row: round }">
        <NButton
          v-if="round.planId === null"
          text
          :aria-expanded="round.roundId === open?.id"
          @click="show(round.roundId)"
          >{{ round.name }}</NButton
        >
        <RouterLink
          v-else
          :to="{
            name: 'plan',
            params: { playerId, planId: round.planId },
            query: { round: round.roundId },
          }"
          >{{ round.name }}</RouterLink
        >
        <span v-if="round.courseName" class="quiet small">, {{ round.courseName }}</span>
      </template>
      <template #hits="{ row }"
        ><span class="quiet small">{{
          total(row) > 0 ? `${counted(total(row), 'hit')} counted` : 'none counted'
        }}</span></template
      >
    </DataTable>
    <div v-if="open" :key="open.id">
      <h3>{{ rounds.find(({ roundId }) => roundId === open!.id)?.name }}, {{ shortDay(open.playedOn) }}</h3>
      <RoundForm v-if="editing" :round="open" @save="edit" @leave="editing = false" />
      <p v-else-if="store.may('editRoundPlayed')" class="bar">
        <NButton size="small" @click="editing = true">Change day, course or bag…</NButton>
        <NButton size="small" data-once @click="remove">Delete the round</NButton>
      </p>
      <AfterRound
        :key="open.id"
        :about="`${playerId}/${open.id}`"
        :after="open.after"
        :carried="carried"
        :clubs="store.clubs"
        :unit="unit"
        :read-only="!store.may('editRoundPlayed')"
        @set="edit({ after: $event })"
        @to-sheet="writeHits"
      />
    </div>
    <template v-if="hits.length > 0">
      <p class="hits">
        A round:
        <span v-for="{ clubId, perRound } in hits" :key="clubId"
          >{{ name(clubId) }} <b>{{ perRound }}</b><span v-if="from(clubId)" class="quiet small">
            from {{ from(clubId) }}</span
          ></span
        >
      </p>
      <p v-if="never.length > 0" class="verdict warning small">
        ◆ Never hit in the rounds it was counted in: {{ never.map(({ clubId }) => name(clubId)).join(', ') }}.
      </p>
      <NButton v-if="differing.length > 0 && store.may('editRoundPlayed')" size="small" @click="write"
        >Save hits per round to the sheet</NButton
      >
    </template>
  </section>
</template>

<style scoped>
.played {
  margin-top: 22px;
}
.head {
  display: flex;
  gap: 14px;
  align-items: baseline;
}
.hits {
  display: flex;
  flex-wrap: wrap;
  gap: 4px 14px;
  margin: 8px 0;
}
</style>
