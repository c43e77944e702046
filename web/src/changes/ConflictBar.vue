<script setup lang="ts">
import { NButton } from 'naive-ui';
import NoticeBar from '../app/NoticeBar.vue';
import { typedDistance, quantityOf } from '@tasche/core';
import { commandWords, showQuantity, type Conflict } from '@tasche/contract';
import { computed } from 'vue';
import { useSettings } from '../app/settings';
import { useSheet } from '../sheet/sheet-store';
import { idOfOutgoing, useOutbox, type Outgoing } from './outbox';

const sheet = useSheet();
const outbox = useOutbox();
const settings = useSettings();
const MAX_SHOWN = 3;

const unit = computed(() => settings.unitFor(sheet.sheet?.player.distanceUnit ?? 'm'));

/** What the server refused, with what was wanted, so that it can be entered again. */
const shownReturned = computed(() =>
  outbox.returned.slice(0, MAX_SHOWN).map(({ outgoing, problem }) => ({
    id: idOfOutgoing(outgoing),
    message: problem.message,
    wanted: wantedWords(outgoing),
  })),
);
const hiddenReturned = computed(() => outbox.returned.length - shownReturned.value.length);

function wantedWords(outgoing: Outgoing): string {
  if (outgoing.kind === 'undo') return 'a change taken back';
  const { commands } = outgoing.request;
  const words = commands
    .slice(0, MAX_SHOWN)
    .map((command) => commandWords(command, nameOf, unit.value))
    .join('; ');
  return commands.length > MAX_SHOWN ? `${words}; and ${commands.length - MAX_SHOWN} more` : words;
}
function nameOf(id: string): string | undefined {
  return sheet.clubsById.get(id)?.name ?? sheet.sheet?.bags.find((bag) => bag.id === id)?.name;
}

const conflicts = computed(() => sheet.conflicted.flatMap((one) => one.conflicts));

function label(conflict: Conflict): string {
  return quantityOf(conflict.field)?.label ?? conflict.field.replace(/^shot\.(.*)$/, '$1 carry');
}

function show(field: string, value: unknown): string {
  if (value === null || value === undefined) return 'nothing';
  const quantity = quantityOf(field);
  if (quantity && (typeof value === 'number' || typeof value === 'string'))
    return showQuantity(quantity, value);
  if (typeof value === 'object' && 'carryM' in value)
    return typedDistance((value as { carryM: number }).carryM, unit.value);
  return Array.isArray(value)
    ? `${value.length} ${field === 'bag' ? 'clubs' : field}`
    : JSON.stringify(value);
}
</script>

<template>
  <NoticeBar v-if="conflicts.length" kind="warning" is-urgent>
    <strong>Someone else changed this meanwhile.</strong>
    <span v-for="(conflict, i) in conflicts" :key="i" class="one">
      {{ conflict.name }}, {{ label(conflict) }}: yours <b>{{ show(conflict.field, conflict.yours) }}</b>,
      theirs <b>{{ show(conflict.field, conflict.theirs) }}</b>.
    </span>
    <template #actions>
      <NButton @click="sheet.keepTheirs()" size="small">Keep theirs</NButton>
      <NButton @click="sheet.saveMine()" size="small" type="primary">Save mine</NButton>
    </template>
  </NoticeBar>
  <NoticeBar v-for="one in shownReturned" :key="one.id" kind="error" is-urgent>
    <strong>Not saved.</strong> {{ one.message }}
    <span class="one"
      >You wanted: <b>{{ one.wanted }}</b></span
    >
    <template #actions><NButton @click="outbox.discard(one.id)" size="small">Discard</NButton></template>
  </NoticeBar>
  <NoticeBar v-if="hiddenReturned > 0" kind="error">
    and {{ hiddenReturned }} more that were not saved
  </NoticeBar>
</template>

<style scoped>
.one {
  margin-left: 8px;
}
</style>
