<script setup lang="ts">
import { NButton } from 'naive-ui';
import type { SharedPaper } from '@tasche/contract';
import { Share2 } from 'lucide-vue-next';
import { ref } from 'vue';
import { useIdentity } from '../people/identity';
import ShareModal from './ShareModal.vue';

/** Makes a link to this page's paper, for somebody without an account. */
defineProps<{ playerId: string; paper: SharedPaper; planId?: string; clubId?: string; label?: string }>();
const identity = useIdentity();
const show = ref(false);
</script>

<template>
  <template v-if="identity.shares">
    <NButton class="no-print" @click="show = true">
      <template #icon><Share2 :size="16" /></template>{{ label ?? 'Share' }}
    </NButton>
    <ShareModal
      v-model:show="show"
      :player-id="playerId"
      :paper="paper"
      :plan-id="planId"
      :club-id="clubId"
    />
  </template>
</template>
