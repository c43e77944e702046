<script setup lang="ts">
import { NFormItem } from 'naive-ui';
import { computed, onMounted } from 'vue';
import { shortDay, today } from '../app/day';
import { useSchedule } from '../courses/schedule-store';
import ChoiceField from '../fields/ChoiceField.vue';
import DateField from '../fields/DateField.vue';

/** For which event a job is, and by when; choosing an event fills in the day before it. */
const eventId = defineModel<string | null>('eventId', { required: true });
const dueOn = defineModel<string | null>('dueOn', { required: true });
const schedule = useSchedule();
onMounted(() => void schedule.load());

const NONE = '';
const events = computed(() =>
  schedule.events
    .map((event) => ({ event, day: event.rounds.map(({ day }) => day).sort()[0] ?? '' }))
    .filter(({ event, day }) => day >= today() || event.id === eventId.value)
    .sort((a, b) => a.day.localeCompare(b.day)),
);
const options = computed(() => [
  { value: NONE, label: 'no event' },
  ...events.value.map(({ event, day }) => ({ value: event.id, label: `${event.name}, ${shortDay(day)}` })),
]);

function choose(id: string): void {
  eventId.value = id === NONE ? null : id;
  const day = events.value.find(({ event }) => event.id === id)?.day;
  if (!day || dueOn.value !== null) return;
  const before = new Date(`${day}T12:00:00Z`);
  before.setUTCDate(before.getUTCDate() - 1);
  const due = before.toISOString().slice(0, 10);
  dueOn.value = due < today() ? today() : due;
}
</script>

<template>
  <NFormItem label="For" path="eventId">
    <ChoiceField :value="eventId ?? NONE" label="For" :options="options" @update:value="choose" />
  </NFormItem>
  <NFormItem label="Due" path="dueOn">
    <DateField :value="dueOn ?? ''" label="Due" optional ahead @update:value="dueOn = $event || null" />
  </NFormItem>
</template>
