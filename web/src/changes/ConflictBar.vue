<script setup lang="ts">
import { NButton } from 'naive-ui';
import { formatDistance, quantityOf } from '@tasche/core';
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

/** What the server would not take, with what was wanted, so that it can be typed again. */
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
    return formatDistance((value as { carryM: number }).carryM, unit.value, 1);
  return Array.isArray(value)
    ? `${value.length} ${field === 'bag' ? 'clubs' : field}`
    : JSON.stringify(value);
}
</script>

<template>
  <div v-if="conflicts.length" class="strip conflict no-print" role="alert">
    <div>
      <strong>Someone else changed this meanwhile.</strong>
      <span v-for="(conflict, i) in conflicts" :key="i" class="one">
        {{ conflict.name }}, {{ label(conflict) }}: yours <b>{{ show(conflict.field, conflict.yours) }}</b>,
        theirs <b>{{ show(conflict.field, conflict.theirs) }}</b>.
      </span>
    </div>
    <NButton @click="sheet.keepTheirs()" size="small">Keep theirs</NButton>
    <NButton @click="sheet.saveMine()" size="small" type="primary">Save mine</NButton>
  </div>
  <div v-for="one in shownReturned" :key="one.id" class="strip refused no-print" role="alert">
    <div>
      <strong>Not saved.</strong> {{ one.message }}
      <span class="one"
        >You wanted: <b>{{ one.wanted }}</b></span
      >
    </div>
    <NButton @click="outbox.discard(one.id)" size="small">Discard</NButton>
  </div>
  <div v-if="hiddenReturned > 0" class="strip refused no-print">
    and {{ hiddenReturned }} more that were not saved
  </div>
</template>

<style scoped>
.strip {
  padding: 8px 24px;
  display: flex;
  gap: 10px;
  align-items: center;
  flex-wrap: wrap;
}
.conflict {
  background: var(--brass-soft);
  border-bottom: 1px solid var(--brass);
}
.refused {
  background: var(--brick-soft);
  border-bottom: 1px solid var(--brick);
}
.one {
  margin-left: 8px;
}
</style>
