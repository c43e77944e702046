<script setup lang="ts">
import {
  WISH_PURPOSES,
  required,
  wishDetails,
  type ClubView,
  type WishDetails,
  type WishView,
} from '@tasche/contract';
import {
  CLUB_KINDS,
  SHOT_KINDS,
  fromMetres,
  kindFromName,
  loftFromName,
  toMetres,
  type ClubKind,
  type DistanceUnit,
  type ShotKind,
} from '@tasche/core';
import { NButton, NCard, NForm, NFormItem } from 'naive-ui';
import { reactive, watch } from 'vue';
import ChoiceField from '../fields/ChoiceField.vue';
import DateField from '../fields/DateField.vue';
import NumberField from '../fields/NumberField.vue';
import TextField from '../fields/TextField.vue';
import KeptNote from '../fields/KeptNote.vue';
import { useKeptDraft, wholeDraft } from '../fields/kept-draft';
import { vOpened } from '../fields/opened';
import { useForm } from '../fields/use-form';

/**
 * Something to buy, fit, learn or repair; of a club to buy its kind and loft, so that it can be modelled; of
 * a fitting or a shot to learn what it would bring, so that it can be weighed.
 */
const props = defineProps<{
  playerId: string;
  clubs: readonly ClubView[];
  unit: DistanceUnit;
  wish?: WishView;
  /** What a new wish begins with. */
  begin?: Partial<WishDetails>;
}>();
const emit = defineEmits<{ save: [details: WishDetails]; leave: [] }>();

const shown = (metres: number | undefined) =>
  metres === undefined ? null : Math.round(fromMetres(metres, props.unit));
const { expected } = props.wish ?? {};
const draft = reactive({
  name: props.wish?.name ?? props.begin?.name ?? '',
  purpose: props.wish?.purpose ?? props.begin?.purpose ?? ('buy' as WishDetails['purpose']),
  kind: props.wish?.club?.kind ?? ('wedge' as ClubKind),
  loftDeg: props.wish?.club?.loftDeg ?? (null as number | null),
  carry: shown(expected ? expected.carryM : props.wish?.club?.carryM),
  shot: expected?.shot ?? ('three-quarter' as ShotKind),
  scatter: String(expected?.scatterShare ?? 1),
  price: props.wish?.price ?? (null as number | null),
  clubId: props.wish?.clubId ?? props.begin?.clubId ?? null,
  boughtOn: props.wish?.boughtOn ?? '',
  notes: props.wish?.notes ?? '',
});
// Before the name is watched: what it was taken for then stays as it was chosen.
const { wasKept, isWritten, startOver, end } = useKeptDraft(
  `wish/${props.playerId}/${props.wish?.id ?? props.begin?.name ?? 'new'}`,
  wholeDraft(draft),
);
/** "54 wedge", "7 wood": the name tells the kind, and a wedge's loft. */
watch(
  () => draft.name,
  (name) => {
    const kind =
      kindFromName(name) ??
      kindFromName(name.replace(/^\S+ /, '')) ??
      (/wedge/i.test(name) ? 'wedge' : undefined);
    if (kind) draft.kind = kind;
    draft.loftDeg ??= loftFromName(name, draft.kind) ?? null;
  },
);
const NONE = '';
const isBought = props.wish?.state === 'bought';
const SCATTERS = [
  { value: '1', label: 'as now' },
  { value: '0.9', label: 'a tenth less' },
  { value: '0.8', label: 'a fifth less' },
  { value: '0.7', label: 'three tenths less' },
];
const scatters = SCATTERS.some(({ value }) => value === draft.scatter)
  ? SCATTERS
  : [...SCATTERS, { value: draft.scatter, label: `${draft.scatter} of it left` }];
const learnable = SHOT_KINDS.filter((kind) => kind !== 'full');
const { rules, submit } = useForm(draft, {
  name: { label: 'What', schema: required(wishDetails.name) },
  notes: { label: 'Notes', schema: wishDetails.notes },
});
function leave(): void {
  end();
  emit('leave');
}
function save(): void {
  end();
  const { kind, loftDeg, carry, shot, scatter, boughtOn, ...details } = draft;
  const buys = details.purpose === 'buy' && loftDeg !== null;
  const carryM = carry === null ? {} : { carryM: toMetres(carry, props.unit) };
  emit('save', {
    ...details,
    name: details.name.trim(),
    state: props.wish?.state ?? 'wished',
    clubId: details.purpose === 'buy' ? null : details.clubId,
    club: buys ? { kind, loftDeg, ...carryM } : null,
    expected: expectedOf(),
    boughtOn: boughtOn || null,
  });

  /** Nothing for what is bought or repaired, nor for a fitting without an expectation. */
  function expectedOf(): WishDetails['expected'] {
    if (draft.clubId === null) return null;
    if (draft.purpose === 'learn') return { shot, ...carryM };
    const scatterShare = Number(scatter);
    return draft.purpose === 'fit' && (carry !== null || scatterShare < 1)
      ? { shot: 'full', ...carryM, ...(scatterShare < 1 && { scatterShare }) }
      : null;
  }
}
</script>

