<script setup lang="ts">
import AwayLine from '../app/AwayLine.vue';
import ProblemLine from '../app/ProblemLine.vue';
import ShareButton from '../sharing/ShareButton.vue';
import { NButton, NEmpty } from 'naive-ui';
import { computed, onMounted } from 'vue';
import LinkButton from '../app/LinkButton.vue';
import PageHead from '../app/PageHead.vue';
import UnitButton from '../app/UnitButton.vue';
import { shortDay } from '../app/day';
import { useSchedule } from '../courses/schedule-store';
import ChoiceField from '../fields/ChoiceField.vue';
import { useShortcuts } from '../keys/use-shortcuts';
import { useSheet } from '../sheet/sheet-store';
import CaddieBar from './CaddieBar.vue';
import CardTable from './CardTable.vue';
import { useCards } from './use-cards';

/**
 * For a pocket: what every club carries on the day, with what wind, height and warmth do, and a caddie's
 * question answered.
 */
const props = defineProps<{ playerId: string }>();
const store = useSheet();
const schedule = useSchedule();
onMounted(() => void schedule.load());
const { unit, plans, plan, event, chosen, HOME, pages, round, shown, worked, problem } = useCards();

const choices = computed(() => [
  ...plans.value.map(({ id, name, startsOn }) => ({ value: id, label: `${name}, ${shortDay(startsOn)}` })),
  { value: HOME, label: 'At home' },
]);
const roundChoices = computed(() => [
  { value: '', label: 'every round' },
  ...pages.value.map(({ roundIds, name }) => ({ value: roundIds[0]!, label: name })),
]);
/** The caddie's question is asked of the round that is shown. */
const page = computed(() => shown.value[0]?.page ?? pages.value[0]);
const pdf = (size: 'book' | 'phone') => {
  const query = new URLSearchParams({
    size,
    unit: unit.value,
    ...(plan.value && { plan: plan.value.id }),
    ...(round.value && { round: round.value }),
  });
  return `/api/players/${props.playerId}/card.pdf?${query.toString()}`;
};
/** The bag has no club with a carry, known or worked out. */
const isEmpty = computed(
  () => shown.value.length > 0 && shown.value.every(({ card }) => card.clubs.length === 0),
);
const print = () => window.print();
useShortcuts('An event', {
  'Alt 1 to 8': (_event, digit) => {
    const wanted = pages.value[digit - 1];
    if (wanted) round.value = wanted.roundIds[0];
    return wanted !== undefined;
  },
});
</script>

<template>
  <div class="page cards">
    <PageHead :of="store.sheet!.player.name">
      Card
      <template #says>
        <p class="quiet no-print choices">
          <ChoiceField :value="chosen" label="Card for" :options="choices" @update:value="chosen = $event" />
          <ChoiceField
            v-if="pages.length > 1"
            :value="round ?? ''"
            label="Round"
            :options="roundChoices"
            @update:value="round = $event || undefined"
          />
        </p>
      </template>
      <template #actions>
        <UnitButton :own="store.sheet!.player.distanceUnit" />
        <LinkButton
          v-if="plan"
          :to="{ name: 'swap-sheet', params: { playerId, planId: plan.id } }"
          class="no-print"
          >Swap sheet</LinkButton
        >
        <ShareButton :player-id="playerId" paper="card" :plan-id="plan?.id" />
        <NButton
          v-for="(words, size) in { book: 'PDF, yardage book', phone: 'PDF, phone' }"
          :key="size"
          tag="a"
          :href="pdf(size)"
          target="_blank"
          >{{ words }}</NButton
        >
        <NButton type="primary" :disabled="shown.length === 0 || isEmpty" @click="print">Print</NButton>
      </template>
    </PageHead>
    <CaddieBar v-if="page && !isEmpty" :page="page" :unit="unit" />
    <ProblemLine :text="problem" />
    <template v-if="plan && !event">
      <AwayLine :state="schedule.state" />
      <p v-if="schedule.state === 'ready'" class="verdict warning">
        ◆ The event of this plan is not here; it may have been deleted.
      </p>
    </template>
    <NEmpty
      v-if="isEmpty || (worked && pages.length === 0 && !plan)"
      :description="
        isEmpty ? 'No carries yet. A card lists what every club of the bag carries.' : 'No bag yet.'
      "
    >
      <template #extra>
        <LinkButton :to="{ name: 'bag', params: { playerId } }">Enter the bag</LinkButton>
      </template>
    </NEmpty>
    <template v-if="!isEmpty">
      <CardTable v-for="one in shown" :key="one.page.roundIds.join()" :worked="one" :unit="unit" />
    </template>
    <p v-if="worked === null && pages.length > 0" class="quiet" role="status">Working the flights out…</p>
  </div>
</template>

<style scoped>
.cards {
  max-width: 1180px;
}
.choices {
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
  margin-top: 6px;
}
</style>
