import { Worker } from 'node:worker_threads';
import { roundOrderOf, type RoundChoiceView } from '@tasche/contract';
import { RefusedInput } from '@tasche/core';
import type { MikroORM } from '@mikro-orm/postgresql';
import { Course, Event, courseView, eventView } from '../circuit/circuit.js';
import { Refusal, badInput, notFound } from '../http/refusal.js';
import { readSheet } from '../sheet/read-sheet.js';
import { inWorkspace } from '../workspaces/in-workspace.js';
import { Plan } from './plan.js';

/** A round is worked out in a second; one that takes longer than this is given up. */
const LONGEST_MS = 30_000;
/** One core works while the other serves; more than so many waiting are sent away. */
const MOST_WAITING = 10;
let waiting = 0;
let last: Promise<unknown> = Promise.resolve();

/**
 * The best bag for a player's round of an event, as the page would choose it.
 * @throws Refusal 404, 400 where the round cannot be worked out, 429 where too many wait
 */
export async function chooseForRound(orm: MikroORM, workspaceId: string, planId: string, roundId: string): Promise<RoundChoiceView> {
  const { plan, event, courses } = await inWorkspace(orm, workspaceId, async (em) => {
    const found = await em.findOne(Plan, { id: planId, removedAt: null });
    if (!found?.eventId) throw notFound('plan for an event');
    const played = await em.findOneOrFail(Event, { id: found.eventId });
    return { plan: found, event: eventView(played), courses: await em.find(Course, { id: { $in: played.rounds.map((one) => one.courseId) } }) };
  });
  const round = event.rounds.find(({ id }) => id === roundId);
  if (!round) throw notFound('round');
  const course = courses.find(({ id }) => id === round.courseId);
  if (!course) throw notFound('course');
  const { player, clubs } = await readSheet(orm, workspaceId, plan.playerId, null);
  const asked = (() => {
    try {
      return roundOrderOf({ player, clubs, plan: { rounds: plan.rounds, choosing: plan.choosing ?? null, baseClubIds: plan.baseClubIds }, round, course: courseView(course), limits: event.limits });
    } catch (error) {
      if (error instanceof RefusedInput) throw badInput(error.message, [{ field: error.field, message: error.reason }]);
      throw error;
    }
  })();
  if (waiting >= MOST_WAITING) throw new Refusal(429, { error: 'too-many-requests', message: 'Too many rounds are being worked out; ask again in a moment.' });
  waiting += 1;
  const turn = last.then(() => workOut(asked));
  last = turn.catch(() => undefined);
  try {
    return await turn;
  } finally {
    waiting -= 1;
  }
}

/** A thread does not inherit how its process reads TypeScript: it is told again. */
const START = `import('tsx/esm/api').then(({ register }) => { register(); return import(require('node:worker_threads').workerData.file); })`;

function workOut(asked: ReturnType<typeof roundOrderOf>): Promise<RoundChoiceView> {
  return new Promise((resolve, reject) => {
    const worker = new Worker(START, { eval: true, workerData: { ...asked, file: new URL('./choose-thread.ts', import.meta.url).href } });
    const timer = setTimeout(() => { void worker.terminate(); reject(new Refusal(422, { error: 'rule', message: `The round took longer than ${LONGEST_MS / 1000} s to work out and was given up.` })); }, LONGEST_MS);
    worker.once('message', ({ view, refused }: { view?: RoundChoiceView; refused?: string }) => {
      if (view) resolve(view); else reject(badInput(refused ?? 'The round could not be worked out.'));
    });
    worker.once('error', reject);
    worker.once('exit', () => { clearTimeout(timer); });
  });
}
