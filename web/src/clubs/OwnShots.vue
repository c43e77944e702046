<script setup lang="ts">
import { NButton, NTable } from 'naive-ui';
import {
  MAX_OWN_SHOTS,
  MAX_SHOT_NAME,
  SHOT_KINDS,
  STRIKE_BOUNDS,
  fromMetres,
  isShotKind,
  ownShotName,
  shotIn,
  shotKeysIn,
  shotKindOf,
  shotKindWords,
  sourceWords,
  toMetres,
  type DistanceUnit,
  type Shot,
  type ShotKey,
  type UsualShotKind,
} from '@tasche/core';
import type { ClubView } from '@tasche/contract';
import { computed, reactive, ref } from 'vue';
import ProblemLine from '../app/ProblemLine.vue';
import ChoiceField from '../fields/ChoiceField.vue';
import NumberField from '../fields/NumberField.vue';
import TextField from '../fields/TextField.vue';
import { useSheet } from '../sheet/sheet-store';
import Hint from '../app/Hint.vue';

/**
 * Shots of the player's own with a club: each one of the usual ones with a name, where it starts and how it
 * curves.
 */
const props = defineProps<{
  club: ClubView;
  unit: DistanceUnit;
  readOnly: boolean;
  /** The day what is recorded here is of. */
  takenOn: string;
}>();
const store = useSheet();
/** No shot curves further. Our choice. */
const CURVE_M = 80;

const shots = computed(() =>
  shotKeysIn(props.club.spec).flatMap((key) => {
    const kind = shotKindOf(key)!;
    const shot = shotIn(props.club.spec, key);
    return shot && ownShotName(kind) !== undefined ? [{ key, words: shotKindWords(kind), shot }] : [];
  }),
);
const draft = reactive<{ usual: UsualShotKind; name: string; carry: number | null }>({
  usual: 'full',
  name: '',
  carry: null,
});
const problem = ref('');
const carryBounds = computed(() => [1, Math.floor(fromMetres(STRIKE_BOUNDS.carryM[1], props.unit))] as const);
const curveBounds = computed(() => {
  const most = Math.floor(fromMetres(CURVE_M, props.unit));
  return [-most, most] as const;
});

const far = (metres: number | undefined) =>
  metres === undefined ? null : Math.round(fromMetres(metres, props.unit) * 10) / 10;
const near = (value: number) => Math.round(toMetres(value, props.unit) * 1000) / 1000;

function write(key: ShotKey, value: Shot | null): void {
  store.change([
    {
      do: 'editClub',
      clubId: props.club.id,
      version: props.club.version,
      readings: [{ key, value, takenOn: props.takenOn }],
    },
  ]);
}
/** A new carry is a new statement: the sample and the total of the old one do not speak for it. */
function restate(key: ShotKey, { startDeg, curveM }: Shot, carry: number): void {
  write(key, {
    carryM: near(carry),
    source: 'stated',
    ...(startDeg !== undefined && { startDeg }),
    ...(curveM !== undefined && { curveM }),
  });
}
function shape(key: ShotKey, shot: Shot, part: 'startDeg' | 'curveM', value: number | null): void {
  const { [part]: _before, ...rest } = shot;
  write(key, value === null ? rest : { ...rest, [part]: part === 'curveM' ? near(value) : value });
}
function add(): void {
  const kind = `${draft.usual}: ${draft.name.trim()}`;
  if (!isShotKind(kind)) {
    problem.value = `The name of a shot has 1 to ${MAX_SHOT_NAME} characters, and no comma, colon or semicolon.`;
    return;
  }
  if (props.club.spec[`shot.${kind}`]) {
    problem.value = 'There is such a shot already.';
    return;
  }
  if (draft.carry === null) {
    problem.value = 'Its carry is missing.';
    return;
  }
  problem.value = '';
  write(`shot.${kind}`, { carryM: near(draft.carry), source: 'stated' });
  draft.name = '';
  draft.carry = null;
}
</script>

<template>
  <div class="own">
    <div class="scroll">
      <NTable v-if="shots.length > 0" size="small" :bordered="false" :bottom-bordered="false" class="list">
        <caption class="unseen">
          Shots of the player’s own
        </caption>
        <thead>
          <tr>
            <th scope="col">Own shot</th>
            <th scope="col">carry</th>
            <th scope="col">
              <Hint says="Where it starts, degrees; left of the target is less than zero">starts °</Hint>
            </th>
            <th scope="col">
              <Hint says="How far it has curved where it lands; to the left is less than zero">curves</Hint>
            </th>
            <th scope="col">source</th>
            <th />
          </tr>
        </thead>
        <tbody>
          <tr v-for="{ key, words, shot } in shots" :key="key">
            <th scope="row">{{ words }}</th>
            <td>
              <NumberField
                :value="far(shot.carryM)"
                :label="`${words} carry`"
                :bounds="carryBounds"
                :px="58"
                :disabled="readOnly"
                @write="$event !== null && restate(key, shot, $event)"
              />
            </td>
            <td>
              <NumberField
                :value="shot.startDeg ?? null"
                :label="`${words} starts`"
                :bounds="[-20, 20]"
                optional
                :px="58"
                :disabled="readOnly"
                @write="shape(key, shot, 'startDeg', $event)"
              />
            </td>
            <td>
              <NumberField
                :value="far(shot.curveM)"
                :label="`${words} curves`"
                :bounds="curveBounds"
                optional
                :px="58"
                :disabled="readOnly"
                @write="shape(key, shot, 'curveM', $event)"
              />
            </td>
            <td class="small" :class="shot.source">{{ sourceWords(shot, unit) }}</td>
            <td>
              <NButton
                size="small"
                :disabled="readOnly"
                :aria-label="`Remove ${words}`"
                @click="write(key, null)"
              >
                Remove
              </NButton>
            </td>
          </tr>
        </tbody>
      </NTable>
    </div>
    <div v-if="!readOnly && shots.length < MAX_OWN_SHOTS" class="bar">
      <ChoiceField v-model:value="draft.usual" label="Own shot is one of" :options="SHOT_KINDS" />
      <TextField
        v-model:value="draft.name"
        aria-label="Name of an own shot"
        placeholder="cut, or into the wind"
        class="name"
        @keydown.enter="add"
      />
      <NumberField
        :value="draft.carry"
        label="Carry of an own shot"
        :placeholder="`carry, ${unit}`"
        :bounds="carryBounds"
        optional
        :px="92"
        @update:value="draft.carry = $event"
        @keydown.enter="add"
      />
      <NButton size="small" @click="add">Add a shot</NButton>
    </div>
    <ProblemLine :text="problem" />
  </div>
</template>

<style scoped>
.own {
  margin-top: 6px;
}
.list :deep(:is(th, td)) {
  padding: 2px 3px;
}
.list th {
  color: var(--quiet);
  font-weight: 400;
  text-align: left;
}
.bar {
  margin-top: 6px;
}
.name {
  width: 170px;
}
</style>
