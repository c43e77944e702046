<script setup lang="ts">
import type { ClubView } from '@tasche/contract';
import {
  buildTweakEffect,
  gramsForInertia,
  knownSwingWeight,
  numberIn,
  partsOf,
  swingWeightWords,
  weightOfParts,
  ladderClub,
  signedDistance,
  whatIf,
  wrapsWords,
  type DistanceUnit,
  type BuildTweak,
} from '@tasche/core';
import { computed, reactive, ref, watch } from 'vue';
import ChoiceField from '../fields/ChoiceField.vue';
import NumberField from '../fields/NumberField.vue';

/** What another length, head, shaft, grip or counterweight does to one club's weight, balance and swing. */
const props = defineProps<{ clubs: readonly ClubView[]; unit: DistanceUnit }>();
const clubId = ref('');
watch(
  () => props.clubs,
  (clubs) => {
    if (!clubs.some(({ id }) => id === clubId.value))
      clubId.value = (clubs.find(({ kind }) => kind === 'iron') ?? clubs[0])?.id ?? '';
  },
  { immediate: true },
);
const club = computed(() => props.clubs.find(({ id }) => id === clubId.value));
const tweak = reactive<Required<BuildTweak>>({
  longerIn: 0,
  headG: 0,
  shaftG: 0,
  gripG: 0,
  counterweightG: 0,
});
const FIELDS = [
  { key: 'longerIn', label: 'Length', unit: 'in', step: 0.25, bounds: [-3, 3] },
  { key: 'headG', label: 'Head', unit: 'g', step: 1, bounds: [-40, 40] },
  { key: 'shaftG', label: 'Shaft', unit: 'g', step: 1, bounds: [-60, 60] },
  { key: 'gripG', label: 'Grip', unit: 'g', step: 1, bounds: [-40, 60] },
  { key: 'counterweightG', label: 'Counterweight', unit: 'g', step: 5, bounds: [0, 100] },
] as const;

const isChanged = computed(() => Object.values(tweak).some((value) => value !== 0));
const parts = computed(() => (club.value ? partsOf(club.value.spec) : undefined));
const effect = computed(() => {
  if (!club.value) return null;
  try {
    return buildTweakEffect(club.value.spec, tweak);
  } catch {
    return null; // A club that cannot be: a head of nothing, a length of nothing.
  }
});
/** What a length does to the carry; nothing where no full carry is known. */
const carry = computed(() => {
  if (!club.value || tweak.longerIn === 0) return '';
  const { kind, loftDeg, shots } = ladderClub(club.value);
  if (loftDeg === undefined || !shots.full || kind === 'putter' || kind === 'chipper') return '';
  try {
    const effect = whatIf({ kind, loftDeg }, shots.full, {
      longerIn: Math.min(3, Math.max(-3, tweak.longerIn)),
    });
    return `${signedDistance(effect.carryM, props.unit, 1)} ${props.unit}`;
  } catch {
    return '';
  }
});
const signed = (value: number, digits: number) =>
  `${value < 0 ? '−' : '+'}${Math.abs(value).toFixed(digits)}`;
const now = computed(() => club.value && knownSwingWeight(club.value.spec));
const then = computed(
  () => now.value && effect.value && swingWeightWords(now.value.points + effect.value.points),
);
const wraps = computed(() => (club.value ? numberIn(club.value.spec, 'gripWraps') : undefined));

/** The other school: the same moment of inertia down the set, matched to one club. */
const likeId = ref('');
const matchable = computed(() => props.clubs.filter(({ spec }) => partsOf(spec)));
const like = computed(
  () =>
    matchable.value.find(({ id }) => id === likeId.value && id !== clubId.value) ??
    matchable.value.find(({ id }) => id !== clubId.value),
);
const matchG = computed(() => {
  const own = club.value;
  const model = like.value && partsOf(like.value.spec);
  if (!own || !model || own.id === like.value?.id) return undefined;
  return gramsForInertia(own.spec, weightOfParts(model).inertiaKgCm2);
});
</script>

<template>
  <section>
    <h2>One club changed</h2>
    <div class="bar fields">
      <ChoiceField
        v-model:value="clubId"
        label="Club to change"
        :options="clubs.map(({ id, name }) => ({ value: id, label: name }))"
      />
      <label v-for="field in FIELDS" :key="field.key">
        <span class="small quiet">{{ field.label }}</span>
        <NumberField
          v-model:value="tweak[field.key]"
          :label="field.label"
          :unit="field.unit"
          :step="field.step"
          :bounds="field.bounds"
          :px="58"
        />
      </label>
    </div>
    <p v-if="!isChanged" class="quiet">Change a figure, and what it does to the club is said here.</p>
    <p v-else-if="effect" role="status">
      Swing weight <b>{{ signed(effect.points, 1) }} points</b
      ><template v-if="now">, {{ swingWeightWords(now.points) }} to {{ then }}</template
      >; total weight {{ signed(effect.totalG, 0) }} g<template v-if="effect.balanceIn !== undefined"
        >; balance {{ signed(effect.balanceIn, 2) }} in towards the head; moment of inertia
        {{ signed(effect.inertiaKgCm2!, 0) }} kg cm²</template
      >.
      <template v-if="carry">
        Carry about <b>{{ carry }}</b>, if the swing stays.
      </template>
      <template v-if="tweak.longerIn !== 0">
        Plays about {{ Math.abs(tweak.longerIn * 2).toFixed(1) }}° more
        {{ tweak.longerIn > 0 ? 'upright' : 'flat' }}.
      </template>
    </p>
    <p v-else class="verdict warning">◆ No club can be built like this.</p>
    <p class="small quiet">
      {{
        parts
          ? 'Weighed from its parts; good to about two points before it is measured.'
          : 'By the rules of thumb: enter head, shaft and grip weight and length for a closer figure.'
      }}
      <template v-if="wraps !== undefined">{{ wraps }} wraps: {{ wrapsWords(wraps) }}.</template>
    </p>
    <p v-if="like && parts" class="bar">
      To swing like the
      <ChoiceField
        :value="like.id"
        label="Swing like"
        :options="
          matchable.filter(({ id }) => id !== clubId).map(({ id, name }) => ({ value: id, label: name }))
        "
        @update:value="likeId = $event"
      />
      by moment of inertia: <b v-if="matchG !== undefined">{{ signed(matchG, 1) }} g at the head</b>
    </p>
  </section>
</template>

<style scoped>
section {
  display: grid;
  gap: 8px;
  align-content: start;
}
.fields {
  gap: 8px 14px;
  align-items: end;
}
.fields label {
  display: grid;
  gap: 2px;
}
</style>
