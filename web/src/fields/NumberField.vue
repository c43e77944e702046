<script setup lang="ts">
import { readMoney, readPlainNumber, withDecimals, withoutAbout } from '@tasche/contract';
import { NInputNumber } from 'naive-ui';
import { computed, ref, watch } from 'vue';
import { useFieldAttrs } from './field-attrs';
import { inOtherUnit } from './other-units';
import { useReadOnly } from './read-only';

/**
 * A number with its unit, typed with a decimal comma or point, or in another unit ("20 C" where it is in °F); the
 * arrows up and down step it. The component
 * library's number field by itself silently resets or clamps values it does not accept; here it always shows
 * what was typed, and a number out of bounds stays, with the reason below it, until it is fixed.
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
    /** A price, in whatever money. */
    money?: boolean;
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

const isReadOnly = useReadOnly();
const shown = (value: number | null) => (value === null ? '' : String(value));
/** What stands in the field, as it was typed; the library shows this and nothing else. */
const text = ref(shown(props.value));
const typing = ref(false);
let before = '';
const complaint = ref('');
watch(() => props.value, showValue);
/** Shows the value behind the field, where that is another number than the one in it. */
function showValue(value: number | null): void {
  const same = value === null ? read(text.value) == null : read(text.value) === value;
  if (same || typing.value) return;
  text.value = shown(value);
  complaint.value = '';
}

const NO_SUFFIX = /^$/;
const PLAIN = /^[-+−–]?[\d.,]+$/;
/** The field's own unit may stand behind the number. */
function withoutUnit(written: string): string {
  const unit = props.unit?.trim().toLowerCase();
  if (!unit) return written;
  const own = [unit, unit.split(' ')[0]!].find((word) => written.toLowerCase().endsWith(word));
  return own ? written.slice(0, -own.length).trim() : written;
}
/** Of numbers as large as this a comma before three digits may separate thousands. */
const THOUSANDS = 1000;
/** What is typed, without a unit and "about". */
function plainNumber(written: string): string {
  const { number = withoutUnit(written.trim()) } = inOtherUnit(written, props.unit) ?? {};
  return withDecimals(withoutAbout(number));
}
function readTyped(written: string) {
  const isTyped = written !== shown(props.value);
  const thousandsPossible = isTyped && props.bounds !== undefined && props.bounds[1] > THOUSANDS;
  // In another unit of the same kind it is converted; any other word is refused.
  const other = inOtherUnit(written, props.unit);
  const plain = plainNumber(written);
  const number = props.money ? readMoney(plain) : readPlainNumber(plain, NO_SUFFIX, thousandsPossible);
  if (!number.ok || !other) return number;
  const value = other.convert(number.value);
  return { ...number, value: props.whole ? Math.round(value) : value };
}
/** The number meant, null for an empty field that may be empty, undefined for what is refused. */
function read(written: string): number | null | undefined {
  if (written.trim() === '') return props.optional ? null : undefined;
  const number = readTyped(written);
  if (!number.ok || (props.whole && !Number.isInteger(number.value))) return undefined;
  const [min, max] = props.bounds ?? [-Infinity, Infinity];
  return number.value < min || number.value > max ? undefined : number.value;
}
/** What is wrong with a text that is refused. */
function complaintOf(written: string): string {
  const typed = readTyped(written);
  const isNumber = readPlainNumber(plainNumber(written), NO_SUFFIX).ok;
  if (isNumber && !typed.ok) return `${props.label}: ${typed.reason}.`;
  const between = props.bounds && `between ${props.bounds[0]} and ${props.bounds[1]}`;
  const kind = props.whole ? 'a whole number' : !between || !isNumber ? 'a number' : '';
  const wanted = [kind, between, props.unit].filter(Boolean).join(' ');
  return `${props.label} must be ${wanted}, not “${written}”.`;
}

const parse = (written: string) => read(written) ?? null;
const number = computed(() => parse(text.value));

function type(written: string): void {
  if (!typing.value) before = text.value;
  typing.value = true;
  text.value = written;
  const value = read(written);
  if (value !== undefined) complaint.value = '';
  if ((value ?? null) !== props.value) emit('update:value', value ?? null);
}

function leave(): void {
  if (!typing.value) return;
  typing.value = false;
  const value = read(text.value);
  if (text.value === before) {
    // Nothing was said in the end; meanwhile the value may have become another.
    if (value !== undefined) showValue(props.value);
    return;
  }
  complaint.value = value === undefined ? complaintOf(text.value) : '';
  if (value === undefined) return;
  // Where it was said in another unit, with a sign of money or about, the field shows what that came to.
  if (inOtherUnit(text.value, props.unit) || !PLAIN.test(text.value)) text.value = shown(value);
  emit('write', value);
}

/** The library tells a number when it was stepped, and once more when the field is left. */
function stepTo(next: number | null): void {
  const isRefused = text.value.trim() !== '' && number.value === null;
  if (next === null || next === number.value || isRefused || props.readonly || isReadOnly.value) return;
  const [min, max] = props.bounds ?? [-Infinity, Infinity];
  const value = Math.min(max, Math.max(min, next));
  text.value = shown(value);
  typing.value = false;
  complaint.value = '';
  emit('update:value', value);
  emit('write', value);
}

const attrs = useFieldAttrs();
const inner = computed(() => ({
  inputmode: 'decimal' as const,
  ...attrs.inner.value,
  'aria-label': props.label,
  'aria-invalid': complaint.value !== '' || undefined,
  'data-untouched': typing.value ? undefined : '',
}));
const field = ref<InstanceType<typeof NInputNumber> | null>(null);
defineExpose({ focus: () => field.value?.focus() });
</script>

<template>
  <span
    class="number-field"
    @input="type(($event.target as HTMLInputElement).value)"
    @change="leave"
    @focusout="leave"
  >
    <NInputNumber
      ref="field"
      :value="number"
      :parse="parse"
      :format="() => text"
      :step="step"
      size="small"
      :show-button="false"
      :style="{ width: `${px}px` }"
      :placeholder="placeholder ?? ''"
      :disabled="disabled"
      :readonly="readonly || isReadOnly"
      :status="complaint === '' ? undefined : 'error'"
      :input-props="inner"
      v-bind="attrs.outer.value"
      @update:value="stepTo"
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
