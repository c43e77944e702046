<script setup lang="ts">
import { shotOptions } from '../clubs/shot-options';
import { NButton, NForm } from 'naive-ui';
import { isFullSwing, type DistanceUnit, type ShotKind } from '@tasche/core';
import { v4 as newId } from 'uuid';
import { computed, ref, watch } from 'vue';
import Later from '../app/Later.vue';
import ChoiceField from '../fields/ChoiceField.vue';
import TextField from '../fields/TextField.vue';
import { pasteLines } from '../fields/paste-lines';
import { useSheet } from '../sheet/sheet-store';
import { BETWEEN_CLUBS, readHandShots } from './hand-shots';
import { useRange } from './range-store';

/** Carries entered by hand, several at once. */
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
// There is nothing to choose among one.
watch(
  clubs,
  ([first, ...others]) => {
    if (first && others.length === 0) clubId.value = first.id;
  },
  { immediate: true },
);

function writeDown(): void {
  const read = readHandShots(typed.value, props.unit, clubs.value);
  if (!read.ok) {
    emit('problem', `${read.reason}; nothing was saved yet.`);
    return;
  }
  const inHand = clubId.value ? { clubId: clubId.value, shot: shotKind.value } : null;
  const turns = read.turns.flatMap(({ club, strikes }) => {
    const hit = club ?? inHand;
    return hit ? [{ hit, strikes }] : [];
  });
  if (turns.length < read.turns.length) {
    emit('problem', 'Choose the club first, or start with its name: 7 iron 152 148.');
    return;
  }
  emit('problem', '');
  field.value?.clear();
  range.change([
    {
      do: 'addStrikes',
      sessionId: props.sessionId,
      strikes: turns.flatMap(({ hit, strikes }) => strikes.map((given) => ({ id: newId(), ...hit, given }))),
    },
  ]);
  // The next are hit with the same.
  take(turns.at(-1)!.hit);
}

function take(aim: { clubId: string; shot: ShotKind }): void {
  clubId.value = aim.clubId;
  shotKind.value = aim.shot;
}

defineExpose({
  focus: () => field.value?.focus(),
  take,
});
</script>

<template>
  <p v-if="clubs.length === 0" class="small quiet">
    There is no club to hit yet.
    <RouterLink :to="{ name: 'bag', params: { playerId: store.sheet!.player.id } }">To the bag</RouterLink>
  </p>
  <NForm v-else class="bar" @submit.prevent="writeDown">
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
      title="Alt E. A club may come before them: 7 iron 152 148 / PW 118"
      autocomplete="off"
      @paste="pasteLines($event, BETWEEN_CLUBS)"
    />
    <NButton :disabled="typed.trim() === ''" attr-type="submit">Add</NButton>
  </NForm>
</template>

<style scoped>
.carries {
  width: 180px;
}
</style>
