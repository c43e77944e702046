<script setup lang="ts">
import { GAPPING_STRATEGIES, type StepReport } from '@tasche/core';
import { NButton, NEmpty } from 'naive-ui';
import {
  computed,
  defineAsyncComponent,
  nextTick,
  ref,
  useTemplateRef,
  type ComponentPublicInstance,
} from 'vue';
import ConditionsBar from '../conditions/ConditionsBar.vue';
import ConditionsEffect from '../conditions/ConditionsEffect.vue';
import { steady } from '../app/steady';
import SheetGrid from '../sheet/SheetGrid.vue';
import SheetNotices from '../sheet/SheetNotices.vue';
import { useShortcuts } from '../keys/use-shortcuts';
import { COLUMN_SETS } from '../sheet/sheet-columns';
import { useSheet } from '../sheet/sheet-store';
import { useSheetEditing } from '../sheet/use-sheet-editing';
import BagBoard from './BagBoard.vue';
import BagFindings from './BagFindings.vue';
import BagHead from './BagHead.vue';
import BagMenu from './BagMenu.vue';
import BagTools from './BagTools.vue';
import EmptyBag from './EmptyBag.vue';
import LeftOut from './LeftOut.vue';
import SwapPicker from './SwapPicker.vue';
import VerdictCard from './VerdictCard.vue';
import { useBagClubs } from './use-bag-clubs';
import { useBagLadder } from './use-bag-ladder';
import { useBagLook } from './use-bag-look';
import { useBagQuestion } from './use-bag-question';
import { useBagTrial } from './use-bag-trial';
import { useCardPlace } from './use-card-place';
import { useDroppedFile } from './use-dropped-file';
import { useTrialKeys } from './use-trial-keys';
import { useUnknownCarries } from './use-unknown-carries';
import { useUsualRound } from './use-usual-round';

const ClubPanel = defineAsyncComponent(() => import('../clubs/ClubPanel.vue'));
const ImportPanel = defineAsyncComponent(() => import('../importing/ImportPanel.vue'));

const props = defineProps<{ playerId: string; bagId?: string }>();
const store = useSheet();

const bag = computed(
  () =>
    store.sheet!.bags.find((one) => one.id === props.bagId) ??
    (props.bagId ? undefined : (store.gamer ?? store.sheet!.bags[0])),
);
const ladder = useBagLadder(bag);
const { unit, school, report, trial, leftOutClubs } = ladder;
const editing = useSheetEditing(bag);
const { asTable, columnSet, openClubId } = useBagLook();
const clubs = useBagClubs(() => props.playerId, bag, ladder);
const { picking, canEdit, full, takeOut, putIn } = clubs;
const { remedies, swapsFor } = useUsualRound(useBagQuestion(bag, ladder));
const tried = useBagTrial(
  () => props.playerId,
  bag,
  ladder,
  remedies,
  () => {
    picking.value = false;
    void grid.value?.focus();
  },
);

const ROW_PX = 37;
const HEAD_PX = 42;
const grid = ref<InstanceType<typeof SheetGrid> | null>(null);
const activeClub = ref<string | null>(null);
const pointed = ref<StepReport | null>(null);
/** A row is being dragged: the left-outs come up to where it can be put down. */
const carrying = ref(false);
const isCardOnTop = useCardPlace(
  useTemplateRef<HTMLElement>('stage'),
  useTemplateRef<ComponentPublicInstance>('board'),
  useTemplateRef<ComponentPublicInstance>('card'),
  () => trial.value !== null || pointed.value !== null,
);
const airBar = ref<InstanceType<typeof ConditionsBar> | null>(null);
const airOpen = ref(false);
const badged = steady(() =>
  [...ladder.freshClubs.value].map((id): [string, string] => [id, trial.value ? 'in' : 'new']),
);
const badges = computed(() => new Map(badged.value));

const carries = useUnknownCarries(
  ladder.rows,
  () => grid.value,
  () => canEdit.value && bag.value?.clubIds.length === 0,
  () => bag.value?.id,
);
/** A usual bag goes in like a paste, and the cursor to the first carry that is not known. */
function fill(rows: string): Promise<void> {
  paste(rows, 0, 0, 'begun with a usual bag');
  return carries.toFirst();
}

function paste(text: string, row: number, column: number, why?: string): void {
  try {
    editing.pasted.paste(text, row, column, ladder.rows.value, columnSet.value.columns, why);
  } catch (error) {
    editing.notice.value = `That could not be read as a table: ${(error as Error).message}`;
  }
}

const filing = useDroppedFile(useTemplateRef<HTMLElement>('page'), () => canEdit.value);

function tryLoft(clubId: string, loftDeg: number): void {
  openClubId.value = null;
  tried.tryLoft(clubId, loftDeg);
}

function nextStyle(): void {
  const at = GAPPING_STRATEGIES.findIndex(({ id }) => id === school.value);
  school.value = GAPPING_STRATEGIES[(at + 1) % GAPPING_STRATEGIES.length]!.id;
}

