<script setup lang="ts">
import type { SeasonEntry, SeasonEntryKind } from '@tasche/contract';
import { format, parseISO } from 'date-fns';
import { NEmpty } from 'naive-ui';
import { shortDay, spanOfDays } from '../app/day';
import { teeWords } from '../plan/tee-words';
import { entryLink } from './entry-link';
import { ENTRY_MARKS, ENTRY_WORDS } from './season-words';
import TripClubs from './TripClubs.vue';

/** What is coming in a player's season, month by month. */
const props = defineProps<{
  playerId: string;
  coming: readonly SeasonEntry[];
  /** All of it has been read. */
  isWhole: boolean;
}>();

/** Kinds the name of an entry does not say. */
const SAID: ReadonlySet<SeasonEntryKind> = new Set(['freeze', 'trip', 'note', 'ticket', 'trial', 'round']);
const linkOf = (entry: SeasonEntry) => entryLink(props.playerId, entry);
const spanWords = ({ from, to, tee }: SeasonEntry) =>
  from === to
    ? [shortDay(from), tee && teeWords({ day: from, teeTime: tee.time }, tee.zone)].filter(Boolean).join(', ')
    : spanOfDays(from, to);
const monthOf = (day: string) => format(parseISO(day), 'MMMM yyyy');
</script>

<template>
  <NEmpty v-if="isWhole && coming.length === 0" description="Nothing is planned." />
  <ol class="rows">
    <template v-for="(entry, i) in coming" :key="entry.uid">
      <li v-if="i === 0 || monthOf(coming[i - 1]!.from) !== monthOf(entry.from)" class="month">
        {{ monthOf(entry.from) }}
      </li>
      <li :class="entry.kind">
        <span class="quiet day">{{ spanWords(entry) }}</span>
        <span class="mark" aria-hidden="true">{{ ENTRY_MARKS[entry.kind] }}</span>
        <span>
          <RouterLink v-if="linkOf(entry)" :to="linkOf(entry)!">{{ entry.name }}</RouterLink>
          <template v-else>{{ entry.name }}</template>
          {{ ' ' }}<span v-if="SAID.has(entry.kind)" class="quiet small">{{ ENTRY_WORDS[entry.kind] }}</span>
          <span v-if="entry.kind === 'event' && entry.planId === null" class="verdict warning small">
            ◆ no plan</span
          >
          <TripClubs v-if="entry.kind === 'trip'" :player-id="playerId" :trip="entry" />
        </span>
      </li>
    </template>
  </ol>
</template>

<style scoped>
.rows {
  list-style: none;
  margin: 6px 0 0;
  padding: 0;
}
.rows li {
  display: grid;
  grid-template-columns: 118px 20px 1fr;
  gap: 6px;
  padding: 6px 0;
  border-top: 1px solid var(--line-soft);
}
.rows li.month {
  display: block;
  border-top: 0;
  padding-top: 12px;
  font-weight: 600;
}
.rows li.event {
  font-weight: 600;
}
.day {
  font-weight: 400;
  font-size: 13px;
  padding-top: 1px;
}
.mark {
  color: var(--petrol);
}
</style>
