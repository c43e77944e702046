<script setup lang="ts">
import { hasRight, type PlayerSet } from '@tasche/contract';
import { DEFAULT_PREFERENCES } from '@tasche/core';
import { NButton } from 'naive-ui';
import { computed } from 'vue';
import { useRouter } from 'vue-router';
import PageHead from '../app/PageHead.vue';
import NameTag from '../app/NameTag.vue';
import HandOverPanel from '../people/HandOverPanel.vue';
import { useIdentity } from '../people/identity';
import { preferenceWords } from '../plan/preference-words';
import { useSheet } from '../sheet/sheet-store';
import HomeAir from './HomeAir.vue';
import PersonFields from './PersonFields.vue';
import StepLimits from './StepLimits.vue';

/** Who the player is, what they read in, and the limits beyond which their steps are too wide or too narrow. */
defineProps<{ playerId: string }>();
const store = useSheet();
const identity = useIdentity();
const router = useRouter();
const isOwner = computed(() => identity.view !== null && hasRight(identity.view.role, 'people'));
const player = computed(() => store.sheet!.player);

function save(set: PlayerSet): void {
  store.change([{ do: 'editPlayer', playerId: player.value.id, version: player.value.version, set }]);
}
function archive(): void {
  save({ archived: !player.value.archived });
  if (player.value.archived) void router.push('/roster');
}

/** What was kept from a plan for every choice. */
const wanted = computed(() =>
  player.value.preferences
    ? preferenceWords(
        { ...DEFAULT_PREFERENCES, ...player.value.preferences },
        (id) => store.clubsById.get(id)?.name,
        player.value.distanceUnit,
      )
    : null,
);
</script>

<template>
  <div class="page">
    <PageHead :of="player.name">
      Settings
      <template #says>
        <p class="quiet small">
          Each field saves when you leave it; Ctrl Z undoes it.<NameTag v-if="player.archived"
            >off the roster</NameTag
          >
        </p>
      </template>
      <template #actions>
        <NButton v-if="store.may('editPlayer')" data-once @click="archive">
          {{ player.archived ? 'Back on the roster' : 'Take off the roster' }}
        </NButton>
      </template>
    </PageHead>
    <div class="columns">
      <section>
        <h2>Player</h2>
        <PersonFields @save="save" />
        <HomeAir @save="save" />
        <template v-if="wanted">
          <h2>What the player wants</h2>
          <ul class="wanted small">
            <li v-for="words in wanted" :key="words">{{ words }}</li>
          </ul>
          <NButton v-if="store.may('editPlayer')" size="small" @click="save({ preferences: null })">
            Clear what the player wants
          </NButton>
        </template>
      </section>
      <StepLimits @save="save" />
    </div>
    <HandOverPanel v-if="isOwner && store.may('editPlayer')" :player="player" />
  </div>
</template>

<style scoped>
.columns {
  display: grid;
  grid-template-columns: minmax(260px, 340px) minmax(420px, 1fr);
  gap: 40px;
  max-width: 1160px;
}
@media (max-width: 980px) {
  .columns {
    grid-template-columns: 1fr;
    gap: 24px;
  }
}
@media (max-width: 700px) {
  .columns {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>
