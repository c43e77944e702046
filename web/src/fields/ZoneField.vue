<script setup lang="ts">
import { NAutoComplete } from 'naive-ui';
import { zoneSchema } from '@tasche/contract';
import { computed, ref, watch } from 'vue';
import { zonesLike } from './time-zones';

/** A time zone by part of its name: "oslo", "new york". Says what it does not know, and keeps it. */
const props = defineProps<{
  /** An IANA name, or empty. */
  value: string;
  label: string;
}>();
const emit = defineEmits<{ 'update:value': [zone: string] }>();
const typed = ref(props.value);
const complaint = ref('');
watch(
  () => props.value,
  (value) => {
    typed.value = value;
  },
);
const options = computed(() => zonesLike(typed.value));

function take(text: string): void {
  const only = zonesLike(text);
  const zone = only.length === 1 ? only[0]! : text.trim().replace(/ /g, '_');
  complaint.value =
    zone === '' || zoneSchema.isValidSync(zone)
      ? ''
      : `${props.label}: "${text.trim()}" is none; write a city, like Oslo`;
  if (complaint.value) return;
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
      placeholder="a city"
      size="small"
      clearable
      @select="take(String($event))"
      @blur="take(typed)"
      @clear="take('')"
    />
    <span v-if="complaint" class="verdict fault small" role="alert">■ {{ complaint }}</span>
  </span>
</template>

<style scoped>
.zone-field {
  display: inline-grid;
  width: 190px;
}
</style>
