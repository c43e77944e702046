<script setup lang="ts">
import { baselineOf } from '@tasche/contract';
import { DEFAULT_GAP_SETTINGS } from '@tasche/core';
import { computed } from 'vue';
import { gainWords } from '../bag/gain-words';
import { useUsualRound } from '../bag/use-usual-round';
import type { UsualQuestion } from '../bag/usual-round-worker';
import { useSettings } from '../app/settings';
import { useSheet } from '../sheet/sheet-store';

/** What may be done to the gamer with this locker: the same advice as on the bag's own page. */
defineProps<{ playerId: string }>();
const store = useSheet();
const settings = useSettings();

const question = computed<UsualQuestion | null>(() => {
  const gamer = store.gamer;
  if (!gamer || store.readOnly) return null;
  const { player } = store.sheet!;
  const others = store.clubs
    .filter(({ id, spec }) => !gamer.clubIds.includes(id) && spec.state?.value !== 'retired')
    .map(({ id }) => id);
  return {
    request: {
      clubs: [...gamer.clubIds, ...others].flatMap((id) => store.ladderClubs.get(id) ?? []),
      from: baselineOf(player),
      ...(player.handicap !== null && { handicap: player.handicap }),
    },
    bagIds: gamer.clubIds,
    options: {
      school: gamer.strategy,
      settings: player.gapSettings,
      unit: settings.unitFor(player.distanceUnit),
    },
    limit: player.gapSettings.clubLimit ?? DEFAULT_GAP_SETTINGS.clubLimit,
    ...(player.preferences && { preferences: player.preferences }),
  };
});
const { remedies } = useUsualRound(question);
</script>

<template>
  <p v-if="question && remedies" class="advice small" role="status">
    <template v-if="remedies.length > 0">
      For the gamer:
      <span v-for="remedy in remedies" :key="remedy.text" class="remedy">
        <b>{{ remedy.text }}</b> <span class="quiet">{{ gainWords(remedy) }}</span>
      </span>
      <RouterLink :to="{ name: 'bag', params: { playerId } }">Try it on the bag</RouterLink>
    </template>
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
