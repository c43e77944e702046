<script setup lang="ts">
import { NButton } from 'naive-ui';
import { CircleHelp, Moon, Sun } from 'lucide-vue-next';
import { computed, useTemplateRef } from 'vue';
import { useRoute } from 'vue-router';
import { useKeysHelp } from '../keys/keys-help';
import { useSheet } from '../sheet/sheet-store';
import { useSettings } from './settings';
import PersonMenu from '../people/PersonMenu.vue';
import { viewLink } from './view-link';
import { useHereInView } from './here-in-view';

const route = useRoute();
const sheet = useSheet();
const settings = useSettings();
const help = useKeysHelp();

const playerId = computed(() => (route.params.playerId as string | undefined) ?? sheet.sheet?.player.id);
const views = [
  { name: 'bag', label: 'Bag' },
  { name: 'flight', label: 'Flights' },
  { name: 'locker', label: 'Locker' },
  { name: 'range', label: 'Range' },
  { name: 'compare', label: 'Compare' },
  { name: 'plan', label: 'Plan' },
  { name: 'season', label: 'Season' },
  { name: 'card', label: 'Card' },
  { name: 'bench', label: 'Bench' },
  { name: 'history', label: 'History' },
  { name: 'settings', label: 'Settings' },
] as const;

const BENCH_PAGES = ['bend-plan', 'weights', 'check', 'wear', 'putters', 'wishes', 'build'];

const nav = useTemplateRef<HTMLElement>('nav');
useHereInView(nav, () => `${String(route.name)} ${playerId.value}`);
</script>

<template>
  <nav ref="nav" aria-label="Views">
    <RouterLink to="/roster" class="brand">tasche</RouterLink>
    <RouterLink to="/roster" class="view" :class="{ here: route.name === 'roster' }">Roster</RouterLink>
    <RouterLink
      to="/courses"
      class="view"
      :class="{ here: route.name === 'courses' || route.name === 'seasons' }"
      >Courses</RouterLink
    >
    <RouterLink to="/calendar" class="view" :class="{ here: route.name === 'calendar' }">Calendar</RouterLink>
    <RouterLink to="/tickets" class="view" :class="{ here: route.name === 'tickets' }">Tickets</RouterLink>
    <template v-if="playerId">
      <RouterLink
        v-for="view in views"
        :key="view.name"
        class="view"
        :class="{
          here:
            route.name === view.name ||
            (view.name === 'range' && ['range-import', 'basket'].includes(String(route.name))) ||
            (view.name === 'plan' && route.name === 'swap-sheet') ||
            (view.name === 'history' && ['club-life', 'review'].includes(String(route.name))) ||
            (view.name === 'bench' && BENCH_PAGES.includes(String(route.name))),
        }"
        :to="viewLink(view.name, playerId, route)"
      >
        {{ view.label }}
      </RouterLink>
    </template>
    <span class="space" />
    <PersonMenu />
    <NButton
      class="tool"
      :title="settings.dark ? 'Light' : 'Dark'"
      :aria-label="settings.dark ? 'Light' : 'Dark'"
      @click="settings.flipTheme()"
      quaternary
      size="small"
    >
      <Sun v-if="settings.dark" :size="18" /><Moon v-else :size="18" />
    </NButton>
    <NButton
      class="tool"
      title="Keys (?)"
      aria-label="Keys"
      @click="help.open = true"
      quaternary
      size="small"
    >
      <CircleHelp :size="18" />
    </NButton>
  </nav>
</template>

<style scoped>
nav {
  width: 92px;
  flex: none;
  background: var(--linen-deep);
  border-right: 1px solid var(--line);
  display: flex;
  flex-direction: column;
  padding: 18px 0 10px;
  position: sticky;
  top: 0;
  height: 100vh;
}
.brand {
  font-weight: 600;
  font-size: 17px;
  color: var(--ink);
  text-decoration: none;
  padding: 0 15px 22px;
  letter-spacing: 0.01em;
}
.view {
  display: block;
  padding: 10px 15px;
  color: var(--ink);
  text-decoration: none;
  border-left: 4px solid transparent;
  padding-left: 11px;
}
.view:hover {
  background: var(--linen);
}
.view.here {
  background: var(--linen);
  border-left-color: var(--petrol);
  color: var(--petrol);
  font-weight: 600;
}
.space {
  flex: 1;
}
.tool {
  background: none;
  border: 0;
  color: var(--quiet);
  padding: 10px 15px;
  cursor: pointer;
  text-align: left;
  display: flex;
}
@media (max-width: 700px) {
  nav {
    flex-direction: row;
    width: 100%;
    height: auto;
    padding: 0 4px;
    align-items: center;
    overflow-x: auto;
    z-index: 5;
  }
  .brand {
    padding: 12px 8px;
  }
  .view {
    border-left: 0;
    border-bottom: 3px solid transparent;
    padding: 12px 8px 9px;
  }
  .view.here {
    border-bottom-color: var(--petrol);
  }
  .tool {
    padding: 12px 6px;
  }
}
</style>
