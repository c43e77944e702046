<script setup lang="ts">
import { hasRight, type RosterEntry } from '@tasche/contract';
import { counted } from '@tasche/core';
import { useLocalStorage } from '@vueuse/core';
import { NButton, NCard, NCheckbox, NEmpty } from 'naive-ui';
import { computed, defineAsyncComponent, ref, watch } from 'vue';
import { useRouter } from 'vue-router';
import { usePages } from '../api/read';
import LoadingRows from '../app/LoadingRows.vue';
import PageHead from '../app/PageHead.vue';
import ProblemLine from '../app/ProblemLine.vue';
import { today } from '../app/day';
import { useShortcuts } from '../keys/use-shortcuts';
import { useRosterKept } from '../offline/keep-roster';
import { useIdentity } from '../people/identity';
import { mayDoHere } from '../people/rights';
import RosterCard from './RosterCard.vue';
import RosterLooks from './RosterLooks.vue';
import { grouped, mostPressing, rosterRows, shownRows, type RosterLook } from './roster-groups';

// Rarely used: not part of the first load.
const AddPlayer = defineAsyncComponent(() => import('./AddPlayer.vue'));
const MadeUpPlayers = defineAsyncComponent(() => import('./MadeUpPlayers.vue'));
const PrintRun = defineAsyncComponent(() => import('./PrintRun.vue'));
const ImportPlayer = defineAsyncComponent(() => import('./ImportPlayer.vue'));
const ImportPlayers = defineAsyncComponent(() => import('./ImportPlayers.vue'));

const router = useRouter();
const PAGE = 50;
const {
  rows: entries,
  total,
  hasMore,
  more,
  all,
  again,
  problem,
} = usePages<RosterEntry>(
  (next) =>
    `/players?today=${today()}&limit=${PAGE}${next === null ? '' : `&after=${encodeURIComponent(next)}`}`,
);
useRosterKept(entries);
const adding = ref(false);
const importing = ref(false);
const listing = ref(false);
/** Who is on the roster already is known of all of it, however much of it is shown. */
async function openList(): Promise<void> {
  await all();
  listing.value = true;
}
function endList(): void {
  listing.value = false;
  void again();
}
const identity = useIdentity();
const mayAdd = computed(() => mayDoHere('addPlayer'));
const isOwner = computed(() => identity.view !== null && hasRight(identity.view.role, 'people'));
/** How the roster was last looked at is kept. */
const view = useLocalStorage<RosterLook>(
  'tasche.roster',
  { search: '', only: 'all', order: 'name', group: 'none' },
  { mergeDefaults: true },
);
const here = computed(() => rosterRows(entries.value ?? [], today()));
const shown = computed(() => shownRows(here.value, view.value));
const groups = computed(() => grouped(shown.value, view.value.group, today()));
/** Players of a print run, while one is put together. */
const run = ref<ReadonlySet<string> | null>(null);
function flip(id: string): void {
  const next = new Set(run.value);
  if (!next.delete(id)) next.add(id);
  run.value = next;
}
const changed = computed(() => here.value.filter(({ recent }) => recent.length > 0).length);
/** A search or a sort needs the later pages too: then all of them are read. */
watch(
  [() => view.value, () => entries.value?.length],
  () => {
    const { search, only, order } = view.value;
    if (hasMore.value && (search.trim() !== '' || only !== 'all' || order !== 'name')) void more();
  },
  { deep: true },
);
/** One key to the next thing to do. */
const first = computed(() => mostPressing(here.value));
useShortcuts('Roster and bench', {
  'Alt N': () => {
    if (!first.value) return false;
    return router.push(first.value.things[0]!.to);
  },
});

const away = computed(() => entries.value?.filter((entry) => entry.player.archived) ?? []);
const faults = computed(() => here.value.filter((entry) => (entry.gamer?.faults ?? 0) > 0).length);
</script>

