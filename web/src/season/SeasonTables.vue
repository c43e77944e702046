<script setup lang="ts">
import { counted, decimals, type SeasonValue } from '@tasche/core';
import type { WishView } from '@tasche/contract';
import { computed } from 'vue';
import DataTable from '../app/DataTable.vue';
import type { DataColumn } from '../app/data-table';
import { againstGamerWords, strokesWithin } from './season-words';

/** What stands behind the worth of a season: round by round, for other bags and wishes, and club by club. */
const props = defineProps<{
  value: SeasonValue;
  gamerIds: readonly string[];
  wishes: readonly WishView[];
  nameOf: (clubId: string) => string;
  bagName: (bagId: string) => string;
}>();

type Round = SeasonValue['rounds'][number];
type Club = SeasonValue['clubs'][number];

const roundName = ({ name, times }: Round) =>
  times > 1 ? `${name} and ${counted(times - 1, 'round')} like it` : name;
const ROUNDS: readonly DataColumn<Round>[] = [
  { id: 'set', head: 'Which set travels where', isLong: true, value: roundName },
  { id: 'saves', head: 'Saved a round', align: 'right', value: ({ saves }) => saves },
];

const besides = computed(() => [
  ...props.value.bags.map((bag) => ({
    ...bag,
    name: props.bagName(bag.id),
    says: 'in every round, over the gamer',
  })),
  ...props.value.wishes.map((worth) => {
    const wish = props.wishes.find(({ id }) => id === worth.id);
    const price = wish?.price ? `, ${wish.price}` : '';
    return {
      ...worth,
      name: wish?.name ?? 'a deleted wish',
      says: `wished for${price}; in the best bag of ${worth.rounds} of ${props.value.played}, over what is owned`,
    };
  }),
]);
type Beside = (typeof besides.value)[number];
const BESIDES: readonly DataColumn<Beside>[] = [
  { id: 'name', head: 'Bags and wishes', isLong: true, value: ({ name }) => name },
  { id: 'strokes', head: 'Strokes saved', align: 'right', value: ({ strokes }) => strokes },
];

const CLUBS: readonly DataColumn<Club>[] = [
  { id: 'club', head: 'Club', isLong: true, value: ({ id }) => props.nameOf(id) },
  { id: 'rounds', head: 'In the best bag of', align: 'right', value: ({ rounds }) => rounds },
  { id: 'strokes', head: 'Lost without it', align: 'right', value: ({ strokes }) => strokes },
];
</script>

<template>
  <DataTable
    class="behind"
    caption="Which set travels where"
    :columns="ROUNDS"
    :rows="value.rounds"
    :row-key="({ id }) => id"
  >
    <template #set="{ row }"
      ><b>{{ roundName(row) }}</b
      >{{ ' ' }}<br /><span class="quiet small">{{
        againstGamerWords(row.bestIds, gamerIds, nameOf, row.gamerIds)
      }}</span></template
    >
    <template #saves="{ row }">{{ decimals(row.saves, 2) }}</template>
  </DataTable>
  <DataTable
    v-if="besides.length > 0"
    class="behind"
    caption="Bags and wishes"
    :columns="BESIDES"
    :rows="besides"
    :row-key="({ id }) => id"
  >
    <template #name="{ row }"
      ><b>{{ row.name }}</b
      >{{ ' ' }}<br /><span class="quiet small">{{ row.says }}</span></template
    >
    <template #strokes="{ row }">{{ strokesWithin(row) }}</template>
  </DataTable>
  <DataTable
    class="behind"
    caption="Clubs over the season"
    :columns="CLUBS"
    :rows="value.clubs"
    :row-key="({ id }) => id"
  >
    <template #club="{ row }"
      ><b>{{ nameOf(row.id) }}</b
      ><span v-if="!gamerIds.includes(row.id)" class="quiet small"> not in the gamer</span></template
    >
    <template #rounds="{ row }">{{ row.rounds }} of {{ value.played }}</template>
    <template #strokes="{ row }">{{ row.strokes === Infinity ? '–' : decimals(row.strokes, 2) }}</template>
  </DataTable>
</template>

<style scoped>
.behind {
  margin-top: 10px;
}
.behind b {
  font-weight: 500;
}
</style>
