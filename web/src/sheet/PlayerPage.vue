<script setup lang="ts">
import LinkButton from '../app/LinkButton.vue';
import NotThere from '../app/NotThere.vue';
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

watch(
  () => store.sheet?.player.distanceUnit,
  (unit) => {
    if (unit) settings.lastUnit = unit;
  },
  { immediate: true },
);

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
  <NotThere
    v-else-if="store.state === 'missing'"
    title="No such player"
    says="The address may be old."
    is-page
  >
    <LinkButton to="/roster" type="primary">To the roster</LinkButton>
  </NotThere>
  <NotThere v-else-if="store.state === 'away'" title="The server cannot be reached" opens-itself is-page />
  <div v-else class="page"><LoadingRows class="waiting" :rows="8" :px="26" /></div>
</template>

<style scoped>
.waiting {
  padding-top: 60px;
  max-width: 520px;
}
</style>
