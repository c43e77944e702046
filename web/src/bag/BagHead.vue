<script setup lang="ts">
import type { BagView, ClubView } from '@tasche/contract';
import { counted, GAPPING_STRATEGIES, type GappingStrategyId } from '@tasche/core';
import { NButton } from 'naive-ui';
import { computed } from 'vue';
import { useRoute, useRouter } from 'vue-router';
import PageHead from '../app/PageHead.vue';
import UnitButton from '../app/UnitButton.vue';
import { shortDay, shortMoment, today, withDaysFormatted } from '../app/day';
import NameTag from '../app/NameTag.vue';
import ChoiceField from '../fields/ChoiceField.vue';
import { useSheet } from '../sheet/sheet-store';

/** Whose bag it is, what is known of it, and how it is to be spaced. */
const props = defineProps<{
  bag: BagView | undefined;
  /** Clubs in it, and by how many they are over the limit. */
  count: number;
  tooMany: number;
  limit: number;
  /** Clubs with a carry to know, and those whose carry is not known. */
  carryClubs: readonly ClubView[];
  unknown: readonly ClubView[];
}>();
const strategy = defineModel<GappingStrategyId>('strategy', { required: true });
defineEmits<{ nextUnknown: [] }>();
const store = useSheet();
const route = useRoute();
const router = useRouter();
const isCalledGamer = computed(() => props.bag?.name.toLowerCase() === 'gamer');
const lastChange = computed(() => store.sheet!.lastChange);
const bagOptions = computed(() =>
  store
    .sheet!.bags.filter((one) => !one.planId || one.gamer || one.id === props.bag?.id)
    .map((one) => ({
      value: one.id,
      label: one.gamer && one.name.toLowerCase() !== 'gamer' ? `${one.name} (gamer)` : one.name,
    })),
);
function toBag(bagId: string): void {
  const { id: playerId } = store.sheet!.player;
  void router.push({ name: 'bag', params: { playerId, bagId }, query: route.query });
}
</script>

<template>
  <PageHead :of="store.sheet!.player.name">
    {{ bag?.name ?? 'no bag yet' }}<NameTag v-if="bag?.gamer && !isCalledGamer">gamer</NameTag
    ><NameTag v-if="bag?.ready">ready</NameTag>
    <template #says>
      <p class="quiet small meta">
        <span v-if="bag">{{ counted(count, 'club') }}</span>
        <NButton v-if="unknown.length" text type="primary" class="unknown" @click="$emit('nextUnknown')"
          >{{ unknown.length }} of {{ carryClubs.length }} carries not known yet</NButton
        >
        <span v-if="tooMany > 0" class="verdict warning"
          >◆ {{ tooMany }} must go: {{ limit }} is the limit (Rule 4.1b)</span
        >
        <span>as of {{ shortDay(store.sheet!.asOf ?? today()) }}</span>
        <span v-if="lastChange && !store.isPast" class="last"
          >last change by {{ lastChange.who }}, {{ shortMoment(lastChange.at) }}:
          {{ withDaysFormatted(lastChange.summary) }}</span
        >
        <RouterLink v-if="store.isPast" :to="{ query: { ...route.query, asOf: undefined } }"
          >Back to today</RouterLink
        >
      </p>
    </template>
    <template #actions>
      <ChoiceField
        v-if="bagOptions.length > 1"
        :value="bag?.id"
        :options="bagOptions"
        label="Bag"
        size="medium"
        @update:value="toBag"
      />
      <ChoiceField
        v-model:value="strategy"
        label="Gapping style"
        size="medium"
        :options="GAPPING_STRATEGIES.map((one) => ({ value: one.id, label: one.name }))"
      />
      <UnitButton :own="store.sheet!.player.distanceUnit" />
      <slot />
    </template>
  </PageHead>
</template>

<style scoped>
.meta {
  display: flex;
  flex-wrap: wrap;
  gap: 2px 16px;
  margin-top: 4px;
}
.last {
  max-width: 62ch;
  overflow: hidden;
  text-overflow: ellipsis;
  white-space: nowrap;
}
@media (max-width: 700px) {
  .last {
    white-space: normal;
  }
}
</style>
