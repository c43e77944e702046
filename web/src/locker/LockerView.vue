<script setup lang="ts">
import PageHead from '../app/PageHead.vue';
import TextField from '../fields/TextField.vue';
import UnitButton from '../app/UnitButton.vue';
import { NButton } from 'naive-ui';
import { contains } from '@tasche/contract';
import { counted, CLUB_STATES, CLUB_KINDS, loftPlace } from '@tasche/core';
import { computed, defineAsyncComponent, ref } from 'vue';
import { useRoute, useRouter } from 'vue-router';
import { useIsNarrow } from '../app/is-narrow';
import { useSettings } from '../app/settings';
import SheetNotices from '../sheet/SheetNotices.vue';
import BagMenu from '../bag/BagMenu.vue';
import { ALL_COLUMNS, COLUMN_SETS, LOCKER_COLUMNS } from '../sheet/sheet-columns';
import LockerAdvice from './LockerAdvice.vue';
import SheetGrid from '../sheet/SheetGrid.vue';
import { useSheet } from '../sheet/sheet-store';
import { useSheetEditing } from '../sheet/use-sheet-editing';

const ClubPanel = defineAsyncComponent(() => import('../clubs/ClubPanel.vue'));

defineProps<{ playerId: string }>();
const store = useSheet();
const settings = useSettings();
const route = useRoute();
const router = useRouter();
const editing = useSheetEditing(computed(() => undefined));

const filter = ref('');
const state = computed(() => (typeof route.query.state === 'string' ? route.query.state : 'all'));
const wide = { id: 'all', name: 'Everything', columns: ALL_COLUMNS };
const sets = [LOCKER_COLUMNS, ...COLUMN_SETS.slice(1), wide];
const columnSet = computed(() => sets.find((set) => set.id === route.query.columns) ?? LOCKER_COLUMNS);
const isNarrow = useIsNarrow();
/** The name stays in sight where the rest is scrolled, and leaves it room. */
const columns = computed(() =>
  columnSet.value.columns.map((column) =>
    column.id === 'name' ? { ...column, px: isNarrow.value ? 124 : 200 } : column,
  ),
);
const openClubId = computed({
  get: () => (typeof route.query.club === 'string' ? route.query.club : null),
  set: (id) => setQuery('club', id ?? undefined),
});
const unit = computed(() => settings.unitFor(store.sheet!.player.distanceUnit));

const states = computed(() =>
  [
    { id: 'all', name: 'All', count: store.clubs.length },
    ...CLUB_STATES.map((one) => ({
      id: one,
      name: one,
      count: store.clubs.filter((club) => club.spec.state?.value === one).length,
    })),
    { id: 'none', name: 'no state', count: store.clubs.filter((club) => !club.spec.state).length },
  ].filter((one) => one.id === 'all' || one.count > 0),
);

const rows = computed(() => {
  const isWanted = contains(filter.value);
  return store.clubs
    .filter(
      (club) =>
        state.value === 'all' ||
        (state.value === 'none' ? !club.spec.state : club.spec.state?.value === state.value),
    )
    .filter((club) => isWanted(`${club.name} ${club.kind} ${String(club.spec.head?.value ?? '')}`))
    .sort((a, b) => CLUB_KINDS.indexOf(a.kind) - CLUB_KINDS.indexOf(b.kind) || loftPlace(a) - loftPlace(b));
});
/** The bags a club is in, said beside its name. */
const badges = computed(
  () =>
    new Map(
      store.clubs.flatMap((club): [string, string][] => {
        const inBags = store.sheet!.bags.filter(
          (bag) => bag.clubIds.includes(club.id) && (!bag.planId || bag.gamer),
        );
        return inBags.length === 0 ? [] : [[club.id, inBags.map((bag) => bag.name).join(', ')]];
      }),
    ),
);

function setQuery(key: string, value: string | undefined): void {
  void router.replace({ query: { ...route.query, [key]: value } });
}

function paste(text: string, row: number, column: number): void {
  editing.paste(text, row, column, rows.value, columnSet.value.columns);
}
</script>

<template>
  <div class="page">
    <PageHead :of="store.sheet!.player.name">
      Locker
      <template #says>
        <p class="quiet small">
          {{ counted(store.clubs.length, 'club') }} owned. Type, paste, or open one (its arrow, or Alt Enter).
        </p>
      </template>
      <template #actions>
        <TextField
          v-model:value="filter"
          class="filter"
          type="search"
          placeholder="Find a club"
          aria-label="Find a club"
        />
        <UnitButton :own="store.sheet!.player.distanceUnit" />
        <BagMenu :bag="undefined" :clubs="rows" :unit="unit" />
      </template>
    </PageHead>
    <SheetNotices :editing="editing" />
    <LockerAdvice :player-id="playerId" />
    <div class="filters">
      <div role="group" aria-label="State">
        <NButton
          quaternary
          class="tab"
          v-for="one in states"
          :key="one.id"
          :aria-pressed="state === one.id"
          @click="setQuery('state', one.id === 'all' ? undefined : one.id)"
          size="small"
        >
          {{ one.name }} <span class="quiet">{{ one.count }}</span>
        </NButton>
      </div>
      <div role="group" aria-label="Columns">
        <NButton
          quaternary
          class="tab"
          v-for="set in sets"
          :key="set.id"
          :aria-pressed="set.id === columnSet.id"
          @click="setQuery('columns', set.id === 'overview' ? undefined : set.id)"
          size="small"
        >
          {{ set.name }}
        </NButton>
      </div>
    </div>
    <div class="sheet-scroll">
      <SheetGrid
        :key="columnSet.id"
        :clubs="rows"
        :columns="columns"
        :unit="unit"
        :read-only="!store.may('editClub')"
        :no-new="!store.may('addClub')"
        :rejected="editing.rejected.value"
        :row-px="38"
        :head-px="34"
        :label="`Locker of ${store.sheet!.player.name}`"
        :badges="isNarrow ? undefined : badges"
        @write="editing.write"
        @add="editing.add"
        @paste="paste"
        @open="openClubId = $event"
      />
    </div>
    <p v-if="rows.length === 0 && store.clubs.length > 0" class="quiet">
      No club matches.
      <NButton
        @click="
          filter = '';
          setQuery('state', undefined);
        "
        size="small"
      >
        Show all
      </NButton>
    </p>
    <ClubPanel
      v-if="openClubId && store.clubsById.has(openClubId)"
      :club-id="openClubId"
      @close="openClubId = null"
    />
  </div>
</template>

<style scoped>
.filter {
  width: 170px;
}
.filters {
  display: flex;
  flex-wrap: wrap;
  gap: 4px 26px;
  justify-content: space-between;
  border-bottom: 1px solid var(--line);
}
.sheet-scroll {
  overflow-x: auto;
  padding-bottom: 60px;
}
</style>
