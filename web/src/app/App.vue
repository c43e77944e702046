<script setup lang="ts">
import { NConfigProvider, NLayout, NLayoutContent, NLayoutHeader, NLayoutSider } from 'naive-ui';
import { computed, defineAsyncComponent, onMounted, watch, watchEffect } from 'vue';
import { useRoute } from 'vue-router';
import { useUndoKeys } from '../changes/undo-stack';
import { useIdentity } from '../people/identity';
import { useGoTo } from '../go-to/use-go-to';
import { useShortcuts } from '../keys/use-shortcuts';
import { useNews } from '../together/news';
import ConflictBar from '../changes/ConflictBar.vue';
import ConnectionBar from '../offline/ConnectionBar.vue';
import MissingPartBar from '../offline/MissingPartBar.vue';
import { useMidnight } from './day';
import { useIsNarrow } from './is-narrow';
import NotThere from './NotThere.vue';
import { naiveTheme } from './naive-theme';
import { useConnection } from '../offline/connection';
import HintLayer from './HintLayer.vue';
import NavRail from './NavRail.vue';
import { useSettings } from './settings';
import { applyTokens } from './tokens';

const SignInView = defineAsyncComponent(() => import('../people/SignInView.vue'));
const KeysHelp = defineAsyncComponent(() => import('../keys/KeysHelp.vue'));
// The first time someone else changes something.
const NewsLine = defineAsyncComponent(() => import('../together/NewsLine.vue'));
const GoTo = defineAsyncComponent(() => import('../go-to/GoTo.vue'));
const settings = useSettings();
const goTo = useGoTo();
const identity = useIdentity();
const news = useNews();
const route = useRoute();
const isNarrow = useIsNarrow();
/** Where a one-time link leads: for people who are not in yet. */
const isAtDoor = computed(() => route.name === 'welcome');
// From the first answer on: it tells whether the server is there.
useConnection();
const naive = computed(() => naiveTheme(settings.dark));
watchEffect(() => {
  applyTokens(settings.dark, document.documentElement);
});
onMounted(() => void identity.load());
useMidnight();
useUndoKeys();
useShortcuts('Anywhere', {
  'Ctrl K': () => {
    if (identity.state !== 'in') return false;
    goTo.open = !goTo.open;
    return true;
  },
});
watch(
  () => identity.state,
  (state) => {
    if (state === 'in') news.open();
  },
);
</script>

<template>
  <NConfigProvider :theme="naive.theme" :theme-overrides="naive.overrides" inline-theme-disabled>
    <MissingPartBar />
    <main v-if="isAtDoor" id="main" tabindex="-1"><RouterView /></main>
    <main v-else-if="identity.state === 'out'" id="main" tabindex="-1"><SignInView /></main>
    <main v-else-if="identity.state === 'asking'" id="main" tabindex="-1">
      <NotThere
        v-if="identity.away"
        title="Tasche cannot open yet"
        :says="identity.away"
        opens-itself
        is-page
      />
    </main>
    <template v-else>
      <a class="skip" href="#main">To the sheet</a>
      <NLayout class="shell" :has-sider="!isNarrow">
        <NLayoutHeader v-if="isNarrow" class="no-print"><NavRail in-line /></NLayoutHeader>
        <NLayoutSider v-else class="rail no-print" :width="92"><NavRail :in-line="false" /></NLayoutSider>
        <NLayoutContent>
          <main id="main" tabindex="-1">
            <ConnectionBar />
            <ConflictBar />
            <RouterView />
          </main>
        </NLayoutContent>
      </NLayout>
      <HintLayer />
      <KeysHelp />
      <GoTo v-if="goTo.open" />
      <NewsLine v-if="news.isAny" />
    </template>
  </NConfigProvider>
</template>

<style scoped>
/* The page scrolls, not a box in it: heads of tables stay in sight by that, and it prints. */
.shell,
.shell :deep(.n-layout),
.shell :deep(.n-layout-scroll-container) {
  overflow: visible;
}
.shell,
.shell :deep(> .n-layout-scroll-container) {
  min-height: 100%;
}
.shell :deep(.n-layout-content) {
  min-width: 0;
}
.rail {
  position: sticky;
  top: 0;
  height: 100vh;
}
main {
  outline: none;
}
.skip {
  position: absolute;
  left: -999px;
  top: 4px;
  background: var(--paper);
  padding: 8px;
  z-index: 10;
}
.skip:focus {
  left: 4px;
}
</style>
