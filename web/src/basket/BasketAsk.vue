<script setup lang="ts">
import { BASKET_BOUNDS } from '@tasche/core';
import { NButton } from 'naive-ui';
import ChoiceField from '../fields/ChoiceField.vue';
import NumberField from '../fields/NumberField.vue';
import { useSheet } from '../sheet/sheet-store';
import { USUAL_BALLS, type useBasketQuestion } from './use-basket-question';

/** How many balls, to decide what, from which bag. */
const props = defineProps<{ asked: ReturnType<typeof useBasketQuestion> }>();
const store = useSheet();
const { balls, bagId, roundKey, roundChoices } = props.asked;
const SIZES = [30, 60, 100] as const;
</script>

<template>
  <div class="bar asked no-print">
    <span class="bar" role="group" aria-label="Balls">
      <NButton
        v-for="size in SIZES"
        :key="size"
        :aria-pressed="balls === size"
        :type="balls === size ? 'primary' : 'default'"
        secondary
        @click="balls = size"
      >
        {{ size }} balls
      </NButton>
    </span>
    <label class="small quiet"
      >or
      <NumberField
        :value="balls"
        label="Balls"
        unit="balls"
        whole
        :bounds="BASKET_BOUNDS.balls"
        :step="10"
        @write="balls = $event ?? USUAL_BALLS"
    /></label>
    <label v-if="roundChoices.length > 1" class="small quiet"
      >to decide <ChoiceField v-model:value="roundKey" label="Round" :options="roundChoices"
    /></label>
    <label v-if="store.sheet!.bags.length > 1" class="small quiet"
      >from the bag
      <ChoiceField
        v-model:value="bagId"
        label="Bag"
        :options="store.sheet!.bags.map(({ id, name }) => ({ value: id, label: name }))"
    /></label>
  </div>
</template>

<style scoped>
.asked {
  margin-bottom: 12px;
  gap: 8px 16px;
}
.asked label {
  display: inline-flex;
  align-items: center;
  gap: 6px;
}
</style>
