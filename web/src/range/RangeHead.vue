<script setup lang="ts">
import type { SessionView } from '@tasche/contract';
import type { DistanceUnit } from '@tasche/core';
import { NButton } from 'naive-ui';
import { computed } from 'vue';
import { shortDay } from '../app/day';
import Later from '../app/Later.vue';
import LinkButton from '../app/LinkButton.vue';
import PageHead from '../app/PageHead.vue';
import UnitButton from '../app/UnitButton.vue';
import { settingWords } from '../conditions/air-units';
import { useSheet } from '../sheet/sheet-store';
import { playingConditionsOf, useRange } from './range-store';

/** Which session it is, when and in what air it was; and where to go from it. */
defineProps<{ playerId: string; session: SessionView | undefined; unit: DistanceUnit }>();
const emit = defineEmits<{ new: [] }>();
const store = useSheet();
const range = useRange();
const player = computed(() => store.sheet!.player);
</script>

<template>
  <PageHead :of="player.name">
    Range<template v-if="session">, {{ session.name }}</template>
    <template #says>
      <p v-if="session" class="quiet small">
        {{ shortDay(session.heldOn) }}, off {{ session.hitOff
        }}<template v-if="session.ball">, ball {{ session.ball }}</template
        >, {{ settingWords(playingConditionsOf(session), unit) }}; {{ session.source }}.
        <template v-if="session.notes">{{ session.notes }}</template>
      </p>
      <p v-else-if="range.state === 'ready'" class="quiet small">
        No shots yet.
        <template v-if="store.may('addSession')">Open a session, or import a launch monitor’s file.</template>
      </p>
    </template>
    <template #actions>
      <Later :px="34">
        <UnitButton :own="player.distanceUnit" />
        <LinkButton :to="{ name: 'basket', params: { playerId } }">Next basket <kbd>Alt K</kbd></LinkButton>
        <LinkButton v-if="store.may('addStrikes')" :to="{ name: 'range-import', params: { playerId } }"
          >Import a file</LinkButton
        >
        <NButton v-if="store.may('addSession')" @click="emit('new')" type="primary"
          >New session <kbd>Alt N</kbd></NButton
        >
      </Later>
    </template>
  </PageHead>
</template>

<style scoped>
.n-button--primary-type kbd {
  background: transparent;
  color: inherit;
  border-color: currentColor;
  opacity: 0.75;
}
</style>
