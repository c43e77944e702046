<script setup lang="ts">
import ProblemLine from '../app/ProblemLine.vue';
import { NButton, NTable } from 'naive-ui';
import type { AuditView, Page } from '@tasche/contract';
import { onMounted, ref } from 'vue';
import { request } from '../api/request';
import { useAttempt } from '../api/use-attempt';
import { dayAndTime } from './moment-words';

/** What was noted: who came in, who changed who may what, what was shared and taken out. */
const rows = ref<readonly AuditView[]>([]);
const next = ref<string | null>(null);
const total = ref(0);
const { problem, attempt } = useAttempt();
const more = () =>
  attempt(async () => {
    const page = await request<Page<AuditView>>(
      `/audit?limit=25${next.value ? `&before=${next.value}` : ''}`,
    );
    rows.value = [...rows.value, ...page.rows];
    next.value = page.next;
    total.value = page.total;
  });
onMounted(more);
</script>

<template>
  <section>
    <h2>What was noted</h2>
    <p class="quiet small">Nobody can change or delete these, the server itself neither.</p>
    <ProblemLine :text="problem" />
    <NTable v-if="rows.length" size="small" :bordered="false" class="noted">
      <tbody>
        <tr v-for="one in rows" :key="one.id">
          <td class="when">{{ dayAndTime(one.at) }}</td>
          <td>{{ one.who }}</td>
          <td>{{ one.what }}</td>
          <td>{{ one.detail }}</td>
          <td class="quiet">{{ one.address }}</td>
        </tr>
      </tbody>
    </NTable>
    <p v-else class="quiet">Nothing yet.</p>
    <NButton v-if="next" size="small" @click="more">{{ total - rows.length }} older</NButton>
  </section>
</template>

<style scoped>
section {
  margin-top: 26px;
}
.noted {
  max-width: 1060px;
}
.when {
  white-space: nowrap;
}
td {
  overflow-wrap: anywhere;
}
</style>
