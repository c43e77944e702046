<script setup lang="ts">
import PageHead from '../app/PageHead.vue';
import ActionMenu, { type Action } from '../app/ActionMenu.vue';
import ChoiceField from '../fields/ChoiceField.vue';
import UnitButton from '../app/UnitButton.vue';
import { GAPPING_STRATEGIES } from '@tasche/core';
import type { PlanChoosing, PlanDetails } from '@tasche/contract';
import { NButton } from 'naive-ui';
import { v4 as newId } from 'uuid';
import { computed, nextTick, ref, watch } from 'vue';
import { useRoute, useRouter } from 'vue-router';
import { shortDay } from '../app/day';
import BagFindings from '../bag/BagFindings.vue';
import LeftOut from '../bag/LeftOut.vue';
import { useBagLadder } from '../bag/use-bag-ladder';
import ConditionsBar from '../conditions/ConditionsBar.vue';
import ConditionsEffect from '../conditions/ConditionsEffect.vue';
import { settingWords } from '../conditions/air-units';
import { settingPart } from '../conditions/setting-query';
import { isTyping } from '../keys/is-typing';
import { useShortcuts } from '../keys/use-shortcuts';
import { useSheet } from '../sheet/sheet-store';
import ChoosePanel from './ChoosePanel.vue';
import PlanForm from './PlanForm.vue';
import PlanPicker from './PlanPicker.vue';
import EventForm from './EventForm.vue';
import SwapList from './SwapList.vue';
import WeekBoard from './WeekBoard.vue';
import { usePlan } from './use-plan';
import { useWeekSwaps } from './use-week-swaps';

/** A week from the gamer bag: what goes out, what comes in, why, and what each swap does; printed as a swap sheet. */
const props = defineProps<{ playerId: string; planId?: string }>();
const store = useSheet();
const route = useRoute();
const router = useRouter();

const { plans, plan } = usePlan(props);
const bag = computed(() => store.sheet!.bags.find((one) => one.id === plan.value?.bagId));
const ladder = useBagLadder(bag);
const { unit, school, report, setting, moved } = ladder;
const airBar = ref<InstanceType<typeof ConditionsBar> | null>(null);
const airOpen = ref(false);
const writing = ref<'new' | 'edit' | 'event' | null>(null);
const active = ref<string | null>(null);
watch(
  () => props.planId,
  () => {
    writing.value = null;
    active.value = null;
  },
);

const { baseReport, effects, gone, fresh, canEdit, setSwaps, out, putIn } = useWeekSwaps(plan, bag, ladder);

function save(details: PlanDetails): void {
  if (writing.value === 'edit' && plan.value) {
    store.change([{ do: 'editPlan', planId: plan.value.id, version: plan.value.version, set: details }]);
  } else {
    const id = newId();
    store.change([{ do: 'addPlan', plan: { id, bagId: newId(), playerId: props.playerId, ...details } }]);
    void router.push({ name: 'plan', params: { playerId: props.playerId, planId: id } });
  }
  writing.value = null;
}

function remove(): void {
  if (!plan.value) return;
  store.change([{ do: 'removePlan', planId: plan.value.id, version: plan.value.version }]);
  void router.push({ name: 'plan', params: { playerId: props.playerId } });
}
const actions = computed((): Action[] => [
  { key: 'edit', label: 'Edit the week', run: () => (writing.value = 'edit') },
  ...(bag.value
    ? [
        {
          key: 'flights',
          label: 'Flights',
          run: () =>
            void router.push({
              name: 'flight',
              params: { playerId: props.playerId, bagId: bag.value!.id },
              query: settingPart(route.query),
            }),
        },
      ]
    : []),
  ...(store.gamer
    ? [
        { key: 'event', label: 'Plan an event', run: () => (writing.value = 'event') },
        { key: 'week', label: 'Plan a week', run: () => (writing.value = 'new') },
      ]
    : []),
  ...(bag.value?.gamer ? [] : [{ key: 'remove', label: 'Delete this plan', run: remove }]),
]);

/** Every club that could go, as it plays in the week's air. */
const knownCandidates = computed(() =>
  store.clubs
    .filter((club) => club.spec.state?.value !== 'retired' && club.spec.state?.value !== 'on loan')
    .flatMap((club) => store.ladderClubs.get(club.id) ?? []),
);
const candidates = computed(() =>
  knownCandidates.value
    .map(ladder.conditions.move)
    .sort((a, b) => (b.shots.full?.carryM ?? 0) - (a.shots.full?.carryM ?? 0)),
);
function setChoosing(choosing: PlanChoosing): void {
  store.change([{ do: 'editPlan', planId: plan.value!.id, version: plan.value!.version, set: { choosing } }]);
}

const print = () => window.print();

useShortcuts('The bag', {
  'Alt O': (event) => {
    if (isTyping(event) || !plan.value) return false;
    out(active.value);
    return true;
  },
  'Alt A': (event) => {
    if (isTyping(event) || !plan.value) return false;
    airOpen.value = true;
    void nextTick(() => airBar.value?.focus());
    return true;
  },
});
</script>

