<script setup lang="ts">
import type { SeasonEntry } from '@tasche/contract';
import { spanOfDays } from '../app/day';
import type { CalendarBar } from './calendar-lanes';
import { entryLink } from './entry-link';
import { ENTRY_MARKS, ENTRY_WORDS } from './season-words';

/** A player's lines of the calendar. Each bar leads to where it is looked after. */
const props = defineProps<{
  lanes: readonly (readonly CalendarBar[])[];
  days: number;
  /** The column of today; -1 where it is not shown. */
  now: number;
  /** Left out for what belongs to no single player. */
  playerId?: string;
}>();

const link = (entry: SeasonEntry) => (props.playerId ? entryLink(props.playerId, entry) : undefined);
const spoken = ({ entries: [first, ...others] }: CalendarBar) =>
  [first, ...others]
    .map(({ name, kind, from, to }) => `${name}, ${ENTRY_WORDS[kind]}, ${spanOfDays(from, to)}`)
    .join('; ');
const words = ({ entries: [first, ...others] }: CalendarBar) =>
  others.length > 0 ? String(others.length + 1) : first.from === first.to ? '' : first.name;
</script>

<template>
  <div class="lanes" :style="{ '--days': days }">
    <span
      v-if="now >= 0"
      class="now"
      :style="{ gridColumn: now + 1, gridRow: `1 / span ${Math.max(1, lanes.length)}` }"
      aria-hidden="true"
    />
    <template v-for="(lane, row) in lanes" :key="row">
      <component
        :is="link(bar.entries[0]) ? 'RouterLink' : 'span'"
        v-for="bar in lane"
        :key="bar.entries[0].uid"
        v-bind="link(bar.entries[0]) ? { to: link(bar.entries[0]) } : {}"
        class="bar"
        :class="bar.entries[0].kind"
        :style="{ gridColumn: `${bar.first + 1} / ${bar.last + 2}`, gridRow: row + 1 }"
        :role="link(bar.entries[0]) ? undefined : 'img'"
        :title="spoken(bar)"
        :aria-label="spoken(bar)"
        ><span aria-hidden="true">{{ ENTRY_MARKS[bar.entries[0].kind] }} {{ words(bar) }}</span></component
      >
    </template>
  </div>
</template>

<style scoped>
.lanes {
  display: grid;
  grid-template-columns: repeat(var(--days), minmax(0, 1fr));
  gap: 2px 1px;
  min-height: 20px;
}
.now {
  border-left: 2px solid var(--petrol);
  opacity: 0.35;
}
.bar {
  display: block;
  font-size: 11.5px;
  line-height: 18px;
  padding: 0 4px;
  border-radius: 3px;
  overflow: hidden;
  white-space: nowrap;
  text-overflow: ellipsis;
  background: var(--linen-deep);
  color: var(--ink);
  text-decoration: none;
}
.bar.event {
  background: var(--petrol);
  color: var(--on-petrol);
}
.bar.untouched,
.bar.freeze {
  background: var(--brass-soft);
}
a.bar:hover,
a.bar:focus-visible {
  outline: 2px solid var(--petrol);
}
</style>