<template>
  <div class="page">
    <PageHead>
      Roster
      <template #says>
        <p class="quiet small">
          <template v-if="!entries">Loading…</template
          ><template v-else-if="hasMore">{{ entries.length }} of {{ counted(total, 'player') }}</template
          ><template v-else>{{ counted(here.length, 'player') }}</template
          ><template v-if="faults">, {{ faults }} with a fault in the gamer</template
          ><template v-if="changed">, {{ changed }} changed since yesterday</template>
        </p>
      </template>
      <template #actions>
        <NButton v-if="here.length > 0" :disabled="run !== null" @click="run = new Set()">Print run…</NButton>
        <NButton v-if="isOwner" @click="importing = true">Import a player…</NButton>
        <template v-if="mayAdd">
          <NButton @click="openList">Import a list…</NButton>
          <NButton @click="adding = true" type="primary">Add a player</NButton>
        </template>
      </template>
    </PageHead>
    <ProblemLine :text="problem" />
    <ImportPlayer v-if="importing" @close="importing = false" />
    <ImportPlayers
      v-if="listing"
      :known="(entries ?? []).map(({ player }) => player.name)"
      @close="endList"
    />
    <AddPlayer
      v-if="mayAdd && (adding || (entries && here.length === 0))"
      :players="here.map(({ player }) => player)"
      @leave="adding = false"
    />
    <NEmpty v-else-if="entries?.length === 0" description="There are no players here yet." />
    <MadeUpPlayers v-if="mayAdd && entries?.length === 0" />
    <RosterLooks v-if="here.length > 1" v-model="view" :first="first" />
    <p v-if="here.length > 0 && shown.length === 0" class="quiet">No player matches the search.</p>
    <PrintRun
      v-if="run"
      :player-ids="shown.filter(({ player }) => run!.has(player.id)).map(({ player }) => player.id)"
      @all="run = new Set(shown.map(({ player }) => player.id))"
      @leave="run = null"
    />
    <template v-for="group in groups" :key="group.name">
      <h2 v-if="group.name" class="group">
        {{ group.name }} <span class="quiet small">{{ group.entries.length }}</span>
      </h2>
      <ul class="roster">
        <NCard tag="li" v-for="entry in group.entries" :key="entry.player.id">
          <NCheckbox
            v-if="run"
            class="tick"
            :checked="run.has(entry.player.id)"
            :aria-label="`Print for ${entry.player.name}`"
            @update:checked="flip(entry.player.id)"
          />
          <RosterCard v-bind="entry" />
        </NCard>
      </ul>
    </template>
    <p v-if="hasMore">
      <NButton @click="more"> Show more players: {{ entries?.length }} of {{ total }} shown </NButton>
    </p>
    <p v-if="away.length" class="off-roster small quiet">
      Off the roster:
      <RouterLink
        v-for="entry in away"
        :key="entry.player.id"
        :to="{ name: 'settings', params: { playerId: entry.player.id } }"
        >{{ entry.player.name }}</RouterLink
      >
    </p>
    <LoadingRows v-if="!entries && !problem" :px="86" />
  </div>
</template>

<style scoped>
.roster {
  list-style: none;
  margin: 0;
  padding: 0;
  display: grid;
  gap: 10px;
}
.roster li {
  position: relative;
  display: grid;
  grid-template-columns: minmax(300px, 1.2fr) minmax(420px, 1fr);
  gap: 12px 28px;
  padding: 14px 18px;
}
.group {
  margin: 14px 0 6px;
}
.tick {
  position: absolute;
  right: 14px;
  top: 12px;
}
h2 {
  font-size: 18px;
  margin-bottom: 4px;
}

.off-roster {
  display: flex;
  flex-wrap: wrap;
  gap: 4px 12px;
  margin-top: 14px;
}
@media (max-width: 980px) {
  .roster li {
    grid-template-columns: 1fr;
  }
}
</style>
