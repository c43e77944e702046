<script setup lang="ts">
import ProblemLine from '../app/ProblemLine.vue';
import type { TicketEntry } from '@tasche/contract';
import { NButton, NEmpty, NTag } from 'naive-ui';
import { computed } from 'vue';
import { usePages } from '../api/read';
import { counted } from '@tasche/core';
import { shortDay, today } from '../app/day';
import DataTable from '../app/DataTable.vue';
import type { DataColumn } from '../app/data-table';
import PageHead from '../app/PageHead.vue';
import { JOB_WORDS, missWords, wantedWords } from './ticket-words';
import Hint from '../app/Hint.vue';

/** Everybody's open tickets, what is due first first. Other people's changes show at once. */
const AGAIN_MS = 30_000;
const PAGE = 100;
const {
  rows: tickets,
  total,
  hasMore,
  more,
  all,
  problem,
} = usePages<TicketEntry>(
  (next) => `/tickets?limit=${PAGE}${next === null ? '' : `&after=${next}`}`,
  AGAIN_MS,
);

type Row = TicketEntry & { wantedWords: string; isLate: boolean; missed: string };
const rows = computed(() =>
  (tickets.value ?? []).map((ticket): Row => ({
    ...ticket,
    wantedWords: wantedWords(ticket.wanted, undefined),
    isLate: ticket.dueOn !== null && ticket.dueOn < today(),
    missed: missWords(ticket.misses),
  })),
);
const COLUMNS: readonly DataColumn<Row>[] = [
  { id: 'due', head: 'Due', value: ({ dueOn }) => dueOn },
  { id: 'player', head: 'Player', value: ({ playerName }) => playerName },
  { id: 'club', head: 'Club', value: ({ clubName }) => clubName },
  { id: 'job', head: 'Job', isLong: true, value: ({ name }) => name },
  { id: 'wanted', head: 'Wanted', isLong: true, value: (row) => row.wantedWords },
  { id: 'event', head: 'For', value: ({ eventName }) => eventName },
  { id: 'state', head: 'State', value: ({ state }) => state },
];
const searched = (row: Row) =>
  [row.playerName, row.clubName, row.name, row.wantedWords, row.eventName ?? '', row.state].join(' ');
</script>

<template>
  <div class="page">
    <PageHead>
      Tickets
      <template #says>
        <p v-if="tickets || !problem" class="quiet">
          {{ tickets ? `${counted(total, 'job')} open on the bench, of all players.` : 'Loading…' }}
        </p>
      </template>
    </PageHead>
    <ProblemLine :text="problem" />
    <NEmpty v-if="tickets?.length === 0" description="Nothing is waiting on the bench." />
    <DataTable
      v-else-if="tickets"
      caption="Jobs open on the bench"
      :columns="COLUMNS"
      :rows="rows"
      :row-key="({ id }) => id"
      :searched="searched"
      :page="PAGE"
      @whole="all"
    >
      <template #due="{ row }">
        <span v-if="row.dueOn" :class="{ late: row.isLate }"
          >{{ row.isLate ? '■ ' : '' }}{{ shortDay(row.dueOn) }}</span
        >
        <template v-else>–</template>
      </template>
      <template #player="{ row }">
        <RouterLink :to="{ name: 'bench', params: { playerId: row.playerId } }">{{
          row.playerName
        }}</RouterLink>
      </template>
      <template #job="{ row }">
        <Hint :says="row.why"
          >{{ row.name }} <span class="quiet small">{{ JOB_WORDS[row.job] }}</span></Hint
        >
      </template>
      <template #state="{ row }">
        <NTag size="small" :type="row.state === 'on the bench' ? 'info' : 'default'">{{ row.state }}</NTag>
        <Hint v-if="row.missed" class="verdict warning small" :says="row.missed">◆ missed once</Hint>
      </template>
    </DataTable>
    <NButton v-if="hasMore" size="small" @click="more">More</NButton>
  </div>
</template>

<style scoped>
.late {
  color: var(--brick-ink);
  font-weight: 600;
}
</style>
