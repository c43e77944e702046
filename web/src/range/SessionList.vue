<script setup lang="ts">
import type { SessionEntry } from '@tasche/contract';
import { NButton } from 'naive-ui';
import { computed, ref, watch } from 'vue';
import { counted } from '@tasche/core';
import { shortDay } from '../app/day';

/** So many are listed at once. */
const A_PAGE = 40;

/** A player's sessions, newest first, a page of them at a time; one of them is looked at. */
const props = defineProps<{
  playerId: string;
  sessions: readonly SessionEntry[];
  shownId: string | undefined;
}>();
const pages = ref(1);
// However old it is, the one looked at is among them.
watch(
  [() => props.shownId, () => props.sessions],
  () => {
    const at = props.sessions.findIndex(({ id }) => id === props.shownId);
    pages.value = Math.max(pages.value, Math.ceil((at + 1) / A_PAGE));
  },
  { immediate: true },
);
const listed = computed(() => props.sessions.slice(0, pages.value * A_PAGE));
const earlier = computed(() => props.sessions.length - listed.value.length);
</script>

<template>
  <nav class="sessions no-print" aria-label="Sessions">
    <RouterLink
      v-for="one in listed"
      :key="one.id"
      :to="{ name: 'range', params: { playerId, sessionId: one.id } }"
      class="session"
      :class="{ here: one.id === shownId }"
    >
      <b>{{ shortDay(one.heldOn) }}</b> <span v-if="one.live" class="verdict fine">● live</span>
      <span class="place">{{ one.name }}</span>
      <span class="quiet small"
        >{{ counted(one.strikes, 'shot')
        }}<template v-if="one.clubs">, {{ counted(one.clubs, 'club') }}</template></span
      >
    </RouterLink>
    <NButton v-if="earlier > 0" @click="pages += 1" size="small" class="earlier">
      {{ earlier }} earlier
    </NButton>
  </nav>
</template>

<style scoped>
.sessions {
  flex: none;
  width: 158px;
  display: grid;
  gap: 4px;
  max-height: calc(100vh - 130px);
  overflow-y: auto;
  position: sticky;
  top: 14px;
}
.session {
  display: block;
  padding: 7px 10px;
  border-left: 3px solid transparent;
  color: var(--ink);
  text-decoration: none;
  border-radius: 0 4px 4px 0;
}
.session:hover {
  background: var(--paper);
}
.session.here {
  border-left-color: var(--petrol);
  background: var(--paper);
}
.session span {
  display: block;
}
.session .verdict {
  display: inline-flex;
  font-size: 12.5px;
}
.place {
  overflow: hidden;
  text-overflow: ellipsis;
  white-space: nowrap;
}
.earlier {
  flex: none;
  justify-self: start;
  margin: 4px 10px 10px;
}
@media (max-width: 700px) {
  .sessions {
    width: 100%;
    display: flex;
    overflow-x: auto;
    position: static;
  }
  .session {
    border-left: 0;
    border-bottom: 3px solid transparent;
    white-space: nowrap;
  }
  .session.here {
    border-bottom-color: var(--petrol);
  }
}
</style>
