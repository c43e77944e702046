<script setup lang="ts">
import type { Command } from '@tasche/contract';
import { counted } from '@tasche/core';
import { NButton, NCard, NCheckbox } from 'naive-ui';
import { v4 as newId } from 'uuid';
import { computed, ref, shallowRef } from 'vue';
import { shortDay, spanOfDays, today } from '../app/day';
import { useIsTouch } from '../app/is-touch';
import ProblemLine from '../app/ProblemLine.vue';
import { useSchedule } from '../courses/schedule-store';
import { useKeptDraft } from '../fields/kept-draft';
import ChoiceField from '../fields/ChoiceField.vue';
import FileField from '../fields/FileField.vue';
import { monthComesFirst } from '../fields/read-day';
import TextField from '../fields/TextField.vue';
import { textOfFile } from '../files/text-of-file';
import { mayDoHere } from '../people/rights';
import { firstDayOf } from '../plan/event-draft';
import {
  IMPORT_FORM,
  importedEvents,
  importCommands,
  plansOfImport,
  newPlaces,
  type ImportedEvent,
} from './event-import';
import type { EventRow } from './event-row';
import { readEventList, type EventList } from './read-event-list';

/**
 * Events out of a calendar file or a list: looked at first; those that are here already move, the others are
 * made on the courses they name.
 */
const props = defineProps<{
  /** The player whose season is open: the events can be planned for them at once. */
  player?: { id: string; name: string; hasGamer: boolean };
}>();
const emit = defineEmits<{ leave: [plans: readonly Command[]] }>();
const schedule = useSchedule();
const isTouch = useIsTouch();
const MAX_FILE_BYTES = 2_000_000;
const MAX_IGNORED = 6;

const list = ref('');
/** Of a calendar file; a list is read as it is typed. */
const calendar = shallowRef<readonly EventRow[] | null>(null);
const problem = ref('');
/** A list that was begun is there again after the page was left. */
const { end } = useKeptDraft(IMPORT_FORM, {
  read: () => ({ list: list.value }),
  write: (kept) => {
    list.value = kept.list;
  },
});

async function read(file: File): Promise<void> {
  problem.value = '';
  calendar.value = null;
  list.value = '';
  if (file.size > MAX_FILE_BYTES) {
    problem.value = `This file has ${(file.size / 1e6).toFixed(1)} MB; at most ${MAX_FILE_BYTES / 1e6} MB is read.`;
    return;
  }
  const text = await textOfFile(file);
  if (!text.includes('BEGIN:VCALENDAR') && !/\.ics$/i.test(file.name)) {
    list.value = text;
    return;
  }
  try {
    // Loaded only when there is a calendar: its reader is large.
    const { readCalendar } = await import('./read-calendar');
    calendar.value = readCalendar(text);
  } catch (error) {
    problem.value = (error as Error).message;
  }
}

const isMonthFirst = ref(monthComesFirst(navigator.language));
const ORDERS = [
  { value: 'day', label: 'the day' },
  { value: 'month', label: 'the month' },
] as const;
const listed = computed<EventList | Error | null>(() => {
  if (list.value.trim() === '') return null;
  try {
    return readEventList(list.value, {
      today: today(),
      isMonthFirst: isMonthFirst.value,
      courses: schedule.courses.map(({ name }) => name),
    });
  } catch (error) {
    return error as Error;
  }
});
const fromList = computed(() => (listed.value instanceof Error ? null : listed.value));
const rows = computed(() => calendar.value ?? fromList.value?.rows ?? null);
const said = computed(() => (listed.value instanceof Error ? listed.value.message : problem.value));

const plans = computed(() => importedEvents(rows.value ?? [], schedule.events, schedule.courses, today()));
const isOver = ({ row }: ImportedEvent) => (row.to || row.from) < today();
const keyOf = ({ row }: ImportedEvent) => `${row.uid} ${row.name} ${row.from}`;
/** Events that are taken though they are over, or left though they are not. */
const flipped = ref(new Set<string>());
const isOffered = ({ does }: ImportedEvent) => does === 'make' || does === 'move';
// A list of a whole year is imported for what is still to come.
const isTaken = (plan: ImportedEvent) =>
  isOffered(plan) && flipped.value.has(keyOf(plan)) === (plan.does === 'make' && isOver(plan));
function flip(plan: ImportedEvent): void {
  const next = new Set(flipped.value);
  if (!next.delete(keyOf(plan))) next.add(keyOf(plan));
  flipped.value = next;
}
const chosen = computed(() => plans.value.filter(isTaken));

const places = computed(() => (mayDoHere('addCourse') ? newPlaces(chosen.value) : []));
const addsCourses = ref(true);
const newCourses = computed(() => (addsCourses.value ? places.value : []));
/** Events of which it is still open where they are played. */
const withoutCourse = computed(() =>
  chosen.value.filter(
    ({ does, course, row }) =>
      does === 'make' && !course && (newCourses.value.length === 0 || row.place === ''),
  ),
);
const courseId = ref('');
const courses = computed(() => schedule.courses.map(({ id, name }) => ({ value: id, label: name })));
const course = computed(() => schedule.courses.find(({ id }) => id === courseId.value));
const isReady = computed(() => withoutCourse.value.length === 0 || course.value !== undefined);

