<script setup lang="ts">
import type { ClubView } from '@tasche/contract';
import {
  BUILDER_WORDS,
  JOB_CAUTIONS,
  WEDGE_SHAFT_SCHOOLS,
  WEIGHT_DIRECTIONS,
  bringTo,
  loftPlace,
  shaftTradition,
  swingWeightPoints,
  swingWeightWords,
  shaftTraditionSentence,
} from '@tasche/core';
import { NAlert, NEmpty } from 'naive-ui';
import { computed, ref, watch } from 'vue';
import Fold from '../app/Fold.vue';
import { useSettings } from '../app/settings';
import ChoiceField from '../fields/ChoiceField.vue';
import QuantityField from '../fields/QuantityField.vue';
import { useSheet } from '../sheet/sheet-store';
import BenchHead from './BenchHead.vue';
import BuildTweakPanel from './BuildTweakPanel.vue';
import { addTickets, type TicketOccasion } from './new-tickets';
import NearestShafts from './NearestShafts.vue';
import MakeTickets from './MakeTickets.vue';
import SetTable from './SetTable.vue';
import { gramsWords, leavingClubs, trendCells, weightTickets } from './set-weights';

/**
 * Lengths, lies and weights down the set, what leaves its line and why, and the grams that bring clubs to one
 * swing weight.
 */
const props = defineProps<{ playerId: string }>();
const store = useSheet();

const settings = useSettings();
const unit = computed(() => settings.unitFor(store.sheet!.player.distanceUnit));

const SCOPES = [
  { value: 'gamer', label: 'the gamer' },
  { value: 'locker', label: 'the whole locker' },
] as const;
const scope = ref<'gamer' | 'locker'>('gamer');
const clubs = computed(() => {
  const found =
    scope.value === 'gamer'
      ? (store.gamer?.clubIds ?? []).flatMap((id) => store.clubsById.get(id) ?? [])
      : store.clubs.filter((club) => club.spec.state?.value !== 'retired');
  return found.toSorted((a, b) => loftPlace(a) - loftPlace(b));
});

const target = ref<string | number | null>('D4');
const targetPoints = computed(() => swingWeightPoints(String(target.value ?? '')));
/** Irons and wedges, until changed. */
const picked = ref<ReadonlySet<string>>(new Set());
watch(
  () => clubs.value.map(({ id }) => id).join(),
  () => {
    picked.value = new Set(clubs.value.filter(isIron).map(({ id }) => id));
  },
  { immediate: true },
);
function isIron({ kind }: ClubView): boolean {
  return kind === 'iron' || kind === 'wedge';
}
function pick(id: string): void {
  const next = new Set(picked.value);
  if (!next.delete(id)) next.add(id);
  picked.value = next;
}

const brought = computed(
  () =>
    new Map(
      targetPoints.value === undefined
        ? []
        : bringTo(
            clubs.value.filter(({ id }) => picked.value.has(id)),
            targetPoints.value,
          ).map((one) => [one.clubId, one]),
    ),
);
const grams = (clubId: string) => gramsWords(brought.value.get(clubId));
const cells = computed(() => trendCells(clubs.value));
const leaving = computed(() => leavingClubs(clubs.value, cells.value));
const tradition = computed(() => shaftTradition(clubs.value).map(shaftTraditionSentence));

const unfinished = computed(() => clubs.value.filter(({ id }) => (brought.value.get(id)?.grams ?? 0) !== 0));
function makeTickets(occasion: Omit<TicketOccasion, 'why'>): void {
  if (targetPoints.value === undefined) return;
  const to = swingWeightWords(targetPoints.value);
  const tickets = weightTickets(unfinished.value, brought.value, to, occasion);
  store.change(addTickets(props.playerId, tickets), `set brought to ${to}`);
}
</script>

<template>
  <div class="page">
    <BenchHead :player-id="playerId">
      Weights and lengths
      <template #says
        ><p class="quiet">Down the set, what leaves its line, and grams to one swing weight.</p></template
      >
    </BenchHead>
    <div class="bar options no-print">
      <label>Clubs of <ChoiceField v-model:value="scope" label="Clubs of" :options="SCOPES" /></label>
      <label>
        Bring the marked clubs to
        <QuantityField v-model:value="target" quantity-key="swingWeight" label="Swing weight wanted" />
      </label>
    </div>
    <NEmpty v-if="clubs.length === 0" description="There is no club here yet." />
    <template v-else>
      <div class="scroll">
        <SetTable
          :player-id="playerId"
          :clubs="clubs"
          :cells="cells"
          :to="targetPoints === undefined ? '–' : swingWeightWords(targetPoints)"
          :picked="picked"
          :grams="grams"
          @pick="pick"
        />
      </div>
      <MakeTickets
        v-if="unfinished.length > 0 && store.may('addTicket')"
        :player-id="playerId"
        :count="unfinished.length"
        :about="`${target} ${scope} ${[...picked].join()}`"
        @make="makeTickets"
      />
      <ul v-if="leaving.length > 0 || tradition.length > 0" class="findings">
        <li v-for="one in leaving" :key="one.id">
          <span class="verdict warning">◆ {{ one.name }}</span
          >: {{ one.off }}.
          <template v-if="one.why"> Built differently: {{ one.why }}.</template>
        </li>
        <li v-for="text in tradition" :key="text" class="quiet">{{ text }} Tradition, no rule.</li>
      </ul>
      <p v-else class="verdict fine">Nothing is out of line.</p>
      <div class="columns">
        <BuildTweakPanel :clubs="clubs" :unit="unit" />
        <NearestShafts :clubs="store.clubs" />
      </div>
      <Fold class="directions">
        <template #head>Where weight on a head moves the flight</template>
        <ul class="findings">
          <li v-for="{ to, does } in WEIGHT_DIRECTIONS" :key="to">To {{ to }}: {{ does }}.</li>
        </ul>
        <p class="quiet small">Rules of thumb, no source; heads differ. {{ WEDGE_SHAFT_SCHOOLS }}</p>
      </Fold>
      <NAlert type="warning" :show-icon="false" class="caution">
        {{ [...JOB_CAUTIONS.weight, ...JOB_CAUTIONS.length].join(' ') }} {{ BUILDER_WORDS }}
      </NAlert>
    </template>
  </div>
</template>

<style scoped>
.options {
  margin-bottom: 12px;
  gap: 8px 20px;
}
.options label {
  display: inline-flex;
  align-items: center;
  gap: 6px;
}
.findings {
  margin: 14px 0;
  padding: 0;
  list-style: none;
  display: grid;
  gap: 6px;
  max-width: 980px;
}
.columns {
  display: grid;
  grid-template-columns: repeat(2, minmax(0, 1fr));
  gap: 28px;
  margin: 18px 0;
  max-width: 1200px;
}
.caution {
  max-width: 900px;
}
@media (max-width: 900px) {
  .columns {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>
