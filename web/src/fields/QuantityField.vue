<script setup lang="ts">
import { columnOf, readCell, showQuantity, type CellValue } from '@tasche/contract';
import { quantityOf, type QuantityKey } from '@tasche/core';
import { computed, ref, watch } from 'vue';
import ChoiceField from './ChoiceField.vue';
import TextField from './TextField.vue';

/**
 * A value of any quantity a club has, read as the sheet reads its cells: "44,5", "36 1/2", "D4". What cannot
 * be read stays, with the reason.
 */
const props = defineProps<{
  quantityKey: QuantityKey;
  value: number | string | null;
  /** The quantity's own name where it is not given. */
  label?: string;
  disabled?: boolean;
}>();
/** What cannot be read is told as `bad` and writes nothing; an empty field writes null. */
const emit = defineEmits<{ 'update:value': [value: number | string | null]; bad: [isBad: boolean] }>();

const quantity = computed(() => quantityOf(props.quantityKey)!);
const name = computed(() => props.label ?? quantity.value.label);
const shown = (value: CellValue | null) => (value === null ? '' : showQuantity(quantity.value, value));
const text = ref(shown(props.value));
const complaint = ref('');
const chosen = computed(() => (typeof props.value === 'string' ? props.value : null));
let given: CellValue | null = props.value;
watch(
  () => props.value,
  (value) => {
    if (value === given) return;
    given = value;
    text.value = shown(value);
    complaint.value = '';
  },
);

function take(value: CellValue | null): void {
  complaint.value = '';
  text.value = shown(value);
  given = value;
  emit('bad', false);
  emit('update:value', value);
}

function write(written: string): void {
  text.value = written;
  if (written.trim() === '') {
    take(null);
    return;
  }
  const read = readCell(columnOf(props.quantityKey)!, written, 'yd');
  if (read.ok) take(read.value);
  else {
    complaint.value = `${name.value} ${read.reason.replace(new RegExp(`^${quantity.value.label} `, 'i'), '')}`;
    emit('bad', true);
  }
}

const field = ref<{ focus: () => void } | null>(null);
defineExpose({ focus: () => field.value?.focus() });
</script>

<template>
  <span class="quantity-field">
    <ChoiceField
      v-if="quantity.type === 'choice'"
      ref="field"
      :value="chosen"
      :label="name"
      :options="[...quantity.choices]"
      :disabled="disabled"
      size="small"
      @update:value="take($event)"
    />
    <TextField
      v-else
      ref="field"
      :value="text"
      :aria-label="name"
      :bad="complaint !== ''"
      :disabled="disabled"
      :class="{ number: quantity.type !== 'text' }"
      @write="write"
    />
    <span v-if="complaint" class="verdict error small" role="alert">■ {{ complaint }}</span>
  </span>
</template>

<style scoped>
.quantity-field {
  display: inline-flex;
  flex-wrap: wrap;
  gap: 4px;
  align-items: center;
}
.number {
  width: 92px;
}
</style>
