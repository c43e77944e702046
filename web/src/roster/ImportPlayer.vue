<script setup lang="ts">
import ProblemLine from '../app/ProblemLine.vue';
import { NButton } from 'naive-ui';
import PageWindow from '../app/PageWindow.vue';
import { playerFileHeadSchema, type PlayerFileHead } from '@tasche/contract';
import { v4 as newId } from 'uuid';
import { computed, onBeforeUnmount, ref, shallowRef } from 'vue';
import { useRouter } from 'vue-router';
import { ApiError } from '../api/request';
import { sendFile, type Sending } from '../api/send-file';
import WorkProgress from '../app/WorkProgress.vue';
import { counted } from '@tasche/core';
import { shortMoment } from '../app/day';
import FileField from '../fields/FileField.vue';

/** A player who was taken out as a file comes in again: who it is is said before anything is sent. */
const emit = defineEmits<{ close: [] }>();
const router = useRouter();
const file = shallowRef<File | null>(null);
const head = shallowRef<PlayerFileHead | null>(null);
const problem = ref('');
const fields = ref<readonly { field: string; message: string }[]>([]);
const share = ref(0);
const sending = shallowRef<Sending<{ playerId: string }> | null>(null);
/** One file is one player, however often it is sent. */
let changeId = newId();

/** The first line is not longer. */
const HEAD_BYTES = 4000;
async function choose(chosen: File): Promise<void> {
  problem.value = '';
  fields.value = [];
  head.value = null;
  file.value = chosen;
  changeId = newId();
  const [line] = (await chosen.slice(0, HEAD_BYTES).text()).split('\n');
  try {
    head.value = playerFileHeadSchema.validateSync(JSON.parse(line!)) as PlayerFileHead;
  } catch {
    problem.value = `${chosen.name} is not a player’s file. One is made under a player’s settings, “As a file”.`;
  }
}

const holds = computed(() => {
  const { rows = {} } = head.value ?? {};
  const parts: [keyof PlayerFileHead['rows'], string][] = [
    ['club', 'club'],
    ['bag', 'bag'],
    ['reading', 'reading'],
    ['plan', 'plan'],
    ['session', 'session'],
    ['strike', 'shot'],
    ['ticket', 'ticket'],
    ['wish', 'wish'],
    ['roundPlayed', 'round'],
    ['change', 'change'],
  ];
  return parts
    .filter(([part]) => (rows[part] ?? 0) > 0)
    .map(([part, one]) => counted(rows[part]!, one, one === 'wish' ? 'wishes' : `${one}s`))
    .join(', ');
});

async function bring(): Promise<void> {
  problem.value = '';
  fields.value = [];
  share.value = 0;
  sending.value = sendFile(`/players/from-file?changeId=${changeId}`, file.value!, (now) => {
    share.value = now;
  });
  try {
    const { playerId } = await sending.value.answer;
    await router.push({ name: 'bag', params: { playerId } });
  } catch (error) {
    problem.value = (error as Error).message;
    if (error instanceof ApiError) fields.value = error.problem.fields ?? [];
  } finally {
    sending.value = null;
  }
}
onBeforeUnmount(() => sending.value?.cancel());
</script>

<template>
  <PageWindow title="Import a player" :px="560" @close="emit('close')">
    <p class="quiet">
      A player who was exported as a file is added as a new player, with everything: clubs, readings, bags,
      plans, sessions, shots, jobs, wishes, and who did what when.
    </p>
    <FileField
      label="Player’s file"
      accept=".jsonl,.json,.txt"
      :disabled="sending !== null"
      drop
      @file="choose"
    >
      <b>{{ file?.name ?? 'Choose a file' }}</b> <span class="quiet">or drop it here</span>
    </FileField>
    <p v-if="head" role="status">
      <b>{{ head.name }}</b>, exported {{ shortMoment(head.takenOutAt) }}. {{ holds }}.
    </p>
    <ProblemLine :text="problem">
      <span v-for="{ field } in fields" :key="field" class="quiet small">({{ field }})</span></ProblemLine
    >
    <p v-if="sending" class="bar small" role="status">
      <WorkProgress :share="share" /> {{ share < 1 ? 'Sending…' : 'Checking every row…' }}
      <NButton size="small" @click="sending.cancel()">Cancel</NButton>
    </p>
    <div v-else class="bar">
      <NButton type="primary" :disabled="!head" @click="bring">
        Import {{ head?.name ?? 'the player' }}
      </NButton>
      <NButton @click="emit('close')">Cancel</NButton>
    </div>
  </PageWindow>
</template>

<style scoped>
p {
  margin: 10px 0;
}
.bar {
  margin-top: 12px;
}
</style>
