<script setup lang="ts">
import type { TravelSet } from '@tasche/core';
import { NTable } from 'naive-ui';
import { computed } from 'vue';
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
const base = computed(() => props.set.bags[0]?.ids ?? []);
</script>

<template>
  <div class="found">
    <div class="scroll" tabindex="0" role="group" aria-label="Clubs by day">
      <NTable size="small" :bordered="false" :bottom-bordered="false">
        <caption class="unseen">
          Which club is carried on which day
        </caption>
        <thead>
          <tr>
            <th scope="col">Club</th>
            <th scope="col">Carried</th>
            <th
              v-for="(one, s) in scenarios"
              :key="one.name"
              scope="col"
              class="day"
              :class="{ first: s === 0 || scenarios[s - 1]!.round !== one.round }"
              :title="one.name"
            >
              {{ one.head }}
            </th>
          </tr>
        </thead>
        <tbody>
          <tr
            v-for="one in days"
            :key="one.id"
            :class="{ always: one.days === one.carried.length, never: one.days === 0 }"
          >
            <th scope="row">{{ name(one.id) }}</th>
            <td class="small">{{ daysWords(one) }}</td>
            <td
              v-for="(carried, s) in one.carried"
              :key="s"
              class="day"
              :class="{ first: s === 0 || scenarios[s - 1]!.round !== scenarios[s]!.round }"
            >
              <span v-if="carried" class="in">●</span><span v-else class="quiet">–</span
              ><span class="unseen">{{ carried ? 'carried' : 'left' }}</span>
            </td>
          </tr>
        </tbody>
      </NTable>
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
table {
  border-collapse: collapse;
  font-size: 13.5px;
}
th {
  text-align: left;
  font-weight: 600;
  padding: 3px 16px 3px 4px;
  white-space: nowrap;
}
thead th {
  font-weight: 400;
  color: var(--quiet);
  font-size: 12.5px;
}
td {
  padding: 3px 14px 3px 0;
  white-space: nowrap;
}
tbody tr > * {
  border-top: 1px solid var(--line-soft);
}
.day {
  text-align: center;
  padding: 3px 0;
  min-width: 34px;
}
.day.first {
  border-left: 1px solid var(--line);
}
.in {
  color: var(--petrol);
}
.always th {
  color: var(--petrol);
}
.never th {
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
