<script setup lang="ts">
import { TEST_ORDER_BOUNDS, testOrder, type Turn } from '@tasche/core';
import { computed } from 'vue';

/** A random order for a test day, to be printed and ticked off. The seed is in the address, so the order stays what it was. */
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
const write = (key: 'each' | 'turn', event: Event) =>
  emit('set', key, Number((event.target as HTMLInputElement).value));
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
        <input
          type="number"
          :min="TEST_ORDER_BOUNDS.shotsEach[0]"
          :max="TEST_ORDER_BOUNDS.shotsEach[1]"
          :value="shotsEach"
          @change="write('each', $event)"
      /></label>
      <label class="small quiet"
        >a turn
        <input
          type="number"
          :min="TEST_ORDER_BOUNDS.shotsATurn[0]"
          :max="TEST_ORDER_BOUNDS.shotsATurn[1]"
          :value="shotsATurn"
          @change="write('turn', $event)"
      /></label>
      <button class="plain-button slim" @click="emit('set', 'seed', seed + 1)">Draw another order</button>
      <button class="plain-button slim" @click="print">Print</button>
    </div>
    <p v-if="order.refused" class="verdict fault" role="alert">■ {{ order.refused }}</p>
    <table v-else>
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
    </table>
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
input {
  font: inherit;
  width: 68px;
  min-height: 32px;
  padding: 2px 6px;
  border: 1px solid var(--line);
  border-radius: 4px;
  background: var(--paper);
  color: var(--ink);
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
