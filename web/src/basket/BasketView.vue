<script setup lang="ts">
import ProblemLine from '../app/ProblemLine.vue';
import PageHead from '../app/PageHead.vue';
import { NButton, NEmpty } from 'naive-ui';
import { ballOn, baselineOf, type BasketLine } from '@tasche/contract';
import {
  BASKET_BOUNDS,
  DEFAULT_GAP_SETTINGS,
  MEDIUM_FAIRWAY,
  basketSentence,
  type LadderClub,
} from '@tasche/core';
import { v4 as newId } from 'uuid';
import { computed, onMounted, ref, watch } from 'vue';
import { useRoute, useRouter } from 'vue-router';
import LinkButton from '../app/LinkButton.vue';
import UnitButton from '../app/UnitButton.vue';
import WorkProgress from '../app/WorkProgress.vue';
import { shortDay, today } from '../app/day';
import { useSettings } from '../app/settings';
import { useSchedule } from '../courses/schedule-store';
import ChoiceField from '../fields/ChoiceField.vue';
import NumberField from '../fields/NumberField.vue';
import { useRangeOf } from '../range/range-store';
import { useSheet } from '../sheet/sheet-store';
import BasketTable from './BasketTable.vue';
import { basketAim, basketRounds } from './basket-rounds';
import type { BasketAim, BasketQuestion } from './basket-worker';
import { useBasket } from './use-basket';

/** Which clubs and shots to hit next, so that so many balls settle most of what decides this player's bag and shots. */
const props = defineProps<{ playerId: string }>();
const store = useSheet();
const range = useRangeOf(() => props.playerId);
const schedule = useSchedule();
onMounted(() => void schedule.load());
const settings = useSettings();
const route = useRoute();
const router = useRouter();

const USUAL_BALLS = 60;
const SIZES = [30, 60, 100] as const;
const unit = computed(() => settings.unitFor(store.sheet!.player.distanceUnit));
/** How many balls and for which bag: part of the address. */
const balls = computed({
  get: () => {
    const asked = Number(route.query.balls);
    const [min, max] = BASKET_BOUNDS.balls;
    return Number.isInteger(asked) && asked >= min && asked <= max ? asked : USUAL_BALLS;
  },
  set: (count: number) => void router.replace({ query: { ...route.query, balls: count } }),
});
const bag = computed(
  () => store.sheet!.bags.find(({ id }) => id === route.query.bag) ?? store.gamer ?? store.sheet!.bags[0],
);
const clubs = computed<LadderClub[]>(() =>
  store.clubs
    .filter((club) => club.spec.state?.value !== 'retired')
    .flatMap(({ id }) => store.ladderClubs.get(id) ?? []),
);
const byId = computed(() => new Map(clubs.value.map((club) => [club.id, club])));

/** What the balls are to decide: part of the address. */
const rounds = computed(() => basketRounds(store.sheet!.plans, schedule.events, today()));
const round = computed(() => rounds.value.find(({ key }) => key === route.query.round));
const roundChoices = computed(() => [
  { value: '', label: 'a usual round' },
  ...rounds.value.map(({ key, event, round: { name, day } }) => ({
    value: key,
    label: `${event.name}, ${name}, ${shortDay(day)}`,
  })),
]);
/** A round that is named but not read yet is not answered as a usual one. */
const isRoundAwaited = computed(
  () => Boolean(route.query.round) && !round.value && schedule.state !== 'ready',
);
const isRoundGone = computed(() => Boolean(route.query.round) && !round.value && schedule.state === 'ready');
const aim = computed<BasketAim | string>(() =>
  round.value
    ? basketAim(round.value, { ...store.sheet!, clubs: store.clubs }, schedule.courses, strategy.value)
    : {
        of: 'usual round',
        request: {
          clubs: clubs.value,
          from: baselineOf(store.sheet!.player),
          ...(store.sheet!.player.handicap !== null && { handicap: store.sheet!.player.handicap }),
        },
      },
);
const strategy = computed(() => bag.value?.strategy ?? 'even-carries');

