<script setup lang="ts">
import {
  BOUNCE_STRATEGIES,
  BOUNCE_SCHOOL_WORDS,
  CLUB_KINDS,
  PUTTER_STRATEGIES,
  GAPPING_STRATEGIES,
  fromMetres,
  toMetres,
  type BounceStrategy,
  type ClubKind,
  type DistanceUnit,
  type LadderClub,
  type PutterStrategy,
  type GappingStrategyId,
  type BagPreferences,
} from '@tasche/core';
import { PLAN_CHOOSING_BOUNDS } from '@tasche/contract';
import { computed, ref } from 'vue';
import FieldInput from '../app/FieldInput.vue';

/** What a player insists on: schools as weights a person can read, limits, trust, money, groups. */
const props = defineProps<{
  wishes: BagPreferences;
  school: GappingStrategyId;
  clubs: readonly LadderClub[];
  allowed: number;
  unit: DistanceUnit;
  readOnly: boolean;
}>();
const emit = defineEmits<{ set: [part: Partial<BagPreferences>]; school: [school: GappingStrategyId] }>();
const problem = ref('');
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
function write({ key, label }: (typeof NUMBERS)[number], text: string): void {
  const [min, max] = PLAN_CHOOSING_BOUNDS[key];
  const value = Number(text.replace(',', '.'));
  if (
    text.trim() === '' ||
    !(value >= min && value <= max) ||
    (key === 'limit' && !Number.isInteger(value))
  ) {
    problem.value = `${label} must be ${key === 'limit' ? 'a whole number ' : ''}between ${min} and ${max}, not “${text}”.`;
    return;
  }
  problem.value = '';
  emit('set', { [key]: value });
}
const trusted = ref('');
const worth = ref('0.1');
function trust(): void {
  const value = Number(worth.value.replace(',', '.'));
  const [min, max] = PLAN_CHOOSING_BOUNDS.comfort;
  if (!trusted.value || !(value >= min && value <= max)) {
    problem.value = `Trust must be between ${min} and ${max} strokes, not “${worth.value}”.`;
    return;
  }
  problem.value = '';
  emit('set', { comfort: { ...props.wishes.comfort, [trusted.value]: value } });
}
function distrust(id: string): void {
  const { [id]: _gone, ...rest } = props.wishes.comfort;
  emit('set', { comfort: rest });
}
const kind = ref<ClubKind>('wedge');
const kindMost = ref(4);
const addKind = () =>
  emit('set', {
    kinds: [
      ...props.wishes.kinds.filter((one) => one.kind !== kind.value),
      { kind: kind.value, most: kindMost.value },
    ],
  });
