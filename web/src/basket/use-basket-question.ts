import { baselineOf } from '@tasche/contract';
import { BASKET_BOUNDS, DEFAULT_GAP_SETTINGS, type DistanceUnit, type LadderClub } from '@tasche/core';
import { computed, onMounted, type ComputedRef } from 'vue';
import { useRoute, useRouter } from 'vue-router';
import { shortDay, today } from '../app/day';
import { useSchedule } from '../courses/schedule-store';
import { useSheet } from '../sheet/sheet-store';
import { basketAim, basketRounds } from './basket-rounds';
import type { BasketAim, BasketQuestion } from './basket-worker';

export const USUAL_BALLS = 60;

/**
 * What a basket is asked for: how many balls, for which round and from which bag. All three are part of the
 * address.
 */
export function useBasketQuestion(unit: ComputedRef<DistanceUnit>) {
  const store = useSheet();
  const schedule = useSchedule();
  onMounted(() => void schedule.load());
  const route = useRoute();
  const router = useRouter();
  function setQuery(key: string, value: string | number | undefined): void {
    void router.replace({ query: { ...route.query, [key]: value } });
  }

  /** How many balls and for which bag: part of the address. */
  const balls = computed({
    get: () => {
      const asked = Number(route.query.balls);
      const [min, max] = BASKET_BOUNDS.balls;
      return Number.isInteger(asked) && asked >= min && asked <= max ? asked : USUAL_BALLS;
    },
    set: (count: number) => {
      setQuery('balls', count);
    },
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
  const isRoundGone = computed(
    () => Boolean(route.query.round) && !round.value && schedule.state === 'ready',
  );
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
  return {
    balls,
    bag,
    bagId: computed({
      get: () => bag.value?.id ?? '',
      set: (id) => {
        setQuery('bag', id);
      },
    }),
    round,
    roundKey: computed({
      get: () => round.value?.key ?? '',
      set: (key) => {
        setQuery('round', key || undefined);
      },
    }),
    roundChoices,
    isRoundAwaited,
    isRoundGone,
    byId,
    aim,
    question,
  };
}
