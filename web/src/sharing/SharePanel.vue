<script setup lang="ts">
import ProblemLine from '../app/ProblemLine.vue';
import { NButton } from 'naive-ui';
import { SHARED_PAPER_WORDS, type MadeLinkView, type SharedPaper, type ShareView } from '@tasche/contract';
import { computed, ref } from 'vue';
import { useRead } from '../api/read';
import { post } from '../api/request';
import { useAttempt } from '../api/use-attempt';
import { counted } from '@tasche/core';
import DataTable from '../app/DataTable.vue';
import type { DataColumn } from '../app/data-table';
import QrCode from '../bench/QrCode.vue';
import ChoiceField from '../fields/ChoiceField.vue';
import MadeLink from '../people/MadeLink.vue';
import { agentWords, dayAndTime, fromNow } from '../people/moment-words';
import Hint from '../app/Hint.vue';

/** Links to a player's papers: a new one, and those there are, with who opened them. */
const props = defineProps<{ playerId: string; paper: SharedPaper; planId?: string; clubId?: string }>();
const LASTS = [
  { value: 1, label: 'a day' },
  { value: 7, label: 'a week' },
  { value: 30, label: '30 days' },
  { value: 365, label: 'a year' },
];
const days = ref(7);
const standingLinks = useRead<readonly ShareView[]>(() => `/players/${props.playerId}/shares`);
const shares = computed(() => standingLinks.found.value ?? []);
const made = ref<MadeLinkView | null>(null);
const { problem: refused, attempt } = useAttempt();
const problem = computed(() => refused.value || standingLinks.problem.value);
const standing = computed(() =>
  shares.value.filter(({ revokedAt, expiresAt }) => !revokedAt && Date.parse(expiresAt) > Date.now()),
);
const ended = computed(() => shares.value.length - standing.value.length);

const make = () =>
  attempt(async () => {
    made.value = await post<MadeLinkView>(`/players/${props.playerId}/shares`, {
      paper: props.paper,
      days: days.value,
      ...(props.planId && { planId: props.planId }),
      ...(props.clubId && { clubId: props.clubId }),
    });
    await standingLinks.again();
  });
const revoke = (id: string) =>
  attempt(async () => {
    standingLinks.put(await post<ShareView[]>(`/shares/${id}/revoke`, {}));
  });
const lastOpening = ({ at, agent, address }: ShareView['lastOpenings'][number]) =>
  `last ${fromNow(at)}, ${agentWords(agent)}, ${address}`;
const openingWords = ({ openings, lastOpenings }: ShareView) =>
  openings === 0 ? 'not opened yet' : `opened ${counted(openings, 'time')}, ${lastOpening(lastOpenings[0]!)}`;
const allOpenings = ({ lastOpenings }: ShareView) =>
  lastOpenings
    .map(({ at, address, agent }) => `${dayAndTime(at)}  ${agentWords(agent)}  ${address}`)
    .join('\n');
const COLUMNS: readonly DataColumn<ShareView>[] = [
  {
    id: 'paper',
    head: 'Paper',
    isLong: true,
    value: ({ paper, name }) => `${SHARED_PAPER_WORDS[paper]} ${name}`,
  },
  { id: 'by', head: 'Made by', value: ({ madeBy }) => madeBy },
  { id: 'ends', head: 'Ends', value: ({ expiresAt }) => expiresAt },
  { id: 'end', head: 'End', isActions: true },
];
</script>

<template>
  <p class="quiet small">
    Anyone with the link sees this paper as it is when they open it, and nothing else; no account is needed.
  </p>
  <div class="new">
    <label class="small"
      >It lasts <ChoiceField v-model:value="days" label="It lasts" :options="LASTS"
    /></label>
    <NButton type="primary" size="small" @click="make">Make a link</NButton>
  </div>
  <ProblemLine :text="problem" />
  <MadeLink v-if="made" :link="made" title="The link: shown once">
    Until {{ dayAndTime(made.expiresAt) }}.
    <template #picture><QrCode :text="made.url" label="The link as a code" :px="104" /></template>
  </MadeLink>
  <DataTable
    v-if="standing.length"
    caption="Links that are open"
    :columns="COLUMNS"
    :rows="standing"
    :row-key="({ id }) => id"
  >
    <template #paper="{ row }"
      ><b>{{ SHARED_PAPER_WORDS[row.paper] }}</b> <span class="small">{{ row.name }}</span>
      <div class="quiet small">
        <Hint :says="allOpenings(row)">{{ openingWords(row) }}</Hint>
      </div></template
    >
    <template #ends="{ row }"
      ><span class="small">{{ fromNow(row.expiresAt) }}</span></template
    >
    <template #end="{ row }"
      ><NButton
        size="tiny"
        :aria-label="`End the link to ${SHARED_PAPER_WORDS[row.paper]} of ${row.name}`"
        @click="revoke(row.id)"
        >End</NButton
      ></template
    >
  </DataTable>
  <p v-if="ended" class="quiet small">{{ counted(ended, 'link has', 'links have') }} ended.</p>
</template>

<style scoped>
.new {
  display: flex;
  gap: 12px;
  align-items: end;
  flex-wrap: wrap;
  margin: 10px 0;
}
</style>
