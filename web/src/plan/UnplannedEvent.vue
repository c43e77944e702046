<script setup lang="ts">
import { counted } from '@tasche/core';
import { NButton, NEmpty } from 'naive-ui';
import { v4 as newId } from 'uuid';
import { computed, onMounted } from 'vue';
import { useRouter } from 'vue-router';
import { spanOfDays } from '../app/day';
import NotThere from '../app/NotThere.vue';
import PageHead from '../app/PageHead.vue';
import { useSchedule } from '../courses/schedule-store';
import { useSheet } from '../sheet/sheet-store';
import { courseNames, firstDayOf, lastDayOf } from './event-draft';
import { planOfEvent } from './plan-of-event';
import PlanPicker from './PlanPicker.vue';

/** An event this player has no plan for yet. */
const props = defineProps<{ playerId: string; eventId: string }>();
const store = useSheet();
const schedule = useSchedule();
const router = useRouter();
onMounted(() => void schedule.load());
const event = computed(() => schedule.events.find(({ id }) => id === props.eventId));
const courses = computed(() => event.value && courseNames(event.value, schedule.courses));
/** Courses of its rounds on which nothing can be worked out yet. */
const withoutHoles = computed(() => {
  const ids = new Set(event.value?.rounds.map(({ courseId }) => courseId));
  return schedule.courses.filter(({ id, holes }) => ids.has(id) && holes.length === 0);
});

function plan(): void {
  const ids = { plan: newId(), bag: newId() };
  store.change([planOfEvent(event.value!, props.playerId, schedule.courses, ids)]);
  void router.replace({ name: 'plan', params: { playerId: props.playerId, planId: ids.plan } });
}
function remove(): void {
  const { id: eventId, version } = event.value!;
  schedule.change([{ do: 'removeEvent', eventId, version }]);
  void router.replace({ name: 'season', params: { playerId: props.playerId } });
}
</script>

<template>
  <div class="page">
    <NotThere v-if="schedule.state === 'away'" title="The courses cannot be reached" opens-itself />
    <NotThere v-else-if="schedule.state === 'ready' && !event" title="This event was deleted" />
    <template v-if="event">
      <PageHead :of="store.sheet!.player.name">
        {{ event.name }}
        <template #says>
          <p class="quiet small">
            {{ spanOfDays(firstDayOf(event), lastDayOf(event)) }},
            {{ counted(event.rounds.length, 'round') }},
            {{ courses }}
          </p>
        </template>
        <template #actions>
          <PlanPicker :player-id="playerId" :plans="store.sheet!.plans" :plan-id="undefined" />
        </template>
      </PageHead>
      <NEmpty description="No plan for this event yet.">
        <template #extra>
          <div class="begin">
            <p v-for="course in withoutHoles" :key="course.id" class="small quiet">
              {{ course.name }} has no holes yet: a bag for it can be chosen once
              <RouterLink :to="{ name: 'courses', params: { courseId: course.id } }"
                >they are there</RouterLink
              >.
            </p>
            <p v-if="!store.gamer" class="small quiet">
              A plan starts from the gamer bag, and there is none yet.
              <RouterLink :to="{ name: 'bag', params: { playerId } }">To the bag</RouterLink>
            </p>
            <span class="bar">
              <NButton v-if="store.may('addPlan')" type="primary" :disabled="!store.gamer" @click="plan">
                Plan it from the gamer bag
              </NButton>
              <NButton v-if="store.may('removeEvent')" @click="remove">Delete the event</NButton>
            </span>
          </div>
        </template>
      </NEmpty>
    </template>
  </div>
</template>

<style scoped>
.begin {
  display: grid;
  gap: 8px;
  justify-items: center;
}
</style>
