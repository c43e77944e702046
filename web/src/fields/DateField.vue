<script setup lang="ts">
import { format } from 'date-fns';
import { NDatePicker } from 'naive-ui';
import { computed, onMounted, ref, useAttrs, watch } from 'vue';
import { dayFormat, readDay } from './read-day';

/**
 * A day, picked from a calendar or typed in any way the app prints one. Reports a day it cannot read, and keeps
 * the text.
 */
const props = defineProps<{
  /** YYYY-MM-DD, or empty. */
  value: string;
  label: string;
  min?: string;
  max?: string;
  disabled?: boolean;
  /** May be empty. */
  optional?: boolean;
  /** Of something to come: a day without a year is not one that has passed. */
  ahead?: boolean;
}>();
const emit = defineEmits<{ 'update:value': [day: string] }>();
defineOptions({ inheritAttrs: false });
const attrs = useAttrs();

const locale = navigator.language;
const shownAs = dayFormat(locale);
const words = (day: string) => format(new Date(`${day}T12:00:00`), shownAs);
const typed = ref<string | null>(null);
const complaint = ref('');

function take(day: string): void {
  complaint.value = '';
  typed.value = null;
  if (day !== props.value) emit('update:value', day);
}

/** What is wrong with a day, or nothing. */
function fault(day: string): string {
  if (props.min && day < props.min) return `${props.label}: not before ${words(props.min)}`;
  if (props.max && day > props.max) return `${props.label}: not after ${words(props.max)}`;
  return '';
}

function dayIn(text: string): string | null {
  const { min = props.ahead ? format(new Date(), 'yyyy-MM-dd') : undefined, max } = props;
  return readDay(text, locale, new Date(), { min, max });
}

function onInput(event: Event): void {
  typed.value = (event.target as HTMLInputElement).value;
  // The error goes as soon as the day is fixed, so that nothing moves while a press leaves the field.
  const day = dayIn(typed.value);
  if (day && !fault(day)) complaint.value = '';
}

/** The picker itself throws away what it cannot read, so the typed day is read here before it does. */
function leave(): void {
  if (typed.value === null) return;
  const text = typed.value.trim();
  if (text === '') {
    if (props.optional) take('');
    else complaint.value = `${props.label}: choose a date`;
    return;
  }
  const day = dayIn(text);
  complaint.value = day
    ? fault(day)
    : `${props.label}: "${text}" is not a date; write ${words('2026-09-01')}`;
  if (day && !complaint.value) take(day);
}

/** The picker passes nothing on to the field one types in. */
const root = ref<HTMLElement | null>(null);
function nameField(): void {
  const field = root.value?.querySelector('input');
  field?.setAttribute('aria-label', props.label);
  field?.setAttribute('aria-invalid', String(complaint.value !== ''));
}
onMounted(nameField);
watch([complaint, () => props.label], nameField, { flush: 'post' });
defineExpose({ focus: () => root.value?.querySelector('input')?.focus() });

const timestamp = computed(() => (props.value ? new Date(`${props.value}T00:00:00`).getTime() : null));
function pick(moment: number | null): void {
  if (moment === null) return;
  const day = format(moment, 'yyyy-MM-dd');
  complaint.value = fault(day);
  if (!complaint.value) take(day);
}
</script>

<template>
  <span
    ref="root"
    class="date-field"
    :class="attrs.class"
    @input.capture="onInput"
    @focusout.capture="leave"
    @keydown.enter.capture="leave"
  >
    <NDatePicker
      type="date"
      :value="timestamp"
      :format="shownAs"
      :placeholder="optional ? 'no day' : 'which day?'"
      :disabled="disabled"
      :is-date-disabled="(moment: number) => fault(format(moment, 'yyyy-MM-dd')) !== ''"
      :status="complaint ? 'error' : undefined"
      size="small"
      @update:value="pick"
    />
    <span v-if="complaint" class="verdict error small" role="alert">■ {{ complaint }}</span>
  </span>
</template>

<style scoped>
.date-field {
  display: inline-grid;
  width: 150px;
}
</style>
