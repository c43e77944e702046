<script setup lang="ts">
import Fold from '../app/Fold.vue';
import NumberField from '../fields/NumberField.vue';
import ChoiceField from '../fields/ChoiceField.vue';
import { NButton, NCard } from 'naive-ui';
import {
  BOUNCE_STRATEGIES,
  BOUNCE_STRATEGY_WORDS,
  PUTTER_STRATEGIES,
  GAPPING_STRATEGIES,
  type DistanceUnit,
  type LadderClub,
  type GappingStrategyId,
  type BagPreferences,
} from '@tasche/core';
import { PLAN_CHOOSING_BOUNDS } from '@tasche/contract';
import { computed } from 'vue';
import PreferenceRows from './PreferenceRows.vue';
import { shortPreferenceWords } from './preference-words';
import Hint from '../app/Hint.vue';

/** What a player wants of a bag: gapping style, bounce, putter, limits, trust, money, groups. */
const props = defineProps<{
  preferences: BagPreferences;
  school: GappingStrategyId;
  clubs: readonly LadderClub[];
  allowed: number;
  unit: DistanceUnit;
  readOnly: boolean;
  /** What is kept for every plan of this player. */
  kept: Partial<BagPreferences> | null;
}>();
const emit = defineEmits<{
  set: [part: Partial<BagPreferences>];
  school: [school: GappingStrategyId];
  keep: [preferences: BagPreferences | null];
}>();

type NumberKey = 'limit' | 'changeStrokes' | 'unevenStrokes' | 'strokesPerHundred';
const NUMBERS: readonly { key: NumberKey; label: string; unit: string; title: string }[] = [
  { key: 'limit', label: 'Clubs at most', unit: '', title: 'Of those the event allows' },
  {
    key: 'unevenStrokes',
    label: 'An uneven step costs',
    unit: 'strokes',
    title: 'A round, for a step twice its target',
  },
  {
    key: 'changeStrokes',
    label: 'A change must gain',
    unit: 'strokes',
    title: 'A round, for each club that is not in the gamer',
  },
  {
    key: 'strokesPerHundred',
    label: '100 of money must gain',
    unit: 'strokes',
    title: 'A round, by the price written beside a club',
  },
];
/** What is wanted here is what is wanted everywhere. */
const isKept = computed(
  () =>
    props.kept !== null &&
    (Object.keys(props.preferences) as (keyof BagPreferences)[]).every(
      (key) => JSON.stringify(props.kept![key]) === JSON.stringify(props.preferences[key]),
    ),
);
const FREEZES = [
  { value: '', words: 'as many changes as it takes' },
  { value: '0', words: 'none: a freeze' },
  { value: '1', words: 'one at most' },
  { value: '2', words: 'two at most' },
  { value: '3', words: 'three at most' },
] as const;
</script>

<template>
  <NCard class="preferences">
    <Fold>
      <template #head>
        What the player wants
        <span class="quiet small"
          >{{ GAPPING_STRATEGIES.find((one) => one.id === school)?.name.toLowerCase() }},
          {{ shortPreferenceWords({ ...preferences, limit: Math.min(preferences.limit, allowed) }) }}</span
        >
      </template>
      <div class="grid">
        <label
          >Steps
          <ChoiceField
            :value="school"
            :disabled="readOnly"
            @update:value="emit('school', $event)"
            label="Steps"
            :options="GAPPING_STRATEGIES.map((one) => ({ value: one.id, label: one.name }))"
        /></label>
        <label
          >Bounce
          <ChoiceField
            :value="preferences.bounce"
            :disabled="readOnly"
            @update:value="emit('set', { bounce: $event })"
            label="Bounce"
            :options="BOUNCE_STRATEGIES.map((one) => ({ value: one, label: BOUNCE_STRATEGY_WORDS[one] }))"
        /></label>
        <label
          >Putter
          <ChoiceField
            :value="preferences.putter"
            :disabled="readOnly"
            @update:value="emit('set', { putter: $event })"
            label="Putter"
            :options="
              PUTTER_STRATEGIES.map((one) => ({
                value: one,
                label: one === 'gamer' ? 'the gamer’s, whatever the greens' : one,
              }))
            "
        /></label>
        <label
          >Changes from the gamer
          <ChoiceField
            :value="preferences.mostChanges === null ? '' : String(preferences.mostChanges)"
            :disabled="readOnly"
            @update:value="
              emit('set', {
                mostChanges: $event === '' ? null : Number($event),
              })
            "
            label="Changes from the gamer"
            :options="FREEZES.map((one) => ({ value: one.value, label: one.words }))"
        /></label>
        <label v-for="one in NUMBERS" :key="one.key"
          ><Hint :says="one.title">{{ one.label }}</Hint>
          <NumberField
            :value="preferences[one.key]"
            :label="one.label"
            :unit="one.unit"
            :bounds="PLAN_CHOOSING_BOUNDS[one.key]"
            :whole="one.key === 'limit'"
            :step="one.key === 'limit' ? 1 : 0.01"
            :readonly="readOnly"
            @write="emit('set', { [one.key]: $event })"
        /></label>
      </div>
      <PreferenceRows
        :preferences="preferences"
        :clubs="clubs"
        :unit="unit"
        :read-only="readOnly"
        @set="emit('set', $event)"
      />
      <p v-if="!readOnly" class="bar small no-print kept">
        <NButton v-if="!isKept" size="small" @click="emit('keep', preferences)">
          Keep this for every plan and page of this player
        </NButton>
        <template v-else>
          <span class="verdict fine">●</span> Kept for every plan and page of this player.
          <NButton size="small" @click="emit('keep', null)">Clear it</NButton>
        </template>
      </p>
    </Fold>
  </NCard>
</template>

<style scoped>
.preferences {
  padding: 8px 14px;
}
.grid {
  display: flex;
  flex-wrap: wrap;
  gap: 8px 16px;
  margin: 8px 0;
}
label {
  display: grid;
  gap: 2px;
  font-size: 12px;
  color: var(--quiet);
}
</style>