const question = computed<BasketQuestion | null>(() =>
  clubs.value.length === 0 || isRoundAwaited.value || typeof aim.value === 'string'
    ? null
    : {
        aim: aim.value,
        bagIds: bag.value?.clubIds ?? [],
        options: {
          school: strategy.value,
          settings: store.sheet!.player.gapSettings,
          unit: unit.value,
        },
        limit: store.sheet!.player.gapSettings.clubLimit ?? DEFAULT_GAP_SETTINGS.clubLimit,
        ...(store.sheet!.player.preferences && { preferences: store.sheet!.player.preferences }),
        balls: balls.value,
      },
);
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
      next basket
      <template #says>
        <p class="quiet small">
          Which shots to hit so that the balls settle most of what decides the bag and which club to hit.
          Worked out for {{ round ? `${round.event.name}, ${round.round.name}` : 'a usual round' }}.
        </p>
      </template>
      <template #actions>
        <UnitButton :own="store.sheet!.player.distanceUnit" />
        <LinkButton :to="{ name: 'range', params: { playerId } }">To the range</LinkButton>
        <NButton :disabled="lines.length === 0" @click="print">Print</NButton>
        <NButton type="primary" :disabled="lines.length === 0 || store.readOnly" @click="hit">
          Hit this basket
        </NButton>
      </template>
    </PageHead>
    <div class="bar asked no-print">
      <span class="bar" role="group" aria-label="Balls">
        <NButton
          v-for="size in SIZES"
          :key="size"
          :aria-pressed="balls === size"
          :type="balls === size ? 'primary' : 'default'"
          secondary
          @click="balls = size"
        >
          {{ size }} balls
        </NButton>
      </span>
      <label class="small quiet"
        >or
        <NumberField
          :value="balls"
          label="Balls"
          unit="balls"
          whole
          :bounds="BASKET_BOUNDS.balls"
          :step="10"
          @write="balls = $event ?? USUAL_BALLS"
      /></label>
      <label v-if="rounds.length > 0" class="small quiet"
        >to decide
        <ChoiceField
          :value="round?.key ?? ''"
          label="Round"
          :options="roundChoices"
          @update:value="router.replace({ query: { ...route.query, round: $event || undefined } })"
      /></label>
      <label v-if="store.sheet!.bags.length > 1" class="small quiet"
        >from the bag
        <ChoiceField
          :value="bag?.id ?? ''"
          label="Bag"
          :options="store.sheet!.bags.map(({ id, name }) => ({ value: id, label: name }))"
          @update:value="router.replace({ query: { ...route.query, bag: $event } })"
      /></label>
    </div>
    <p v-if="isRoundGone" class="small quiet gone" role="status">
      The round this was asked for is played or gone: here is one for a usual round.
    </p>
    <p v-if="isRoundAwaited" class="small quiet" role="status">
      {{
        schedule.state === 'away'
          ? 'The courses cannot be reached; this opens by itself as soon as they can be.'
          : 'Reading the courses…'
      }}
    </p>
    <p v-else-if="typeof aim === 'string'" class="verdict warning" role="alert">
      ◆ {{ aim }}
      <RouterLink v-if="round" :to="{ name: 'courses', params: { courseId: round.round.courseId } }"
        >To the course</RouterLink
      >
    </p>
    <NEmpty
      v-else-if="!question"
      class="card empty"
      description="There are no clubs yet. Write the bag down first."
    >
      <template #extra>
        <LinkButton :to="{ name: 'bag', params: { playerId } }">To the bag</LinkButton>
      </template>
    </NEmpty>
    <p v-else-if="share !== null" class="bar small" role="status">
      <WorkProgress :share="share" label="Working the basket out" /> Trying where {{ balls }} balls settle
      most…
      <NButton size="small" @click="stop">Cancel</NButton>
    </p>
    <ProblemLine v-else-if="problem" :text="problem" />
    <p v-else-if="basket === undefined" class="small">
      <NButton size="small" @click="ask(question)">Work it out</NButton>
    </p>
    <NEmpty
      v-else-if="basket === null"
      class="card empty"
      description="Nothing tells yet how far this player hits it. Write down lofts, or one carry, and the basket follows."
    >
      <template #extra>
        <LinkButton :to="{ name: 'bag', params: { playerId } }">To the bag</LinkButton>
      </template>
    </NEmpty>
    <template v-else>
      <p class="card sentence" role="status">{{ basketSentence(basket) }}</p>
      <template v-if="basket.parts.length > 0">
        <BasketTable :parts="basket.parts" :clubs="byId" :unit="unit" />
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
.asked {
  margin-bottom: 12px;
  gap: 8px 16px;
}
.asked label {
  display: inline-flex;
  align-items: center;
  gap: 6px;
}
.sentence {
  padding: 12px 16px;
  font-size: 17px;
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
