<script setup lang="ts">
import { roundsAWeek as usualRoundsAWeek } from '@tasche/contract';
import { ref } from 'vue';
import { useSheet } from '../sheet/sheet-store';
import BallsPlayed from './BallsPlayed.vue';
import BenchHead from './BenchHead.vue';
import GripsDue from './GripsDue.vue';
import GrooveWear from './GrooveWear.vue';

/** What wears: wedges' grooves, grips, and the balls a player has played. */
defineProps<{ playerId: string }>();
const store = useSheet();
const roundsAWeek = ref(usualRoundsAWeek(store.sheet!.player));
</script>

<template>
  <div class="page">
    <BenchHead :player-id="playerId">
      Wear and balls
      <template #says
        ><p class="quiet">Grooves by weeks and shots since they were new; the ball in play.</p></template
      >
    </BenchHead>
    <GrooveWear v-model:rounds-a-week="roundsAWeek" :player-id="playerId" />
    <GripsDue :player-id="playerId" :rounds-a-week="roundsAWeek" />
    <BallsPlayed />
  </div>
</template>

<style scoped>
section {
  margin-bottom: 22px;
}
</style>
