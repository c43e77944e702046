<script setup lang="ts">
import type { ChangeResult, HeadedCells } from '@tasche/contract';
import { counted, type DistanceUnit } from '@tasche/core';
import { NButton } from 'naive-ui';
import PageWindow from '../app/PageWindow.vue';
import { v4 as newId } from 'uuid';
import { computed, onBeforeUnmount, ref, shallowRef } from 'vue';
import { post } from '../api/request';
import DataTable from '../app/DataTable.vue';
import type { DataColumn } from '../app/data-table';
import { today } from '../app/day';
import ProblemLine from '../app/ProblemLine.vue';
import WorkProgress from '../app/WorkProgress.vue';
import ChoiceField from '../fields/ChoiceField.vue';
import FileField from '../fields/FileField.vue';
import { textOfFile } from '../files/text-of-file';
import { clubsOfGamer, newPlayerCommands } from './new-player';
import { listedCells, listedPlayers, type ListedPlayer } from './player-list';

/**
 * A list of several players' clubs comes in: each is a new player with a gamer, looked at before anything is
 * added.
 */
const props = defineProps<{ known: readonly string[] }>();
const emit = defineEmits<{ close: [] }>();
const MAX_BYTES = 2_000_000;

const fileName = ref('');
const problem = ref('');
const table = shallowRef<HeadedCells | null>(null);
const unit = ref<DistanceUnit>('yd');
const hand = ref<'right' | 'left'>('right');
/** Those added by an attempt that then failed: they are not added again, and are on the roster by then. */
const added = ref<readonly string[]>([]);
const share = ref<number | null>(null);

const players = computed((): ListedPlayer[] => {
  if (!table.value) return [];
  const known = [...props.known, ...added.value];
  return listedPlayers(table.value, known, { distanceUnit: unit.value, takenOn: today() });
});
const fresh = computed(() => players.value.filter(({ isKnown, clubs }) => !isKnown && clubs.length > 0));
const rejected = computed(() =>
  players.value
    .filter(({ isKnown }) => !isKnown)
    .flatMap(({ name, rejected: cells }) => cells.map((cell) => ({ ...cell, player: name }))),
);
function whatOf({ isKnown, clubs }: ListedPlayer): string {
  if (isKnown) return 'is on the roster: import these on their bag’s page';
  if (clubs.length === 0) return 'no club could be read';
  const inBag = clubsOfGamer(clubs).length;
  return inBag === clubs.length ? 'new' : `new; ${inBag} in the gamer, the rest in the locker`;
}
const COLUMNS: readonly DataColumn<ListedPlayer>[] = [
  { id: 'name', head: 'Player', value: ({ name }) => name },
  { id: 'clubs', head: 'Clubs', value: ({ clubs }) => clubs.length, align: 'right' },
  { id: 'what', head: 'What', value: whatOf, isLong: true },
];
const REFUSED: readonly DataColumn<(typeof rejected.value)[number]>[] = [
  { id: 'line', head: 'Row', value: ({ line }) => line },
  { id: 'player', head: 'Player', value: ({ player }) => player },
  { id: 'head', head: 'Column', value: ({ head }) => head },
  { id: 'text', head: 'Found', value: ({ text }) => text },
  { id: 'why', head: 'Why', value: ({ reason }) => reason, isLong: true },
];

async function choose(file: File): Promise<void> {
  fileName.value = file.name;
  problem.value = '';
  table.value = null;
  try {
    if (file.size > MAX_BYTES) throw new Error(`it is ${(file.size / 1e6).toFixed(1)} MB; 2 MB is the limit`);
    table.value = listedCells(await textOfFile(file));
  } catch (error) {
    problem.value = `${file.name}: ${(error as Error).message}`;
  }
}

let isStopped = false;
/** One change a player, so that each can be taken back alone. */
async function bring(): Promise<void> {
  const wanted = fresh.value;
  isStopped = false;
  problem.value = '';
  share.value = 0;
  try {
    for (const [i, { name, clubs }] of wanted.entries()) {
      if (isStopped) return;
      const commands = newPlayerCommands(
        { name, hand: hand.value, distanceUnit: unit.value },
        newId(),
        clubs,
      );
      await post<ChangeResult>('/changes', { id: newId(), why: `from ${fileName.value}`, commands });
      added.value = [...added.value, name];
      share.value = (i + 1) / wanted.length;
    }
    emit('close');
  } catch (error) {
    const came = wanted.filter(({ name }) => added.value.includes(name)).length;
    problem.value = `${came} of ${wanted.length} came in, then: ${(error as Error).message}`;
  } finally {
    share.value = null;
  }
}
onBeforeUnmount(() => (isStopped = true));
</script>

<template>
  <PageWindow title="Import a list of bags" :px="820" @close="emit('close')">
    <p class="quiet">
      One row per club, with a column for the player, saved as CSV or text. Each player is added to the roster
      with a gamer; you see who before it happens.
    </p>
    <FileField
      label="List of bags"
      accept=".csv,.tsv,.txt,text/csv,text/plain"
      :disabled="share !== null"
      drop
      @file="choose"
    >
      <b>{{ fileName || 'Choose a file' }}</b> <span class="quiet">or drop it here</span>
    </FileField>
    <ProblemLine :text="problem" />
    <template v-if="table">
      <div class="bar">
        <span>Carries in</span>
        <ChoiceField
          v-model:value="unit"
          label="Carries in"
          size="small"
          :options="[
            { value: 'yd', label: 'yards' },
            { value: 'm', label: 'metres' },
          ]"
        />
        <span>all of them</span>
        <ChoiceField v-model:value="hand" label="Hand" size="small" :options="['right', 'left']" />
        <span>handed; each can be changed in the settings.</span>
      </div>
      <div class="lists">
        <DataTable
          caption="Players of the list"
          :columns="COLUMNS"
          :rows="players"
          :row-key="({ name }) => name"
        />
        <template v-if="rejected.length > 0">
          <p class="verdict warning">
            ◆ {{ counted(rejected.length, 'cell') }} cannot be read: they stay empty, and a row without a club
            is left out.
          </p>
          <DataTable
            caption="Not imported"
            :columns="REFUSED"
            :rows="rejected"
            :row-key="({ line, column, reason }) => `${line} ${column} ${reason}`"
          />
        </template>
      </div>
      <p v-if="share !== null" class="bar small" role="status">
        <WorkProgress :share="share" /> Adding {{ counted(fresh.length, 'player') }}…
        <NButton size="small" @click="isStopped = true">Cancel</NButton>
      </p>
      <div v-else class="bar">
        <NButton type="primary" :disabled="fresh.length === 0" @click="bring">
          Add {{ counted(fresh.length, 'player') }}
        </NButton>
        <NButton @click="emit('close')">Cancel</NButton>
      </div>
    </template>
  </PageWindow>
</template>

<style scoped>
p,
.bar {
  margin: 10px 0;
}
.lists {
  max-height: 46vh;
  overflow: auto;
  display: grid;
  gap: 10px;
}
</style>
