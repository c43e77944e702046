<script setup lang="ts">
import { NButton, NCard, NEmpty } from 'naive-ui';
import { computed, defineAsyncComponent, nextTick, ref, useTemplateRef } from 'vue';
import SheetNotices from '../sheet/SheetNotices.vue';
import { useSheet } from '../sheet/sheet-store';
import { useSheetEditing } from '../sheet/use-sheet-editing';
import BagAir from './BagAir.vue';
import BagFindings from './BagFindings.vue';
import BagHead from './BagHead.vue';
import BagMenu from './BagMenu.vue';
import BagStage from './BagStage.vue';
import BagTools from './BagTools.vue';
import EmptyBag from './EmptyBag.vue';
import { useBagClubs } from './use-bag-clubs';
import { useBagKeys } from './use-bag-keys';
import { useBagLadder } from './use-bag-ladder';
import { useBagLook } from './use-bag-look';
import { useBagQuestion } from './use-bag-question';
import { useBagTrial } from './use-bag-trial';
import { useDroppedFile } from './use-dropped-file';
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
const { unit, school } = ladder;
const editing = useSheetEditing(bag);
const look = useBagLook();
const { asTable, columnSet, columns, isSheetAlone, openClubId } = look;
const clubs = useBagClubs(() => props.playerId, bag, ladder);
const { picking, canEdit } = clubs;
const { remedies, swapsFor } = useUsualRound(useBagQuestion(bag, ladder));
const tried = useBagTrial(
  () => props.playerId,
  bag,
  ladder,
  remedies,
  () => {
    picking.value = false;
    void stage.value?.focus();
  },
);

const stage = useTemplateRef<InstanceType<typeof BagStage>>('stage');
const activeClub = ref<string | null>(null);
const air = useTemplateRef<InstanceType<typeof BagAir>>('air');
const airOpen = ref(false);

const carries = useUnknownCarries(
  ladder.rows,
  () => stage.value,
  () => canEdit.value && bag.value?.clubIds.length === 0,
  () => bag.value?.id,
);
/** A usual bag goes in like a paste, and the cursor to the first carry that is not known. */
function fill(rows: string): Promise<void> {
  editing.paste(rows, 0, 0, ladder.rows.value, columnSet.value.columns, 'started from a usual bag');
  return carries.toFirst();
}

const filing = useDroppedFile(useTemplateRef<HTMLElement>('page'), () => canEdit.value);

function tryLoft(clubId: string, loftDeg: number): void {
  openClubId.value = null;
  tried.tryLoft(clubId, loftDeg);
}

useBagKeys({ bag, ladder, look, clubs, tried, activeClub }, () => {
  airOpen.value = true;
  void nextTick(() => air.value?.focus());
});
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
        :clubs="ladder.rows.value"
        :unit="unit"
        @ready="clubs.markReady"
        @gamer="clubs.makeGamer"
        @copy="clubs.make(true)"
        @remove="clubs.remove"
        @import="filing.isOpen.value = true"
      />
    </BagHead>

    <SheetNotices :editing="editing" />

    <NCard v-if="!bag" class="empty">
      <NEmpty
        :description="
          store.may('addBag')
            ? 'No bag yet. Make one, then type the clubs row by row, or paste them from a spreadsheet.'
            : 'No bag yet.'
        "
      >
        <template v-if="store.may('addBag')" #extra
          ><NButton type="primary" @click="clubs.make()">Make the gamer bag</NButton></template
        >
      </NEmpty>
    </NCard>
    <template v-else>
      <BagTools
        v-model:column-set="columnSet"
        v-model:as-table="asTable"
        v-model:air-open="airOpen"
        v-model:picking="picking"
        :bag="bag"
        :in-air="Boolean(ladder.setting.value)"
        :read-only="!store.may('putIn')"
        :active="activeClub ? store.clubsById.get(activeClub)?.name : undefined"
        @take-out="clubs.takeOut(activeClub)"
      />
      <BagAir
        v-if="airOpen || ladder.setting.value"
        ref="air"
        :ladder="ladder"
        @set="ladder.setting.value = $event"
      />
      <EmptyBag
        v-if="canEdit && bag.clubIds.length === 0"
        :unit="unit"
        @rows="fill"
        @file="filing.isOpen.value = true"
      />
      <BagStage
        ref="stage"
        :bag="bag"
        :ladder="ladder"
        :clubs="clubs"
        :tried="tried"
        :editing="editing"
        :remedies="remedies"
        :swaps-for="swapsFor"
        :columns="columns"
        :is-sheet-alone="isSheetAlone"
        :as-table="asTable"
        @open="openClubId = $event"
        @active="activeClub = $event"
      />
      <BagFindings
        :clubs="ladder.shown.value"
        :report="ladder.report.value"
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
</style>
