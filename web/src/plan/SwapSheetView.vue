<script setup lang="ts">
import { NButton } from 'naive-ui';
import { ballOn, roundCards } from '@tasche/contract';
import { counted, COMMITTEE_DECIDES } from '@tasche/core';
import { computed, onMounted } from 'vue';
import AwayLine from '../app/AwayLine.vue';
import LinkButton from '../app/LinkButton.vue';
import NotThere from '../app/NotThere.vue';
import Breadcrumb from '../app/Breadcrumb.vue';
import { pagesAbove } from '../app/breadcrumb';
import PageHead from '../app/PageHead.vue';
import ProblemLine from '../app/ProblemLine.vue';
import { shortDay, today } from '../app/day';
import { useSettings } from '../app/settings';
import CardTable from '../card/CardTable.vue';
import { useWorkedCards } from '../card/use-cards';
import { useSchedule } from '../courses/schedule-store';
import ShareButton from '../sharing/ShareButton.vue';
import { useSheet } from '../sheet/sheet-store';
import SheetRound from './SheetRound.vue';
import { sheetRounds } from './sheet-rounds';

/**
 * Round by round on one page: what goes out and in, why, what would change it on the morning, and the bag
 * itself. Made to be printed, or sent as a link.
 */
const props = defineProps<{ playerId: string; planId: string }>();
const store = useSheet();
const schedule = useSchedule();
const settings = useSettings();
onMounted(() => void schedule.load());

const unit = computed(() => settings.unitFor(store.sheet!.player.distanceUnit));
const plan = computed(() => store.sheet!.plans.find(({ id }) => id === props.planId));
const event = computed(() => schedule.events.find(({ id }) => id === plan.value?.eventId));
const planAt = computed(() => ({ name: 'plan', params: { ...props } }));
const above = computed(() => [
  ...pagesAbove(store.sheet!.player, 'plan'),
  ...(plan.value ? [{ label: plan.value.name, to: planAt.value }] : []),
]);
const nameOf = store.nameOf;
const rounds = computed(() =>
  event.value && plan.value
    ? sheetRounds(plan.value, event.value, {
        bags: store.sheet!.bags,
        clubs: store.ladderClubs,
        courses: schedule.courses,
        gapSettings: store.sheet!.player.gapSettings,
        nameOf,
      })
    : [],
);
const isSettled = computed(() => rounds.value.some(({ bag }) => bag));
const pages = computed(() => {
  const { player, clubs, bags } = store.sheet!;
  return plan.value && event.value
    ? roundCards({ player, clubs, bags, unit: unit.value }, plan.value, event.value, schedule.courses)
    : [];
});
const { worked, problem } = useWorkedCards(pages);
/** The full shots of a round's card, by club. */
const stockOf = (roundId: string) =>
  new Map(
    worked.value
      ?.find(({ page }) => page.roundIds.includes(roundId))
      ?.card.clubs.flatMap(({ id, shots }) =>
        shots.filter(({ kind }) => kind === 'full').map((shot) => [id, shot] as const),
      ),
  );
const days = computed(() => (event.value?.rounds ?? []).map(({ day }) => day).sort());
const ball = computed(() => ballOn(store.sheet!.player.balls, days.value[0] ?? today()));
const print = () => window.print();
const gamerNames = computed(() => (plan.value?.baseClubIds ?? []).map(nameOf).join(', '));
</script>

<template>
  <div class="page sheet">
    <PageHead :of="store.sheet!.player.name">
      Swap sheet
      <template #breadcrumb><Breadcrumb :pages="above" /></template>
      <template #says>
        <p v-if="event" class="quiet">
          {{ event.name }}, {{ [...new Set([days[0]!, days.at(-1)!])].map(shortDay).join(' to ') }}. At most
          {{ counted(event.limits.clubs, 'club') }}, none over {{ event.limits.lengthIn }} in.
          {{ gamerNames ? `Against the gamer: ${gamerNames}.` : 'The gamer holds no clubs.'
          }}<template v-if="ball"> Ball: {{ ball }}.</template>
        </p>
      </template>
      <template #actions>
        <ShareButton v-if="plan?.eventId" :player-id="playerId" paper="swap-sheet" :plan-id="planId" />
        <NButton :disabled="!isSettled" @click="print" type="primary"> Print </NButton>
      </template>
    </PageHead>
    <NotThere v-if="!plan" title="This plan is not here" says="It may have been deleted.">
      <LinkButton :to="{ name: 'history', params: { playerId } }">History can bring it back</LinkButton>
    </NotThere>
    <p v-else-if="!plan.eventId" class="quiet">
      This plan is for a week, not for an event; it prints from its own page.
      <RouterLink :to="planAt">To the plan</RouterLink>
    </p>
    <SheetRound
      v-for="one in rounds"
      :key="one.round.id"
      :of="one"
      :plan-at="planAt"
      :stock="stockOf(one.round.id)"
      :unit="unit"
      :name-of="nameOf"
    />
    <AwayLine v-if="plan?.eventId && !event" :state="schedule.state" />
    <ProblemLine :text="problem" />
    <div v-if="isSettled" class="cards">
      <CardTable
        v-for="one in (worked ?? []).filter(({ page }) => page.isSettled)"
        :key="one.page.roundIds.join()"
        :worked="one"
        :unit="unit"
      />
    </div>
    <p class="small quiet foot">
      {{ COMMITTEE_DECIDES }} Printed {{ shortDay(today()) }} from Tasche; the numbers behind each reason are
      strokes a round.
    </p>
  </div>
</template>

<style scoped>
.sheet {
  max-width: 980px;
}
.foot {
  margin-top: 14px;
}
@media print {
  .cards {
    break-before: page;
  }
}
</style>
