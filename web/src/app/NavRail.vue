<script setup lang="ts">
import { NButton, NMenu } from 'naive-ui';
import { CircleHelp, Moon, Search, Sun } from 'lucide-vue-next';
import { computed, h, useTemplateRef } from 'vue';
import { RouterLink, useRoute } from 'vue-router';
import { useGoTo } from '../go-to/use-go-to';
import { useKeysHelp } from '../keys/keys-help';
import { useSheet } from '../sheet/sheet-store';
import { useSettings } from './settings';
import PersonMenu from '../people/PersonMenu.vue';
import ViewLink from './ViewLink.vue';
import { useHereInView } from './here-in-view';
import { PLAYER_VIEWS, VIEWS, viewOf } from './views';

/** The views, and what is set for every one of them. */
defineProps<{
  /** In one line above the page, as on a phone, rather than beside it. */
  inLine: boolean;
}>();
const route = useRoute();
const sheet = useSheet();
const settings = useSettings();
const help = useKeysHelp();
const goTo = useGoTo();

const playerId = computed(() => (route.params.playerId as string | undefined) ?? sheet.sheet?.player.id);
const here = computed(() => viewOf(String(route.name)));
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
    <div class="tools">
      <NButton
        class="tool go-to"
        title="Go to (Ctrl K)"
        aria-label="Go to"
        @click="goTo.open = true"
        quaternary
        size="small"
      >
        <Search :size="18" />
      </NButton>
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
    </div>
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
  padding: 10px 5px;
  cursor: pointer;
}
.tools {
  display: flex;
  justify-content: center;
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
/* The strip is longer than a phone: what goes anywhere stands first, and stays. */
.line .tools {
  display: contents;
}
.line .go-to {
  order: -1;
  position: sticky;
  left: -4px;
  padding-left: 10px;
  /* Over the entries of the menu, which stand over each other. */
  z-index: 3;
  background: var(--linen-deep);
}
.line .brand {
  order: -2;
}
</style>
