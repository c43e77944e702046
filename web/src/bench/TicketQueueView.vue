<script setup lang="ts">
import ProblemLine from '../app/ProblemLine.vue';
import type { Page, TicketEntry } from '@tasche/contract';
import { useDocumentVisibility, useIntervalFn } from '@vueuse/core';
import { NButton, NEmpty, NTable, NTag } from 'naive-ui';
import { computed, ref, shallowRef } from 'vue';
import { ApiError, request } from '../api/request';
import { counted } from '../app/counted';
import { shortDay, today } from '../app/day';
import PageHead from '../app/PageHead.vue';
import { useHeard } from '../together/news';
import { useReadAgain } from '../offline/connection';
import { JOB_WORDS, missWords, wantedWords } from './ticket-words';

/** Everybody's open tickets, what is due first first. Other people's changes show at once. */
const page = shallowRef<Page<TicketEntry> | null>(null);
const problem = ref('');
/** Whatever others do is told; a list nobody told of anything is read anew so often. */
const AGAIN_MS = 30_000;
const PAGE = 100;
const shown = ref(PAGE);

async function load(): Promise<void> {
  try {
    const rows: TicketEntry[] = [];
    let next: string | null = '';
    let total = 0;
    while (next !== null && rows.length < shown.value) {
      const found: Page<TicketEntry> = await request<Page<TicketEntry>>(
        `/tickets?limit=${PAGE}${next && `&after=${next}`}`,
      );
      rows.push(...found.rows);
      ({ next, total } = found);
    }
    page.value = { rows, total, next };
    problem.value = '';
  } catch (error) {
    if (page.value === null || error instanceof ApiError)
      problem.value =
        error instanceof ApiError
          ? error.message
          : 'The server cannot be reached; this page tries again by itself.';
  }
}
useReadAgain(load);
useHeard(load);
const visibility = useDocumentVisibility();
useIntervalFn(
  () => {
    if (visibility.value === 'visible') void load();
  },
  AGAIN_MS,
  { immediateCallback: true },
);

const rows = computed(() =>
  (page.value?.rows ?? []).map((ticket) => ({
    ...ticket,
    wanted: wantedWords(ticket.wanted, undefined),
    late: ticket.dueOn !== null && ticket.dueOn < today(),
    missed: missWords(ticket.misses),
  })),
);
</script>

<template>
  <div class="page">
    <PageHead>
      Tickets
      <template #says>
        <p class="quiet">
          {{
            page === null ? 'Loading…' : `${counted(page.total, 'job')} open on the bench, of all players.`
          }}
        </p>
      </template>
    </PageHead>
    <ProblemLine v-if="problem" :text="problem" />
    <NEmpty v-else-if="page?.rows.length === 0" description="Nothing is asked of the bench." />
    <NTable v-else-if="page" size="small" :bordered="false" class="queue">
      <thead>
        <tr>
          <th scope="col">Due</th>
          <th scope="col">Player</th>
          <th scope="col">Club</th>
          <th scope="col">Job</th>
          <th scope="col">Wanted</th>
          <th scope="col">For</th>
          <th scope="col">State</th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="row in rows" :key="row.id">
          <td :class="{ late: row.late }">
            <template v-if="row.dueOn">{{ row.late ? '■ ' : '' }}{{ shortDay(row.dueOn) }}</template>
            <template v-else>–</template>
          </td>
          <td>
            <RouterLink :to="{ name: 'bench', params: { playerId: row.playerId } }">{{
              row.playerName
            }}</RouterLink>
          </td>
          <td>{{ row.clubName }}</td>
          <td :title="row.why">
            {{ row.name }} <span class="quiet small">{{ JOB_WORDS[row.job] }}</span>
          </td>
          <td>{{ row.wanted }}</td>
          <td>{{ row.eventName ?? '' }}</td>
          <td>
            <NTag size="small" :type="row.state === 'on the bench' ? 'info' : 'default'">{{
              row.state
            }}</NTag>
            <span v-if="row.missed" class="verdict look small" :title="row.missed">◆ missed once</span>
          </td>
        </tr>
      </tbody>
    </NTable>
    <NButton v-if="page?.next" size="small" @click="((shown += PAGE), load())">More</NButton>
  </div>
</template>

<style scoped>
.late {
  color: var(--brick-ink);
  font-weight: 600;
}
.queue td {
  border-top: 1px solid var(--line-soft);
}
@media (max-width: 700px) {
  .queue {
    display: block;
    overflow-x: auto;
  }
}
</style>
