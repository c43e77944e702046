<script setup lang="ts">
import ChoiceField from '../fields/ChoiceField.vue';
import type { PlanView } from '@tasche/contract';
import { computed } from 'vue';
import { useRouter } from 'vue-router';
import { useSheet } from '../sheet/sheet-store';

/**
 * Goes to another of the player's plans; older ones than the sheet came with are asked for when they are
 * wanted.
 */
const props = defineProps<{ playerId: string; plans: readonly PlanView[]; planId: string | undefined }>();
const store = useSheet();
const router = useRouter();

const OLDER = 'older';
const older = computed(() => (store.sheet?.planCount ?? 0) - props.plans.length);
const options = computed(() => [
  ...(older.value > 0 ? [{ value: OLDER, label: `${older.value} older…` }] : []),
  ...props.plans.map(({ id, name }) => ({ value: id, label: name })),
]);

function choose(id: string): void {
  if (id === OLDER) void store.loadOlderPlans();
  else void router.push({ name: 'plan', params: { playerId: props.playerId, planId: id } });
}
</script>

<template>
  <ChoiceField
    v-if="options.length > 1"
    :value="planId"
    :options="options"
    label="Plan"
    size="medium"
    @update:value="choose"
  />
</template>
