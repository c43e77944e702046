<script setup lang="ts">
import ChoiceField from '../fields/ChoiceField.vue';
import { NButton, NTable } from 'naive-ui';
import {
  BENDING_CAUTION,
  formatDegrees,
  ladderClub,
  signedDistance,
  whatIf,
  type CarryEstimate,
  type DistanceUnit,
  type Tweak,
} from '@tasche/core';
import type { ClubView } from '@tasche/contract';
import { computed, ref, shallowRef, watch } from 'vue';
import { baselineOf } from '@tasche/contract';
import { conditionsWorker } from '../conditions/worker-link';
import { useSheet } from '../sheet/sheet-store';

/**
 * What half a degree, half an inch or a turn of the sleeve would do, before it is done; and what a club never
 * hit would carry.
 */
const props = defineProps<{
  club: ClubView;
  unit: DistanceUnit;
  readOnly: boolean;
  /** Set if a ladder is there to try a loft on. */
  tries?: boolean;
}>();
const emit = defineEmits<{ model: [estimate: CarryEstimate]; try: [loftDeg: number] }>();
const store = useSheet();

const baseline = computed(() => baselineOf(store.sheet!.player));
const ladder = computed(() => ladderClub(props.club));
const full = computed(() => ladder.value.shots.full);
const sleeved = computed(() => ['driver', 'fairway', 'hybrid', 'driving iron'].includes(props.club.kind));
const bendable = computed(() => props.club.kind === 'iron' || props.club.kind === 'wedge');
const height = computed(() => (props.unit === 'yd' ? 'ft' : 'm'));
const lefty = computed(() => store.sheet!.player.hand === 'left');

const own = ref(0.5);
const TWEAKS = computed<{ words: string; tweak: Tweak; loftDeg?: number }[]>(() => {
  const loft = ladder.value.loftDeg ?? 0;
  const by = own.value;
  return [
    ...(bendable.value
      ? [
          { words: `bent to ${formatDegrees(loft - by)}`, tweak: { bendDeg: -by }, loftDeg: loft - by },
          { words: `bent to ${formatDegrees(loft + by)}`, tweak: { bendDeg: by }, loftDeg: loft + by },
          { words: `${by}° more upright`, tweak: { lieDeg: by } },
        ]
      : []),
    ...(sleeved.value
      ? [
          { words: `sleeve ${by}° down`, tweak: { sleeveDeg: -by }, loftDeg: loft - by },
          { words: `sleeve ${by}° up`, tweak: { sleeveDeg: by }, loftDeg: loft + by },
        ]
      : []),
    { words: 'half an inch longer', tweak: { longerIn: 0.5 } },
    { words: 'half an inch shorter', tweak: { longerIn: -0.5 } },
  ];
});

const effects = computed(() => {
  const { loftDeg, kind } = ladder.value;
  const shot = full.value;
  if (loftDeg === undefined || !shot || kind === 'putter' || kind === 'chipper') return [];
  try {
    return TWEAKS.value.map(({ words, tweak, loftDeg: becomes }) => ({
      words,
      becomes,
      effect: whatIf({ kind, loftDeg }, shot, tweak, baseline.value.conditions),
    }));
  } catch {
    return [];
  }
});

function signedDegrees(degrees: number): string {
  const text = Math.abs(degrees).toFixed(1);
  return Number(text) === 0 ? '0' : `${degrees < 0 ? '−' : '+'}${text}°`;
}

function swingWeightWords(points: number): string {
  return points === 0 ? '–' : `${points > 0 ? '+' : '−'}${Math.abs(points)} points`;
}

function offlineWords(metres: number): string {
  if (Math.abs(metres) < 0.05) return 'the same';
  const right = metres > 0 !== lefty.value;
  return `${signedDistance(Math.abs(metres), props.unit, 1).replace('+', '')} ${props.unit} ${right ? 'right' : 'left'}`;
}

const estimate = shallowRef<CarryEstimate | null>(null);
watch(
  [ladder, () => store.ladderClubs],
  async ([{ kind, loftDeg }, clubs], [before]) => {
    const isAsked = !full.value && loftDeg !== undefined && kind !== 'putter' && kind !== 'chipper';
    // While it is worked out again for the same club it stands: it would move away from under a press.
    if (!isAsked || before?.kind !== kind || before.loftDeg !== loftDeg) estimate.value = null;
    if (!isAsked) return;
    const others = [...clubs.values()].filter((one) => one.id !== props.club.id);
    const answer = await conditionsWorker()
      .predict(others, baseline.value, kind, loftDeg)
      .catch(() => null);
    if (ladder.value.loftDeg === loftDeg && ladder.value.kind === kind) estimate.value = answer;
  },
  { immediate: true },
);
const known = computed(
  () =>
    [...store.ladderClubs.values()].filter(
      (one) => one.id !== props.club.id && one.shots.full && one.shots.full.source !== 'modelled',
    ).length,
);
</script>

