<script setup lang="ts">
import LinkButton from '../app/LinkButton.vue';
import LoadingRows from '../app/LoadingRows.vue';
import PageHead from '../app/PageHead.vue';
import ProblemLine from '../app/ProblemLine.vue';
import { NButton } from 'naive-ui';
import type { ChangeView } from '@tasche/contract';
import { computed, ref } from 'vue';
import { usePages } from '../api/read';
import { shortMoment, withDaysFormatted } from '../app/day';
import { useSettings } from '../app/settings';
import { mayUndo } from '../people/rights';
import { useSheet } from '../sheet/sheet-store';
import BetweenDays from './BetweenDays.vue';
import RoundsPlayed from './RoundsPlayed.vue';

/** Who changed what, when and why; what differs between two days; and the way back. */
const props = defineProps<{ playerId: string }>();
const store = useSheet();
const settings = useSettings();
const PAGE = 50;

/** What stands above the rounds has its place: a press meant for them would go elsewhere before. */
const isAboveSettled = ref(false);
const unit = computed(() => settings.unitFor(store.sheet!.player.distanceUnit));
const {
  rows: changes,
  total,
  hasMore,
  more,
  problem,
} = usePages<ChangeView>(
  (next) => `/players/${props.playerId}/changes?limit=${PAGE}${next === null ? '' : `&before=${next}`}`,
);
</script>

<template>
  <div class="page">
    <PageHead :of="store.sheet!.player.name">
      History
      <template #says>
        <p class="quiet small">Nothing is overwritten. Every change can be undone.</p>
      </template>
      <template #actions>
        <LinkButton :to="{ name: 'review', params: { playerId } }">Season review</LinkButton>
      </template>
    </PageHead>
    <ProblemLine :text="problem" />
    <div class="columns">
      <section>
        <h2>Changes</h2>
        <LoadingRows v-if="!changes && !problem" :rows="12" label="Reading the changes" />
        <ol v-else class="changes">
          <li v-for="change in changes ?? []" :key="change.id" :class="{ undone: change.undone }">
            <span class="quiet small when">{{ shortMoment(change.at) }}<br />{{ change.who }}</span>
            <span class="what"
              >{{ withDaysFormatted(change.summary)
              }}<span v-if="change.why" class="quiet small why">{{
                withDaysFormatted(change.why)
              }}</span></span
            >
            <NButton
              v-if="!change.undone && mayUndo(change.who)"
              data-once
              @click="store.undo(change.id)"
              size="small"
            >
              Undo
            </NButton>
            <span v-else-if="change.undone" class="small quiet">undone</span>
          </li>
        </ol>
        <p v-if="changes?.length === 0" class="quiet">Nothing has been changed yet.</p>
        <NButton v-if="hasMore" @click="more" size="small">
          Older: {{ changes?.length ?? 0 }} of {{ total }} shown
        </NButton>
      </section>
      <div>
        <BetweenDays :player-id="playerId" :unit="unit" @settled="isAboveSettled = true" />
        <RoundsPlayed v-if="isAboveSettled" :player-id="playerId" />
      </div>
    </div>
  </div>
</template>

<style scoped>
.columns {
  display: grid;
  grid-template-columns: minmax(320px, 1fr) minmax(320px, 1fr);
  gap: 34px;
}
h2 {
  margin-bottom: 10px;
}
.changes {
  list-style: none;
  margin: 0;
  padding: 0;
}
.changes li {
  display: grid;
  grid-template-columns: 104px 1fr auto;
  gap: 12px;
  padding: 9px 0;
  border-top: 1px solid var(--line);
  align-items: start;
}
.undone .what {
  text-decoration: line-through;
  color: var(--quiet);
}
.why {
  display: block;
}
@media (max-width: 900px) {
  .columns {
    grid-template-columns: 1fr;
  }
}
</style>
