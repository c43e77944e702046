<script setup lang="ts">
import { CLUB_KINDS, type ClubKind } from '@tasche/core';
import { NButton, NCard, NForm } from 'naive-ui';
import { ref } from 'vue';
import ChoiceField from '../fields/ChoiceField.vue';

/** Asks what kind of club a new name is, where the name does not say. */
const props = defineProps<{ name: string }>();
const emit = defineEmits<{ add: [name: string, kind: ClubKind]; leave: [] }>();
const kind = ref<ClubKind | null>(null);
</script>

<template>
  <NCard class="kind-question">
    <NForm @submit.prevent="kind && emit('add', props.name, kind)">
      <span>What kind of club is “{{ name }}”?</span>
      <ChoiceField v-model:value="kind" :label="`What kind of club is “${name}”?`" :options="CLUB_KINDS" />
      <NButton size="small" type="primary" attr-type="submit" :disabled="!kind">Add it</NButton>
      <NButton size="small" @click="emit('leave')">Cancel</NButton>
    </NForm>
  </NCard>
</template>

<style scoped>
.kind-question {
  padding: 8px 12px;
  margin-bottom: 10px;
  display: flex;
  flex-wrap: wrap;
  gap: 8px 12px;
  align-items: center;
}
</style>