<template>
  <NCard v-opened="{ leave, isWritten }" class="wish-form">
    <KeptNote :kept="wasKept" @start-over="startOver" />
    <NForm ref="form" :model="draft" :rules="rules" size="small" @submit.prevent="submit(save)">
      <NFormItem label="What" path="name" class="two"
        ><TextField
          v-model:value="draft.name"
          aria-label="What"
          autofocus
          placeholder="54 wedge, 7 wood, new shaft…"
      /></NFormItem>
      <NFormItem label="To" path="purpose">
        <ChoiceField v-model:value="draft.purpose" label="To" :options="[...WISH_PURPOSES]" />
      </NFormItem>
      <NFormItem label="Price" path="price">
        <NumberField
          v-model:value="draft.price"
          label="Price"
          :bounds="[0, 100000]"
          money
          optional
          :step="10"
        />
      </NFormItem>
      <template v-if="draft.purpose === 'buy'">
        <NFormItem label="Kind" path="kind">
          <ChoiceField v-model:value="draft.kind" label="Kind" :options="CLUB_KINDS" />
        </NFormItem>
        <NFormItem label="Loft" path="loftDeg">
          <NumberField
            v-model:value="draft.loftDeg"
            label="Loft"
            unit="°"
            :bounds="[-2, 80]"
            optional
            :step="0.5"
          />
        </NFormItem>
        <NFormItem label="Carry, where it was hit" path="carry">
          <NumberField v-model:value="draft.carry" label="Carry" :unit="unit" :bounds="[1, 450]" optional />
        </NFormItem>
      </template>
      <NFormItem v-else label="Club" path="clubId" class="two">
        <ChoiceField
          :value="draft.clubId ?? NONE"
          label="Club"
          :options="[
            { value: NONE, label: 'none' },
            ...clubs.map(({ id, name }) => ({ value: id, label: name })),
          ]"
          @update:value="draft.clubId = $event || null"
        />
      </NFormItem>
      <template v-if="draft.purpose === 'learn'">
        <NFormItem label="Shot" path="shot">
          <ChoiceField v-model:value="draft.shot" label="Shot" :options="learnable" />
        </NFormItem>
        <NFormItem label="Carry, if known" path="carry">
          <NumberField v-model:value="draft.carry" label="Carry" :unit="unit" :bounds="[1, 450]" optional />
        </NFormItem>
      </template>
      <template v-else-if="draft.purpose === 'fit'">
        <NFormItem label="Carry with it" path="carry">
          <NumberField v-model:value="draft.carry" label="Carry" :unit="unit" :bounds="[1, 450]" optional />
        </NFormItem>
        <NFormItem label="Scatter with it" path="scatter">
          <ChoiceField v-model:value="draft.scatter" label="Scatter" :options="scatters" />
        </NFormItem>
      </template>
      <NFormItem v-if="isBought" label="Bought on" path="boughtOn">
        <DateField v-model:value="draft.boughtOn" label="Bought on" optional />
      </NFormItem>
      <NFormItem label="Notes" path="notes" class="two"
        ><TextField v-model:value="draft.notes" aria-label="Notes"
      /></NFormItem>
      <div class="bar all">
        <NButton type="primary" attr-type="submit">{{ wish ? 'Save' : 'Add wish' }}</NButton>
        <NButton @click="leave">Cancel</NButton>
      </div>
    </NForm>
  </NCard>
</template>

<style scoped>
.wish-form {
  display: grid;
  grid-template-columns: repeat(4, minmax(0, 1fr));
  gap: 0 14px;
  padding: 14px 18px;
  margin-bottom: 14px;
  max-width: 980px;
}
.two {
  grid-column: span 2;
}
.all {
  grid-column: 1 / -1;
}
@media (max-width: 700px) {
  .wish-form {
    grid-template-columns: 1fr 1fr;
  }
}
</style>