/** What becomes of a row, beside its name and days. */
function wordsOf(plan: ImportedEvent): { words: string; look: 'brick' | 'brass' | 'quiet' } {
  const { row, event, does, course: on } = plan;
  if (does === 'no') return { words: `■ ${row.problem}`, look: 'brick' };
  if (does === 'same') return { words: 'is here already', look: 'quiet' };
  if (does === 'move') return { words: `◆ moves here, from ${shortDay(firstDayOf(event!))}`, look: 'brass' };
  const where = on ? `on ${on.name}` : row.place && `at ${row.place}, which is no course here yet`;
  return {
    words: [where, isOver(plan) ? 'is over' : '', row.note].filter(Boolean).join('; '),
    look: 'quiet',
  };
}

const plansThem = ref(true);
const isPlannable = computed(
  () => props.player?.hasGamer && mayDoHere('addPlan') && chosen.value.some(({ does }) => does === 'make'),
);

function take(): void {
  const why = calendar.value ? 'out of a calendar' : 'out of a list';
  const commands = importCommands(chosen.value, newCourses.value, course.value, newId);
  // Once they are made, they are here already.
  const isPlanned = isPlannable.value && plansThem.value;
  schedule.change(commands, why);
  leave(isPlanned ? plansOfImport(commands, props.player!.id, schedule.courses, newId) : []);
}
function leave(plans: readonly Command[] = []): void {
  end();
  emit('leave', plans);
}
</script>

<template>
  <NCard tag="section" class="import" aria-label="Import events">
    <p class="bar">
      <FileField
        label="Calendar file or list"
        accept=".ics,.csv,.tsv,.txt,text/calendar,text/csv,text/plain"
        @file="read"
        >Choose a calendar file (.ics) or a list (.xlsx, .csv, .txt)…</FileField
      >
      <NButton size="small" @click="leave()">Cancel</NButton>
    </p>
    <TextField
      v-if="!calendar"
      v-model:value="list"
      aria-label="List of events"
      :rows="5"
      :autofocus="!isTouch"
      placeholder="Or paste or type a list, a line for each event: 12-15 Mar Spring Open, Harbour Links"
    />
    <ProblemLine :text="said" />
    <template v-if="rows">
      <label v-if="fromList?.isOrderGuessed" class="bar small">
        In dates like 3/4 the first number is
        <ChoiceField
          :value="isMonthFirst ? 'month' : 'day'"
          label="What comes first in dates"
          :options="ORDERS"
          @update:value="isMonthFirst = $event === 'month'"
        />
      </label>
      <p v-if="rows.length === 0" class="quiet">
        {{ calendar ? 'This calendar holds no events.' : 'No line of this list has a date.' }}
      </p>
      <ul class="rows">
        <li v-for="(plan, i) in plans" :key="i">
          <NCheckbox
            v-if="isOffered(plan)"
            :checked="isTaken(plan)"
            :aria-label="`Take ${plan.row.name}`"
            @update:checked="flip(plan)"
          />
          <span v-else />
          <span>
            <b>{{ plan.row.name || 'An event without a name' }}</b>{{
              plan.row.from && ` ${spanOfDays(plan.row.from, plan.row.to || plan.row.from)}`
            }}{{ plan.row.time && ` ${plan.row.time}` }}
            <span class="small" :class="wordsOf(plan).look">{{ wordsOf(plan).words }}</span>
          </span>
        </li>
      </ul>
      <p v-if="fromList && fromList.ignored.length > 0" class="small quiet">
        Ignored: {{ fromList.ignored.slice(0, MAX_IGNORED).join(', ')
        }}<template v-if="fromList.ignored.length > MAX_IGNORED">
          and {{ fromList.ignored.length - MAX_IGNORED }} more</template
        >.
      </p>
      <p v-if="places.length > 0">
        <NCheckbox v-model:checked="addsCourses">
          Add {{ counted(places.length, 'course') }} by name, holes to follow: {{ places.join(', ') }}
        </NCheckbox>
      </p>
      <p v-if="isPlannable">
        <NCheckbox v-model:checked="plansThem">
          Plan them for {{ player!.name }} from the gamer bag: days to test, play in and leave alone stand
          before each
        </NCheckbox>
      </p>
      <p v-if="chosen.length > 0" class="bar">
        <ChoiceField
          v-if="withoutCourse.length > 0"
          v-model:value="courseId"
          label="Course of the new events"
          placeholder="played on…"
          :options="courses"
        />
        <NButton type="primary" :disabled="!isReady" @click="take">
          Import {{ counted(chosen.length, 'event') }}
        </NButton>
        <span v-if="!isReady" class="quiet small">
          Choose the course of {{ counted(withoutCourse.length, 'event') }} first; it can be changed by round.
        </span>
      </p>
    </template>
  </NCard>
</template>

<style scoped>
.import {
  padding: 12px 16px;
  margin-bottom: 12px;
  display: grid;
  gap: 8px;
}
.rows {
  list-style: none;
  margin: 0;
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
