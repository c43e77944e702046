<script setup lang="ts">
import Fold from '../app/Fold.vue';
import NumberField from '../fields/NumberField.vue';
import ChoiceField from '../fields/ChoiceField.vue';
import { NButton } from 'naive-ui';
import {
  BOUNCE_STRATEGIES,
  BOUNCE_STRATEGY_WORDS,
  CLUB_KINDS,
  PUTTER_STRATEGIES,
  GAPPING_STRATEGIES,
  fromMetres,
  toMetres,
  type ClubKind,
  type DistanceUnit,
  type LadderClub,
  type GappingStrategyId,
  type BagPreferences,
} from '@tasche/core';
import { PLAN_CHOOSING_BOUNDS } from '@tasche/contract';
import { computed, ref } from 'vue';
import { shortPreferenceWords } from './preference-words';

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
const name = (id: string) => props.clubs.find((club) => club.id === id)?.name ?? 'a club that is gone';

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
const trusted = ref('');
const worth = ref<number | null>(0.1);
function trust(): void {
  if (worth.value === null) return;
  emit('set', { comfort: { ...props.preferences.comfort, [trusted.value]: worth.value } });
}
function distrust(id: string): void {
  const { [id]: _gone, ...rest } = props.preferences.comfort;
  emit('set', { comfort: rest });
}
const kind = ref<ClubKind>('wedge');
const kindMost = ref<number | null>(4);
function addKind(): void {
  if (kindMost.value === null) return;
  const others = props.preferences.kinds.filter((one) => one.kind !== kind.value);
  emit('set', { kinds: [...others, { kind: kind.value, most: kindMost.value }] });
}
/** What a shot to be covered may be long, in metres. */
const COVERED_M = [20, 350] as const;
const coverBounds = computed(
  () => COVERED_M.map((m) => Math.round(fromMetres(m, props.unit))) as [number, number],
);
const cover = ref<number | null>(null);
function addCover(): void {
  if (cover.value === null) return;
  const distanceM = Math.round(toMetres(cover.value, props.unit) * 10) / 10;
  cover.value = null;
  emit('set', { mustCover: [...props.preferences.mustCover, { distanceM, withinM: 5 }] });
}
const freezes = computed(() => [
  { value: '', words: 'as many changes as it takes' },
  { value: '0', words: 'none: a freeze' },
  { value: '1', words: 'one at most' },
  { value: '2', words: 'two at most' },
  { value: '3', words: 'three at most' },
]);
</script>

<template>
  <Fold class="preferences card">
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
          :options="freezes.map((one) => ({ value: one.value, label: one.words }))"
      /></label>
      <label v-for="one in NUMBERS" :key="one.key" :title="one.title"
        >{{ one.label }}
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
    <div class="rows">
      <p>
        <span class="quiet small">Trust</span>
        <span v-for="(strokes, id) in preferences.comfort" :key="id" class="chip"
          >{{ name(id) }} {{ strokes }}
          <NButton
            :aria-label="`Forget trust in ${name(id)}`"
            @click="distrust(id)"
            quaternary
            circle
            size="tiny"
            >×</NButton
          ></span
        >
        <template v-if="!readOnly"
          ><ChoiceField
            v-model:value="trusted"
            label="Club trusted"
            :options="[
              { value: '', label: 'a club…' },
              ...clubs.map((club) => ({ value: club.id, label: club.name })),
            ]"
          />
          is worth
          <NumberField
            v-model:value="worth"
            label="What trust is worth"
            unit="strokes"
            :bounds="PLAN_CHOOSING_BOUNDS.comfort"
            :step="0.05"
          />
          <NButton :disabled="!trusted || worth === null" @click="trust" size="small">Set</NButton></template
        >
      </p>
      <p>
        <span class="quiet small">At most of a kind</span>
        <span v-for="(one, i) in preferences.kinds" :key="one.kind" class="chip"
          >{{ one.most }} {{ one.kind }}
          <NButton
            :aria-label="`Forget limit of ${one.kind}`"
            @click="emit('set', { kinds: preferences.kinds.toSpliced(i, 1) })"
            quaternary
            circle
            size="tiny"
          >
            ×
          </NButton></span
        >
        <template v-if="!readOnly"
          ><NumberField v-model:value="kindMost" whole label="How many of a kind" :bounds="[0, 14]" />
          <ChoiceField v-model:value="kind" label="Kind" :options="CLUB_KINDS" />
          <NButton @click="addKind" size="small">Add</NButton></template
        >
      </p>
      <p>
        <span class="quiet small">Must cover</span>
        <span v-for="(one, i) in preferences.mustCover" :key="i" class="chip"
          >{{ Math.round(fromMetres(one.distanceM, unit)) }} {{ unit }}
          <NButton
            :aria-label="`Forget distance ${i + 1}`"
            @click="emit('set', { mustCover: preferences.mustCover.toSpliced(i, 1) })"
            quaternary
            circle
            size="tiny"
          >
            ×
          </NButton></span
        >
        <template v-if="!readOnly"
          ><NumberField
            v-model:value="cover"
            :label="`Distance to cover, ${unit}`"
            :unit="unit"
            :bounds="coverBounds"
            optional
          />
          <NButton :disabled="cover === null" @click="addCover" size="small"> Add </NButton></template
        >
      </p>
    </div>
    <p v-if="!readOnly" class="bar small no-print kept">
      <NButton v-if="!isKept" size="small" @click="emit('keep', preferences)">
        Keep this for every plan and page of this player
      </NButton>
      <template v-else>
        <span class="verdict fine">●</span> Kept for every plan and page of this player.
        <NButton size="small" @click="emit('keep', null)">Forget it</NButton>
      </template>
    </p>
  </Fold>
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
.number {
  font: inherit;
  font-size: 13.5px;
  min-height: 32px;
  padding: 2px 6px;
  border: 1px solid var(--line);
  border-radius: 4px;
  background: var(--linen);
  color: var(--ink);
  max-width: 220px;
}
.number {
  width: 64px;
}
.rows p {
  display: flex;
  flex-wrap: wrap;
  gap: 4px 8px;
  align-items: center;
  padding: 3px 0;
  border-top: 1px solid var(--line-soft);
  font-size: 13.5px;
}
.rows .quiet {
  min-width: 118px;
}
.chip {
  border: 1px solid var(--petrol-mid);
  border-radius: 4px;
  padding: 1px 4px 1px 8px;
  background: var(--petrol-soft);
}
</style>
