<script setup lang="ts">
import { clubsOfIds, gaps, noRemediesFor, noRemediesWords, remedyWords } from '@tasche/core';
import { computed } from 'vue';
import { gainWords } from '../bag/gain-words';
import { gamerQuestion } from '../bag/gamer-question';
import { useUsualRound } from '../bag/use-usual-round';
import { useSettings } from '../app/settings';
import MixedUpLines from '../clubs/MixedUpLines.vue';
import { mixedUpSentences } from '../clubs/mixed-up';
import { useSheet } from '../sheet/sheet-store';

/** What may be done to the gamer with this locker: the same advice as on the bag's own page. */
defineProps<{ playerId: string }>();
const store = useSheet();
const settings = useSettings();

const unit = computed(() => settings.unitFor(store.sheet!.player.distanceUnit));
const nameOf = store.nameOf;
const question = computed(() => (store.may('makeGamer') ? gamerQuestion(store) : null));
const { remedies } = useUsualRound(question);
const report = computed(() =>
  question.value
    ? gaps(clubsOfIds(question.value.request.clubs, question.value.bagIds), question.value.options)
    : null,
);
const noRemedies = computed(() => report.value && noRemediesFor(report.value));
const mixedUp = computed(() => mixedUpSentences(store, question.value?.bagIds ?? []));
</script>

<template>
  <MixedUpLines
    v-if="question && report && mixedUp.length > 0"
    :club-ids="question.bagIds"
    :says="noRemediesWords('mixed up', report)"
  />
  <p v-else-if="question && remedies" class="advice small" role="status">
    <template v-if="remedies.length > 0">
      For the gamer:
      <span v-for="remedy in remedies" :key="remedy.kind" class="remedy">
        <b>{{ remedyWords(remedy, nameOf, unit) }}</b> <span class="quiet">{{ gainWords(remedy) }}</span>
      </span>
      <RouterLink :to="{ name: 'bag', params: { playerId } }">Try it on the bag</RouterLink>
    </template>
    <span v-else-if="noRemedies && report" class="quiet">{{ noRemediesWords(noRemedies, report) }}</span>
    <span v-else class="quiet">Nothing in this locker makes the gamer better for a usual round.</span>
  </p>
</template>

<style scoped>
.advice {
  display: flex;
  flex-wrap: wrap;
  gap: 4px 16px;
  margin: 0 0 8px;
}
</style>
