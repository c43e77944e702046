import { roundRequestOf, type CourseView, type EventView, type SheetView } from '@tasche/contract';
import { InvalidInputError, type GappingStrategyId } from '@tasche/core';
import type { SeasonRoundAsked } from '../plan/round-worker';

/**
 * The rounds a player is planned for from a day on, those that are alike together, and what of them cannot be
 * worked out.
 */
export function seasonRounds(
  { player, clubs, plans }: Pick<SheetView, 'player' | 'clubs' | 'plans'>,
  events: readonly EventView[],
  courses: readonly CourseView[],
  gamerIds: readonly string[],
  school: GappingStrategyId,
  today: string,
): { rounds: SeasonRoundAsked[]; left: string[] } {
  const alike = new Map<string, SeasonRoundAsked>();
  const left: string[] = [];
  for (const plan of plans) {
    const event = events.find(({ id }) => id === plan.eventId);
    if (!event) continue;
    for (const round of event.rounds.filter(({ day }) => day >= today)) {
      const course = courses.find(({ id }) => id === round.courseId);
      try {
        if (!course) throw new InvalidInputError('course', 'of this round was deleted');
        const { request, rules } = roundRequestOf({
          player,
          clubs,
          plan: { ...plan, baseClubIds: gamerIds },
          round,
          course,
          limits: event.limits,
          school,
        });
        const key = JSON.stringify([
          request.day,
          request.changes,
          request.notes,
          request.preferences,
          rules.limits,
        ]);
        const known = alike.get(key);
        if (known) known.times += 1;
        else
          alike.set(key, {
            id: round.id,
            name: `${event.name}, ${round.name}`,
            times: 1,
            request,
            rules,
          });
      } catch (error) {
        if (!(error instanceof InvalidInputError)) throw error;
        left.push(`${event.name}, ${round.name}: the ${error.message}.`);
      }
    }
  }
  return { rounds: [...alike.values()], left };
}