useTrialKeys({ trial, picking, keep: tried.keep, leave: tried.leave });
useShortcuts('The bag', {
  'Alt O': () => {
    takeOut(activeClub.value);
  },
  'Alt I': () => {
    if (canEdit.value && bag.value) picking.value = !picking.value;
  },
  'Alt M': () => {
    ladder.mark();
  },
  'Alt A': () => {
    airOpen.value = true;
    void nextTick(() => airBar.value?.focus());
  },
  'Alt T': () => {
    asTable.value = !asTable.value;
  },
  'Alt Y': () => {
    void tried.trySwap();
  },
  'Alt S': nextStyle,
  'Alt 1 to 5': (_event, digit) => {
    const set = COLUMN_SETS[digit - 1];
    if (set) columnSet.value = set;
    return set !== undefined;
  },
});
const nameOf = (id: string) => store.clubsById.get(id)?.name ?? 'a club that is gone';
</script>

<template>
  <div ref="page" class="page bag">
    <BagHead
      v-model:strategy="school"
      :bag="bag"
      :count="ladder.inBag.value.length"
      :too-many="ladder.tooMany.value"
      :limit="ladder.limit.value"
      :carry-clubs="carries.carryClubs.value"
      :unknown="carries.unknown.value"
      @next-unknown="carries.toNext"
    >
      <BagMenu
        :bag="bag"
        :unit="unit"
        @ready="clubs.markReady"
        @gamer="clubs.makeGamer"
        @copy="clubs.make(true)"
        @remove="clubs.remove"
        @import="filing.isOpen.value = true"
      />
    </BagHead>

    <SheetNotices :editing="editing" />

    <NEmpty
      v-if="!bag"
      class="card empty"
      description="No bag yet. Make one, then type the clubs row by row, or paste them from a spreadsheet."
    >
      <template #extra><NButton type="primary" @click="clubs.make()">Make the gamer bag</NButton></template>
    </NEmpty>
    <template v-else>
      <BagTools
        v-model:column-set="columnSet"
        v-model:as-table="asTable"
        v-model:air-open="airOpen"
        v-model:picking="picking"
        :bag="bag"
        :in-air="Boolean(ladder.setting.value)"
        :read-only="store.readOnly"
        :active="activeClub ? store.clubsById.get(activeClub)?.name : undefined"
        @take-out="takeOut(activeClub)"
      />
      <ConditionsBar
        v-if="airOpen || ladder.setting.value"
        ref="airBar"
        :setting="ladder.setting.value"
        :baseline="ladder.baseline.value"
        :unit="unit"
        :complaints="ladder.complaints.value"
        :problem="ladder.conditions.problem.value"
        @set="ladder.setting.value = $event"
      >
        <ConditionsEffect
          v-if="ladder.setting.value"
          :clubs="ladder.shown.value"
          :moved="ladder.moved.value"
          :turned="ladder.turned.value"
          :unit="unit"
        />
      </ConditionsBar>
      <EmptyBag
        v-if="canEdit && bag.clubIds.length === 0"
        :unit="unit"
        @rows="fill"
        @file="filing.isOpen.value = true"
      />
      <div ref="stage" class="stage" :class="{ low: isCardOnTop }">
        <BagBoard
          ref="board"
          :ladder="ladder"
          :as-table="asTable"
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
              :columns="columnSet.columns"
              :unit="unit"
              :read-only="!canEdit"
              :rejected="editing.rejected.value"
              :row-px="ROW_PX"
              :head-px="HEAD_PX"
              :label="`Spec sheet of ${store.sheet!.player.name}, ${bag.name}`"
              :badges="badges"
              drag-group="clubs"
              @write="editing.write"
              @add="editing.add"
              @paste="paste"
              @open="openClubId = $event"
              @active="activeClub = $event"
              @dropped="putIn"
              @dragging="carrying = $event"
            />
          </template>
          <SwapPicker
            v-if="picking && bag"
            class="picker"
            :bag="bag"
            :in-bag="ladder.inBag.value"
            :left-out="leftOutClubs"
            :options="ladder.options.value"
            :unit="unit"
            :full="full"
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
          :report="report"
          :before="ladder.before.value"
          :opened="ladder.difference.value.opened"
          :closed="ladder.difference.value.closed"
          :pointed="pointed"
          :remedies="remedies"
          @wish="tried.wishFor"
          :trial="trial"
          :name-of="nameOf"
          :unit="unit"
          :read-only="store.readOnly"
          @try="tried.tryRemedy"
          @keep="tried.keep"
          @leave="tried.leave"
          @mark="ladder.mark()"
        />
      </div>
      <LeftOut
        v-if="!store.readOnly"
        :class="{ docked: carrying }"
        :clubs="ladder.leftOut.value"
        :unit="unit"
        @put-in="putIn"
        @dropped="takeOut"
        @open="openClubId = $event"
      />
      <BagFindings
        :clubs="ladder.shown.value"
        :report="report"
        :unit="unit"
        :settings="store.sheet!.player.gapSettings"
      />
    </template>
    <ImportPanel
      v-if="filing.isOpen.value"
      :unit="unit"
      :file="filing.file.value"
      @table="editing.pasted.takeFile"
      @close="filing.close"
    />
    <ClubPanel
      v-if="openClubId && store.clubsById.has(openClubId)"
      :club-id="openClubId"
      :tries="ladder.inBag.value.some(({ id }) => id === openClubId)"
      @close="openClubId = null"
      @try="tryLoft(openClubId, $event)"
    />
  </div>
</template>

<style scoped>
.empty {
  padding: 28px;
  display: grid;
  gap: 10px;
  justify-items: start;
  max-width: 560px;
}
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
