<script setup lang="ts">
import EventPlan from './EventPlan.vue';
import PlanView from './PlanView.vue';
import { usePlan } from './use-plan';

/** A plan for an event has rounds on courses; a plan for a week alone has what was typed of it. */
const props = defineProps<{ playerId: string; planId?: string }>();
const { plan } = usePlan(props);
</script>

<template>
  <EventPlan v-if="plan?.eventId" :key="plan.id" :player-id="playerId" :plan="plan" />
  <PlanView v-else :player-id="playerId" :plan-id="planId" />
</template>