const cover = ref('');
function addCover(): void {
  const value = toMetres(Number(cover.value), props.unit);
  if (!(value >= 20 && value <= 350)) {
    problem.value = `A distance to be covered must be between ${Math.round(fromMetres(20, props.unit))} and ${Math.round(fromMetres(350, props.unit))} ${props.unit}, not “${cover.value}”.`;
    return;
  }
  problem.value = '';
  cover.value = '';
  emit('set', {
    mustCover: [...props.wishes.mustCover, { distanceM: Math.round(value * 10) / 10, withinM: 5 }],
  });
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
  <details class="wishes card">
    <summary>
      What the player wants
      <span class="quiet small"
        >{{ GAPPING_STRATEGIES.find((one) => one.id === school)?.name.toLowerCase() }},
        {{ Math.min(wishes.limit, allowed) }} clubs, {{ BOUNCE_SCHOOL_WORDS[wishes.bounce]
        }}<template v-if="wishes.mostChanges !== null"
          >, {{ wishes.mostChanges === 0 ? 'frozen' : `${wishes.mostChanges} changes at most` }}</template
        ><template v-for="one in wishes.kinds.filter(({ kind }) => kind !== 'driver')" :key="one.kind"
          >, {{ one.most }} of kind {{ one.kind }} at most</template
        ></span
      >
    </summary>
    <div class="grid">
      <label
        >Steps
        <select
          :value="school"
          :disabled="readOnly"
          @change="emit('school', ($event.target as HTMLSelectElement).value as GappingStrategyId)"
        >
          <option v-for="one in GAPPING_STRATEGIES" :key="one.id" :value="one.id">{{ one.name }}</option>
        </select></label
      >
      <label
        >Bounce
        <select
          :value="wishes.bounce"
          :disabled="readOnly"
          @change="emit('set', { bounce: ($event.target as HTMLSelectElement).value as BounceStrategy })"
        >
          <option v-for="one in BOUNCE_STRATEGIES" :key="one" :value="one">
            {{ BOUNCE_SCHOOL_WORDS[one] }}
          </option>
        </select></label
      >
      <label
        >Putter
        <select
          :value="wishes.putter"
          :disabled="readOnly"
          @change="emit('set', { putter: ($event.target as HTMLSelectElement).value as PutterStrategy })"
        >
          <option v-for="one in PUTTER_STRATEGIES" :key="one" :value="one">
            {{ one === 'gamer' ? 'the gamer’s, whatever the greens' : one }}
          </option>
        </select></label
      >
      <label
        >Changes from the gamer
        <select
          :value="wishes.mostChanges === null ? '' : String(wishes.mostChanges)"
          :disabled="readOnly"
          @change="
            emit('set', {
              mostChanges:
                ($event.target as HTMLSelectElement).value === ''
                  ? null
                  : Number(($event.target as HTMLSelectElement).value),
            })
          "
        >
          <option v-for="one in freezes" :key="one.value" :value="one.value">{{ one.words }}</option>
        </select></label
      >
      <label v-for="one in NUMBERS" :key="one.key" :title="one.title"
        >{{ one.label }}
        <span
          ><FieldInput
            :value="String(wishes[one.key])"
            class="number"
            inputmode="decimal"
            :readonly="readOnly"
            :aria-label="one.label"
            @write="write(one, $event)"
          />
          {{ one.unit }}</span
        ></label
      >
    </div>
    <div class="rows">
      <p>
        <span class="quiet small">Trust</span>
        <span v-for="(strokes, id) in wishes.comfort" :key="id" class="chip"
          >{{ name(id) }} {{ strokes }}
          <button :aria-label="`Forget trust in ${name(id)}`" @click="distrust(id)">×</button></span
        >
        <template v-if="!readOnly"
          ><select v-model="trusted" aria-label="Club trusted">
            <option value="">a club…</option>
            <option v-for="club in clubs" :key="club.id" :value="club.id">{{ club.name }}</option>
          </select>
          is worth
          <input v-model="worth" class="number" inputmode="decimal" aria-label="What trust is worth" />
          strokes <button class="plain-button slim" :disabled="!trusted" @click="trust">Set</button></template
        >
      </p>
      <p>
        <span class="quiet small">At most of a kind</span>
        <span v-for="(one, i) in wishes.kinds" :key="one.kind" class="chip"
          >{{ one.most }} {{ one.kind }}
          <button
            :aria-label="`Forget limit of ${one.kind}`"
            @click="emit('set', { kinds: wishes.kinds.toSpliced(i, 1) })"
          >
            ×
          </button></span
        >
        <template v-if="!readOnly"
          ><input
            v-model.number="kindMost"
            type="number"
            min="0"
            max="14"
            class="number"
            aria-label="How many of a kind"
          />
          <select v-model="kind" aria-label="Kind">
            <option v-for="one in CLUB_KINDS" :key="one">{{ one }}</option>
          </select>
          <button class="plain-button slim" @click="addKind">Add</button></template
        >
      </p>
      <p>
        <span class="quiet small">Must cover</span>
        <span v-for="(one, i) in wishes.mustCover" :key="i" class="chip"
          >{{ Math.round(fromMetres(one.distanceM, unit)) }} {{ unit }}
          <button
            :aria-label="`Forget distance ${i + 1}`"
            @click="emit('set', { mustCover: wishes.mustCover.toSpliced(i, 1) })"
          >
            ×
          </button></span
        >
        <template v-if="!readOnly"
          ><input
            v-model="cover"
            class="number"
            inputmode="decimal"
            :aria-label="`Distance to cover, ${unit}`"
          />
          {{ unit }}
          <button class="plain-button slim" :disabled="cover.trim() === ''" @click="addCover">
            Add
          </button></template
        >
      </p>
    </div>
    <p v-if="problem" class="verdict fault" role="alert">■ {{ problem }}</p>
  </details>
</template>

<style scoped>
.wishes {
  padding: 8px 14px;
  margin-bottom: 12px;
}
summary {
  cursor: pointer;
  font-weight: 600;
  min-height: 28px;
}
summary .small {
  font-weight: 400;
  margin-left: 8px;
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
select,
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
.chip button {
  border: 0;
  background: none;
  cursor: pointer;
  color: var(--quiet);
  min-width: 24px;
}
</style>
