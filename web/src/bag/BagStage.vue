<script setup lang="ts">
import type { BagView } from '@tasche/contract';
import type { Remedy, StepReport } from '@tasche/core';
import { computed, ref, useTemplateRef, type ComponentPublicInstance } from 'vue';
import { steady } from '../app/steady';
import type { SheetColumn } from '../sheet/sheet-columns';
import SheetGrid from '../sheet/SheetGrid.vue';
import { useSheet } from '../sheet/sheet-store';
import type { useSheetEditing } from '../sheet/use-sheet-editing';
import BagBoard from './BagBoard.vue';
import LeftOut from './LeftOut.vue';
import SwapPicker from './SwapPicker.vue';
import type { useBagClubs } from './use-bag-clubs';
import type { useBagLadder } from './use-bag-ladder';
import type { useBagTrial } from './use-bag-trial';
import { useCardPlace } from './use-card-place';
import type { useUsualRound } from './use-usual-round';
import VerdictCard from './VerdictCard.vue';

/**
 * The bag as one works on it: its sheet and ladder, the verdict, the swap that is picked, the clubs left out.
 */
const props = defineProps<{
  bag: BagView;
  ladder: ReturnType<typeof useBagLadder>;
  clubs: ReturnType<typeof useBagClubs>;
  tried: ReturnType<typeof useBagTrial>;
  editing: ReturnType<typeof useSheetEditing>;
  remedies: readonly Remedy[] | null;
  swapsFor: ReturnType<typeof useUsualRound>['swapsFor'];
  columns: readonly SheetColumn[];
  /** There is no room for the picture of the ladder beside the sheet. */
  isSheetAlone: boolean;
  asTable: boolean;
}>();
defineEmits<{ open: [clubId: string]; active: [clubId: string | null] }>();
const store = useSheet();
/* The parts are the page's for as long as it stands. */
const { trial, unit } = props.ladder;
const { picking, canEdit } = props.clubs;

const ROW_PX = 37;
const HEAD_PX = 42;
const grid = useTemplateRef<InstanceType<typeof SheetGrid>>('grid');
const pointed = ref<StepReport | null>(null);
/** A row is being dragged: the left-outs come up to where it can be put down. */
const carrying = ref(false);
const isCardOnTop = useCardPlace(
  useTemplateRef<HTMLElement>('stage'),
  useTemplateRef<ComponentPublicInstance>('board'),
  useTemplateRef<ComponentPublicInstance>('card'),
  () => trial.value !== null || pointed.value !== null,
);
const badged = steady(() =>
  [...props.ladder.freshClubs.value].map((id): [string, string] => [id, trial.value ? 'in' : 'new']),
);
const badges = computed(() => new Map(badged.value));
const nameOf = store.nameOf;

function paste(text: string, row: number, column: number): void {
  props.editing.paste(text, row, column, props.ladder.rows.value, props.columns);
}

defineExpose({
  focus: async () => grid.value?.focus(),
  goTo: async (clubId: string, column: string) => grid.value?.goTo(clubId, column),
});
</script>

<template>
  <div ref="stage" class="stage" :class="{ low: isCardOnTop }">
    <BagBoard
      ref="board"
      :ladder="ladder"
      :as-table="asTable"
      :is-sheet-alone="isSheetAlone"
      :row-px="ROW_PX"
      :head-px="HEAD_PX"
      :has-new-row="canEdit"
      :pointed="pointed"
      @point="pointed = $event"
    >
      <template #sheet>
        <SheetGrid
          ref="grid"
          class="sheet"
          :clubs="ladder.rows.value"
          :columns="columns"
          :unit="unit"
          :read-only="!store.may('editClub') || Boolean(trial)"
          :no-new="!store.may('addClub')"
          :rejected="editing.rejected.value"
          :row-px="ROW_PX"
          :head-px="HEAD_PX"
          :label="`Spec sheet of ${store.sheet!.player.name}, ${bag.name}`"
          :badges="badges"
          drag-group="clubs"
          @write="editing.write"
          @add="editing.add"
          @paste="paste"
          @open="$emit('open', $event)"
          @active="$emit('active', $event)"
          @dropped="clubs.putIn"
          @dragging="carrying = $event"
        />
      </template>
      <SwapPicker
        v-if="picking"
        class="picker"
        :bag="bag"
        :in-bag="ladder.inBag.value"
        :left-out="ladder.leftOutClubs.value"
        :options="ladder.options.value"
        :unit="unit"
        :full="clubs.full.value"
        :comes-in="clubs.comesIn.value"
        :swaps-for="swapsFor"
        @trial="trial = $event"
        @choose="tried.choose"
        @close="tried.leave"
      />
    </BagBoard>
    <VerdictCard
      ref="card"
      class="card-below"
      :class="{ away: carrying }"
      :report="ladder.report.value"
      :before="ladder.before.value"
      :opened="ladder.difference.value.opened"
      :closed="ladder.difference.value.closed"
      :pointed="pointed"
      :remedies="remedies"
      @wish="tried.wishFor"
      :trial="trial"
      :name-of="nameOf"
      :unit="unit"
      :read-only="!store.may('putIn')"
      @try="tried.tryRemedy"
      @keep="tried.keep"
      @leave="tried.leave"
      @mark="ladder.mark()"
    />
  </div>
  <LeftOut
    v-if="store.may('putIn')"
    :class="{ docked: carrying }"
    :clubs="ladder.leftOut.value"
    :unit="unit"
    @put-in="clubs.putIn"
    @dropped="clubs.takeOut"
    @open="$emit('open', $event)"
  />
</template>

<style scoped>
.stage {
  display: flex;
  flex-direction: column;
}
.picker {
  position: absolute;
  right: 0;
  top: 8px;
  z-index: 6;
}
.card-below {
  margin-top: 10px;
  position: sticky;
  bottom: 8px;
  z-index: 4;
  box-shadow: 0 2px 14px rgb(30 25 15 / 12%);
}
.card-below.away {
  visibility: hidden;
}
.docked {
  position: fixed;
  left: 16px;
  right: 16px;
  bottom: 8px;
  z-index: 8;
  max-height: 45vh;
  overflow: auto;
  padding: 12px 16px 16px;
  background: var(--paper);
  border: 2px dashed var(--petrol);
  border-radius: 6px;
}
.low .card-below {
  position: static;
  order: -1;
  margin: 8px 0 4px;
}
@media (max-width: 700px) {
  .picker {
    left: 0;
    right: 0;
    width: auto;
  }
}
</style>
