<script setup lang="ts">
import ProblemLine from '../app/ProblemLine.vue';
import { NButton } from 'naive-ui';
import { counted, seasonVerdict, seasonSentence, type SeasonValue } from '@tasche/core';
import { computed, watch } from 'vue';
import FactList from '../app/FactList.vue';
import { today } from '../app/day';
import WorkProgress from '../app/WorkProgress.vue';
import { isOpenWish, wishedClub } from '../bench/wish-items';
import { useSchedule } from '../courses/schedule-store';
import { MARKS } from '../ladder/marks';
import { useLongWork } from '../plan/use-long-work';
import { useSheet } from '../sheet/sheet-store';
import SeasonTables from './SeasonTables.vue';
import { seasonRounds } from './season-rounds';
import { againstGamerWords, strokesWithin } from './season-words';

/**
 * The honest answer to “is swapping worth it?”: over all rounds that are planned, with how far it can be known.
 */
const store = useSheet();
const schedule = useSchedule();
const asked = computed(() =>
  seasonRounds(
    store.sheet!,
    schedule.events,
    schedule.courses,
    store.gamer?.clubIds ?? [],
    store.gamer?.strategy ?? 'even-carries',
    today(),
  ),
);
/** More are weighed one by one under Wishes; the choice takes so many clubs in all. */
const MAX_WISHES = 6;
const MAX_CLUBS = 60;
const room = computed(() => {
  const owned = Math.max(0, ...asked.value.rounds.map(({ request }) => request.clubs.length));
  return Math.max(0, Math.min(MAX_WISHES, MAX_CLUBS - owned));
});
const wishes = computed(() =>
  store.sheet!.wishes.filter((wish) => isOpenWish(wish) && wishedClub(wish)).slice(0, room.value),
);
/** The rounds with what is wished for beside what is owned, and the bags the player has made. */
const weighed = computed(() =>
  asked.value.rounds.map(({ request, ...round }) => ({
    ...round,
    request: { ...request, clubs: [...request.clubs, ...wishes.value.map((wish) => wishedClub(wish)!)] },
  })),
);
const besides = computed(() => ({
  bags: store
    .sheet!.bags.filter(({ planId, gamer, clubIds }) => planId === null && !gamer && clubIds.length > 0)
    .map(({ id, clubIds }) => ({ id, clubIds: [...clubIds] })),
  wishIds: wishes.value.map(({ id }) => id),
}));
const bagName = (id: string) => store.sheet!.bags.find((bag) => bag.id === id)?.name ?? 'a deleted bag';
const played = computed(() => asked.value.rounds.reduce((sum, { times }) => sum + times, 0));
const { result, share, problem, run, stop, renew } = useLongWork<SeasonValue>();
// Another season, or clubs that carry otherwise, have another answer.
watch(() => JSON.stringify([weighed.value, store.gamer?.clubIds, besides.value]), renew);
const work = () =>
  run(([link], progress) => link.season(weighed.value, store.gamer?.clubIds ?? [], besides.value, progress));
const name = store.nameOf;
const severity = computed(() =>
  result.value && seasonVerdict(result.value) === 'gamer' ? 'fine' : 'warning',
);
const gamerIds = computed(() => store.gamer?.clubIds ?? []);
const answers = computed(() => {
  if (!result.value) return [];
  const { changed, fixed, swapping } = result.value;
  const more = againstGamerWords(fixed.ids, gamerIds.value, name);
  return [
    { key: 'changed', label: 'A bag for each round', more: '', strokes: strokesWithin(changed) },
    { key: 'fixed', label: 'One bag for all', more, strokes: strokesWithin(fixed) },
    { key: 'swapping', label: 'Swapping, over that one bag', more: '', strokes: strokesWithin(swapping) },
  ];
});
</script>

<template>
  <section aria-label="What the season is worth" class="worth">
    <h2>
      Is swapping worth it?
      <NButton v-if="share === null && played > 0 && store.gamer" size="small" @click="work">{{
        result ? 'Work it out again' : 'Work it out'
      }}</NButton>
    </h2>
    <p v-if="played === 0" class="quiet small">
      Plan the events you play; over all their rounds this weighs a bag for each, one bag for all, and the
      gamer.
    </p>
    <p v-else-if="!result && share === null" class="quiet small">
      {{ counted(played, 'planned round') }}: a bag for each, one bag for all of them, and the gamer, in
      strokes.
    </p>
    <p v-if="share !== null" class="bar small" role="status">
      <WorkProgress :share="share" /> Working out {{ counted(asked.rounds.length, 'different round') }}…
      <NButton size="small" @click="stop">Cancel</NButton>
    </p>
    <ProblemLine :text="problem" small />
    <template v-if="result">
      <p class="verdict" :class="severity" role="status">
        {{ MARKS[severity] }} {{ seasonSentence(result) }}
      </p>
      <FactList :facts="answers" :label-px="230">
        <template #label="{ fact }"
          >{{ fact.label }}<br v-if="fact.more" /><span v-if="fact.more" class="small">{{
            fact.more
          }}</span></template
        >
        <template #default="{ fact }"
          ><span /><span class="n">{{ fact.strokes }}</span></template
        >
      </FactList>
      <p class="quiet small">
        Strokes saved over {{ counted(result.played, 'round') }} against the gamer, with the range of 95 in
        100 seasons whose carries are drawn from what is known ({{ result.draws }} drawn). The luck of single
        shots is not in it.<template v-if="result.fixed.short > 0.05">
          No other single bag saves more than {{ result.fixed.short.toFixed(1) }} beyond it.</template
        ><template v-if="result.rounds.some(({ gamerIds: taken }) => taken.length < gamerIds.length)">
          Where an event allows fewer clubs, each bag takes its best ones there.</template
        >
      </p>
      <SeasonTables
        :value="result"
        :gamer-ids="gamerIds"
        :wishes="wishes"
        :name-of="name"
        :bag-name="bagName"
      />
    </template>
    <p v-for="one in asked.left" :key="one" class="verdict warning small">◆ {{ one }}</p>
  </section>
</template>

<style scoped>
.worth {
  margin-top: 22px;
}
h2 {
  display: flex;
  gap: 10px;
  align-items: center;
  margin-bottom: 6px;
}
.n {
  text-align: right;
  font-variant-numeric: tabular-nums;
  white-space: nowrap;
}
</style>
