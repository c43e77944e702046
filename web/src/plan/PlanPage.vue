<script setup lang="ts">
import { computed } from 'vue';
import { useRoute } from 'vue-router';
import { useSheet } from '../sheet/sheet-store';
import EventPlan from './EventPlan.vue';
import PlanView from './PlanView.vue';
import UnplannedEvent from './UnplannedEvent.vue';
import { usePlan } from './use-plan';

/**
 * A plan for an event has rounds on courses; a plan for a week alone has what was typed of it. An address may name
 * an event instead of a plan.
 */
const props = defineProps<{ playerId: string; planId?: string }>();
const route = useRoute();
const store = useSheet();
const eventId = computed(() =>
  props.planId === undefined && typeof route.query.event === 'string' ? route.query.event : undefined,
);
const planOfIt = computed(() => store.sheet!.plans.find((one) => one.eventId === eventId.value));
const { plan: named } = usePlan(props);
const plan = computed(() => (eventId.value === undefined ? named.value : planOfIt.value));
</script>

<template>
  <UnplannedEvent v-if="eventId !== undefined && !plan" :player-id="playerId" :event-id="eventId" />
  <EventPlan v-else-if="plan?.eventId" :key="plan.id" :player-id="playerId" :plan="plan" />
  <PlanView v-else :player-id="playerId" :plan-id="planId" />
</template>
