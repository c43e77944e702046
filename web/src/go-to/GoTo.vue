<script setup lang="ts">
import type { FoundPlayer } from '@tasche/contract';
import { computed, onMounted, ref, shallowRef, useTemplateRef, watch } from 'vue';
import { useRoute, useRouter } from 'vue-router';
import { newestOnly } from '../app/newest-only';
import { request } from '../api/request';
import PageWindow from '../app/PageWindow.vue';
import { useSchedule } from '../courses/schedule-store';
import TextField from '../fields/TextField.vue';
import { useSheet } from '../sheet/sheet-store';
import { placesFor } from './places';
import { useGoTo } from './use-go-to';

/** Goes anywhere by name: another player in the same view, a view, a club, a course, an event. */
const goTo = useGoTo();
const sheet = useSheet();
const schedule = useSchedule();
const route = useRoute();
const router = useRouter();

const text = ref('');
const players = shallowRef<readonly FoundPlayer[]>([]);
const problem = ref('');
/** Players are being looked for by what is typed. */
let isLooking = false;
/** Enter was pressed before they were found. */
let isWanted = false;
const find = newestOnly<string>(async (words, isNewest) => {
  try {
    const found = await request<FoundPlayer[]>(`/players/find?words=${encodeURIComponent(words)}`);
    if (!isNewest()) return;
    players.value = found;
    problem.value = '';
  } catch (error) {
    problem.value = (error as Error).message;
  }
  isLooking = !isNewest();
  if (isWanted && !isLooking && goTo.open) go(0);
});
watch(
  text,
  (words) => {
    isLooking = true;
    isWanted = false;
    find(words.trim().slice(0, MAX_CHARACTERS));
  },
  { immediate: true },
);
onMounted(() => void schedule.load());

const here = computed(() => {
  if (route.params.playerId === undefined || !sheet.sheet) return null;
  return { ...sheet.sheet.player, clubs: sheet.clubs };
});
const places = computed(() =>
  placesFor(text.value, {
    players: players.value,
    here: here.value,
    view: String(route.name),
    courses: schedule.courses,
    events: schedule.events,
    planOf: (eventId) => sheet.sheet?.plans.find((plan) => plan.eventId === eventId)?.id ?? null,
  }),
);
const pointed = ref(0);
watch(places, () => {
  pointed.value = 0;
});
const list = useTemplateRef<HTMLElement>('list');
watch(pointed, (at) => list.value?.children[at]?.scrollIntoView({ block: 'nearest' }), { flush: 'post' });

function go(at: number): void {
  const place = places.value[at];
  if (!place) return;
  goTo.open = false;
  void router.push(place.to);
}
function onKey(event: KeyboardEvent): void {
  const step = { ArrowDown: 1, ArrowUp: -1 }[event.key];
  if (step !== undefined) {
    event.preventDefault();
    const count = places.value.length;
    pointed.value = count === 0 ? 0 : (pointed.value + step + count) % count;
  } else if (event.key === 'Enter') {
    event.preventDefault();
    // What comes may stand before what is here.
    if (isLooking && pointed.value === 0) isWanted = true;
    else go(pointed.value);
  }
}
</script>

<script lang="ts">
/** No name is longer than what is looked for. */
const MAX_CHARACTERS = 80;
</script>

<template>
  <PageWindow v-model:show="goTo.open" title="Go to" :px="520">
    <div class="go-to">
      <TextField
        v-model:value="text"
        role="combobox"
        aria-label="Go to"
        aria-expanded="true"
        aria-controls="places"
        :aria-activedescendant="places[pointed] && `place-${pointed}`"
        :maxlength="MAX_CHARACTERS"
        size="medium"
        autofocus
        placeholder="A player, a view, a club, a course, an event: pim card"
        @keydown="onKey"
      />
      <ul id="places" ref="list" role="listbox" aria-label="Places">
        <li
          v-for="(place, i) in places"
          :id="`place-${i}`"
          :key="place.key"
          role="option"
          :aria-selected="i === pointed"
          @mouseenter="pointed = i"
          @click="go(i)"
        >
          <span>{{ place.label }}</span>
          <span class="small quiet">{{ place.says }}</span>
        </li>
      </ul>
      <p v-if="problem" class="small quiet" role="status">Players cannot be looked for: {{ problem }}</p>
      <p v-else-if="places.length === 0 && text.trim() !== ''" class="small quiet" role="status">
        Nothing begins with these words.
      </p>
    </div>
  </PageWindow>
</template>

<style scoped>
.go-to {
  display: grid;
  gap: 8px;
}
ul {
  list-style: none;
  margin: 0;
  padding: 0;
  max-height: 50vh;
  overflow-y: auto;
}
li {
  display: flex;
  justify-content: space-between;
  gap: 12px;
  padding: 8px 10px;
  cursor: pointer;
  border-radius: 3px;
}
li[aria-selected='true'] {
  background: var(--petrol-soft);
}
</style>
