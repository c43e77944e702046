<script setup lang="ts">
import { readPlainNumber } from '@tasche/contract';
import { computed, ref, watch } from 'vue';
import TextField from './TextField.vue';

/**
 * A number with its unit, typed with a decimal comma or point; the arrows up and down step it. The component
 * library's own number field silently puts back or clamps what it does not like; here a number out of bounds
 * stays, with the reason below it, until it is mended.
 */
const props = withDefaults(
  defineProps<{
    value: number | null;
    /** What the number is, for messages and screen readers. */
    label: string;
    unit?: string;
    bounds?: readonly [number, number];
    /** No fractions. */
    whole?: boolean;
    step?: number;
    /** May be empty; then null is written. */
    optional?: boolean;
    placeholder?: string;
    disabled?: boolean;
    readonly?: boolean;
    /** Width of the field in px. */
    px?: number;
  }>(),
  { step: 1, px: 72 },
);
/**
 * `write` tells a number that may stand, when the field is left; `update:value` each letter, and null while
 * it may not stand.
 */
const emit = defineEmits<{ write: [value: number | null]; 'update:value': [value: number | null] }>();
defineOptions({ inheritAttrs: false });

const shown = (value: number | null) => (value === null ? '' : String(value));
const text = ref(shown(props.value));
const complaint = ref('');
watch(
  () => props.value,
  (value) => {
    const same = value === null ? read(text.value) == null : read(text.value) === value;
    if (!same) {
      text.value = shown(value);
      complaint.value = '';
    }
  },
);

const wanted = computed(() => {
  const between = props.bounds && `between ${props.bounds[0]} and ${props.bounds[1]}`;
  return [props.whole || !between ? `a ${props.whole ? 'whole ' : ''}number` : '', between, props.unit]
    .filter(Boolean)
    .join(' ');
});
const NO_SUFFIX = /^$/;
/** The field's own unit may stand behind the number; another one would mean another number, and is refused. */
function withoutUnit(written: string): string {
  const unit = props.unit?.trim().toLowerCase();
  if (!unit) return written;
  const own = [unit, unit.split(' ')[0]!].find((word) => written.toLowerCase().endsWith(word));
  return own ? written.slice(0, -own.length).trim() : written;
}
/** The number meant, null for an empty field that may be empty, undefined for what is refused. */
function read(written: string): number | null | undefined {
  if (written.trim() === '') return props.optional ? null : undefined;
  const number = readPlainNumber(withoutUnit(written.trim()), NO_SUFFIX);
  if (!number.ok || (props.whole && !Number.isInteger(number.value))) return undefined;
  const [min, max] = props.bounds ?? [-Infinity, Infinity];
  return number.value < min || number.value > max ? undefined : number.value;
}

function type(written: string): void {
  text.value = written;
  const value = read(written);
  if (value !== undefined) complaint.value = '';
  if ((value ?? null) !== props.value) emit('update:value', value ?? null);
}

function leave(written: string): void {
  const value = read(written);
  if (value === undefined) {
    complaint.value = `${props.label} must be ${wanted.value}, not “${written}”.`;
    return;
  }
  complaint.value = '';
  emit('write', value);
}

function turn(by: number): void {
  if (props.disabled || props.readonly) return;
  const [min, max] = props.bounds ?? [-Infinity, Infinity];
  const from = read(text.value) ?? props.value ?? Math.max(0, min);
  const next = Math.min(max, Math.max(min, Number((from + by * props.step).toFixed(6))));
  text.value = String(next);
  emit('update:value', next);
  emit('write', next);
  complaint.value = '';
}

const field = ref<InstanceType<typeof TextField> | null>(null);
defineExpose({ focus: () => field.value?.focus() });
</script>

<template>
  <span class="number-field">
    <TextField
      ref="field"
      v-bind="$attrs"
      :value="text"
      :style="{ width: `${px}px` }"
      inputmode="decimal"
      :aria-label="label"
      :placeholder="placeholder"
      :disabled="disabled"
      :readonly="readonly"
      :bad="complaint !== ''"
      @update:value="type"
      @write="leave"
      @keydown.up.prevent="turn(1)"
      @keydown.down.prevent="turn(-1)"
    />
    <span v-if="unit" class="unit quiet">{{ unit }}</span>
    <span v-if="complaint" class="verdict error small" role="alert">■ {{ complaint }}</span>
  </span>
</template>

<style scoped>
.number-field {
  display: inline-flex;
  align-items: center;
  gap: 4px;
  flex-wrap: wrap;
}
.unit {
  font-size: 12.5px;
}
</style>
