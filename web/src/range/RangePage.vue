<script setup lang="ts">
import AwayLine from '../app/AwayLine.vue';
import LoadingRows from '../app/LoadingRows.vue';
import Later from '../app/Later.vue';
import { NCard, NEmpty } from 'naive-ui';
import { digits, type ShotKind } from '@tasche/core';
import { computed, defineAsyncComponent, ref } from 'vue';
import { useRouter } from 'vue-router';
import { useSettings } from '../app/settings';
import { baselineOf } from '@tasche/contract';
import { useShortcuts } from '../keys/use-shortcuts';
import { useSheet } from '../sheet/sheet-store';
import RangeHead from './RangeHead.vue';
import SessionList from './SessionList.vue';
import SessionResults from './SessionResults.vue';
import SessionTools from './SessionTools.vue';
import CoverChart from './CoverChart.vue';
import { useRangeOf } from './range-store';
import { rangeWorker } from './range-link';
import { useLive } from './use-live';
import { useSession } from './use-session';
import { useSessionEdits } from './use-session-edits';

// What most sessions do not show.
const BasketStrip = defineAsyncComponent(() => import('../basket/BasketStrip.vue'));
const LiveBoard = defineAsyncComponent(() => import('./LiveBoard.vue'));
const SessionForm = defineAsyncComponent(() => import('./SessionForm.vue'));

/** Range sessions of a player: what was hit, what it shows, and what of it is taken into the sheet. */
const props = defineProps<{ playerId: string; sessionId?: string }>();
const store = useSheet();
// It starts while the shots are read.
setTimeout(rangeWorker);
/** The newest session, until another is asked for. */
const range = useRangeOf(
  () => props.playerId,
  () => props.sessionId ?? 'newest',
);
const settings = useSettings();
const router = useRouter();

const unit = computed(() => settings.unitFor(store.sheet!.player.distanceUnit));
const baseline = computed(() => baselineOf(store.sheet!.player));
const session = computed(
  () =>
    range.sessions.find(({ id }) => id === props.sessionId) ??
    (props.sessionId ? undefined : range.sessions[0]),
);
const { span, strikes, rows, groups, drifts, problem, earlierSays } = useSession(session, baseline);

const { forming, edit, save, remove, setAir } = useSessionEdits(
  () => props.playerId,
  session,
  () => baseline.value,
);

const liveId = computed(() => (session.value?.live ? session.value.id : undefined));
const { monitor, line } = useLive(liveId, (strike) => {
  range.take(strike);
});

const tools = ref<InstanceType<typeof SessionTools> | null>(null);
/** The club of shots by hand follows the basket. */
function takeInHand(aim: { clubId: string; shot: ShotKind }): void {
  edit({ aim });
  tools.value?.take(aim);
}
const strip = ref<InstanceType<typeof BasketStrip> | null>(null);
const board = ref<InstanceType<typeof LiveBoard> | null>(null);
useShortcuts('The range', {
  'Alt H': () => void board.value?.hitTen(),
  'Alt N': () => {
    if (!store.may('addSession')) return false;
    forming.value = 'new';
    return true;
  },
  'Alt E': () => tools.value?.focusHand(),
  'Alt A': () => tools.value?.focusAir(),
  'Alt X': () => strip.value?.next(),
  'Alt K': () => router.push({ name: 'basket', params: { playerId: props.playerId } }),
});
</script>

<template>
  <div class="page">
    <RangeHead :player-id="playerId" :session="session" :unit="unit" @new="forming = 'new'" />
    <SessionForm
      v-if="forming"
      :key="forming"
      :session="forming === 'edit' ? session : undefined"
      :baseline="baseline"
      :action="forming === 'edit' ? 'Save' : 'Open it'"
      @save="save"
      @leave="forming = null"
    />
    <p v-if="range.more" class="verdict warning small">
      ◆ Only the newest {{ digits(range.strikes.length) }} shots are here; averages and comparisons leave out
      the older ones.
    </p>
    <AwayLine :state="range.state" />
    <Later :px="400">
      <div class="split">
        <SessionList
          v-if="range.sessions.length > 0"
          :player-id="playerId"
          :sessions="range.sessions"
          :shown-id="session?.id"
        />
        <LoadingRows v-else-if="range.state === 'loading'" />
        <div class="main">
          <NCard v-if="sessionId && !session && range.state === 'ready'" class="empty">
            <NEmpty
              description="There is no such session; it may have been deleted. Ctrl Z brings it back."
            />
          </NCard>
          <template v-if="session">
            <BasketStrip
              v-if="session.basket"
              ref="strip"
              :session="session"
              :strikes="strikes"
              :rows="rows"
              :unit="unit"
              @aim="takeInHand"
            />
            <LiveBoard
              v-if="session.live"
              ref="board"
              :session="session"
              :strikes="strikes"
              :rows="rows"
              :monitor="monitor"
              :line="line"
              :unit="unit"
              @aim="edit({ aim: $event })"
              @end="edit({ live: false })"
            />
            <SessionTools
              v-if="store.may('editSession')"
              ref="tools"
              :session="session"
              :baseline="baseline"
              :unit="unit"
              @edit="edit"
              @air="setAir"
              @form="forming = 'edit'"
              @remove="remove"
            />
            <template v-if="strikes.length > 0">
              <SessionResults
                :session="session"
                :strikes="strikes"
                :rows="rows"
                :groups="groups"
                :drifts="drifts"
                :span="span"
                :unit="unit"
                :problem="problem"
                :earlier-says="earlierSays"
              />
            </template>
            <LoadingRows v-else-if="range.state === 'loading'" />
            <NCard v-else-if="!session.live" class="empty">
              <NEmpty
                description="No shots here yet. Take shots from the monitor, enter them by hand, or import a file."
              />
            </NCard>
          </template>
          <Later v-if="range.state === 'ready' && !session?.live"><CoverChart :unit="unit" /></Later>
        </div>
      </div>
    </Later>
  </div>
</template>

<style scoped>
.split {
  display: flex;
  gap: 18px;
  align-items: flex-start;
}
.main {
  flex: 1;
  min-width: 0;
}
.empty {
  padding: 24px;
}
@media (max-width: 700px) {
  .split {
    flex-direction: column;
  }
  .main {
    width: 100%;
  }
}
</style>
