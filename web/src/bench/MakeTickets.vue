<script setup lang="ts">
import { NButton, NForm } from 'naive-ui';
import { reactive, ref, watch } from 'vue';
import { counted } from '@tasche/core';
import type { TicketOccasion } from './new-tickets';
import OccasionFields from './OccasionFields.vue';

/** The tickets of a plan made with one press: for which event, by when, and the way to them. */
const props = defineProps<{
  playerId: string;
  count: number;
  /** What they are about; when that changes they can be made again. */
  about: string;
  /** Behind "Make 3 tickets". */
  words?: string;
}>();
const emit = defineEmits<{ make: [occasion: Omit<TicketOccasion, 'why'>] }>();

const occasion = reactive<Omit<TicketOccasion, 'why'>>({ eventId: null, dueOn: null });
const made = ref(0);
watch(
  () => props.about,
  () => (made.value = 0),
);
function make(): void {
  made.value = props.count;
  emit('make', { ...occasion });
}
</script>

<template>
  <NForm size="small" inline :show-feedback="false" class="make no-print">
    <OccasionFields v-model:event-id="occasion.eventId" v-model:due-on="occasion.dueOn" />
    <NButton type="primary" :disabled="made > 0" @click="make">
      Make {{ counted(count, 'ticket') }}{{ words ? ` ${words}` : '' }}
    </NButton>
    <span v-if="made > 0" role="status" class="verdict fine">
      {{ counted(made, 'ticket') }} made.
      <RouterLink :to="{ name: 'bench', params: { playerId } }">To the tickets</RouterLink>
    </span>
  </NForm>
</template>

<style scoped>
.make {
  align-items: end;
  margin: 14px 0;
}
</style>
