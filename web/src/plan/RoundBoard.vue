<script setup lang="ts">
import type { Command, PlanRound } from '@tasche/contract';
import type { BagPreferences, DistanceUnit, GapReport, LadderClub, ShotDemand } from '@tasche/core';
import { ref } from 'vue';
import { steady } from '../app/steady';
import LockBoard from './LockBoard.vue';
import NeedsRail from './NeedsRail.vue';
import NeedsTable from './NeedsTable.vue';
import type { RoundAnswer, WorkedRound } from './round-worker';

/**
 * The clubs of a round, the shots it asks for, and both on one rail: what is pointed at in one is shown in all.
 */
const props = defineProps<{
  worked: WorkedRound;
  chosen: RoundAnswer | null;
  locker: readonly LadderClub[];
  /** The steps of the chosen bag. */
  report: GapReport | null;
  preferences: BagPreferences;
  /** Clubs the event allows. */
  allowed: number;
  gamer: readonly string[];
  own: Pick<PlanRound, 'changes' | 'notes'>;
  /** What earlier rounds on this course asked for, as far as shots were recorded. */
  played: readonly ShotDemand[];
  unit: DistanceUnit;
  readOnly: boolean;
}>();
const emit = defineEmits<{
  preferences: [part: Partial<BagPreferences>];
  round: [set: Extract<Command, { do: 'editRound' }>['set']];
}>();

const best = steady(() => props.chosen?.answer?.best.ids ?? []);
const pointed = ref<ShotDemand | null>(null);
/** What a club's reason named, and somebody asked to see. */
const shown = ref<ShotDemand | null>(null);
function showNeed(named: string): void {
  const demand = props.worked.needs.find(({ name }) => name === named) ?? null;
  shown.value = demand && { ...demand };
  pointed.value = demand;
}
</script>

<template>
  <div class="board">
    <LockBoard
      v-if="chosen?.answer"
      :clubs="worked.still"
      :home="locker"
      :chosen="best"
      :always="preferences.always"
      :never="preferences.never"
      :one-of="preferences.oneOf"
      :kinds="preferences.kinds"
      :limit="preferences.limit"
      :allowed="allowed"
      :gamer="gamer"
      :modelled="worked.modelled"
      :why="chosen.why"
      :answer="chosen.answer"
      :unit="unit"
      :read-only="readOnly"
      @set="emit('preferences', $event)"
      @need="showNeed"
    />
    <NeedsRail
      v-if="chosen?.answer"
      :clubs="worked.still"
      :home="locker"
      :chosen="best"
      :needs="worked.needs"
      :report="report!"
      :unit="unit"
      :pointed="pointed"
      :height="760"
    />
    <NeedsTable
      :needs="worked.needs"
      :taken-away="worked.takenAway"
      :shown="shown"
      :changes="own.changes"
      :notes="own.notes"
      :played="played"
      :strokes="worked.strokes"
      :rare-strokes="worked.rareStrokes"
      :unit="unit"
      :read-only="readOnly"
      @changes="emit('round', { changes: $event })"
      @notes="emit('round', { notes: $event })"
      @point="pointed = $event"
    />
  </div>
</template>

<style scoped>
.board {
  display: grid;
  grid-template-columns: minmax(390px, 1.2fr) 330px minmax(290px, 0.9fr);
  gap: 8px 22px;
  align-items: start;
}
@media (max-width: 1100px) {
  .board {
    grid-template-columns: minmax(0, 1fr) 330px;
  }
  .board > :last-child {
    grid-column: 1 / -1;
  }
}
@media (max-width: 760px) {
  .board {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>
