<script setup lang="ts">
import { counted } from '@tasche/core';
import { NButton, NCard } from 'naive-ui';
import { computed, onMounted } from 'vue';
import { useSchedule } from '../courses/schedule-store';
import { mayDoHere } from '../people/rights';

/** Where no plan is yet: the two kinds there are, what each needs, and how to begin. */
const emit = defineEmits<{ event: []; week: [] }>();
const schedule = useSchedule();
onMounted(() => void schedule.load());
const playable = computed(() => schedule.courses.filter(({ holes }) => holes.length > 0).length);
</script>

<template>
  <NCard tag="section" class="plan-start no-print" aria-label="Start a plan">
    <div>
      <h2>Plan an event</h2>
      <p class="small quiet">
        Rounds on courses, each with its own day, air and ground. The course is played with the player’s own
        carries; of the whole locker, the bag that costs the fewest strokes is found, with what every club is
        worth.
      </p>
      <p v-if="schedule.state === 'ready'" class="small">
        <template v-if="playable > 0">{{ counted(playable, 'course') }} to play on.</template>
        <template v-else>
          It needs a course with its holes, and there is none yet.
          <RouterLink v-if="mayDoHere('addCourse')" to="/courses">Add a course</RouterLink>
        </template>
      </p>
      <NButton type="primary" title="Alt N" @click="emit('event')">Plan an event</NButton>
    </div>
    <div>
      <h2>Plan a week</h2>
      <p class="small quiet">
        No course needed. Name the week, say what the ground and the weather are like, take clubs out and put
        others in: the page says what each swap does to the steps. Shots the week will ask for can be typed,
        and the best bag for them is found too.
      </p>
      <NButton @click="emit('week')">Plan a week</NButton>
    </div>
    <p class="small quiet whole">
      Both start from the gamer bag and leave it as it is, until a plan is made the gamer. Both print as a
      swap sheet.
    </p>
  </NCard>
</template>

<style scoped>
.plan-start {
  display: grid;
  grid-template-columns: repeat(2, minmax(0, 1fr));
  gap: 18px 32px;
  padding: 18px;
  margin: 14px 0;
}
h2 {
  margin-bottom: 4px;
}
p {
  margin-bottom: 10px;
  max-width: 62ch;
}
.whole {
  grid-column: 1 / -1;
  max-width: none;
  margin: 0;
}
@media (max-width: 700px) {
  .plan-start {
    grid-template-columns: 1fr;
  }
}
</style>
