<script setup lang="ts">
import LoadingRows from '../app/LoadingRows.vue';
import { useEventListener } from '@vueuse/core';
import { computed, watch } from 'vue';
import { useRoute, useRouter } from 'vue-router';
import { useSettings } from '../app/settings';
import { viewLink } from '../app/view-link';
import { isUndoOfField } from '../keys/is-typing';
import FreezeReason from '../season/FreezeReason.vue';
import { useSheet } from './sheet-store';

const props = defineProps<{ playerId: string }>();
const store = useSheet();
const settings = useSettings();
const route = useRoute();
const router = useRouter();
const asOf = computed(() =>
  typeof route.query.asOf === 'string' && /^\d{4}-\d\d-\d\d$/.test(route.query.asOf)
    ? route.query.asOf
    : null,
);
watch([() => props.playerId, asOf], ([playerId, day]) => void store.load(playerId, day), { immediate: true });

useEventListener('keydown', (event: KeyboardEvent) => {
  const command = event.ctrlKey || event.metaKey;
  const key = event.key.toLowerCase();
  if (command && key === 'z' && !isUndoOfField(event)) {
    event.preventDefault();
    if (event.shiftKey) store.redo();
    else store.undo();
  } else if (command && key === 'y' && !isUndoOfField(event)) {
    event.preventDefault();
    store.redo();
  } else if (event.altKey && !command) {
    const view = {
      b: 'bag',
      f: 'flight',
      l: 'locker',
      p: 'plan',
      g: 'range',
      c: 'compare',
      j: 'bench',
      q: 'card',
      d: 'season',
    }[key];
    if (key === 'u' && store.sheet) {
      event.preventDefault();
      settings.flipUnit(store.sheet.player.distanceUnit);
    } else if (key === 'r') {
      event.preventDefault();
      void router.push('/roster');
    } else if (view) {
      event.preventDefault();
      void router.push(viewLink(view, props.playerId, route));
    }
  }
});
</script>

<template>
  <FreezeReason v-if="store.asking" :freeze="store.asking.freeze" @answer="store.answerFreeze" />
  <RouterView v-if="store.state === 'ready' && store.sheet && store.sheet.player.id === playerId" />
  <div v-else class="page">
    <template v-if="store.state === 'missing'">
      <h1>No such player</h1>
      <p class="quiet">The address may be old. <RouterLink to="/roster">To the roster</RouterLink></p>
    </template>
    <template v-else-if="store.state === 'away'">
      <h1>The server cannot be reached</h1>
      <p class="quiet" role="status">This page opens by itself as soon as it can be.</p>
    </template>
    <template v-else>
      <LoadingRows class="waiting" :rows="8" :px="26" />
    </template>
  </div>
</template>

<style scoped>
.waiting {
  padding-top: 60px;
  max-width: 520px;
}
</style>
