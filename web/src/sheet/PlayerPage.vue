<script setup lang="ts">
import LoadingRows from '../app/LoadingRows.vue';
import { computed, watch } from 'vue';
import { useRoute, useRouter } from 'vue-router';
import { useSettings } from '../app/settings';
import { viewLink } from '../app/view-link';
import { useUndoScope } from '../changes/undo-stack';
import { useShortcuts } from '../keys/use-shortcuts';
import FreezeReason from '../season/FreezeReason.vue';
import { asOfIn, useSheet } from './sheet-store';

const props = defineProps<{ playerId: string }>();
const store = useSheet();
const settings = useSettings();
const route = useRoute();
const router = useRouter();
const asOf = computed(() => asOfIn(route.query));
watch([() => props.playerId, asOf], ([playerId, day]) => void store.load(playerId, day), { immediate: true });

useUndoScope(() => `player/${props.playerId}`);

const to = (view: string) => () => void router.push(viewLink(view, props.playerId, route));
useShortcuts('Anywhere', {
  'Alt U': () => {
    if (!store.sheet) return false;
    settings.flipUnit(store.sheet.player.distanceUnit);
    return true;
  },
  'Alt R': () => void router.push('/roster'),
  'Alt B': to('bag'),
  'Alt F': to('flight'),
  'Alt L': to('locker'),
  'Alt G': to('range'),
  'Alt C': to('compare'),
  'Alt P': to('plan'),
  'Alt D': to('season'),
  'Alt Q': to('card'),
  'Alt J': to('bench'),
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
