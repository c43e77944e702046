import {
  roundRequestOf,
  type CourseView,
  type EventRound,
  type EventView,
  type PlanView,
  type SheetView,
} from '@tasche/contract';
import { InvalidInputError, type GappingStrategyId } from '@tasche/core';
import type { BasketAim } from './basket-worker';

/** A round of an event a player is going to, that balls may be hit for. */
interface BasketRound {
  /** In the address: the plan's id and the round's. */
  key: string;
  plan: PlanView;
  event: EventView;
  round: EventRound;
}

/** A longer list is hard to choose from. */
const MAX_ROUNDS = 40;

/** The rounds still to be played of the events a player has plans for, the nearest first. */
export function basketRounds(
  plans: readonly PlanView[],
  events: readonly EventView[],
  today: string,
): BasketRound[] {
  return plans
    .flatMap((plan) => {
      const event = events.find(({ id }) => id === plan.eventId);
      return (event?.rounds ?? []).flatMap((round): BasketRound[] =>
        round.day < today ? [] : [{ key: keyOfRound(plan.id, round.id), plan, event: event!, round }],
      );
    })
    .sort((a, b) => a.round.day.localeCompare(b.round.day))
    .slice(0, MAX_ROUNDS);
}

export function keyOfRound(planId: string, roundId: string): string {
  return `${planId}/${roundId}`;
}

/** The question for that round, or why it cannot be asked. */
export function basketAim(
  { plan, event, round }: BasketRound,
  sheet: Pick<SheetView, 'player' | 'clubs'>,
  courses: readonly CourseView[],
  school: GappingStrategyId,
): Extract<BasketAim, { of: 'round' }> | string {
  const course = courses.find(({ id }) => id === round.courseId);
  if (!course) return 'Its course was deleted.';
  try {
    const { player, clubs } = sheet;
    const { request, rules } = roundRequestOf({
      player,
      clubs,
      plan,
      round,
      course,
      limits: event.limits,
      school,
    });
    return { of: 'round', request, rules };
  } catch (error) {
    if (error instanceof InvalidInputError) return `The ${error.message}.`;
    throw error;
  }
}
