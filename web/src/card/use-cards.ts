import { homeCard, roundCards, type CardPage } from '@tasche/contract';
import type { DistanceCard } from '@tasche/core';
import { computed, shallowRef, watch, type ComputedRef } from 'vue';
import { useRoute, useRouter } from 'vue-router';
import { useSettings } from '../app/settings';
import { today } from '../app/day';
import { conditionsWorker } from '../conditions/worker-link';
import { useSchedule } from '../courses/schedule-store';
import { useSheet } from '../sheet/sheet-store';

/** A page of the card with its figures. */
export interface WorkedCard {
  page: CardPage;
  card: DistanceCard;
}

/** A player's cards: of the plan the address names, else of the next event that is planned, else at home. */
export function useCards() {
  const store = useSheet();
  const schedule = useSchedule();
  const settings = useSettings();
  const route = useRoute();
  const router = useRouter();

  const unit = computed(() => settings.unitFor(store.sheet!.player.distanceUnit));
  /** Plans for events, the next one first, those that are over last. */
  const plans = computed(() => {
    const day = today();
    return store
      .sheet!.plans.filter(({ eventId }) => eventId !== null)
      .sort(
        (a, b) =>
          Number(a.endsOn < day) - Number(b.endsOn < day) ||
          (a.endsOn < day ? b.startsOn.localeCompare(a.startsOn) : a.startsOn.localeCompare(b.startsOn)),
      );
  });
  const HOME = 'home';
  const chosen = computed<string>({
    get: () => {
      const asked = route.query.plan;
      if (asked === HOME || plans.value.some(({ id }) => id === asked)) return asked as string;
      const next = plans.value[0];
      return next && next.endsOn >= today() ? next.id : HOME;
    },
    set: (id) => void router.replace({ query: { ...route.query, plan: id, round: undefined } }),
  });
  const plan = computed(() => plans.value.find(({ id }) => id === chosen.value));
  const event = computed(() => schedule.events.find(({ id }) => id === plan.value?.eventId));
  const pages = computed<readonly CardPage[]>(() => {
    const { player, clubs, bags } = store.sheet!;
    const parts = { player, clubs, bags, unit: unit.value };
    if (plan.value) return event.value ? roundCards(parts, plan.value, event.value, schedule.courses) : [];
    const gamer = bags.find((bag) => bag.gamer) ?? bags[0];
    return gamer ? [homeCard(parts, gamer)] : [];
  });
  const round = computed<string | undefined>({
    get: () => {
      const asked = route.query.round;
      return typeof asked === 'string' && pages.value.some(({ roundIds }) => roundIds.includes(asked))
        ? asked
        : undefined;
    },
    set: (id) => void router.replace({ query: { ...route.query, round: id } }),
  });
  const { worked, problem } = useWorkedCards(pages);
  const shown = computed(() =>
    (worked.value ?? []).filter(({ page }) => !round.value || page.roundIds.includes(round.value)),
  );

  return { unit, plans, plan, event, chosen, HOME, pages, round, shown, worked, problem };
}

/** The figures of these pages, worked out beside the page; until they are, the last stand. */
export function useWorkedCards(pages: ComputedRef<readonly CardPage[]>) {
  const worked = shallowRef<readonly WorkedCard[] | null>(null);
  const problem = shallowRef('');
  let lastRequestId = 0;
  watch(
    pages,
    async (wanted) => {
      const requestId = ++lastRequestId;
      try {
        const cards = await conditionsWorker().cards(wanted.map(({ request }) => request));
        if (requestId !== lastRequestId) return;
        worked.value = wanted.map((page, i) => ({ page, card: cards[i]! }));
        problem.value = '';
      } catch (error) {
        if (requestId === lastRequestId)
          problem.value = `The card could not be worked out: ${(error as Error).message}`;
      }
    },
    { immediate: true },
  );

  return { worked, problem };
}
