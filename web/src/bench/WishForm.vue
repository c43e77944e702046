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
  fromMetres,
  kindFromName,
  toMetres,
  type ClubKind,
  type DistanceUnit,
} from '@tasche/core';
import { NButton, NForm, NFormItem } from 'naive-ui';
import { reactive, watch } from 'vue';
import ChoiceField from '../fields/ChoiceField.vue';
import NumberField from '../fields/NumberField.vue';
import TextField from '../fields/TextField.vue';
import { useForm } from '../fields/use-form';

/** Something to buy, fit, learn or repair; of a club to buy its kind and loft, so that it can be modelled. */
const props = defineProps<{ clubs: readonly ClubView[]; unit: DistanceUnit; wish?: WishView }>();
const emit = defineEmits<{ save: [details: WishDetails]; leave: [] }>();

const draft = reactive({
  name: props.wish?.name ?? '',
  purpose: props.wish?.purpose ?? ('buy' as WishDetails['purpose']),
  kind: props.wish?.club?.kind ?? ('wedge' as ClubKind),
  loftDeg: props.wish?.club?.loftDeg ?? (null as number | null),
  carry:
    props.wish?.club?.carryM === undefined
      ? null
      : Math.round(fromMetres(props.wish.club.carryM, props.unit)),
  price: props.wish?.price ?? (null as number | null),
  clubId: props.wish?.clubId ?? null,
  notes: props.wish?.notes ?? '',
});
/** "54 wedge", "7 wood": the name tells the kind, and a wedge's loft. */
watch(
  () => draft.name,
  (name) => {
    const kind =
      kindFromName(name) ??
      kindFromName(name.replace(/^\S+ /, '')) ??
      (/wedge/i.test(name) ? 'wedge' : undefined);
    if (kind) draft.kind = kind;
    const loft = /\b(4[4-9]|5\d|6[0-4])\b/.exec(name);
    if (loft && draft.kind === 'wedge' && draft.loftDeg === null) draft.loftDeg = Number(loft[1]);
  },
);
const NONE = '';
const { rules, submit } = useForm(draft, {
  name: { label: 'What', schema: required(wishDetails.name) },
  notes: { label: 'Notes', schema: wishDetails.notes },
});
function save(): void {
  const { kind, loftDeg, carry, ...details } = draft;
  const buys = details.purpose === 'buy' && loftDeg !== null;
  emit('save', {
    ...details,
    name: details.name.trim(),
    state: props.wish?.state ?? 'wished',
    clubId: details.purpose === 'buy' ? null : details.clubId,
    club: buys ? { kind, loftDeg, ...(carry !== null && { carryM: toMetres(carry, props.unit) }) } : null,
  });
}
</script>

<template>
  <NForm
    ref="form"
    class="card wish-form"
    :model="draft"
    :rules="rules"
    size="small"
    @submit.prevent="submit(save)"
  >
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
      <NumberField v-model:value="draft.price" label="Price" :bounds="[0, 100000]" optional :step="10" />
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
    <NFormItem label="Notes" path="notes" class="two"
      ><TextField v-model:value="draft.notes" aria-label="Notes"
    /></NFormItem>
    <div class="bar all">
      <NButton type="primary" attr-type="submit">{{ wish ? 'Save' : 'Add wish' }}</NButton>
      <NButton @click="emit('leave')">Cancel</NButton>
    </div>
  </NForm>
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
