<script setup lang="ts">
import ProblemLine from '../app/ProblemLine.vue';
import { counted } from '@tasche/core';
import { useForm } from '../fields/use-form';
import NumberField from '../fields/NumberField.vue';
import DateField from '../fields/DateField.vue';
import TimeField from '../fields/TimeField.vue';
import ZoneField from '../fields/ZoneField.vue';
import { ownZone } from '../fields/time-zones';
import TextField from '../fields/TextField.vue';
import ChoiceField from '../fields/ChoiceField.vue';
import { NButton, NForm, NFormItem, NTable } from 'naive-ui';
import {
  LIMIT_BOUNDS,
  eventDetails,
  finite,
  required,
  MAX_ROUNDS,
  type CourseView,
  type EventDetails,
  type EventRound,
  type EventView,
} from '@tasche/contract';
import { addDays, format, parseISO } from 'date-fns';
import { v4 as newId } from 'uuid';
import { computed, onMounted, reactive, ref } from 'vue';
import { useRouter } from 'vue-router';
import { shortDay, today } from '../app/day';
import { freshRound } from '../courses/fresh-round';
import { useSchedule } from '../courses/schedule-store';
import { useOutbox } from '../changes/outbox';
import { useSheet } from '../sheet/sheet-store';

/**
 * An event to plan a player for: one the workspace has, or one written down here; or, given one, its rounds
 * to be changed.
 */
const props = defineProps<{ playerId: string; event?: EventView }>();
const emit = defineEmits<{ leave: [] }>();
const schedule = useSchedule();
const store = useSheet();
const outbox = useOutbox();
const router = useRouter();
onMounted(() => void schedule.load());

interface DraftRound {
  id: string;
  day: string;
  /** Empty while nobody knows it. */
  teeTime: string;
  courseId: string;
  tee: number;
}
const own = ref(Boolean(props.event));
const draft = reactive({
  name: props.event?.name ?? '',
  clubs: (props.event?.limits.clubs ?? LIMIT_BOUNDS.clubs[1]) as number | null,
  lengthIn: props.event?.limits.lengthIn ?? 48,
  zone: props.event ? (props.event.zone ?? '') : ownZone(),
  notes: props.event?.notes ?? '',
});
const { rules, submit } = useForm(draft, {
  name: { label: 'Name of the event', schema: required(eventDetails.name) },
  clubs: { label: 'Clubs allowed', schema: required(finite(...LIMIT_BOUNDS.clubs)) },
  notes: { label: 'Notes', schema: eventDetails.notes },
});
const rounds = ref<DraftRound[]>(
  props.event?.rounds.map(({ id, day, teeTime, courseId, tee }) => ({
    id,
    day,
    teeTime: teeTime ?? '',
    courseId,
    tee,
  })) ?? [],
);
const problem = ref('');

/** Courses a round can be worked out on. */
const playable = computed(() => schedule.courses.filter(({ holes }) => holes.length > 0));
const planned = computed(() => new Set(store.sheet!.plans.map(({ eventId }) => eventId)));
const firstDay = ({ rounds: all }: Pick<EventDetails, 'rounds'>) => all.map(({ day }) => day).sort()[0]!;
const coming = computed(() =>
  schedule.events
    .filter((event) => event.rounds.some(({ day }) => day >= today()))
    .sort((a, b) => firstDay(a).localeCompare(firstDay(b))),
);
const courseNames = (event: EventView) =>
  [
    ...new Set(
      event.rounds.map(
        ({ courseId }) => schedule.courses.find(({ id }) => id === courseId)?.name ?? 'a course that is gone',
      ),
    ),
  ].join(', ');

function more(): void {
  const last = rounds.value.at(-1);
  rounds.value.push({
    id: newId(),
    day: last
      ? format(addDays(parseISO(last.day), 1), 'yyyy-MM-dd')
      : format(addDays(new Date(), 7), 'yyyy-MM-dd'),
    teeTime: '',
    courseId: last?.courseId ?? playable.value[0]?.id ?? '',
    tee: last?.tee ?? 0,
  });
}
function begin(): void {
  own.value = true;
  if (rounds.value.length === 0) more();
}

