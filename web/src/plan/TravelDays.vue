<script setup lang="ts">
import type { TravelSet } from '@tasche/core';
import { computed } from 'vue';
import DataTable from '../app/DataTable.vue';
import type { DataColumn } from '../app/data-table';
import { insteadWords } from './round-swaps';
import { daysWords, travelDays } from './travel-days';
import type { TravelScenario } from './travel-scenarios';

/** Which club of a travel set is carried on which day, and the bag of each day in words. */
const props = defineProps<{
  set: TravelSet;
  scenarios: readonly Pick<TravelScenario, 'name' | 'round' | 'head'>[];
  name: (clubId: string) => string;
}>();
const days = computed(() => travelDays(props.set));
const columns = computed((): DataColumn<(typeof days.value)[number]>[] => [
  { id: 'club', head: 'Club', isRowHead: true, value: ({ id }) => props.name(id) },
  { id: 'words', head: 'Carried' },
  ...props.scenarios.map(({ name, head, round }, s) => ({
    id: `day-${s}`,
    head,
    hint: name,
    align: 'center' as const,
    columnClass: props.scenarios[s - 1]?.round === round ? 'day' : 'day first',
  })),
]);
const base = computed(() => props.set.bags[0]?.ids ?? []);
</script>

<template>
  <div class="found">
    <div class="scroll" tabindex="0" role="group" aria-label="Clubs by day">
      <DataTable
        caption="Which club is carried on which day"
        :columns="columns"
        :rows="days"
        :row-key="({ id }) => id"
        :row-class="({ days: on, carried }) => (on === carried.length ? 'always' : on === 0 ? 'never' : '')"
        :orders="false"
        is-at-once
      >
        <template #words="{ row }"
          ><span class="small">{{ daysWords(row) }}</span></template
        >
        <template v-for="(_one, s) in scenarios" :key="s" #[`day-${s}`]="{ row: { carried } }">
          <span v-if="carried[s]" class="in">●</span><span v-else class="quiet">–</span
          ><span class="unseen">{{ carried[s] ? 'carried' : 'left' }}</span>
        </template>
      </DataTable>
    </div>
    <ol class="small day-by-day" aria-label="Day by day">
      <li v-for="(bag, s) in set.bags" :key="bag.name">
        <b>{{ scenarios[s]?.head }}</b> <span class="quiet">{{ bag.name }}</span> –
        {{
          bag === set.bags[0]
            ? bag.ids.map(name).join(', ')
            : bag.ids.every((id) => base.includes(id)) && bag.ids.length === base.length
              ? 'the same clubs'
              : insteadWords(
                  bag.ids.filter((id) => !base.includes(id)),
                  base.filter((id) => !bag.ids.includes(id)),
                  name,
                )
        }}<template v-if="bag.regret > 0.005">
          (the whole locker would save {{ bag.regret.toFixed(2) }})</template
        >
      </li>
    </ol>
  </div>
</template>

<style scoped>
.found :deep(.n-data-table-td),
.found :deep(.n-data-table-th) {
  padding-block: 3px;
}
.found :deep(.day) {
  padding-inline: 0;
  min-width: 34px;
}
.found :deep(.day.first) {
  border-left: 1px solid var(--line);
}
.in {
  color: var(--petrol);
}
.found :deep([role='rowheader']) {
  font-weight: 600;
}
.found :deep(.always [role='rowheader']) {
  color: var(--petrol);
}
.found :deep(.never [role='rowheader']) {
  font-weight: 400;
  color: var(--quiet);
}
.found {
  display: grid;
  grid-template-columns: minmax(0, max-content) minmax(280px, 1fr);
  gap: 12px 32px;
  align-items: start;
}
.day-by-day {
  list-style: none;
  margin: 0;
  padding: 4px 0 0;
  display: grid;
  gap: 5px;
}
.day-by-day b {
  display: inline-block;
  min-width: 24px;
}
@media (max-width: 1000px) {
  .found {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>
