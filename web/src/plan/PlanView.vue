<script setup lang="ts">
import type { PlanChoosing, PlanDetails } from '@tasche/contract';
import { NEmpty } from 'naive-ui';
import { v4 as newId } from 'uuid';
import { computed, nextTick, ref, useTemplateRef, watch } from 'vue';
import { useRouter } from 'vue-router';
import BagAir from '../bag/BagAir.vue';
import BagFindings from '../bag/BagFindings.vue';
import LeftOut from '../bag/LeftOut.vue';
import { useBagLadder } from '../bag/use-bag-ladder';
import { settingWords } from '../conditions/air-units';
import { isDraftKept } from '../fields/kept-draft';
import { isTyping } from '../keys/is-typing';
import { useShortcuts } from '../keys/use-shortcuts';
import { useSheet } from '../sheet/sheet-store';
import LinkButton from '../app/LinkButton.vue';
import NotThere from '../app/NotThere.vue';
import ChoosePanel from './ChoosePanel.vue';
import EventForm from './EventForm.vue';
import GamerChanged from './GamerChanged.vue';
import PlanForm from './PlanForm.vue';
import PlanHead, { type PlanWriting } from './PlanHead.vue';
import PlanStart from './PlanStart.vue';
import SwapList from './SwapList.vue';
import { usePlan } from './use-plan';
import { useWeekSwaps } from './use-week-swaps';
import WeekBoard from './WeekBoard.vue';

/**
 * A week from the gamer bag: what goes out, what comes in, why, and what each swap does; printed as a swap
 * sheet.
 */
const props = defineProps<{ playerId: string; planId?: string }>();
const store = useSheet();
const router = useRouter();

const { plans, plan } = usePlan(props);
const bag = computed(() => store.sheet!.bags.find((one) => one.id === plan.value?.bagId));
const ladder = useBagLadder(bag);
const { unit, school, report, setting, moved } = ladder;
const air = useTemplateRef<InstanceType<typeof BagAir>>('air');
const airOpen = ref(false);
/** A form that was left half written is open again. */
const writing = ref<PlanWriting | null>(
  isDraftKept(`event/${props.playerId}/new`)
    ? 'event'
    : isDraftKept(`week/${props.playerId}/new`)
      ? 'new'
      : null,
);
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

useShortcuts('An event', {
  'Alt N': (event) => {
    if (isTyping(event) || !store.gamer || !store.may('addPlan')) return false;
    writing.value = 'event';
    return true;
  },
});
useShortcuts('The bag', {
  'Alt O': (event) => {
    if (isTyping(event) || !plan.value) return false;
    out(active.value);
    return true;
  },
  'Alt A': (event) => {
    if (isTyping(event) || !plan.value) return false;
    airOpen.value = true;
    void nextTick(() => air.value?.focus());
    return true;
  },
});
</script>

<template>
  <div class="page">
    <PlanHead
      v-model:strategy="school"
      v-model:writing="writing"
      v-model:air-open="airOpen"
      :player-id="playerId"
      :plans="plans"
      :plan="plan"
      :bag="bag"
      :in-air="Boolean(setting)"
      :too-many="ladder.tooMany.value > 0"
    />
    <EventForm v-if="writing === 'event'" :player-id="playerId" @leave="writing = null" />
    <PlanForm
      v-else-if="writing"
      :key="writing"
      :player-id="playerId"
      :plan="writing === 'edit' ? plan : undefined"
      :action="writing === 'edit' ? 'Save the week' : 'Plan it from the gamer bag'"
      @save="save"
      @leave="writing = null"
    />
    <p v-if="!store.gamer" class="quiet">
      A plan starts from the gamer bag, and there is none yet.
      <RouterLink :to="{ name: 'bag', params: { playerId } }">To the bag</RouterLink>
    </p>
    <PlanStart
      v-else-if="plans.length === 0 && !planId && !writing && store.may('addPlan')"
      @event="writing = 'event'"
      @week="writing = 'new'"
    />
    <NEmpty v-else-if="plans.length === 0 && !planId && !writing" description="No plan yet." />
    <NotThere v-if="props.planId && !plan" title="This plan is not here" says="It may have been deleted.">
      <LinkButton :to="{ name: 'history', params: { playerId } }">History can bring it back</LinkButton>
    </NotThere>
    <template v-if="plan && bag">
      <BagAir v-if="airOpen || setting" ref="air" :ladder="ladder" @set="setting = $event" />
      <p v-if="setting" class="print-only">Read in {{ settingWords(setting, unit) }}.</p>
      <GamerChanged :plan="plan" />
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
