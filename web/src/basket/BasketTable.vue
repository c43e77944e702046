<script setup lang="ts">
import { clubName } from '@tasche/contract';
import {
  counted,
  basketReasonSentence,
  distanceNumber,
  shotName,
  type BasketPart,
  type DistanceUnit,
  type LadderClub,
} from '@tasche/core';
import { computed } from 'vue';
import DataTable from '../app/DataTable.vue';
import { FIGURES, type DataColumn } from '../app/data-table';

/**
 * The shots of a basket in the order they are worth hitting, with room to write carries down when it is
 * printed.
 */
const props = defineProps<{
  parts: readonly BasketPart[];
  clubs: ReadonlyMap<string, LadderClub>;
  unit: DistanceUnit;
}>();

const nameOf = (id: string) => clubName(props.clubs, id);
/** Where what is known now comes from, in words. */
function knownWords({ clubId, shotKind }: BasketPart): string {
  const club = props.clubs.get(clubId);
  const shot = club?.shots[shotKind];
  if (!shot || shot.source === 'modelled') return 'modelled';
  const how = shot.source === 'stated' ? 'stated' : counted(shot.sampleSize ?? 0, 'shot');
  return club.changed?.[shotKind] ? `${how}, before the club was changed` : how;
}
const rows = computed(() =>
  props.parts.map((part) => ({
    key: `${part.clubId} ${part.shotKind}`,
    name: shotName(part.shotKind, nameOf(part.clubId)),
    balls: part.balls,
    carry: distanceNumber(part.carryM, props.unit),
    known: knownWords(part),
    now: distanceNumber(part.nowM, props.unit),
    then: distanceNumber(part.thenM, props.unit),
    gain: part.gain < 0.005 ? 'little' : part.gain.toFixed(2),
    why: basketReasonSentence(part, nameOf, props.unit),
  })),
);
const columns = computed((): DataColumn<(typeof rows.value)[number]>[] => [
  { id: 'name', head: 'Hit', isRowHead: true, value: ({ name }) => name },
  { id: 'balls', head: 'Balls', ...FIGURES, cellClass: 'balls', value: ({ balls }) => balls },
  { id: 'carry', head: `Carry, ${props.unit}`, ...FIGURES },
  { id: 'now', head: 'Known to ±', ...FIGURES, value: ({ now }) => now },
  { id: 'then', head: 'After ±', ...FIGURES, value: ({ then }) => then },
  {
    id: 'gain',
    head: 'Worth',
    hint: 'Strokes a round that leaving this out would cost',
    ...FIGURES,
    value: ({ gain }) => gain,
  },
  { id: 'why', head: 'What it settles', isLong: true, columnClass: 'why', value: ({ why }) => why },
  { id: 'write', head: 'Carries', columnClass: 'write', value: () => '' },
]);
</script>

<template>
  <div class="scroll">
    <DataTable
      class="basket"
      caption="Shots to hit, those that settle most first"
      :columns="columns"
      :rows="rows"
      :row-key="({ key }) => key"
      :orders="false"
      is-at-once
    >
      <template #carry="{ row }"
        >{{ row.carry }} <span class="quiet small known">{{ row.known }}</span></template
      >
    </DataTable>
  </div>
</template>

<style scoped>
.basket {
  margin-top: 12px;
}
.basket :deep([role='rowheader']) {
  font-weight: 600;
}
.basket :deep(.balls) {
  font-weight: 600;
  font-size: 17px;
}
.known {
  display: block;
}
/* Room to write carries down, on paper. */
.basket :deep(.write) {
  display: none;
}
@media print {
  .basket :deep(.write) {
    display: table-cell;
    width: 34%;
  }
}
@media (max-width: 700px) {
  .basket :deep(.why) {
    min-width: 250px;
  }
}
</style>
