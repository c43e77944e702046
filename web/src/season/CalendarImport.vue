<script setup lang="ts">
import ProblemLine from '../app/ProblemLine.vue';
import { NButton, NCard, NCheckbox } from 'naive-ui';
import type { Command, EventRound } from '@tasche/contract';
import { counted, USUAL_LIMITS, dayPlus, daysBetween } from '@tasche/core';
import { v4 as newId } from 'uuid';
import { computed, ref, shallowRef } from 'vue';
import { shortDay, spanOfDays, today } from '../app/day';
import { freshRound } from '../courses/fresh-round';
import { useSchedule } from '../courses/schedule-store';
import ChoiceField from '../fields/ChoiceField.vue';
import FileField from '../fields/FileField.vue';
import { textOfFile } from '../files/text-of-file';
import { calendarPlans, firstDay } from './calendar-plan';
import type { CalendarRow } from './read-calendar';

/**
 * The dates of events from a calendar file: looked at first; those that are here already move, the
 * others are made on a course.
 */
const emit = defineEmits<{ leave: [] }>();
const schedule = useSchedule();
const rows = shallowRef<readonly CalendarRow[] | null>(null);
const problem = ref('');
const courseId = ref('');
const left = ref(new Set<number>());

/** Its last day is past. */
const isOver = ({ from, to }: CalendarRow) => (to || from) < today();

async function read(file: File): Promise<void> {
  problem.value = '';
  rows.value = null;
  // Loaded only when there is a file: the reader is large.
  const { MAX_CALENDAR_BYTES, readCalendar } = await import('./read-calendar');
  if (file.size > MAX_CALENDAR_BYTES) {
    problem.value = `This file has ${(file.size / 1e6).toFixed(1)} MB; a calendar of at most ${MAX_CALENDAR_BYTES / 1e6} MB is read.`;
    return;
  }
  try {
    rows.value = readCalendar(await textOfFile(file));
    // An import of a whole year is for what is still to come.
    left.value = new Set(
      plans.value.filter(({ row, does }) => does === 'make' && isOver(row)).map(({ i }) => i),
    );
  } catch (error) {
    problem.value = (error as Error).message;
  }
}

const plans = computed(() =>
  calendarPlans(rows.value ?? [], schedule.events, today()).map((plan, i) => ({ ...plan, i })),
);
const chosen = computed(() =>
  plans.value.filter(({ i, does }) => (does === 'move' || does === 'make') && !left.value.has(i)),
);
const makes = computed(() => chosen.value.filter(({ does }) => does === 'make').length);
const courses = computed(() => schedule.courses.map(({ id, name }) => ({ value: id, label: name })));
const course = computed(() => schedule.courses.find(({ id }) => id === courseId.value));

function flip(i: number): void {
  const next = new Set(left.value);
  if (!next.delete(i)) next.add(i);
  left.value = next;
}
function take(): void {
  const commands = chosen.value.flatMap(({ row, event }): Command[] => {
    if (event) {
      const by = daysBetween(firstDay(event), row.from);
      const rounds = event.rounds.map((round) => ({ ...round, day: dayPlus(round.day, by) }));
      const set = { rounds, ...(row.zone !== null && { zone: row.zone }) };
      return [{ do: 'editEvent', eventId: event.id, version: event.version, set }];
    }
    const days = Array.from({ length: daysBetween(row.from, row.to) + 1 }, (_one, i) => dayPlus(row.from, i));
    const rounds = days.map((day, i): EventRound =>
      freshRound(
        {
          id: newId(),
          name: `Round ${i + 1}`,
          day,
          // An hour on a single day is when one tees off; of several days it is when the first begins,
          // whoever plays then.
          teeTime: (days.length === 1 && row.time) || undefined,
          courseId: course.value!.id,
          tee: 0,
        },
        course.value!,
      ),
    );
    return [
      {
        do: 'addEvent',
        event: { id: newId(), name: row.name, rounds, zone: row.zone, limits: USUAL_LIMITS, notes: '' },
      },
    ];
  });
  schedule.change(commands, 'out of a calendar');
  emit('leave');
}
</script>

<template>
  <NCard tag="section" class="import" aria-label="Import a calendar">
    <p class="bar">
      <FileField label="Calendar file" accept=".ics,text/calendar" @file="read"
        >Choose a calendar file (.ics)…</FileField
      >
      <NButton @click="emit('leave')">Cancel</NButton>
    </p>
    <ProblemLine :text="problem" />
    <template v-if="rows">
      <p v-if="rows.length === 0" class="quiet">This calendar holds no events.</p>
      <ul class="rows">
        <li v-for="{ row, i, event, does } in plans" :key="i">
          <NCheckbox
            v-if="does === 'make' || does === 'move'"
            :checked="!left.has(i)"
            :aria-label="`Take ${row.name}`"
            @update:checked="flip(i)"
          />
          <span v-else />
          <span>
            <b>{{ row.name || 'An event without a name' }}</b>{{
              row.from && ` ${spanOfDays(row.from, row.to || row.from)}`
            }}
            <span v-if="does === 'no'" class="small brick">{{ ` ■ ${row.problem}` }}</span>
            <span v-else-if="does === 'same'" class="quiet small">{{ ' is here already' }}</span>
            <span v-else-if="does === 'move'" class="small brass">{{
              ` ◆ moves here, from ${shortDay(firstDay(event!))}`
            }}</span>
            <span v-if="does === 'make' && isOver(row)" class="quiet small">{{ ' is over' }}</span>
            <span v-if="row.note" class="quiet small">{{ ` ${row.note}` }}</span>
          </span>
        </li>
      </ul>
      <p v-if="chosen.length > 0" class="bar">
        <ChoiceField
          v-if="makes > 0"
          v-model:value="courseId"
          label="Course of the new events"
          placeholder="played on…"
          :options="courses"
        />
        <NButton type="primary" :disabled="makes > 0 && !course" @click="take">
          Import {{ counted(chosen.length, 'event') }}
        </NButton>
        <span v-if="makes > 0 && !course" class="quiet small"
          >Choose the course first; it can be changed by round.</span
        >
      </p>
    </template>
  </NCard>
</template>

<style scoped>
.import {
  padding: 10px 14px;
  margin-bottom: 12px;
}
.rows {
  list-style: none;
  margin: 6px 0;
  padding: 0;
  max-height: 300px;
  overflow-y: auto;
}
.rows li {
  display: grid;
  grid-template-columns: 26px 1fr;
  padding: 4px 0;
}
.brick {
  color: var(--brick-ink);
}
.brass {
  color: var(--brass-ink);
}
</style>
