<script setup lang="ts">
import { format } from 'date-fns';
import { NButton } from 'naive-ui';
import NoticeBar from '../app/NoticeBar.vue';
import { computed } from 'vue';
import { useOutbox } from '../changes/outbox';
import { counted } from '@tasche/core';
import { useConnection } from './connection';
import { useUpdate } from './use-update';

/**
 * Says that there is no network and what is shown instead; offers a new version, and never updates by itself.
 */
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
  <NoticeBar v-if="connection.lastSeenAt !== null" kind="warning">
    <strong>The server cannot be reached.</strong> You see what was last seen{{ seen }}. {{ kept }}
  </NoticeBar>
  <NoticeBar v-else-if="outbox.away" kind="warning">
    <strong>{{ outbox.away }}</strong>
    {{ outbox.count }} {{ outbox.count === 1 ? 'change is' : 'changes are' }} kept here and will be sent as
    soon as the server answers.
    <template #actions><NButton @click="outbox.tryNow()" size="small">Try now</NButton></template>
  </NoticeBar>
  <NoticeBar v-if="update.isReady.value" kind="warning">
    <strong>A new version is here.</strong> The page reloads when you update; nothing you typed is lost.
    <template #actions>
      <NButton size="small" type="primary" :loading="update.isTaking.value" @click="update.take()">{{
        update.isTaking.value ? 'Updating…' : 'Update now'
      }}</NButton>
      <NButton v-if="!update.isTaking.value" size="small" @click="update.later()">Later</NButton>
    </template>
  </NoticeBar>
</template>
