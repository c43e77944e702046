<script setup lang="ts">
import ProblemLine from '../app/ProblemLine.vue';
import DataTable from '../app/DataTable.vue';
import type { DataColumn } from '../app/data-table';
import NumberField from '../fields/NumberField.vue';
import { NButton } from 'naive-ui';
import { TEST_ORDER_BOUNDS, testOrder, type Turn } from '@tasche/core';
import { computed } from 'vue';

/**
 * A random order for a test day, to be printed and ticked off. The seed is in the address, so the order stays
 * what it was.
 */
const props = defineProps<{
  builds: readonly { id: string; name: string }[];
  shotsEach: number;
  shotsATurn: number;
  seed: number;
}>();
const emit = defineEmits<{ set: [key: 'each' | 'turn' | 'seed', value: number] }>();

const order = computed<{ turns: readonly Turn[]; refused: string }>(() => {
  try {
    return {
      turns: testOrder(
        props.builds.map(({ id }) => id),
        props.shotsEach,
        props.shotsATurn,
        props.seed,
      ),
      refused: '',
    };
  } catch (error) {
    return { turns: [], refused: (error as Error).message };
  }
});
const name = (id: string) => props.builds.find((build) => build.id === id)?.name ?? id;
const blocks = computed(() =>
  [...new Set(order.value.turns.map(({ block }) => block))].map((block) => ({
    block,
    turns: order.value.turns.filter((turn) => turn.block === block),
  })),
);
const COLUMNS: readonly DataColumn<{ block: number; turns: readonly Turn[] }>[] = [
  { id: 'block', head: 'Round', isRowHead: true, value: ({ block }) => block },
  { id: 'turns', head: 'In this order, ☐ when hit', isLong: true },
];
const print = () => {
  window.print();
};
</script>

<template>
  <section class="plan">
    <h2>A test day in random order</h2>
    <p class="small quiet">
      Each round has every one of them once, in a new random order, so that tiredness, wind and warming up
      affect all of them alike. Only a few shots a turn, so that the swing does not adapt to one of them; with
      two, this is taking turns.
    </p>
    <div class="bar no-print">
      <label class="small quiet"
        >Shots with each
        <NumberField
          :value="shotsEach"
          whole
          @write="emit('set', 'each', $event!)"
          label="Shots with each"
          :bounds="TEST_ORDER_BOUNDS.shotsEach"
      /></label>
      <label class="small quiet"
        >a turn
        <NumberField
          :value="shotsATurn"
          whole
          @write="emit('set', 'turn', $event!)"
          label="a turn"
          :bounds="TEST_ORDER_BOUNDS.shotsATurn"
      /></label>
      <NButton @click="emit('set', 'seed', seed + 1)" size="small">Draw another order</NButton>
      <NButton @click="print" size="small">Print</NButton>
    </div>
    <ProblemLine v-if="order.refused" :text="order.refused" />
    <DataTable
      v-else
      caption="The order of the test, to be ticked off"
      :columns="COLUMNS"
      :rows="blocks"
      :row-key="({ block }) => String(block)"
      :orders="false"
      is-whole
    >
      <template #turns="{ row: { turns } }">
        <span v-for="turn in turns" :key="turn.id" class="turn"
          >☐ {{ name(turn.id) }} <span class="quiet">× {{ turn.shots }}</span></span
        >
      </template>
    </DataTable>
  </section>
</template>

<style scoped>
.plan {
  margin-top: 22px;
  border-top: 1px solid var(--line);
  padding-top: 12px;
  display: grid;
  gap: 8px;
}

.turn {
  display: inline-block;
  margin-right: 26px;
}
</style>
