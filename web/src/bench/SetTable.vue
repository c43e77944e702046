<script setup lang="ts">
import type { ClubView } from '@tasche/contract';
import { TREND_KEYS } from '@tasche/core';
import { NButton, NTable } from 'naive-ui';
import { TREND_HEADS, type TrendCell } from './set-weights';

/** Lengths, lies and weights down the set, and the grams that bring the marked clubs to one swing weight. */
defineProps<{
  playerId: string;
  clubs: readonly ClubView[];
  cells: ReadonlyMap<string, readonly TrendCell[]>;
  /** The swing weight that is wanted: "D4". */
  to: string;
  picked: ReadonlySet<string>;
  grams: (clubId: string) => string;
}>();
const emit = defineEmits<{ pick: [clubId: string] }>();
</script>

<template>
  <NTable class="figures set" size="small" :bordered="false">
    <caption class="unseen">
      Length, lie and weights of every club, and grams to the wanted swing weight
    </caption>
    <thead>
      <tr>
        <th scope="col">Club</th>
        <th v-for="key in TREND_KEYS" :key="key" scope="col">{{ TREND_HEADS[key] }}</th>
        <th scope="col" class="left">To {{ to }}</th>
        <th scope="col" class="no-print"><span class="unseen">Marked</span></th>
      </tr>
    </thead>
    <tbody>
      <tr v-for="club in clubs" :key="club.id">
        <th scope="row">
          <RouterLink :to="{ name: 'build', params: { playerId, clubId: club.id } }">{{
            club.name
          }}</RouterLink>
        </th>
        <td v-for="{ key, shown, line } in cells.get(club.id)" :key="key" :class="{ leaves: line }">
          <span v-if="line" class="mark" aria-hidden="true">◆</span>
          {{ shown }}
          <span v-if="line" class="quiet small">line {{ line }}</span>
        </td>
        <td class="left">{{ grams(club.id) }}</td>
        <td class="no-print">
          <NButton
            v-if="club.kind !== 'putter'"
            size="tiny"
            quaternary
            :aria-pressed="picked.has(club.id)"
            :aria-label="`Bring the ${club.name} to it`"
            @click="emit('pick', club.id)"
          >
            {{ picked.has(club.id) ? 'marked' : 'mark' }}
          </NButton>
        </td>
      </tr>
    </tbody>
  </NTable>
</template>

<style scoped>
.set {
  max-width: 1060px;
}
.set .left {
  text-align: left;
  padding-left: 18px;
}
.leaves {
  color: var(--brass-ink);
  font-weight: 600;
}
</style>