/** What a round is expected to be like before anybody has forecast it: the course's season that day. */
function roundOf(draft: DraftRound, i: number, course: CourseView): EventRound {
  const before = props.event?.rounds.find(({ id }) => id === draft.id);
  const { teeTime, ...where } = draft;
  const given = { ...where, name: `Round ${i + 1}`, teeTime: teeTime || undefined };
  if (before && before.courseId === draft.courseId && before.day === draft.day)
    return { ...before, ...given };
  return freshRound(given, course);
}

function save(): void {
  const made: EventRound[] = [];
  for (const [i, draft] of rounds.value.entries()) {
    const course = schedule.courses.find(({ id }) => id === draft.courseId);
    if (!course) {
      problem.value = `Round ${i + 1}: choose a course.`;
      return;
    }
    if (!/^\d{4}-\d\d-\d\d$/.test(draft.day)) {
      problem.value = `Round ${i + 1}: give it a day.`;
      return;
    }
    made.push(roundOf({ ...draft, tee: Math.min(draft.tee, course.tees.length - 1) }, i, course));
  }
  if (made.length === 0) {
    problem.value = 'An event has one round at least.';
    return;
  }
  const details = {
    name: draft.name.trim(),
    rounds: made,
    zone: draft.zone || null,
    limits: { clubs: draft.clubs!, lengthIn: draft.lengthIn },
    notes: draft.notes.trim(),
  };
  if (props.event) {
    schedule.change([
      { do: 'editEvent', eventId: props.event.id, version: props.event.version, set: details },
    ]);
    emit('leave');
    return;
  }
  const id = newId();
  schedule.change([{ do: 'addEvent', event: { id, ...details } }]);
  plan({ id, version: 1, removed: false, ...details });
}

function plan(event: EventView): void {
  const id = newId();
  const days = event.rounds.map(({ day }) => day).sort();
  // The event is in the outbox before the plan that is for it, and is sent before it.
  store.change([
    {
      do: 'addPlan',
      plan: {
        id,
        bagId: newId(),
        playerId: props.playerId,
        eventId: event.id,
        name: event.name,
        course: courseNames(event),
        startsOn: days[0]!,
        endsOn: days.at(-1)!,
        ground: '',
        weather: '',
      },
    },
  ]);
  void outbox.run();
  emit('leave');
  void router.push({ name: 'plan', params: { playerId: props.playerId, planId: id } });
}
const remove = (i: number) => {
  rounds.value = rounds.value.toSpliced(i, 1);
};
const tees = (courseId: string) => schedule.courses.find(({ id }) => id === courseId)?.tees ?? [];
</script>

