<script setup lang="ts">
import ProblemLine from '../app/ProblemLine.vue';
import {
  BENDING_CAUTION,
  BUILDER_WORDS,
  DEFAULT_GAP_SETTINGS,
  USUAL_BOUNCE_WINDOW,
  gappingStrategyOf,
  loftChoicesOf,
  type BendPlan,
} from '@tasche/core';
import { NAlert, NEmpty } from 'naive-ui';
import { computed, reactive, ref, watch } from 'vue';
import { useRoute, useRouter } from 'vue-router';
import { useSettings } from '../app/settings';
import UnitButton from '../app/UnitButton.vue';
import MixedUpLines from '../clubs/MixedUpLines.vue';
import { mixedUpSentences } from '../clubs/mixed-up';
import ChoiceField from '../fields/ChoiceField.vue';
import NumberField from '../fields/NumberField.vue';
import { useSheet } from '../sheet/sheet-store';
import BenchHead from './BenchHead.vue';
import BendAnswerCard from './BendAnswerCard.vue';
import BendTable from './BendTable.vue';
import { offTargetWords, planTitle } from './bend-plan-words';
import { bendRows } from './bend-rows';
import type { BendQuestion } from './bend-worker';
import { addTickets, bendTicket, type TicketOccasion } from './new-tickets';
import MakeTickets from './MakeTickets.vue';
import StepBars from './StepBars.vue';
import { useBendPlan } from './use-bend-plan';

/**
 * The bends that make a bag's steps what its gapping style wants, with the least bending; and the tickets for
 * them.
 */
const props = defineProps<{ playerId: string }>();
const store = useSheet();
const settings = useSettings();
const route = useRoute();
const router = useRouter();

const unit = computed(() => settings.unitFor(store.sheet!.player.distanceUnit));
const bag = computed(
  () => store.sheet!.bags.find(({ id }) => id === route.query.bag) ?? store.gamer ?? store.sheet!.bags[0],
);
const clubs = computed(() =>
  (bag.value?.clubIds ?? []).flatMap((id) => {
    const [view, ladder] = [store.clubsById.get(id), store.ladderClubs.get(id)];
    return view && ladder ? [{ view, ladder }] : [];
  }),
);
const window = reactive({ ...USUAL_BOUNCE_WINDOW });
/** Clubs that stay as they are, whatever the plan would do with them. */
const kept = ref<readonly string[]>([]);

/** No club is bent for a mistyped number. */
const isMixedUp = computed(() => mixedUpSentences(store, bag.value?.clubIds ?? []).length > 0);
const question = computed<BendQuestion | null>(() =>
  clubs.value.length === 0 || isMixedUp.value
    ? null
    : {
        clubs: clubs.value.map(({ ladder }) => ladder),
        choices: clubs.value
          .filter(({ view }) => !kept.value.includes(view.id))
          .map(({ view }) => [view.id, loftChoicesOf(view, window)] as const),
        options: {
          school: bag.value?.strategy ?? 'even-carries',
          settings: { ...DEFAULT_GAP_SETTINGS, ...store.sheet!.player.gapSettings },
        },
      },
);
const { answer, problem } = useBendPlan(question);

/** The plan that is looked at: the chosen one until another is pressed. */
const pickedEffort = ref<number | null>(null);
watch(answer, () => (pickedEffort.value = null));
const plan = computed<BendPlan | null>(
  () =>
    answer.value &&
    (answer.value.plans.find(({ effort }) => effort === pickedEffort.value) ?? answer.value.chosen),
);
const rows = computed(() => bendRows(clubs.value, plan.value, window, unit.value));

function keep(id: string): void {
  kept.value = kept.value.includes(id) ? kept.value.filter((one) => one !== id) : [...kept.value, id];
}

/** One ticket a club, in one change. */
function makeTickets(occasion: Omit<TicketOccasion, 'why'>): void {
  if (!plan.value) return;
  const strategy = gappingStrategyOf(bag.value?.strategy ?? 'even-carries').name.toLowerCase();
  const [before, after] = [answer.value!.now, plan.value].map((one) =>
    offTargetWords(one, answer.value!, unit.value),
  );
  const why = `${strategy}: ${before} to ${after}`;
  const tickets = plan.value.bends.map((bend) =>
    bendTicket(store.clubsById.get(bend.clubId)!, bend, { ...occasion, why }),
  );
  store.change(addTickets(props.playerId, tickets), `bend plan for ${bag.value!.name}`);
}
</script>

<template>
  <div class="page">
    <BenchHead :player-id="playerId">
      Bend plan
      <template #says>
        <p class="quiet">The least bending that makes the steps what the bag’s gapping style wants.</p>
      </template>
      <template #actions><UnitButton :own="store.sheet!.player.distanceUnit" /></template>
    </BenchHead>
    <div class="bar options no-print">
      <label
        >Bag
        <ChoiceField
          :value="bag?.id ?? ''"
          label="Bag"
          :options="store.sheet!.bags.map(({ id, name }) => ({ value: id, label: name }))"
          @update:value="router.replace({ query: { ...route.query, bag: $event } })"
      /></label>
      <span v-if="bag" class="quiet">{{ gappingStrategyOf(bag.strategy).name }}</span>
      <label>
        Wedge bounce from
        <NumberField v-model:value="window.minDeg" label="Bounce from" unit="°" :bounds="[0, 30]" :px="52" />
      </label>
      <label>
        to <NumberField v-model:value="window.maxDeg" label="Bounce to" unit="°" :bounds="[0, 30]" :px="52" />
      </label>
    </div>
    <NEmpty v-if="clubs.length === 0" description="There is no club in this bag yet." />
    <MixedUpLines
      v-else-if="isMixedUp"
      :club-ids="bag?.clubIds ?? []"
      says="Nothing is bent before it is put right."
    />
    <ProblemLine v-else-if="problem" :text="problem" />
    <p v-else-if="!answer || !plan" class="quiet" role="status">Working out the bends…</p>
    <template v-else>
      <BendAnswerCard :answer="answer" :plan="plan" :unit="unit" @pick="pickedEffort = $event" />
      <div class="columns">
        <section class="scroll">
          <BendTable :rows="rows" :kept="kept" :unit="unit" @keep="keep" />
        </section>
        <StepBars :now="answer.now.report" :then="plan.report" :unit="unit" />
      </div>
      <NAlert type="warning" :show-icon="false" class="caution">
        {{ BENDING_CAUTION }} {{ BUILDER_WORDS }} A modelled carry is a guess: measure again afterwards.
      </NAlert>
      <MakeTickets
        v-if="plan.bends.length > 0 && store.may('addTicket')"
        :player-id="playerId"
        :count="plan.bends.length"
        :about="planTitle(plan)"
        @make="makeTickets"
      />
    </template>
  </div>
</template>

<style scoped>
.options {
  margin-bottom: 12px;
  gap: 8px 18px;
}
.options label {
  display: inline-flex;
  align-items: center;
  gap: 6px;
}
.columns {
  display: grid;
  grid-template-columns: minmax(0, 3fr) minmax(260px, 2fr);
  gap: 28px;
  align-items: start;
}
.caution {
  margin: 16px 0;
  max-width: 900px;
}
@media (max-width: 900px) {
  .columns {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>
