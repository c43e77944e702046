<script setup lang="ts">
import type { ClubView, TicketView } from '@tasche/contract';
import { finishTicket, measuredKey, type BenchValue, type QuantityKey } from '@tasche/core';
import { NButton, NForm } from 'naive-ui';
import { computed, onMounted, reactive, ref } from 'vue';
import { today, useTodayUnlessChosen } from '../app/day';
import DateField from '../fields/DateField.vue';
import QuantityField from '../fields/QuantityField.vue';
import { missWords, plainLabel } from './ticket-words';
import { showQuantity } from '@tasche/contract';
import { quantityOf } from '@tasche/core';

/**
 * What a club became: measured afterwards, and handed in. A miss opens the ticket again, and is said before.
 */
const props = defineProps<{ ticket: TicketView; club: ClubView | undefined }>();
const emit = defineEmits<{ finish: [takenOn: string, became: BenchValue[]]; leave: [] }>();

const takenOn = useTodayUnlessChosen();
const keys = computed(() => [
  ...new Set(
    props.ticket.wanted.length > 0
      ? props.ticket.wanted.map(({ key }) => measuredKey(key))
      : (['loftMeasuredDeg', 'lieDeg', 'swingWeight'] as QuantityKey[]),
  ),
]);
const measured = reactive(new Map<QuantityKey, number | string | null>());
/** Quantities whose field holds what cannot be read: nothing is handed in past them. */
const bad = reactive(new Set<QuantityKey>());
const became = computed<BenchValue[]>(() =>
  keys.value.flatMap((key) => {
    const value = measured.get(key);
    return value === null || value === undefined ? [] : [{ key, value }];
  }),
);
const misses = computed(() => finishTicket(props.ticket.wanted, became.value, takenOn.value).misses);
const wantedOf = (key: QuantityKey) => {
  const found = props.ticket.wanted.find((one) => measuredKey(one.key) === key);
  return found ? `wanted ${showQuantity(quantityOf(found.key)!, found.value)}` : '';
};
/**
 * Measured afterwards; the rest is what was put on, and stands as it was asked until changed.
 */
const MEASURED: readonly QuantityKey[] = [
  'loftMeasuredDeg',
  'lieDeg',
  'lengthIn',
  'swingWeight',
  'totalWeightG',
  'headWeightG',
];
function asWanted(): void {
  for (const { key, value } of props.ticket.wanted)
    if (!MEASURED.includes(measuredKey(key))) measured.set(measuredKey(key), value);
}
const fields = ref<{ focus: () => void }[]>([]);
onMounted(() => {
  asWanted();
  fields.value[0]?.focus();
});
</script>

<template>
  <NForm
    size="small"
    class="finish"
    @submit.prevent="bad.size === 0 && became.length > 0 && emit('finish', takenOn, became)"
  >
    <label v-for="key in keys" :key="key">
      <span class="small"
        >{{ plainLabel(key) }} became <span class="quiet">{{ wantedOf(key) }}</span></span
      >
      <QuantityField
        ref="fields"
        :quantity-key="key"
        :value="measured.get(key) ?? null"
        :label="`${plainLabel(key)} became`"
        @update:value="measured.set(key, $event)"
        @bad="$event ? bad.add(key) : bad.delete(key)"
      />
    </label>
    <label
      ><span class="small">measured on</span
      ><DateField v-model:value="takenOn" label="Measured on" :max="today()"
    /></label>
    <div class="bar">
      <NButton type="primary" size="small" attr-type="submit" :disabled="became.length === 0 || bad.size > 0">
        {{ misses.length > 0 ? 'Save, and open again' : 'Done' }}
      </NButton>
      <NButton size="small" @click="emit('leave')">Cancel</NButton>
    </div>
    <p v-if="misses.length > 0" class="verdict warning all">◆ {{ missWords(misses) }}.</p>
  </NForm>
</template>

<style scoped>
.finish {
  display: flex;
  flex-wrap: wrap;
  gap: 8px 16px;
  align-items: end;
  padding: 8px 0;
}
.finish label {
  display: grid;
  gap: 3px;
}
.all {
  flex-basis: 100%;
}
</style>
