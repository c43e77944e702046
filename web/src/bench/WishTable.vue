<script setup lang="ts">
import { WISH_STATES, type WishDetails, type WishView } from '@tasche/contract';
import { TIE_STROKES } from '@tasche/core';
import DataTable from '../app/DataTable.vue';
import type { DataColumn } from '../app/data-table';
import ActionMenu, { type Action } from '../app/ActionMenu.vue';
import ChoiceField from '../fields/ChoiceField.vue';
import { isOpenWish } from './wish-items';

/** Wishes with their state, their price and what each would gain. */
const props = defineProps<{
  wishes: readonly WishView[];
  /** Strokes a round; undefined while that is not known. */
  gainOf: (wishId: string) => number | undefined;
  /** Why a wish is not weighed; empty where it is. */
  neededOf: (wish: WishView) => string;
  /** Names of what goes out for it. */
  outOf: (wishId: string) => string;
  actionsOf: (wish: WishView) => readonly Action[];
  working: boolean;
  readOnly: boolean;
}>();
const emit = defineEmits<{ state: [wish: WishView, state: WishDetails['state']] }>();

const columns: readonly DataColumn<WishView>[] = [
  { id: 'name', head: 'Wish', value: ({ name }) => name, isLong: true },
  { id: 'purpose', head: 'To', value: ({ purpose }) => purpose },
  { id: 'state', head: 'State', value: ({ state }) => state },
  { id: 'price', head: 'Price', value: ({ price }) => price, align: 'right' },
  { id: 'gain', head: 'Gain a round', value: ({ id }) => props.gainOf(id), align: 'right' },
  { id: 'out', head: 'Replaces', value: ({ id }) => props.outOf(id), isLong: true },
  { id: 'actions', head: 'More', isActions: true },
];
function gainWords(wish: WishView): string {
  if (!isOpenWish(wish)) return '';
  const needed = props.neededOf(wish);
  if (needed) return needed;
  if (props.working) return '…';
  const gain = props.gainOf(wish.id);
  if (gain === undefined) return '–';
  return gain < TIE_STROKES ? 'no clear gain' : `${gain.toFixed(2)} strokes`;
}
</script>

<template>
  <DataTable
    class="wishes"
    caption="Wishes with their state, price and gain"
    :columns="columns"
    :rows="wishes"
    :row-key="({ id }) => id"
    :row-class="(wish) => (isOpenWish(wish) ? '' : 'closed')"
    :searched="({ name, notes }) => `${name} ${notes}`"
    is-whole
  >
    <template #name="{ row }">
      <b>{{ row.name }}</b><span v-if="row.notes" class="quiet small notes">{{ row.notes }}</span>
    </template>
    <template #state="{ row }">
      <ChoiceField
        :value="row.state"
        :label="`State of ${row.name}`"
        :options="[...WISH_STATES]"
        :disabled="readOnly"
        size="small"
        @update:value="emit('state', row, $event)"
      />
    </template>
    <template #price="{ row }">{{ row.price ?? '–' }}</template>
    <template #gain="{ row }">{{ gainWords(row) }}</template>
    <template #out="{ row }"
      ><span class="quiet">{{ outOf(row.id) }}</span></template
    >
    <template #actions="{ row }">
      <ActionMenu v-if="!readOnly" size="small" :actions="actionsOf(row)" :label="`More for ${row.name}`" />
    </template>
  </DataTable>
</template>

<style scoped>
.wishes {
  max-width: 980px;
  margin-bottom: 8px;
}
.notes {
  display: block;
}
.wishes :deep(.closed td) {
  color: var(--quiet);
}
</style>
