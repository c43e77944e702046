<script setup lang="ts">
import { severalPlayers, type ChangeResult, type SeveralPlayers } from '@tasche/contract';
import { counted, type DistanceUnit } from '@tasche/core';
import { NButton } from 'naive-ui';
import { useEventListener } from '@vueuse/core';
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
import { listedPlayers, type ListedPlayer } from './player-list';

/**
 * A list of several players' clubs comes in: each is a new player with a gamer, looked at before anything is
 * added.
 */
const props = defineProps<{ known: readonly string[] }>();
const emit = defineEmits<{ close: [] }>();
const MAX_BYTES = 2_000_000;

const fileName = ref('');
const problem = ref('');
const list = shallowRef<SeveralPlayers | null>(null);
const unit = ref<DistanceUnit>('yd');
const hand = ref<'right' | 'left'>('right');
/** Those added by an attempt that then failed: they are not added again, and are on the roster by then. */
const added = ref<readonly string[]>([]);
const share = ref<number | null>(null);

const players = computed((): ListedPlayer[] => {
  if (!list.value) return [];
  const known = [...props.known, ...added.value];
  return listedPlayers(list.value.players, known, { distanceUnit: unit.value, takenOn: today() });
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
  { id: 'club', head: 'Club', value: ({ club }) => club },
  { id: 'head', head: 'Column', value: ({ head }) => head },
  { id: 'text', head: 'Found', value: ({ text }) => text },
  { id: 'why', head: 'Why', value: ({ reason }) => reason, isLong: true },
];

async function choose(file: File): Promise<void> {
  await look(file.name, async () => {
    if (file.size > MAX_BYTES) throw new Error(`it is ${(file.size / 1e6).toFixed(1)} MB; 2 MB is the limit`);
    return textOfFile(file);
  });
}

async function look(name: string, read: () => string | Promise<string>): Promise<void> {
  fileName.value = name;
  problem.value = '';
  list.value = null;
  try {
    list.value = severalPlayers(await read());
  } catch (error) {
    problem.value = `${name}: ${(error as Error).message}`;
  }
}

/** What was copied from a spreadsheet or a message is read as a file would be. */
useEventListener(document, 'paste', (event) => {
  const text = event.clipboardData?.getData('text/plain') ?? '';
  if (share.value !== null || text.trim() === '') return;
  event.preventDefault();
  void look('what was pasted', () => {
    if (text.length > MAX_BYTES) throw new Error('it is longer than 2 MB, the limit');
    return text;
  });
});

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
      As a workbook (.xlsx), CSV or text: one row per club with a column for the player, each player’s name
      above their clubs, or carries with the players along one side and the clubs along the other. Each player
      is added to the roster with a gamer; you see who before it happens.
    </p>
    <FileField
      label="List of bags"
      accept=".csv,.tsv,.txt,text/csv,text/plain"
      :disabled="share !== null"
      drop
      several-sheets
      @file="choose"
    >
      <template v-if="fileName"
        ><b>{{ fileName }}</b> <span class="quiet">choose, drop or paste another</span></template
      >
      <template v-else
        ><b>Choose a file</b> <span class="quiet">or drop it here, or paste the list</span></template
      >
    </FileField>
    <ProblemLine :text="problem" />
    <template v-if="list">
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
        <p v-if="list.unnamedLines.length > 0" class="verdict warning">
          ◆ Left out: {{ counted(list.unnamedLines.length, 'row') }} above the first player’s name ({{
            list.unnamedLines.slice(0, 10).join(', ')
          }}).
        </p>
        <template v-if="rejected.length > 0">
          <p class="verdict warning">
            ◆ {{ counted(rejected.length, 'cell') }} cannot be read and will be empty; a row without a club is
            left out.
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
