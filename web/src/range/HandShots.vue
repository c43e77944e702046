<script setup lang="ts">
import { shotOptions } from '../clubs/shot-options';
import { NButton, NForm } from 'naive-ui';
import { isFullSwing, type DistanceUnit, type ShotKind } from '@tasche/core';
import { v4 as newId } from 'uuid';
import { computed, ref } from 'vue';
import Later from '../app/Later.vue';
import ChoiceField from '../fields/ChoiceField.vue';
import TextField from '../fields/TextField.vue';
import { useSheet } from '../sheet/sheet-store';
import { readHandShots } from './hand-shots';
import { useRange } from './range-store';

/** Carries written down by hand, several at once. */
const props = defineProps<{ sessionId: string; unit: DistanceUnit }>();
/** What is wrong with what was typed, or nothing. */
const emit = defineEmits<{ problem: [text: string] }>();
const store = useSheet();
const range = useRange();

const typed = ref('');
const field = ref<InstanceType<typeof TextField> | null>(null);
const clubId = ref<string>('');
const shotKind = ref<ShotKind>('full');
const clubs = computed(() =>
  store.clubs.filter((club) => isFullSwing(club.kind) && club.spec.state?.value !== 'retired'),
);
function writeDown(): void {
  const read = readHandShots(typed.value, props.unit);
  if (!read.ok) {
    emit('problem', `${read.reason}; nothing was written down yet.`);
    return;
  }
  if (!clubId.value) {
    emit('problem', 'Choose the club first.');
    return;
  }
  emit('problem', '');
  typed.value = '';
  range.change([
    {
      do: 'addStrikes',
      sessionId: props.sessionId,
      strikes: read.strikes.map((given) => ({
        id: newId(),
        clubId: clubId.value,
        shot: shotKind.value,
        given,
      })),
    },
  ]);
}

defineExpose({
  focus: () => field.value?.focus(),
  take(aim: { clubId: string; shot: ShotKind }) {
    clubId.value = aim.clubId;
    shotKind.value = aim.shot;
  },
});
</script>

<template>
  <NForm class="bar" @submit.prevent="writeDown">
    <ChoiceField
      v-model:value="clubId"
      label="Club of shots by hand"
      :options="clubs.map((club) => ({ value: club.id, label: club.name }))"
      placeholder="by hand: which club?"
    />
    <Later :px="34"
      ><ChoiceField
        v-model:value="shotKind"
        label="Shot of shots by hand"
        :options="shotOptions(store.clubsById.get(clubId)?.spec)"
    /></Later>
    <TextField
      ref="field"
      class="carries"
      v-model:value="typed"
      aria-label="Carries by hand"
      :placeholder="`carries, ${unit}: 152 3L 148`"
      title="Alt E"
      autocomplete="off"
    />
    <NButton :disabled="typed.trim() === ''" attr-type="submit">Write down</NButton>
  </NForm>
</template>

<style scoped>
.carries {
  width: 180px;
}
</style>