<template>
  <section v-if="effects.length > 0 || estimate" class="what-if">
    <template v-if="estimate && !full">
      <h3>Not hit yet</h3>
      <p class="modelled">
        Modelled from {{ known }} known {{ known === 1 ? 'club' : 'clubs' }}: carry
        {{ signedDistance(estimate.carryM.value, unit).replace('+', '') }} ±
        {{ signedDistance(estimate.carryM.plusMinus, unit).replace('+', '') }} {{ unit }}, apex
        {{ signedDistance(estimate.apexM.value, height).replace('+', '') }} ±
        {{ signedDistance(estimate.apexM.plusMinus, height).replace('+', '') }} {{ height }}, landing
        {{ estimate.descentDeg.value.toFixed(0) }} ± {{ estimate.descentDeg.plusMinus.toFixed(0) }}°.
      </p>
      <NButton v-if="!readOnly" @click="emit('model', estimate)" size="small">
        Use it until it is measured
      </NButton>
    </template>
    <template v-if="effects.length > 0">
      <h3>Before you touch it <span class="quiet small">modelled, the swing staying the same</span></h3>
      <label v-if="bendable || sleeved" class="small by"
        >by
        <ChoiceField
          v-model:value="own"
          label="by"
          :options="[
            { value: 0.5, label: 'half a degree' },
            { value: 1, label: 'one degree' },
            { value: 2, label: 'two degrees' },
          ]"
      /></label>
      <div class="scroll">
        <NTable size="small" :bordered="false" :bottom-bordered="false">
          <thead>
            <tr>
              <th />
              <th scope="col">carry</th>
              <th scope="col">total</th>
              <th scope="col">apex</th>
              <th scope="col">lands</th>
              <th scope="col">bounce</th>
              <th scope="col">off line</th>
              <th scope="col">swing weight</th>
              <th v-if="tries" scope="col"><span class="unseen">on the ladder</span></th>
            </tr>
          </thead>
          <tbody>
            <tr v-for="{ words, effect, becomes } in effects" :key="words">
              <th scope="row">{{ words }}</th>
              <td>{{ signedDistance(effect.carryM, unit, 1) }}</td>
              <td>{{ signedDistance(effect.totalM, unit, 1) }}</td>
              <td>{{ signedDistance(effect.apexM, height, unit === 'yd' ? 0 : 1) }}</td>
              <td>{{ signedDegrees(effect.descentDeg) }}</td>
              <td>{{ signedDegrees(effect.bounceDeg) }}</td>
              <td>{{ offlineWords(effect.offlineM) }}</td>
              <td>{{ swingWeightWords(effect.swingWeightPoints) }}</td>
              <td v-if="tries">
                <NButton
                  v-if="becomes !== undefined"
                  size="small"
                  :aria-label="`Try ${words} on the ladder`"
                  @click="emit('try', becomes)"
                >
                  Try
                </NButton>
              </td>
            </tr>
          </tbody>
        </NTable>
      </div>
      <p class="caution small">
        {{
          bendable
            ? BENDING_CAUTION
            : 'Sleeves differ: the maker says what a click does. Cutting graphite: dust mask.'
        }}
        Measure again, and enter what it became.
      </p>
    </template>
  </section>
</template>

<style scoped>
.what-if {
  margin: 16px 0;
}
h3 {
  font-size: 14px;
  font-weight: 600;
  margin-bottom: 4px;
}
h3 .quiet {
  font-weight: 400;
}
.modelled {
  font-style: italic;
  margin-bottom: 6px;
}
table {
  border-collapse: collapse;
  width: 100%;
  font-size: 13px;
}
th {
  font-weight: 400;
  text-align: left;
  color: var(--quiet);
  font-size: 12.5px;
}
tbody th {
  color: var(--ink);
  white-space: nowrap;
}
td,
thead th:not(:first-child) {
  text-align: right;
  white-space: nowrap;
}
td,
th {
  padding: 3px 0 3px 8px;
  border-top: 1px solid var(--line-soft);
}
th:first-child {
  padding-left: 0;
}
thead th {
  border-top: 0;
}
.caution {
  color: var(--brass-ink);
  margin-top: 6px;
}
</style>