<template>
  <NForm
    ref="form"
    class="card form"
    :model="draft"
    :rules="rules"
    size="small"
    @submit.prevent="submit(save)"
  >
    <template v-if="!own">
      <p v-if="schedule.state !== 'ready'" class="quiet" role="status">Looking for events…</p>
      <template v-else>
        <h2>Which event?</h2>
        <ul class="events">
          <li v-for="one in coming" :key="one.id">
            <NButton :disabled="planned.has(one.id)" @click="plan(one)">
              <b>{{ one.name }}</b>
            </NButton>
            <span
              >{{ shortDay(firstDay(one)) }}, {{ one.rounds.length }}
              {{ one.rounds.length === 1 ? 'round' : 'rounds' }}</span
            ><span class="quiet">{{ courseNames(one) }}</span>
            <span class="quiet small"
              >{{ counted(one.limits.clubs, 'club') }}, {{ one.limits.lengthIn }} in<template
                v-if="planned.has(one.id)"
                >; planned already</template
              ></span
            >
          </li>
          <li v-if="coming.length === 0" class="quiet">No event is to come.</li>
        </ul>
        <div class="bar">
          <NButton :disabled="playable.length === 0" @click="begin"> Another event</NButton
          ><NButton @click="emit('leave')">Cancel</NButton>
          <span v-if="playable.length === 0" class="quiet small"
            >First write down a course with its holes: <RouterLink to="/courses">Courses</RouterLink></span
          >
        </div>
      </template>
    </template>
    <template v-else>
      <div class="line">
        <NFormItem label="Name of the event" path="name">
          <TextField
            aria-label="Name of the event"
            v-model:value="draft.name"
            autofocus
            placeholder="Which event?"
          />
        </NFormItem>
        <NFormItem label="Clubs allowed" path="clubs">
          <NumberField v-model:value="draft.clubs" class="number" label="Clubs allowed" :bounds="[1, 14]" />
        </NFormItem>
        <NFormItem label="Longest club" path="lengthIn">
          <ChoiceField
            v-model:value="draft.lengthIn"
            label="Longest club"
            :options="[
              { value: 48, label: '48 in' },
              { value: 46, label: '46 in, local rule' },
            ]"
          />
        </NFormItem>
        <NFormItem label="Time zone" path="zone">
          <ZoneField v-model:value="draft.zone" label="Time zone" />
        </NFormItem>
        <NFormItem label="Notes" path="notes" class="notes">
          <TextField aria-label="Notes" v-model:value="draft.notes" placeholder="What the committee says" />
        </NFormItem>
      </div>
      <NTable size="small" :bordered="false" :bottom-bordered="false" class="rounds">
        <thead>
          <tr>
            <th scope="col">Round</th>
            <th scope="col">Day</th>
            <th scope="col">Tee time</th>
            <th scope="col">Course</th>
            <th scope="col">Tee</th>
            <th />
          </tr>
        </thead>
        <tbody>
          <tr v-for="(round, i) in rounds" :key="round.id">
            <th scope="row">{{ i + 1 }}</th>
            <td><DateField v-model:value="round.day" :label="`Day of round ${i + 1}`" /></td>
            <td><TimeField v-model:value="round.teeTime" :label="`Tee time of round ${i + 1}`" /></td>
            <td>
              <ChoiceField
                v-model:value="round.courseId"
                @update:value="round.tee = 0"
                :label="`Course of round ${i + 1}`"
                :options="playable.map((course) => ({ value: course.id, label: course.name }))"
              />
            </td>
            <td>
              <ChoiceField
                v-model:value="round.tee"
                :label="`Tee of round ${i + 1}`"
                :options="tees(round.courseId).map((tee, t) => ({ value: t, label: tee }))"
              />
            </td>
            <td>
              <NButton
                v-if="rounds.length > 1"
                :aria-label="`Remove round ${i + 1}`"
                @click="remove(i)"
                size="small"
              >
                ×
              </NButton>
            </td>
          </tr>
        </tbody>
      </NTable>
      <ProblemLine :text="problem" />
      <div class="bar">
        <NButton type="primary" attr-type="submit">
          {{ event ? 'Save the event' : 'Plan it from the gamer bag' }}
        </NButton>
        <NButton :disabled="rounds.length >= MAX_ROUNDS" @click="more"> Another round </NButton>
        <NButton @click="emit('leave')">Cancel</NButton>
      </div>
    </template>
  </NForm>
</template>

<style scoped>
.form {
  padding: 14px 18px;
  margin-bottom: 14px;
  max-width: 900px;
  display: grid;
  gap: 4px;
}
.events {
  list-style: none;
  margin: 0;
  padding: 0;
  display: grid;
  gap: 8px;
}
.events li {
  display: grid;
  grid-template-columns: 220px 150px 1fr auto;
  gap: 4px 14px;
  align-items: center;
}
.line {
  display: flex;
  flex-wrap: wrap;
  gap: 12px;
}

.number {
  width: 84px;
}
.notes {
  flex: 1 1 260px;
}
.rounds {
  border-collapse: collapse;
  width: max-content;
}
.rounds th {
  font-weight: 400;
  font-size: 12.5px;
  color: var(--quiet);
  text-align: left;
  padding-right: 14px;
}
.rounds td {
  padding: 3px 8px 3px 0;
}
@media (max-width: 700px) {
  .events li {
    grid-template-columns: 1fr;
  }
  .rounds {
    width: 100%;
    display: block;
    overflow-x: auto;
  }
}
</style>
