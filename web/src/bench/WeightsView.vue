<script setup lang="ts">
import type { ClubView, TicketDetails } from '@tasche/contract';
import {
  BUILDER_WORDS,
  JOB_CAUTIONS,
  TREND_KEYS,
  WEDGE_SHAFT_SCHOOLS,
  WEIGHT_DIRECTIONS,
  bringTo,
  builtOtherwise,
  playingLoft,
  setTrends,
  shaftTradition,
  swingWeightPoints,
  swingWeightWords,
  builtOtherwiseWords,
  shaftTraditionSentence,
  type TrendKey,
} from '@tasche/core';
import { showQuantity } from '@tasche/contract';
import { quantityOf } from '@tasche/core';
import { NAlert, NButton, NEmpty, NTable } from 'naive-ui';
import { computed, ref, watch } from 'vue';
import { shortDay } from '../app/day';
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
  return found.toSorted((a, b) => loftOf(a) - loftOf(b));
});
const loftOf = (club: ClubView) => (club.kind === 'putter' ? 99 : (playingLoft(club.spec)?.deg ?? 98));

const trends = computed(() => new Map(setTrends(clubs.value).map(({ key, points }) => [key, points])));
const target = ref<string | number | null>('D4');
const targetPoints = computed(() => swingWeightPoints(String(target.value ?? '')));
/** Irons and wedges, until somebody says otherwise. */
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
const HEADS: Record<TrendKey, string> = {
  lengthIn: 'Length',
  lieDeg: 'Lie',
  swingWeight: 'Swing weight',
  totalWeightG: 'Total weight',
};
function pointOf(club: ClubView, key: TrendKey) {
  return trends.value.get(key)?.find(({ clubId }) => clubId === club.id);
}
function shown(club: ClubView, key: TrendKey): string {
  const value = club.spec[key]?.value;
  return value === undefined ? '–' : showQuantity(quantityOf(key)!, value);
}
function expectedWords(key: TrendKey, expected: number): string {
  return key === 'swingWeight'
    ? swingWeightWords(expected)
    : showQuantity(quantityOf(key)!, Number(expected.toFixed(2)));
}
function gramsWords(club: ClubView): string {
  const one = brought.value.get(club.id);
  if (!one) return '';
  if (one.missing) return one.missing;
  if (one.grams === 0) return 'as it is';
  const from = one.from === 'parts' ? ', from its parts' : '';
  if (one.grams! > 0) return `${one.grams} g on the head${from}`;
  return one.insteadG === undefined
    ? `${-one.grams!} g of lead off the head${from}`
    : `${-one.grams!} g off the head, or ${one.insteadG} g under the grip${from}`;
}
/** Clubs that leave a line, each with what of its build may be why. */
const leaving = computed(() =>
  clubs.value.flatMap((club) => {
    const keys = TREND_KEYS.filter((key) => pointOf(club, key)?.leaves);
    if (keys.length === 0) return [];
    const off = keys.map((key) => {
      const { expected } = pointOf(club, key)!;
      return `${HEADS[key].toLowerCase()} ${shown(club, key)} where the set would have ${expectedWords(key, expected)}`;
    });
    const why = builtOtherwise(club, clubs.value).map(
      (one) => `${builtOtherwiseWords(one)} since ${shortDay(one.since)}`,
    );
    return [{ id: club.id, name: club.name, off: off.join('; '), why: why.join('; ') }];
  }),
);
const tradition = computed(() => shaftTradition(clubs.value).map(shaftTraditionSentence));

const unfinished = computed(() => clubs.value.filter(({ id }) => (brought.value.get(id)?.grams ?? 0) !== 0));
function makeTickets(occasion: Omit<TicketOccasion, 'why'>): void {
  if (targetPoints.value === undefined) return;
  const to = swingWeightWords(targetPoints.value);
  const tickets = unfinished.value.map((club): TicketDetails => {
    const { grams } = brought.value.get(club.id)!;
    const lead = club.spec.leadG?.value;
    const onHead = (typeof lead === 'number' ? lead : 0) + grams!;
    return {
      ...occasion,
      clubId: club.id,
      job: 'weight',
      name: `Bring the ${club.name} to ${to}`,
      wanted: [
        { key: 'swingWeight', value: to },
        ...(onHead >= 0 ? [{ key: 'leadG' as const, value: onHead }] : []),
      ],
      why: gramsWords(club),
    };
  });
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
        <NTable class="figures set" size="small" :bordered="false">
          <caption class="unseen">
            Length, lie and weights of every club, and grams to the wanted swing weight
          </caption>
          <thead>
            <tr>
              <th scope="col">Club</th>
              <th v-for="key in TREND_KEYS" :key="key" scope="col">{{ HEADS[key] }}</th>
              <th scope="col" class="left">
                To {{ targetPoints === undefined ? '–' : swingWeightWords(targetPoints) }}
              </th>
              <th scope="col" class="no-print"><span class="unseen">Marked</span></th>
            </tr>
          </thead>
          <tbody>
            <tr v-for="club in clubs" :key="club.id">
              <th scope="row">
                <RouterLink :to="{ name: 'build', params: { playerId, clubId: club.id } }">{{
                  club.name
                }}</RouterLink>
              </th>
              <td v-for="key in TREND_KEYS" :key="key" :class="{ leaves: pointOf(club, key)?.leaves }">
                <span v-if="pointOf(club, key)?.leaves" class="mark" aria-hidden="true">◆</span>
                {{ shown(club, key) }}
                <span v-if="pointOf(club, key)?.leaves" class="quiet small"
                  >line {{ expectedWords(key, pointOf(club, key)!.expected) }}</span
                >
              </td>
              <td class="left">{{ gramsWords(club) }}</td>
              <td class="no-print">
                <NButton
                  v-if="club.kind !== 'putter'"
                  size="tiny"
                  quaternary
                  :aria-pressed="picked.has(club.id)"
                  :aria-label="`Bring the ${club.name} to it`"
                  @click="pick(club.id)"
                >
                  {{ picked.has(club.id) ? 'marked' : 'mark' }}
                </NButton>
              </td>
            </tr>
          </tbody>
        </NTable>
      </div>
      <MakeTickets
        v-if="unfinished.length > 0 && !store.readOnly"
        :player-id="playerId"
        :count="unfinished.length"
        :about="`${target} ${scope} ${[...picked].join()}`"
        @make="makeTickets"
      />
      <ul v-if="leaving.length > 0 || tradition.length > 0" class="findings">
        <li v-for="one in leaving" :key="one.id">
          <span class="verdict warning">◆ {{ one.name }}</span
          >: {{ one.off }}.
          <template v-if="one.why"> Built otherwise: {{ one.why }}.</template>
        </li>
        <li v-for="text in tradition" :key="text" class="quiet">{{ text }} Tradition, no rule.</li>
      </ul>
      <p v-else class="verdict fine">Nothing leaves its line.</p>
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
.set {
  max-width: 1060px;
}
.set .left {
  text-align: left;
  padding-left: 18px;
}
.leaves {
  color: var(--brass-ink);
  font-weight: 600;
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
