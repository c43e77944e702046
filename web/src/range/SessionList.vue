<script setup lang="ts">
import type { SessionEntry } from '@tasche/contract';
import { counted } from '../app/counted';
import { shortDay } from '../app/day';

/** A player's sessions, newest first; one of them is looked at. */
defineProps<{ playerId: string; sessions: readonly SessionEntry[]; shownId: string | undefined }>();
</script>

<template>
  <nav class="sessions no-print" aria-label="Sessions">
    <RouterLink
      v-for="one in sessions"
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
