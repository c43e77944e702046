<script setup lang="ts">
import type { CourseView, EventView } from '@tasche/contract';
import { format, parseISO } from 'date-fns';
import { NButton } from 'naive-ui';
import { teeWords } from './tee-words';

/** The rounds of an event, and what travels to all of them. */
defineProps<{
  event: EventView;
  courses: readonly CourseView[];
  /** Rounds whose bag is settled. */
  settled: ReadonlySet<string>;
  /** What the settled ones play, each bag said once. */
  says: string;
}>();
/** A round's id, or `travel`. */
const tab = defineModel<string>('tab', { required: true });
const dayName = (day: string) => format(parseISO(day), 'EEE d MMM');
</script>

<template>
  <nav class="tabs no-print" aria-label="Rounds">
    <NButton
      v-for="(one, i) in event.rounds"
      :key="one.id"
      quaternary
      class="tab"
      :aria-current="tab === one.id"
      :title="`Alt ${i + 1}`"
      size="small"
      @click="tab = one.id"
    >
      <b>{{ one.name }}</b> <span>{{ dayName(one.day) }} {{ teeWords(one, event.zone) }}</span>
      <span class="quiet">{{ courses.find(({ id }) => id === one.courseId)?.name }}</span>
      <span v-if="settled.has(one.id)" class="verdict fine" title="Its bag is settled">●</span>
    </NButton>
    <NButton
      quaternary
      class="tab"
      :aria-current="tab === 'travel'"
      title="Alt T"
      size="small"
      @click="tab = 'travel'"
    >
      <b>What travels</b>
    </NButton>
  </nav>
  <p v-if="says" class="says quiet small">{{ says }}</p>
</template>

<style scoped>
.tabs {
  display: flex;
  flex-wrap: wrap;
  gap: 4px;
  margin-bottom: 10px;
  border-bottom: 1px solid var(--line);
}
.says {
  margin: -4px 0 10px;
}
</style>
