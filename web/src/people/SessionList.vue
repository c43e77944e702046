<script setup lang="ts">
import { NButton } from 'naive-ui';
import type { BrowserSessionView } from '@tasche/contract';
import DataTable from '../app/DataTable.vue';
import NameTag from '../app/NameTag.vue';
import type { DataColumn } from '../app/data-table';
import { agentWords, dayAndTime, fromNow } from './moment-words';
import Hint from '../app/Hint.vue';

/** Browsers that are signed in, and a way to end each. */
defineProps<{ sessions: readonly BrowserSessionView[] }>();
defineEmits<{ end: [id: string] }>();
const COLUMNS: readonly DataColumn<BrowserSessionView>[] = [
  { id: 'browser', head: 'Browser', value: ({ agent }) => agentWords(agent) },
  { id: 'address', head: 'From', value: ({ address }) => address },
  { id: 'since', head: 'Since', value: ({ signedInAt }) => signedInAt },
  { id: 'ends', head: 'Ends', value: ({ endsAt }) => endsAt },
  { id: 'end', head: 'End', isActions: true },
];
</script>

<template>
  <DataTable
    caption="Browsers that are signed in"
    :columns="COLUMNS"
    :rows="sessions"
    :row-key="({ id }) => id"
  >
    <template #browser="{ row }"
      ><Hint :says="row.agent">{{ agentWords(row.agent) }}</Hint>
      <NameTag v-if="row.current">this one</NameTag></template
    >
    <template #since="{ row }">{{ dayAndTime(row.signedInAt) }}</template>
    <template #ends="{ row }">{{ fromNow(row.endsAt) }}</template>
    <template #end="{ row }"
      ><NButton
        v-if="!row.current"
        size="tiny"
        :aria-label="`End the session of ${agentWords(row.agent)} from ${row.address}`"
        @click="$emit('end', row.id)"
        >End</NButton
      ></template
    >
  </DataTable>
  <NButton v-if="sessions.length > 1" size="small" @click="$emit('end', 'others')">End all others</NButton>
</template>
