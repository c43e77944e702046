<script setup lang="ts">
import PageHead from '../app/PageHead.vue';
import ChoiceField from '../fields/ChoiceField.vue';
import UnitButton from '../app/UnitButton.vue';
import { NCard, NEmpty } from 'naive-ui';
import { LIE_NAMES, LIE_WORDS, carryLadder, gaps, slowSwingWords } from '@tasche/core';
import { computed, ref } from 'vue';
import { useRoute, useRouter } from 'vue-router';
import { useSettings } from '../app/settings';
import ConditionsBar from '../conditions/ConditionsBar.vue';
import { settingWords } from '../conditions/air-units';
import { settingPart } from '../conditions/setting-query';
import { useMovedClubs, useSetting } from '../conditions/use-conditions';
import { useShortcuts } from '../keys/use-shortcuts';
import { useSheet } from '../sheet/sheet-store';
import FlightCharts from './FlightCharts.vue';
import FlightClubs from './FlightClubs.vue';
import FlightTable from './FlightTable.vue';
import { useFlightChoice } from './use-flight-choice';
import { useFlights } from './use-flights';
import type { NamedTrace } from './flight-charts';

/** The flights of a bag, or of some of its clubs, from the side and from above, in the air they are read in. */
const props = defineProps<{ playerId: string; bagId?: string }>();
const store = useSheet();
const settings = useSettings();
const route = useRoute();
const router = useRouter();
const { setting, baseline, complaints } = useSetting();

const bag = computed(
  () =>
    store.sheet!.bags.find((one) => one.id === props.bagId) ??
    (props.bagId ? undefined : (store.gamer ?? store.sheet!.bags[0])),
);
const unit = computed(() => settings.unitFor(store.sheet!.player.distanceUnit));
const known = computed(() => (bag.value?.clubIds ?? []).flatMap((id) => store.ladderClubs.get(id) ?? []));
const { move } = useMovedClubs(known, setting, baseline);
const rungs = computed(() => carryLadder(known.value.map(move)));
const pairs = computed(() =>
  gaps(known.value.map(move), {
    ...(bag.value && { school: bag.value.strategy }),
    settings: store.sheet!.player.gapSettings,
  })
    .steps.filter((step) => step.word === 'either-or')
    .map((step) => [step.upperId, step.lowerId] as const),
);

const { chosen, lie } = useFlightChoice(() => rungs.value);
/** Something differs from where the carries are known. */
const elsewhere = computed(() => setting.value !== null || lie.value !== 'fairway');

const { traces, problem, busy } = useFlights(known, setting, baseline, lie, () => store.skill.handicap);

const shown = computed<NamedTrace[]>(() =>
  rungs.value
    .filter((rung) => chosen.value.includes(rung.id))
    .flatMap((rung) => {
      const trace = traces.value?.find((one) => one.clubId === rung.id);
      return trace ? [{ name: rung.name, trace }] : [];
    }),
);
const missing = computed(() =>
  rungs.value.filter((rung) => traces.value && !traces.value.some((one) => one.clubId === rung.id)),
);
const slow = computed(() =>
  slowSwingWords(
    shown.value.map(({ name, trace }) => ({ name, isSlow: trace.moved.isSlow })),
    'guessed',
  ),
);
const air = computed(() => settingWords(setting.value ?? baseline.value, unit.value));
const bagOptions = computed(() =>
  store.sheet!.bags.filter((one) => !one.planId || one.gamer || one.id === props.bagId),
);

useShortcuts('The bag', { 'Alt A': () => bar.value?.focus() });
const bar = ref<InstanceType<typeof ConditionsBar> | null>(null);
</script>

<template>
  <div class="page">
    <PageHead :of="store.sheet!.player.name">
      Flights of
      {{ bag?.name ?? 'no bag yet' }}
      <template #says>
        <p class="quiet small">
          {{ air }}.
          <template v-if="lie !== 'fairway'"
            >Off {{ lie }}: {{ LIE_WORDS[lie] }}; the size of this is uncertain by about half. </template
          >Modelled from each club’s own carry<span v-if="busy">; working…</span>
        </p>
      </template>
      <template #actions>
        <ChoiceField
          v-if="bagOptions.length > 1"
          :value="bag?.id"
          class="bags"
          @update:value="
            router.push({
              name: 'flight',
              params: { playerId, bagId: $event },
              query: settingPart(route.query),
            })
          "
          label="Bag"
          :options="bagOptions.map((one) => ({ value: one.id, label: one.name }))"
        />
        <label class="lie small quiet"
          >off <ChoiceField v-model:value="lie" class="bags" label="Lie" :options="LIE_NAMES"
        /></label>
        <UnitButton :own="store.sheet!.player.distanceUnit" />
        <RouterLink
          v-if="bag?.planId && !bag.gamer"
          class="plain-button"
          :to="{ name: 'plan', params: { playerId, planId: bag.planId }, query: settingPart(route.query) }"
          >To the plan</RouterLink
        >
        <RouterLink
          v-else-if="bag"
          class="plain-button"
          :to="{ name: 'bag', params: { playerId, bagId: bag.id }, query: settingPart(route.query) }"
          >To the bag</RouterLink
        >
      </template>
    </PageHead>
    <ConditionsBar
      ref="bar"
      :setting="setting"
      :baseline="baseline"
      :unit="unit"
      :complaints="complaints"
      :problem="problem"
      @set="setting = $event"
    />
    <NCard v-if="rungs.length === 0" class="empty">
      <NEmpty description="A flight appears when a club of this bag has a carry." />
    </NCard>
    <template v-else>
      <FlightClubs v-model:chosen="chosen" :clubs="rungs" :pairs="pairs" />
      <FlightCharts v-if="shown.length > 0 || !traces" :flights="shown" :unit="unit" />
      <p v-if="slow" class="verdict warning small">◆ {{ slow }}</p>
      <FlightTable
        v-if="shown.length > 0"
        :flights="shown"
        :known-by="(id) => store.ladderClubs.get(id)?.shots.full"
        :unit="unit"
        :is-elsewhere="elsewhere"
      />
      <ul v-if="missing.length > 0" class="missing small">
        <li v-for="rung in missing" :key="rung.id">
          <span class="verdict warning"
            >◆ {{ rung.name }} has no flight here: no swing makes its carry in this air, or it does not get up
            to the target.</span
          >
        </li>
      </ul>
    </template>
  </div>
</template>

<style scoped>
.bags {
  min-width: 130px;
}
.lie {
  display: inline-flex;
  align-items: center;
  gap: 6px;
}
.empty {
  padding: 24px;
}
.missing {
  list-style: none;
  margin: 8px 0;
  padding: 0;
}
</style>
