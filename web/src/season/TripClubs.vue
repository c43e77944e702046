<script setup lang="ts">
import { tripClubs } from '@tasche/contract';
import { computed } from 'vue';
import { counted } from '@tasche/core';
import { useSchedule } from '../courses/schedule-store';
import { useSheet } from '../sheet/sheet-store';

/** What goes along on a trip and what stays at home, going by the bags that are settled for its rounds. */
const props = defineProps<{ playerId: string; trip: { from: string; to: string } }>();
const store = useSheet();
const schedule = useSchedule();
const clubs = computed(() => tripClubs(props.trip, store.sheet!, schedule.events));
const names = (ids: readonly string[]) => ids.map(store.nameOf).join(', ');
</script>

<template>
  <span v-if="clubs" class="trip small">
    <template v-if="clubs.settled > 0">
      {{ counted(clubs.clubIds.length, 'club') }} travel: {{ names(clubs.clubIds) }}.
      <template v-if="clubs.homeIds.length > 0">At home: {{ names(clubs.homeIds) }}.</template>
    </template>
    <span v-if="clubs.settled < clubs.rounds" class="verdict warning">
      ◆ {{ clubs.rounds - clubs.settled }} of {{ counted(clubs.rounds, 'round') }} without a settled bag</span
    >{{ ' ' }}
    <RouterLink
      :to="{ name: 'plan', params: { playerId, planId: clubs.planId }, query: { round: 'travel' } }"
      class="no-print"
      >what to take</RouterLink
    >
  </span>
</template>

<style scoped>
.trip {
  display: block;
  margin-top: 2px;
}
</style>
