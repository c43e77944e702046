<script setup lang="ts">
import { NButton, NMenu } from 'naive-ui';
import { CircleHelp, Moon, Sun } from 'lucide-vue-next';
import { computed, h, useTemplateRef } from 'vue';
import { RouterLink, useRoute } from 'vue-router';
import { useKeysHelp } from '../keys/keys-help';
import { useSheet } from '../sheet/sheet-store';
import { useSettings } from './settings';
import PersonMenu from '../people/PersonMenu.vue';
import ViewLink from './ViewLink.vue';
import { useHereInView } from './here-in-view';

/** The views, and what is set for every one of them. */
defineProps<{
  /** In one line above the page, as on a phone, rather than beside it. */
  inLine: boolean;
}>();
const route = useRoute();
const sheet = useSheet();
const settings = useSettings();
const help = useKeysHelp();

/** Views of the workspace, and of a player. */
const VIEWS = [
  { name: 'roster', label: 'Roster' },
  { name: 'courses', label: 'Courses' },
  { name: 'calendar', label: 'Calendar' },
  { name: 'tickets', label: 'Tickets' },
] as const;
const PLAYER_VIEWS = [
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
/** Pages under a view, which stands for them here. */
const VIEW_OF: Readonly<Record<string, string>> = {
  seasons: 'courses',
  'range-import': 'range',
  basket: 'range',
  'swap-sheet': 'plan',
  'club-life': 'history',
  review: 'history',
  'bend-plan': 'bench',
  weights: 'bench',
  check: 'bench',
  wear: 'bench',
  putters: 'bench',
  wishes: 'bench',
  build: 'bench',
};

const playerId = computed(() => (route.params.playerId as string | undefined) ?? sheet.sheet?.player.id);
const here = computed(() => VIEW_OF[String(route.name)] ?? String(route.name));
const entries = computed(() => [
  ...VIEWS.map(({ name, label }) => entry(name, label)),
  ...(playerId.value === undefined
    ? []
    : PLAYER_VIEWS.map(({ name, label }) => entry(name, label, playerId.value))),
]);
const nav = useTemplateRef<HTMLElement>('nav');
useHereInView(nav, () => `${here.value} ${playerId.value}`);

/** The library's entries take no focus; the link in each does. */
function entry(key: string, label: string, playerId?: string) {
  const isHere = key === here.value;
  return { key, label: () => h(ViewLink, { view: key, playerId, label, isHere }) };
}

/** The arrow keys go from entry to entry, as in every menu. */
function goAlong(event: KeyboardEvent): void {
  const links = [...(nav.value?.querySelectorAll<HTMLElement>('[role="menuitem"] a') ?? [])];
  const at = links.findIndex((link) => link === event.target);
  const step = { ArrowDown: 1, ArrowRight: 1, ArrowUp: -1, ArrowLeft: -1 }[event.key];
  if (at < 0 || step === undefined) return;
  event.preventDefault();
  links.at((at + step) % links.length)?.focus();
}
</script>

<template>
  <nav ref="nav" :class="{ line: inLine }" aria-label="Views">
    <RouterLink to="/roster" class="brand">tasche</RouterLink>
    <NMenu
      class="views"
      :options="entries"
      :value="here"
      :mode="inLine ? 'horizontal' : 'vertical'"
      :root-indent="11"
      @keydown="goAlong"
    />
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
  box-sizing: border-box;
  min-height: 100%;
  background: var(--linen-deep);
  border-right: 1px solid var(--line);
  display: flex;
  flex-direction: column;
  padding: 18px 0 10px;
}
.brand {
  font-weight: 600;
  font-size: 17px;
  color: var(--ink);
  text-decoration: none;
  padding: 0 15px 22px;
  letter-spacing: 0.01em;
}
.views {
  --n-item-height: 40px;
  flex: none;
  padding: 0;
}
.views :deep(.n-menu-item) {
  margin: 0;
}
.views :deep(.n-menu-item-content) {
  border-left: 4px solid transparent;
  padding-right: 0;
}
.views :deep(.n-menu-item-content--selected) {
  border-left-color: var(--petrol);
  font-weight: 600;
}
.views :deep(.n-menu-item-content::before) {
  inset: 0;
}
.views :deep(a:focus-visible::before) {
  outline: 2px solid var(--petrol);
  outline-offset: -2px;
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
.line {
  flex-direction: row;
  min-height: 0;
  padding: 0 4px;
  align-items: center;
  overflow-x: auto;
  border-right: 0;
}
.line .brand {
  padding: 12px 8px;
}
.line .views {
  width: auto;
  max-width: none;
}
.line .views :deep(.n-menu-item-content) {
  border-left: 0;
  border-bottom-width: 3px;
  padding: 3px 8px 0;
}
.line .tool {
  padding: 12px 6px;
}
</style>
