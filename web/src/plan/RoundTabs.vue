<script setup lang="ts">
import type { CourseView, EventView } from '@tasche/contract';
import { format, parseISO } from 'date-fns';
import { computed } from 'vue';
import { useRoute } from 'vue-router';
import PageTabs from '../app/PageTabs.vue';
import { teeWords } from './tee-words';

/** The rounds of an event, and what travels to all of them. */
const props = defineProps<{
  event: EventView;
  courses: readonly CourseView[];
  /** Rounds whose bag is settled. */
  settled: ReadonlySet<string>;
  /** What the settled ones play, each bag said once. */
  says: string;
  /** The open one: a round's id, or `travel`. */
  open: string;
}>();
const route = useRoute();
const tabs = computed(() => [
  ...props.event.rounds.map((one, i) => ({
    ...tabOf(one.id),
    title: `Alt ${i + 1}`,
    label: one.name,
    when: `${format(parseISO(one.day), 'EEE d MMM')} ${teeWords(one, props.event.zone)}`,
    course: props.courses.find(({ id }) => id === one.courseId)?.name,
    settled: props.settled.has(one.id),
  })),
  { ...tabOf('travel'), title: 'Alt T', label: 'What travels', when: '', course: '', settled: false },
]);

function tabOf(name: string) {
  return { name, to: { query: { ...route.query, round: name } } };
}
</script>

<template>
  <PageTabs v-slot="{ tab }" label="Rounds" parts :tabs="tabs" :open="open">
    <b>{{ tab.label }}</b> <span v-if="tab.when">{{ tab.when }}</span>
    <span v-if="tab.course" class="quiet">{{ tab.course }}</span>
    <span v-if="tab.settled" class="verdict fine" title="Its bag is settled">●</span>
  </PageTabs>
  <p v-if="says" class="says quiet small">{{ says }}</p>
</template>

<style scoped>
.says {
  margin: -4px 0 10px;
}
</style>
