import {
  demandsPlayed,
  planRoundOf,
  roundRequestOf,
  roundsPlayed,
  type EventRound,
  type PlanView,
} from '@tasche/contract';
import {
  InvalidInputError,
  NO_DISTANCE_WORDS,
  type DistanceUnit,
  type GappingStrategyId,
} from '@tasche/core';
import { computed, type ComputedRef } from 'vue';
import { useRoute, useRouter } from 'vue-router';
import { today } from '../app/day';
import { steady } from '../app/steady';
import { useSchedule } from '../courses/schedule-store';
import { useSheet } from '../sheet/sheet-store';
import type { AskedRound, NotAskable } from './use-round';

/**
 * The rounds of a plan's event, the one that is open, and what is asked of it. Which one is open is part of
 * the address.
 */
export function useEventRound(
  plan: () => PlanView,
  { unit, school }: { unit: ComputedRef<DistanceUnit>; school: ComputedRef<GappingStrategyId> },
) {
  const store = useSheet();
  const schedule = useSchedule();
  const route = useRoute();
  const router = useRouter();
  const event = computed(() => schedule.events.find(({ id }) => id === plan().eventId));
  const rounds = computed(() => event.value?.rounds ?? []);
  const courseOf = ({ courseId }: EventRound) => schedule.courses.find(({ id }) => id === courseId);
  /** A round's id, or `travel`. */
  const tab = computed({
    get: () =>
      route.query.round === 'travel'
        ? 'travel'
        : (rounds.value.find(({ id }) => id === route.query.round)?.id ??
          rounds.value.find(({ day }) => day >= today())?.id ??
          rounds.value[0]?.id ??
          ''),
    set: (to) => void router.replace({ query: { ...route.query, round: to } }),
  });
  const round = computed(() => rounds.value.find(({ id }) => id === tab.value));
  const course = computed(() => round.value && courseOf(round.value));
  const onCourses = computed(() =>
    rounds.value.flatMap((one) => {
      const on = courseOf(one);
      return on ? [{ round: one, course: on }] : [];
    }),
  );
  /** What other rounds on this course asked for, of those whose shots were recorded. */
  const playedHere = steady(() =>
    demandsPlayed(
      roundsPlayed(store.sheet!, schedule.events, schedule.courses).filter(
        ({ courseId, roundId, shots }) =>
          courseId === course.value?.id && roundId !== tab.value && shots.length > 0,
      ),
      unit.value,
    ),
  );
  const bagOf = (roundId: string) =>
    store.sheet!.bags.find(({ id }) => id === planRoundOf(plan(), roundId).bagId);

  /** A round as the worker is asked it, or why it cannot be. */
  function ask(one: EventRound): AskedRound | NotAskable {
    const on = courseOf(one);
    if (!event.value || !on) return { reason: 'Its course was deleted.', fixOn: 'course' };
    try {
      const { request, rules } = roundRequestOf({
        player: store.sheet!.player,
        clubs: store.clubs,
        plan: plan(),
        round: one,
        course: on,
        limits: event.value.limits,
        school: school.value,
      });
      if (!request.clubs.some(({ shots }) => shots.full)) return { reason: NO_DISTANCE_WORDS, fixOn: 'bag' };
      const against = bagOf(one.id)?.clubIds ?? plan().baseClubIds;
      return { roundId: one.id, request, rules, against, unit: unit.value };
    } catch (error) {
      if (error instanceof InvalidInputError) return { reason: `The ${error.message}.`, fixOn: 'course' };
      throw error;
    }
  }
  return { event, rounds, tab, round, course, onCourses, playedHere, bagOf, ask };
}
