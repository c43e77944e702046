<script setup lang="ts">
import { NButton, NTable } from 'naive-ui';
import { hitFrom, hitsARound, roundsPlayed, type Command } from '@tasche/contract';
import { distanceNumber } from '@tasche/core';
import { computed, onMounted } from 'vue';
import { counted } from '../app/counted';
import { shortDay, today } from '../app/day';
import { useSchedule } from '../courses/schedule-store';
import { useSettings } from '../app/settings';
import { useSheet } from '../sheet/sheet-store';

/** Rounds somebody wrote something down about: how often clubs are hit, what the player said, what to keep. */
defineProps<{ playerId: string }>();
const store = useSheet();
const schedule = useSchedule();
const settings = useSettings();
const unit = computed(() => settings.unitFor(store.sheet!.player.distanceUnit));
onMounted(() => void schedule.load());

const rounds = computed(() => roundsPlayed(store.sheet!.plans, schedule.events, schedule.courses));
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
const total = (round: (typeof rounds.value)[number]) =>
  Object.values(round.hits).reduce((sum, times) => sum + times, 0);
</script>

<template>
  <section v-if="rounds.length > 0" aria-label="Rounds played" class="played">
    <h2>Rounds played</h2>
    <NTable size="small" :bordered="false" :bottom-bordered="false">
      <tbody>
        <tr v-for="round in rounds" :key="round.roundId">
          <td class="quiet day">{{ shortDay(round.day) }}</td>
          <td>
            <RouterLink
              :to="{
                name: 'plan',
                params: { playerId, planId: round.planId },
                query: { round: round.roundId },
              }"
              >{{ round.name }}</RouterLink
            >
            <span v-if="round.courseName" class="quiet small">, {{ round.courseName }}</span>
            <br v-if="round.says || round.keep" />
            <span class="small">{{
              [round.says, round.keep && `keep: ${round.keep}`].filter(Boolean).join(' ')
            }}</span>
          </td>
          <td class="n quiet small">
            {{ total(round) > 0 ? `${counted(total(round), 'hit')} counted` : 'no hits counted' }}
          </td>
        </tr>
      </tbody>
    </NTable>
    <template v-if="hits.length > 0">
      <p class="hits">
        A round:
        <span v-for="{ clubId, perRound } in hits" :key="clubId"
          >{{ name(clubId) }} <b>{{ perRound }}</b><span v-if="from(clubId)" class="quiet small">
            from {{ from(clubId) }}</span
          ></span
        >
      </p>
      <p v-if="never.length > 0" class="verdict look small">
        ◆ Never hit in the rounds it was counted in: {{ never.map(({ clubId }) => name(clubId)).join(', ') }}.
      </p>
      <NButton v-if="differing.length > 0 && !store.readOnly" size="small" @click="write"
        >Write the hits a round into the sheet</NButton
      >
    </template>
  </section>
</template>

<style scoped>
.played {
  margin-top: 22px;
}
.day {
  width: 74px;
  vertical-align: top;
}
.n {
  text-align: right;
}
.hits {
  display: flex;
  flex-wrap: wrap;
  gap: 4px 14px;
  margin: 8px 0;
}
</style>