<template>
  <div class="page">
    <PageHead :of="store.sheet!.player.name">
      {{ plan?.name ?? (writing === 'event' ? 'plan an event' : 'plan')
      }}<span v-if="bag?.gamer" class="tag">now the gamer</span>
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
          v-model:value="school"
          label="Gapping style"
          size="medium"
          :options="GAPPING_STRATEGIES.map((one) => ({ value: one.id, label: one.name }))"
        />
        <UnitButton :own="store.sheet!.player.distanceUnit" />
        <template v-if="!plan && store.gamer">
          <NButton @click="writing = 'new'">Plan a week</NButton>
          <NButton type="primary" @click="writing = 'event'">Plan an event</NButton>
        </template>
        <NButton
          v-if="plan"
          :aria-expanded="airOpen || Boolean(setting)"
          title="Alt A"
          @click="airOpen = !airOpen"
        >
          Air and ground
        </NButton>
        <NButton v-if="plan" @click="print">Print the swap sheet</NButton>
        <NButton
          v-if="plan && bag && !bag.gamer"
          :disabled="ladder.tooMany.value > 0"
          @click="store.change([{ do: 'makeGamer', bagId: bag.id }])"
          type="primary"
        >
          Make it the gamer
        </NButton>
        <ActionMenu v-if="plan" label="More for this plan" :actions="actions" />
      </template>
    </PageHead>
    <EventForm v-if="writing === 'event'" :player-id="playerId" @leave="writing = null" />
    <PlanForm
      v-else-if="writing"
      :key="writing"
      :plan="writing === 'edit' ? plan : undefined"
      :action="writing === 'edit' ? 'Save the week' : 'Plan it from the gamer bag'"
      @save="save"
      @leave="writing = null"
    />
    <p v-if="!store.gamer" class="quiet">
      A plan starts from the gamer bag, and there is none yet.
      <RouterLink :to="{ name: 'bag', params: { playerId } }">To the bag</RouterLink>
    </p>
    <p v-if="props.planId && !plan" class="quiet">
      This plan is not here; it may have been deleted. History can bring it back.
    </p>
    <template v-if="plan && bag">
      <ConditionsBar
        v-if="airOpen || setting"
        ref="airBar"
        :setting="setting"
        :baseline="ladder.baseline.value"
        :unit="unit"
        :complaints="ladder.complaints.value"
        :problem="ladder.conditions.problem.value"
        @set="setting = $event"
      >
        <ConditionsEffect
          v-if="setting"
          :clubs="ladder.inBag.value"
          :moved="moved"
          :turned="ladder.turned.value"
          :unit="unit"
        />
      </ConditionsBar>
      <p v-if="setting" class="print-only">Read in {{ settingWords(setting, unit) }}.</p>
      <SwapList
        :plan="plan"
        :is-gamer="bag.gamer"
        :effects="effects"
        :before="baseReport"
        :after="report"
        :school="school"
        :clubs="store.clubsById"
        :count="ladder.inBag.value.length"
        :too-many="ladder.tooMany.value"
        :unit="unit"
        :can-edit="canEdit"
        @swaps="setSwaps"
      />
      <WeekBoard
        v-model:active="active"
        :rows="ladder.rows.value"
        :in-bag="ladder.inBag.value"
        :report="report"
        :gone="gone"
        :fresh="fresh"
        :moved="moved"
        :unit="unit"
        :can-edit="canEdit"
        @out="out"
      />
      <LeftOut v-if="canEdit" :clubs="ladder.leftOut.value" :unit="unit" @put-in="putIn" @dropped="out" />
      <ChoosePanel
        v-if="!bag.gamer || plan.choosing"
        :plan="plan"
        :clubs="candidates"
        :planned="ladder.inBag.value.map((club) => club.id)"
        :school="school"
        :settings="store.sheet!.player.gapSettings"
        :known="knownCandidates"
        :from="ladder.baseline.value"
        :there="ladder.playedIn.value"
        :unit="unit"
        :read-only="!canEdit"
        :air="settingWords(setting ?? ladder.baseline.value, unit)"
        :handicap="store.skill.handicap"
        :own="store.sheet!.player.preferences"
        @choosing="setChoosing"
        @swaps="setSwaps"
      />
      <BagFindings
        :clubs="ladder.inBag.value"
        :report="report"
        :unit="unit"
        :settings="store.sheet!.player.gapSettings"
      />
    </template>
  </div>
</template>

<style scoped>
.tag {
  font-size: 12px;
  font-weight: 500;
  color: var(--petrol);
  border: 1px solid var(--petrol-mid);
  border-radius: 3px;
  padding: 1px 6px;
  margin-left: 8px;
  vertical-align: 4px;
}
.meta {
  display: flex;
  flex-wrap: wrap;
  gap: 2px 18px;
  margin-top: 5px;
}
.print-only {
  display: none;
}
@media print {
  .print-only {
    display: block;
    margin-bottom: 8px;
  }
}
</style>
