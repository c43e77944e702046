<script setup lang="ts">
import type { StepReport } from '@tasche/core';
import { useElementSize } from '@vueuse/core';
import { computed, defineAsyncComponent, useTemplateRef } from 'vue';
import LadderRail from '../ladder/LadderRail.vue';
import LadderRibs from '../ladder/LadderRibs.vue';
import type { useBagLadder } from './use-bag-ladder';

// The library's table is large, and few ask for it.
const LadderTable = defineAsyncComponent(() => import('../ladder/LadderTable.vue'));

/** The sheet of a bag with its ladder beside it: steps row by row and the rail, or all of it as a table. */
const props = defineProps<{
  ladder: ReturnType<typeof useBagLadder>;
  asTable: boolean;
  /** There is no room for the picture of the ladder beside the sheet. */
  isSheetAlone: boolean;
  rowPx: number;
  headPx: number;
  /** The sheet ends with a row to type a club into. */
  hasNewRow: boolean;
  pointed: StepReport | null;
}>();
const emit = defineEmits<{ point: [step: StepReport | null] }>();
defineSlots<{ sheet: () => unknown; default: () => unknown }>();

/** The rail stands beside the steps where there is room for both. */
const WIDE_PX = 1000;
/** Beside the sheet there is room for the steps as slim bars only, as on a tablet held upright. */
const SLIM_PX = 760;
const MIN_RAIL_PX = 420;
const board = useTemplateRef<HTMLElement>('board');
const { width } = useElementSize(board);
const rows = computed(() => props.ladder.rows.value.length);
const sheetPx = computed(() => props.headPx + (rows.value + (props.hasNewRow ? 1 : 0)) * props.rowPx);
const railPx = computed(() => Math.max(MIN_RAIL_PX, sheetPx.value));
</script>

<template>
  <div
    ref="board"
    class="board"
    :class="{
      table: asTable,
      alone: isSheetAlone,
      wide: width > WIDE_PX,
      slim: width > 0 && width < SLIM_PX,
    }"
  >
    <slot name="sheet" />
    <div v-if="asTable" class="as-table scroll">
      <LadderTable :report="ladder.report.value" :unit="ladder.unit.value" :moved="ladder.moved.value" />
    </div>
    <template v-else-if="!isSheetAlone">
      <LadderRibs
        class="ribs"
        :report="ladder.report.value"
        :row-ids="ladder.rows.value.map(({ id }) => id)"
        :row-px="rowPx"
        :head-px="headPx"
        :unit="ladder.unit.value"
        :fresh="ladder.freshSteps.value"
        @point="emit('point', $event)"
      />
      <LadderRail
        class="rail"
        :clubs="ladder.shown.value"
        :report="ladder.report.value"
        :height="railPx"
        :unit="ladder.unit.value"
        :gone="ladder.goneClubs.value"
        :fresh="ladder.freshClubs.value"
        :pointed="pointed"
        :moved="ladder.moved.value"
      />
    </template>
    <slot />
  </div>
</template>

<style scoped>
.board {
  position: relative;
  display: grid;
  grid-template-columns: max-content minmax(230px, 1fr);
  align-items: start;
  gap: 0 14px;
}
.board.wide {
  grid-template-columns: max-content minmax(240px, 1fr) minmax(250px, 300px);
}
.board.table {
  grid-template-columns: max-content minmax(300px, 1fr);
}
.board.slim {
  grid-template-columns: minmax(0, max-content) minmax(100px, 1fr);
}
.board.table:not(.wide) {
  grid-template-columns: minmax(0, 1fr);
}
.board:not(.wide) .rail {
  grid-column: 1 / -1;
  margin-top: 18px;
  max-width: 520px;
}
.as-table {
  padding-top: 14px;
}
@media (max-width: 700px) {
  .board.alone {
    grid-template-columns: minmax(0, 1fr);
  }
  .board.slim:not(.table, .alone) {
    grid-template-columns: minmax(0, max-content) minmax(84px, 1fr);
    gap: 0 6px;
  }
}
</style>
