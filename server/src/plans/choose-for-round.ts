import { roundRequestOf, type RoundChoiceView } from '@tasche/contract';
import { InvalidInputError } from '@tasche/core';
import type { MikroORM } from '@mikro-orm/postgresql';
import { Course, Event, courseView, eventView } from '../schedule/schedule-rows.js';
import { badInput, notFound } from '../http/http-error.js';
import { readSheet } from '../sheet/read-sheet.js';
import { inWorkspace, type Sight } from '../workspaces/in-workspace.js';
import { runInThread } from '../threads/thread-pool.js';
import type { ChooseAnswer } from './choose-thread.js';
import { Plan } from './plan.js';

/**
 * The best bag for a player's round of an event, as the page would choose it.
 * @param signal aborts it when the client has gone
 * @throws HttpError 404, 400 where the round cannot be worked out, 429 where too many wait
 */
export async function chooseForRound(
  orm: MikroORM,
  sight: Sight,
  planId: string,
  roundId: string,
  signal: AbortSignal,
): Promise<RoundChoiceView> {
  const { plan, event, courses } = await inWorkspace(orm, sight, async (em) => {
    const found = await em.findOne(Plan, { id: planId, removedAt: null });
    if (!found?.eventId) throw notFound('plan for an event');
    const played = await em.findOneOrFail(Event, { id: found.eventId });
    return {
      plan: found,
      event: eventView.of(played),
      courses: await em.find(Course, { id: { $in: played.rounds.map((one) => one.courseId) } }),
    };
  });
  const round = event.rounds.find(({ id }) => id === roundId);
  if (!round) throw notFound('round');
  const course = courses.find(({ id }) => id === round.courseId);
  if (!course) throw notFound('course');
  const { player, clubs } = await readSheet(orm, sight, plan.playerId, null);
  const asked = (() => {
    try {
      return roundRequestOf({
        player,
        clubs,
        plan: { rounds: plan.rounds, choosing: plan.choosing ?? null, baseClubIds: plan.baseClubIds },
        round,
        course: courseView.of(course),
        limits: event.limits,
      });
    } catch (error) {
      if (error instanceof InvalidInputError)
        throw badInput(error.message, [{ field: error.field, message: error.reason }]);
      throw error;
    }
  })();
  const { view, refused } = await runInThread<typeof asked, ChooseAnswer>(
    new URL('./choose-thread.ts', import.meta.url),
    asked,
    signal,
    sight.workspaceId,
  );
  if (!view) throw badInput(refused ?? 'The round could not be worked out.');
  return view;
}
