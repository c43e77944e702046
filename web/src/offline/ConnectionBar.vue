<script setup lang="ts">
import { format } from 'date-fns';
import { NButton } from 'naive-ui';
import { computed } from 'vue';
import { useOutbox } from '../changes/outbox';
import { counted } from '@tasche/core';
import { useConnection } from './connection';
import { useUpdate } from './use-update';

/** Says that there is no network and what is shown instead; offers a new version, and never takes it by itself. */
const connection = useConnection();
const outbox = useOutbox();
const update = useUpdate();

const seen = computed(() => {
  const time = new Date(connection.lastSeenAt ?? '');
  return Number.isNaN(time.valueOf()) ? '' : ` of ${format(time, 'd MMM, HH:mm')}`;
});
const kept = computed(() =>
  outbox.count > 0
    ? `${counted(outbox.count, 'change')} will be sent when it is back.`
    : 'What you type is kept and sent when it is back.',
);
</script>

<template>
  <div v-if="connection.lastSeenAt !== null" class="bar-line no-print" role="status">
    <strong>The server cannot be reached.</strong> You see what was last seen{{ seen }}. {{ kept }}
  </div>
  <div v-if="update.isReady.value" class="bar-line no-print" role="status">
    <strong>A new version is here.</strong> The page loads anew when you take it; nothing typed is lost.
    <NButton size="small" type="primary" :loading="update.isTaking.value" @click="update.take()">{{
      update.isTaking.value ? 'Taking it…' : 'Take it now'
    }}</NButton>
    <NButton v-if="!update.isTaking.value" size="small" @click="update.later()">Later</NButton>
  </div>
</template>

<style scoped>
.bar-line {
  background: var(--brass-soft);
  border-bottom: 1px solid var(--brass);
  padding: 8px 24px;
  display: flex;
  gap: 6px 10px;
  align-items: center;
  flex-wrap: wrap;
}
@media (max-width: 700px) {
  .bar-line {
    padding: 8px 12px;
  }
}
</style>
