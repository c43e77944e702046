<script setup lang="ts">
import ProblemLine from '../app/ProblemLine.vue';
import NumberField from '../fields/NumberField.vue';
import { NButton, NTable } from 'naive-ui';
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
const print = () => {
  window.print();
};
</script>

<template>
  <section class="plan">
    <h2>A test day in random order</h2>
    <p class="small quiet">
      Every round holds each of them once, in an order drawn anew: tiredness, wind and warming up fall on all
      alike. A few shots a turn, so that nobody grooves a swing to one of them; with two, it comes out as
      taking turns.
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
    <NTable size="small" :bordered="false" :bottom-bordered="false" v-else>
      <thead>
        <tr>
          <th scope="col">Round</th>
          <th scope="col">In this order, ☐ when hit</th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="{ block, turns } in blocks" :key="block">
          <th scope="row">{{ block }}</th>
          <td>
            <span v-for="turn in turns" :key="turn.id" class="turn"
              >☐ {{ name(turn.id) }} <span class="quiet">× {{ turn.shots }}</span></span
            >
          </td>
        </tr>
      </tbody>
    </NTable>
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

table {
  border-collapse: collapse;
  font-size: 14px;
  justify-self: start;
}
th {
  text-align: left;
  font-weight: 400;
  color: var(--quiet);
  width: 60px;
}
td,
th {
  padding: 6px 12px 6px 0;
  border-top: 1px solid var(--line-soft);
}
.turn {
  display: inline-block;
  margin-right: 26px;
}
</style>
