<script setup lang="ts">
import { ballOn, baselineOf, type BasketLine } from '@tasche/contract';
import { MEDIUM_FAIRWAY, basketSentence, isFullSwing, leftOutOfBasketSentence } from '@tasche/core';
import { NButton, NCard, NEmpty } from 'naive-ui';
import { v4 as newId } from 'uuid';
import { computed, ref, watch } from 'vue';
import { useRouter } from 'vue-router';
import { today } from '../app/day';
import LinkButton from '../app/LinkButton.vue';
import Breadcrumb from '../app/Breadcrumb.vue';
import { pagesAbove } from '../app/breadcrumb';
import PageHead from '../app/PageHead.vue';
import ProblemLine from '../app/ProblemLine.vue';
import { useSettings } from '../app/settings';
import MixedUpLines from '../clubs/MixedUpLines.vue';
import UnitButton from '../app/UnitButton.vue';
import WorkProgress from '../app/WorkProgress.vue';
import { useSchedule } from '../courses/schedule-store';
import { useRangeOf } from '../range/range-store';
import { useSheet } from '../sheet/sheet-store';
import BasketAsk from './BasketAsk.vue';
import BasketTable from './BasketTable.vue';
import { useBasket } from './use-basket';
import { useBasketQuestion } from './use-basket-question';

/**
 * Which clubs and shots to hit next, so that so many balls settle most of what decides this player's bag and
 * shots.
 */
const props = defineProps<{ playerId: string }>();
const store = useSheet();
const range = useRangeOf(() => props.playerId);
const schedule = useSchedule();
const settings = useSettings();
const router = useRouter();

const unit = computed(() => settings.unitFor(store.sheet!.player.distanceUnit));
const asked = useBasketQuestion(unit);
const { balls, round, isRoundAwaited, isRoundGone, aim, question } = asked;
const { basket, share, problem, ask, stop } = useBasket();
// The unit changes words, not the basket.
watch(
  () => JSON.stringify({ ...question.value, options: { ...question.value?.options, unit: null } }),
  () => {
    if (question.value) void ask(question.value);
  },
  { immediate: true },
);

const lines = computed<BasketLine[]>(() =>
  (basket.value?.parts ?? []).map(({ clubId, shotKind, balls: count, ballM, nowM, thenM }) => ({
    clubId,
    shot: shotKind,
    balls: count,
    usualM: ballM,
    nowM,
    thenM,
  })),
);
/** Clubs of the gamer that nothing says anything of. */
const unknown = computed(() =>
  (store.gamer?.clubIds ?? []).flatMap((id) => {
    const club = store.ladderClubs.get(id);
    return club && isFullSwing(club.kind) && !club.shots.full ? [club.name] : [];
  }),
);
const opening = ref(false);
/** A session that knows its basket, with the first club in hand. */
function hit(): void {
  if (opening.value || lines.value.length === 0) return;
  opening.value = true;
  const id = newId();
  const { conditions } = baselineOf(store.sheet!.player);
  range.change([
    {
      do: 'addSession',
      session: {
        id,
        playerId: props.playerId,
        name: `Basket of ${balls.value}${round.value ? ` for ${round.value.event.name.slice(0, 50)}` : ''}`,
        heldOn: today(),
        conditions,
        surface: MEDIUM_FAIRWAY,
        hitOff: 'grass',
        ball: ballOn(store.sheet!.player.balls, today()) ?? '',
        notes: '',
        basket: lines.value,
      },
    },
  ]);
  void router.push({ name: 'range', params: { playerId: props.playerId, sessionId: id } });
}
const print = () => window.print();
</script>

<template>
  <div class="page">
    <PageHead :of="store.sheet!.player.name">
      Next basket
      <template #breadcrumb><Breadcrumb :pages="pagesAbove(store.sheet!.player, 'range')" /></template>
      <template #says>
        <p class="quiet small">
          Which shots to hit so that the balls settle most of what decides the bag and which club to hit.
          Worked out for {{ round ? `${round.event.name}, ${round.round.name}` : 'a usual round' }}.
        </p>
      </template>
      <template #actions>
        <UnitButton :own="store.sheet!.player.distanceUnit" />
        <NButton :disabled="lines.length === 0" @click="print">Print</NButton>
        <NButton type="primary" :disabled="lines.length === 0 || !store.may('addSession')" @click="hit">
          Hit this basket
        </NButton>
      </template>
    </PageHead>
    <BasketAsk :asked="asked" />
    <MixedUpLines
      :club-ids="store.gamer?.clubIds ?? []"
      says="Put it right first, or hit both: the basket takes the numbers as they stand."
    />
    <p v-if="isRoundGone" class="small quiet gone" role="status">
      The round this basket was for is over or deleted; this one is for a usual round.
    </p>
    <p v-if="isRoundAwaited" class="small quiet" role="status">
      {{
        schedule.state === 'away'
          ? 'The courses cannot be reached; this opens by itself as soon as the server answers.'
          : 'Reading the courses…'
      }}
    </p>
    <p v-else-if="typeof aim === 'string'" class="verdict warning" role="alert">
      ◆ {{ aim }}
      <RouterLink v-if="round" :to="{ name: 'courses', params: { courseId: round.round.courseId } }"
        >To the course</RouterLink
      >
    </p>
    <NCard v-else-if="!question" class="empty">
      <NEmpty description="There are no clubs yet. Enter the bag first.">
        <template #extra>
          <LinkButton :to="{ name: 'bag', params: { playerId } }">To the bag</LinkButton>
        </template>
      </NEmpty>
    </NCard>
    <p v-else-if="share !== null" class="bar small" role="status">
      <WorkProgress :share="share" label="Working out the basket" /> Working out where {{ balls }} balls
      settle most…
      <NButton size="small" @click="stop">Cancel</NButton>
    </p>
    <ProblemLine v-else-if="problem" :text="problem" />
    <p v-else-if="basket === undefined" class="small">
      <NButton size="small" @click="ask(question)">Work it out</NButton>
    </p>
    <NCard v-else-if="basket === null" class="empty">
      <NEmpty
        description="Nothing says yet how far this player hits it. Enter lofts, or one carry, to get a basket."
      >
        <template #extra>
          <LinkButton :to="{ name: 'bag', params: { playerId } }">To the bag</LinkButton>
        </template>
      </NEmpty>
    </NCard>
    <template v-else>
      <NCard class="sentence" role="status">{{ basketSentence(basket) }}</NCard>
      <p v-if="unknown.length > 0" class="verdict warning small unknown">
        ◆ {{ leftOutOfBasketSentence(unknown) }}
      </p>
      <template v-if="basket.parts.length > 0">
        <BasketTable :parts="basket.parts" :clubs="asked.byId.value" :unit="unit" />
        <p class="small quiet foot">
          Warm up first. What settles most comes first, so you can stop early. Spreads, heights and the
          evenness of steps are taken as they are known now. Modelled carries move together: measuring one
          club tells about its neighbours. Near the best sharing of the balls, not proved to be the best.
        </p>
      </template>
    </template>
  </div>
</template>

<style scoped>
.sentence {
  padding: 12px 16px;
  font-size: 17px;
}
.unknown {
  margin: 8px 0 0;
}
.gone {
  margin-bottom: 10px;
}
.empty {
  padding: 24px;
}
.foot {
  max-width: 80ch;
  margin-top: 10px;
}
</style>
