<script setup lang="ts">
import { mayDoHere } from '../people/rights';
import type { EventView } from '@tasche/contract';
import { counted } from '@tasche/core';
import { NButton } from 'naive-ui';
import { computed, nextTick, useTemplateRef, watch } from 'vue';
import { shortDay, today } from '../app/day';
import { useSchedule } from '../courses/schedule-store';
import { courseNames, firstDayOf } from './event-draft';

/** The events to come, to plan one of them, or the way to write another down. */
defineProps<{ planned: ReadonlySet<string | null>; canWrite: boolean }>();
const emit = defineEmits<{ plan: [event: EventView]; write: []; leave: [] }>();
const schedule = useSchedule();

const coming = computed(() =>
  schedule.events
    .filter((event) => event.rounds.some(({ day }) => day >= today()))
    .sort((a, b) => firstDayOf(a).localeCompare(firstDayOf(b))),
);

/** Opened by a key, it goes on by keys: from the first event that can be chosen. */
const choices = useTemplateRef<HTMLElement>('choices');
watch(
  () => schedule.state === 'ready',
  async (isReady) => {
    if (!isReady) return;
    await nextTick();
    choices.value?.querySelector<HTMLElement>('button:not(:disabled)')?.focus();
  },
  { immediate: true },
);
</script>

<template>
  <p v-if="schedule.state !== 'ready'" class="quiet" role="status">Looking for events…</p>
  <div v-else ref="choices" class="choices">
    <h2>Which event?</h2>
    <ul class="events">
      <li v-for="one in coming" :key="one.id">
        <NButton :disabled="planned.has(one.id)" @click="emit('plan', one)">
          <b>{{ one.name }}</b>
        </NButton>
        <span>{{ shortDay(firstDayOf(one)) }}, {{ counted(one.rounds.length, 'round') }}</span
        ><span class="quiet">{{ courseNames(one, schedule.courses) }}</span>
        <span class="quiet small"
          >{{ counted(one.limits.clubs, 'club') }}, {{ one.limits.lengthIn }} in<template
            v-if="planned.has(one.id)"
            >; planned already</template
          ></span
        >
      </li>
      <li v-if="coming.length === 0" class="quiet">No upcoming event.</li>
    </ul>
    <div class="bar">
      <NButton v-if="mayDoHere('addEvent')" :disabled="!canWrite" @click="emit('write')">
        {{ coming.length > 0 ? 'Another event' : 'Add an event' }}</NButton><NButton @click="emit('leave')"
        >Cancel</NButton
      >
      <span v-if="!canWrite && mayDoHere('addEvent')" class="quiet small"
        >First add a course with its holes: <RouterLink to="/courses">Courses</RouterLink></span
      >
    </div>
  </div>
</template>

<style scoped>
.choices {
  display: grid;
  gap: 12px;
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
@media (max-width: 700px) {
  .events li {
    grid-template-columns: 1fr;
  }
}
</style>
