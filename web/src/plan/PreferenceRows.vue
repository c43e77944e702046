<script setup lang="ts">
import { clubName, PLAN_CHOOSING_BOUNDS } from '@tasche/contract';
import {
  CLUB_KINDS,
  fromMetres,
  toMetres,
  type BagPreferences,
  type ClubKind,
  type DistanceUnit,
  type LadderClub,
} from '@tasche/core';
import { NButton } from 'naive-ui';
import RemovableTag from '../app/RemovableTag.vue';
import { computed, ref } from 'vue';
import ChoiceField from '../fields/ChoiceField.vue';
import NumberField from '../fields/NumberField.vue';

/** What is wanted of single clubs, kinds and distances: each can be added and taken away. */
const props = defineProps<{
  preferences: Pick<BagPreferences, 'comfort' | 'kinds' | 'mustCover'>;
  clubs: readonly LadderClub[];
  unit: DistanceUnit;
  readOnly: boolean;
}>();
const emit = defineEmits<{ set: [part: Partial<BagPreferences>] }>();
const name = (id: string) => clubName(props.clubs, id);

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
</script>

<template>
  <div class="rows">
    <p>
      <span class="quiet small">Trust</span>
      <RemovableTag
        v-for="(strokes, id) in preferences.comfort"
        :key="id"
        :removes="`Forget trust in ${name(id)}`"
        :read-only="readOnly"
        @remove="distrust(id)"
        >{{ name(id) }} {{ strokes }}</RemovableTag
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
      <RemovableTag
        v-for="(one, i) in preferences.kinds"
        :key="one.kind"
        :removes="`Forget limit of ${one.kind}`"
        :read-only="readOnly"
        @remove="emit('set', { kinds: preferences.kinds.toSpliced(i, 1) })"
        >{{ one.most }} {{ one.kind }}</RemovableTag
      >
      <template v-if="!readOnly"
        ><NumberField v-model:value="kindMost" whole label="How many of a kind" :bounds="[0, 14]" />
        <ChoiceField v-model:value="kind" label="Kind" :options="CLUB_KINDS" />
        <NButton @click="addKind" size="small">Add</NButton></template
      >
    </p>
    <p>
      <span class="quiet small">Must cover</span>
      <RemovableTag
        v-for="(one, i) in preferences.mustCover"
        :key="i"
        :removes="`Forget distance ${i + 1}`"
        :read-only="readOnly"
        @remove="emit('set', { mustCover: preferences.mustCover.toSpliced(i, 1) })"
        >{{ Math.round(fromMetres(one.distanceM, unit)) }} {{ unit }}</RemovableTag
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
</template>

<style scoped>
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
</style>
