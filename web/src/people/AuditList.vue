<script setup lang="ts">
import ProblemLine from '../app/ProblemLine.vue';
import { NButton } from 'naive-ui';
import DataTable from '../app/DataTable.vue';
import type { DataColumn } from '../app/data-table';
import type { AuditView } from '@tasche/contract';
import { usePages } from '../api/read';
import { dayAndTime } from './moment-words';

/** Audit log: who came in, who changed who may what, what was shared and exported. */
const { rows, total, hasMore, more, problem } = usePages<AuditView>(
  (next) => `/audit?limit=25${next === null ? '' : `&before=${next}`}`,
);
const COLUMNS: readonly DataColumn<AuditView>[] = [
  { id: 'at', head: 'When', value: ({ at }) => at },
  { id: 'who', head: 'Who', value: ({ who }) => who },
  { id: 'what', head: 'What', isLong: true, value: ({ what }) => what },
  { id: 'detail', head: 'Which', isLong: true, value: ({ detail }) => detail },
  { id: 'address', head: 'From', value: ({ address }) => address },
];
</script>

<template>
  <section>
    <h2>Audit log</h2>
    <p class="quiet small">Nobody can change or delete these entries, not even the server.</p>
    <ProblemLine :text="problem" />
    <DataTable
      v-if="rows"
      caption="Audit log"
      :columns="COLUMNS"
      :rows="rows"
      :row-key="({ id }) => String(id)"
      :orders="false"
      :page="1000"
      class="noted"
    >
      <template #at="{ row }">{{ dayAndTime(row.at) }}</template>
    </DataTable>
    <NButton v-if="hasMore" size="small" @click="more">{{ total - (rows?.length ?? 0) }} older</NButton>
  </section>
</template>

<style scoped>
section {
  margin-top: 26px;
}
.noted {
  max-width: 1060px;
}
</style>
