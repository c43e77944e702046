<script setup lang="ts">
import { NButton, NTable, NTag } from 'naive-ui';
import type { BrowserSessionView } from '@tasche/contract';
import { agentWords, dayAndTime, fromNow } from './moment-words';

/** Browsers that are signed in, and a way to end each. */
defineProps<{ sessions: readonly BrowserSessionView[] }>();
defineEmits<{ end: [id: string] }>();
</script>

<template>
  <NTable size="small" :bordered="false">
    <thead>
      <tr>
        <th>Browser</th>
        <th>From</th>
        <th>Since</th>
        <th>Ends</th>
        <th aria-label="End" />
      </tr>
    </thead>
    <tbody>
      <tr v-for="one in sessions" :key="one.id">
        <td :title="one.agent">
          {{ agentWords(one.agent) }} <NTag v-if="one.current" size="small" :bordered="false">this one</NTag>
        </td>
        <td>{{ one.address }}</td>
        <td>{{ dayAndTime(one.signedInAt) }}</td>
        <td>{{ fromNow(one.endsAt) }}</td>
        <td>
          <NButton
            v-if="!one.current"
            size="tiny"
            :aria-label="`End the session of ${agentWords(one.agent)} from ${one.address}`"
            @click="$emit('end', one.id)"
            >End</NButton
          >
        </td>
      </tr>
    </tbody>
  </NTable>
  <NButton v-if="sessions.length > 1" size="small" @click="$emit('end', 'others')">End all others</NButton>
</template>
