<script setup lang="ts">
import { NAutoComplete } from 'naive-ui';
import { zoneSchema } from '@tasche/contract';
import { computed, ref, watch } from 'vue';
import { zonesLike } from './time-zones';

/** A time zone by part of its name, or by its country: "oslo", "new york", "norway". Reports a zone it does not know, and keeps the text. */
const props = defineProps<{
  /** An IANA name, or empty. */
  value: string;
  label: string;
}>();
const emit = defineEmits<{ 'update:value': [zone: string] }>();
/** So many zones are named where a text may be several. */
const MAX_NAMED = 3;
const typed = ref(props.value);
const complaint = ref('');
watch(
  () => props.value,
  (value) => {
    typed.value = value;
  },
);
const options = computed(() => zonesLike(typed.value));

/** The zone meant, where only one can be; undefined for none. */
function read(text: string): string | undefined {
  const only = zonesLike(text);
  const zone = only.length === 1 ? only[0]! : text.trim().replace(/ /g, '_');
  return zone === '' || zoneSchema.isValidSync(zone) ? zone : undefined;
}
/** The error goes as soon as the zone is fixed, so that nothing moves while a press leaves the field. */
watch(typed, (text) => {
  if (read(text) !== undefined) complaint.value = '';
});
/** Why a text is no zone: it may be several, or none. */
function complaintOf(text: string): string {
  const like = zonesLike(text);
  const said = `${props.label}: "${text.trim()}"`;
  if (like.length === 0) return `${said} is not a time zone; write a large city, like Oslo, or a country`;
  const named = like.slice(0, MAX_NAMED).join(', ');
  return `${said} may be ${named}${like.length > MAX_NAMED ? ' or others' : ''}; choose one`;
}
function take(text: string): void {
  const zone = read(text);
  complaint.value = zone === undefined ? complaintOf(text) : '';
  if (zone === undefined) return;
  typed.value = zone;
  if (zone !== props.value) emit('update:value', zone);
}
</script>

<template>
  <span class="zone-field">
    <NAutoComplete
      v-model:value="typed"
      :options="options"
      :input-props="{ 'aria-label': label, 'aria-invalid': complaint !== '' }"
      :status="complaint ? 'error' : undefined"
      placeholder="a city or country"
      size="small"
      clearable
      @select="take(String($event))"
      @blur="take(typed)"
      @clear="take('')"
    />
    <span v-if="complaint" class="verdict error small" role="alert">■ {{ complaint }}</span>
  </span>
</template>

<style scoped>
.zone-field {
  display: inline-grid;
  width: 190px;
}
</style>
