<script setup lang="ts">
import type { BagView, PlanView } from '@tasche/contract';
import { GAPPING_STRATEGIES, type GappingStrategyId } from '@tasche/core';
import { NButton } from 'naive-ui';
import { computed } from 'vue';
import { useRoute, useRouter } from 'vue-router';
import ActionMenu, { type Action } from '../app/ActionMenu.vue';
import { shortDay } from '../app/day';
import PageHead from '../app/PageHead.vue';
import UnitButton from '../app/UnitButton.vue';
import NameTag from '../app/NameTag.vue';
import { settingPart } from '../conditions/setting-query';
import ChoiceField from '../fields/ChoiceField.vue';
import { useSheet } from '../sheet/sheet-store';
import PlanPicker from './PlanPicker.vue';

/** What is being written: a new week, this one, or an event. */
export type PlanWriting = 'new' | 'edit' | 'event';

/** The head of a week's page: which week, what it is of, and what is done with the whole of it. */
const props = defineProps<{
  playerId: string;
  plans: readonly PlanView[];
  plan: PlanView | undefined;
  /** The bag the plan makes. */
  bag: BagView | undefined;
  /** Read in another air than the baseline. */
  inAir: boolean;
  /** The bag holds more clubs than it may. */
  tooMany: boolean;
}>();
const school = defineModel<GappingStrategyId>('strategy', { required: true });
const writing = defineModel<PlanWriting | null>('writing', { required: true });
const airOpen = defineModel<boolean>('airOpen', { required: true });
const store = useSheet();
const route = useRoute();
const router = useRouter();

function remove(): void {
  if (!props.plan) return;
  store.change([{ do: 'removePlan', planId: props.plan.id, version: props.plan.version }]);
  void router.push({ name: 'plan', params: { playerId: props.playerId } });
}
const actions = computed((): Action[] => [
  ...(store.may('editPlan')
    ? [{ key: 'edit', label: 'Edit the week', run: () => (writing.value = 'edit') }]
    : []),
  ...(props.bag
    ? [
        {
          key: 'flights',
          label: 'Flights',
          run: () =>
            void router.push({
              name: 'flight',
              params: { playerId: props.playerId, bagId: props.bag!.id },
              query: settingPart(route.query),
            }),
        },
      ]
    : []),
  ...(store.gamer && store.may('addPlan')
    ? [
        { key: 'event', label: 'Plan an event', run: () => (writing.value = 'event') },
        { key: 'week', label: 'Plan a week', run: () => (writing.value = 'new') },
      ]
    : []),
  ...(props.bag?.gamer || !store.may('removePlan')
    ? []
    : [{ key: 'remove', label: 'Delete this plan', run: remove }]),
]);

const print = () => window.print();
</script>

<template>
  <PageHead :of="store.sheet!.player.name">
    {{ plan?.name ?? (writing === 'event' ? 'Plan an event' : 'Plan')
    }}<NameTag v-if="bag?.gamer">now the gamer</NameTag>
    <template #says>
      <p v-if="plan" class="meta">
        <b v-if="plan.course">{{ plan.course }}</b><span
          >{{ shortDay(plan.startsOn) }} to {{ shortDay(plan.endsOn) }}</span
        >
        <span v-if="plan.ground">Ground: {{ plan.ground }}</span
        ><span v-if="plan.weather">Weather: {{ plan.weather }}</span>
      </p>
      <p v-else class="quiet small">
        From the gamer bag: clubs go out and in, and the page says what each swap does.
      </p>
    </template>
    <template #actions>
      <PlanPicker :player-id="playerId" :plans="plans" :plan-id="plan?.id" />
      <ChoiceField
        v-if="plans.length > 0"
        v-model:value="school"
        label="Gapping style"
        size="medium"
        :options="GAPPING_STRATEGIES.map((one) => ({ value: one.id, label: one.name }))"
      />
      <UnitButton :own="store.sheet!.player.distanceUnit" />
      <template v-if="!plan && plans.length > 0 && store.gamer && store.may('addPlan')">
        <NButton @click="writing = 'new'">Plan a week</NButton>
        <NButton type="primary" @click="writing = 'event'">Plan an event</NButton>
      </template>
      <NButton v-if="plan" :aria-expanded="airOpen || inAir" title="Alt A" @click="airOpen = !airOpen">
        Air and ground
      </NButton>
      <NButton v-if="plan" @click="print">Print the swap sheet</NButton>
      <NButton
        v-if="plan && bag && !bag.gamer && store.may('makeGamer')"
        :disabled="tooMany"
        @click="store.change([{ do: 'makeGamer', bagId: bag.id }])"
        type="primary"
      >
        Make it the gamer
      </NButton>
      <ActionMenu v-if="plan && actions.length > 0" label="More for this plan" :actions="actions" />
    </template>
  </PageHead>
</template>

<style scoped>
.meta {
  display: flex;
  flex-wrap: wrap;
  gap: 2px 18px;
  margin-top: 5px;
}
</style>
