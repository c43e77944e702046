<script setup lang="ts">
import type { SeasonEntry } from '@tasche/contract';
import { addDays, endOfMonth, format, parseISO, startOfMonth, subDays } from 'date-fns';
import { NCalendar, NConfigProvider } from 'naive-ui';
import { computed, onMounted, ref, useTemplateRef } from 'vue';
import { ENTRY_MARKS, ENTRY_WORDS } from './season-words';
import { calendarLocale, firstDayOfWeek } from './week-start';

/** A month of a player's season, any month: what there is on each day. */
const props = defineProps<{
  /** What there is from one day to another. */
  between: (from: string, to: string) => readonly SeasonEntry[];
}>();

const locale = calendarLocale(navigator.language);
const day = ref(Date.now());
/** The first of the month that is shown. */
const month = ref(startOfMonth(day.value));
/** The last days of the month before and the first of the next stand beside it. */
const DAYS_BESIDE = 14;
const entries = computed(() =>
  props.between(
    format(subDays(month.value, DAYS_BESIDE), 'yyyy-MM-dd'),
    format(addDays(endOfMonth(month.value), DAYS_BESIDE), 'yyyy-MM-dd'),
  ),
);
/** The component library gives its two arrows no name. */
const whole = useTemplateRef<HTMLElement>('whole');
onMounted(() => {
  const arrows = [...(whole.value?.querySelectorAll('.n-calendar-header button') ?? [])].filter(
    (button) => button.textContent!.trim() === '',
  );
  arrows[0]?.setAttribute('aria-label', 'Month before');
  arrows[1]?.setAttribute('aria-label', 'Month after');
});
const MAX_A_DAY = 3;
/** What goes on over days is named where it begins, and at the beginning of each week. */
const isNamed = ({ from }: SeasonEntry, day: string) =>
  from === day || (parseISO(day).getDay() + 6) % 7 === firstDayOfWeek(navigator.language);
/** What a cell of the calendar shows; `m` is 1 to 12. */
function cellOf({ year, month: m, date }: { year: number; month: number; date: number }) {
  const on = format(new Date(year, m - 1, date), 'yyyy-MM-dd');
  const here = entries.value.filter(({ from, to }) => from <= on && on <= to);
  return {
    chips: here.slice(0, MAX_A_DAY).map((entry) => ({ entry, isNamed: isNamed(entry, on) })),
    more: Math.max(0, here.length - MAX_A_DAY),
  };
}
</script>

<template>
  <div ref="whole">
    <NConfigProvider :locale="locale" abstract>
      <NCalendar
        v-model:value="day"
        class="calendar"
        @panel-change="month = new Date($event.year, $event.month - 1, 1)"
        #="date"
      >
        <template v-for="(cell, i) in [cellOf(date)]" :key="i">
          <span
            v-for="{ entry, isNamed: named } in cell.chips"
            :key="entry.uid"
            class="chip"
            :class="entry.kind"
            :title="`${entry.name}, ${ENTRY_WORDS[entry.kind]}`"
            ><template v-if="named"
              ><span aria-hidden="true">{{ ENTRY_MARKS[entry.kind] }}</span
              ><span class="name">&nbsp;{{ entry.name }}</span></template
            ><template v-else>&nbsp;</template></span
          >
          <span v-if="cell.more > 0" class="quiet more">{{ cell.more }}<span class="name"> more</span></span>
        </template>
      </NCalendar>
    </NConfigProvider>
  </div>
</template>

<style scoped>
.calendar {
  height: auto;
  margin-bottom: 18px;
}
.calendar :deep(.n-calendar-cell) {
  height: 98px;
}
.calendar :deep(.n-calendar-date__day),
.calendar :deep(.n-calendar-cell--other-month .n-calendar-date__date) {
  color: var(--quiet) !important;
}
.calendar :deep(.n-calendar-cell__bar) {
  display: none;
}
.chip {
  display: block;
  font-size: 11px;
  line-height: 16px;
  overflow: hidden;
  white-space: nowrap;
  text-overflow: ellipsis;
  padding: 0 3px;
  border-radius: 2px;
  margin-bottom: 1px;
  background: var(--linen-deep);
  color: var(--ink);
}
.chip.event {
  background: var(--petrol);
  color: var(--paper);
}
.chip.untouched,
.chip.freeze {
  background: var(--brass-soft);
}
.more {
  font-size: 11px;
}
/* A day is as wide as its mark; the list above has the names. */
@media (max-width: 700px) {
  .chip {
    text-align: center;
    text-overflow: clip;
  }
  .name {
    position: absolute;
    width: 1px;
    height: 1px;
    overflow: hidden;
    clip-path: inset(50%);
  }
  .more::before {
    content: '+';
  }
  .calendar :deep(.n-calendar-date__day) {
    display: block;
    font-size: 11px;
  }
}
</style>
