<script setup lang="ts">
import ProblemLine from '../app/ProblemLine.vue';
import { useIsTouch } from '../app/is-touch';
import { NCard, NCheckbox } from 'naive-ui';
import { caddieParts, baselineOf, type CardPage } from '@tasche/contract';
import {
  DEMAND_BOUNDS,
  LIE_NAMES,
  caddieLine,
  distanceNumber,
  fromMetres,
  toMetres,
  type CaddieAnswer,
  type CaddieQuestion,
  type DistanceUnit,
  type Lie,
} from '@tasche/core';
import { computed, onMounted, ref, shallowRef, watch } from 'vue';
import { airUnits, windWords } from '../conditions/air-units';
import { conditionsWorker } from '../conditions/worker-link';
import ChoiceField from '../fields/ChoiceField.vue';
import NumberField from '../fields/NumberField.vue';
import { useSheet } from '../sheet/sheet-store';

/**
 * A caddie's question beside the ball: how far, what wind, what lie, must it hold. Two clubs in one line, as
 * soon as it is typed.
 */
const props = defineProps<{ page: CardPage; unit: DistanceUnit }>();
const store = useSheet();
const first = ref<InstanceType<typeof NumberField> | null>(null);
// On a phone the keyboard would cover the card.
const isTouch = useIsTouch();
onMounted(() => {
  if (!isTouch.value) first.value?.focus();
});

const distanceM = ref<number | null>(null);
const windMps = ref(0);
const windFromDeg = ref(0);
const lie = ref<Lie>('fairway');
const elevationChangeM = ref(0);
const mustHold = ref(true);
const units = computed(() => airUnits(props.unit));
const DIRECTIONS = [0, 45, 90, 135, 180, 225, 270, 315].map((deg) => ({ value: deg, label: windWords(deg) }));
const bounds = (key: 'distanceM' | 'elevationChangeM', min?: number) => {
  const [low, high] = DEMAND_BOUNDS[key];
  return [Math.ceil(fromMetres(min ?? low, props.unit)), Math.floor(fromMetres(high, props.unit))] as const;
};
const windBounds = computed(
  () => DEMAND_BOUNDS.windMps.map((mps) => Math.floor(units.value.wind.show(mps))) as [number, number],
);
// A round's own wind is the first guess, in the face until it is set.
watch(
  () => props.page.air?.windMps,
  (mps) => {
    windMps.value = mps ?? 0;
  },
  { immediate: true },
);

const question = computed<CaddieQuestion | null>(() =>
  distanceM.value === null
    ? null
    : {
        distanceM: distanceM.value,
        windMps: windMps.value,
        windFromDeg: windFromDeg.value,
        lie: lie.value,
        elevationChangeM: elevationChangeM.value,
        mustHold: mustHold.value,
      },
);
const answer = shallowRef<CaddieAnswer | null>(null);
const problem = ref('');
let lastRequestId = 0;
watch(
  [question, () => props.page.request, () => store.clubs],
  async ([asked]) => {
    const requestId = ++lastRequestId;
    if (!asked) {
      answer.value = null;
      return;
    }
    const { clubs, handicap } = caddieParts(store.sheet!);
    const { bagIds, day } = props.page.request;
    try {
      const found = await conditionsWorker().caddie(
        asked,
        clubs.filter(({ id }) => bagIds.includes(id)),
        baselineOf(store.sheet!.player),
        day,
        handicap,
      );
      if (requestId === lastRequestId) {
        answer.value = found;
        problem.value = '';
      }
    } catch (error) {
      if (requestId === lastRequestId) problem.value = (error as Error).message;
    }
  },
  { immediate: true },
);
const round = (value: number) => Math.round(value * 10) / 10;
</script>

<template>
  <NCard tag="section" class="caddie no-print" aria-label="Caddie’s question">
    <label
      >To the flag
      <NumberField
        ref="first"
        :value="distanceM === null ? null : round(fromMetres(distanceM, unit))"
        label="To the flag"
        :unit="unit"
        :bounds="bounds('distanceM')"
        optional
        :px="70"
        @update:value="distanceM = $event === null ? null : toMetres($event, unit)"
      />
    </label>
    <label
      >Wind
      <NumberField
        :value="round(units.wind.show(windMps))"
        label="Wind"
        :unit="units.wind.name"
        :bounds="windBounds"
        :px="56"
        @update:value="$event !== null && (windMps = units.wind.read($event))"
      />
    </label>
    <label v-if="windMps > 0"
      >From
      <ChoiceField
        :value="windFromDeg"
        label="Wind from"
        :options="DIRECTIONS"
        @update:value="windFromDeg = $event"
      />
    </label>
    <label
      >Lie
      <ChoiceField :value="lie" label="Lie" :options="LIE_NAMES" @update:value="lie = $event" />
    </label>
    <label
      >Up
      <NumberField
        :value="round(fromMetres(elevationChangeM, unit))"
        label="Target up"
        :unit="unit"
        :bounds="bounds('elevationChangeM')"
        :px="56"
        @update:value="$event !== null && (elevationChangeM = toMetres($event, unit))"
      />
    </label>
    <NCheckbox v-model:checked="mustHold" class="hold">must hold</NCheckbox>
    <ProblemLine v-if="problem" class="says" :text="problem" />
    <p v-else class="says" role="status" aria-live="polite">
      <template v-if="answer && distanceM !== null">
        {{ caddieLine(answer, unit) }}
        <span v-if="answer.playsLikeM !== undefined" class="quiet small"
          >Plays like {{ distanceNumber(answer.playsLikeM, unit) }} at home.</span
        >
      </template>
      <span v-else class="quiet">Type the distance: two clubs to choose between, and why.</span>
    </p>
  </NCard>
</template>

<style scoped>
.caddie {
  display: flex;
  flex-wrap: wrap;
  gap: 6px 14px;
  align-items: flex-end;
  padding: 8px 14px 10px;
  margin-bottom: 12px;
}
label {
  display: grid;
  gap: 2px;
  font-size: 12.5px;
  color: var(--quiet);
}
.hold {
  padding-bottom: 4px;
}
.says {
  flex-basis: 100%;
  font-size: 16px;
  min-height: 24px;
}
</style>
