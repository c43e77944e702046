import { PAPERS, idSchema, type PaperName } from '@tasche/contract';
import { Router } from 'express';
import * as yup from 'yup';
import { badInput } from '../http/http-error.js';
import { readQuery } from '../http/read-query.js';
import type { Asks } from '../http/route-list.js';
import { hungUp, required, type RouteContext } from '../http/route-context.js';
import { readSheet } from '../sheet/read-sheet.js';
import { runInThread } from '../threads/thread-pool.js';
import { papersOf, plannedRounds } from './papers-of.js';
import type { Paper } from './print-run.js';

/** As many players as a rep looks after in a week. */
const MAX_PLAYERS_OF_A_RUN = 40;

const list = (each: yup.StringSchema, most: number) =>
  required(
    yup
      .array(required(each))
      .transform((_value, given: unknown) =>
        typeof given === 'string' ? given.split(',').filter(Boolean) : given,
      )
      .min(1, '${path} names nothing')
      .max(most, `\${path} names more than ${most}`),
  );
const printQuery = yup.object({
  players: list(idSchema, MAX_PLAYERS_OF_A_RUN),
  papers: list(yup.string().oneOf(PAPERS) as yup.StringSchema, PAPERS.length),
});

export const printAsks: Asks = {
  'GET /print.pdf': { query: printQuery, answers: 'application/pdf' },
};

export function printRoutes({ orm, scopeOf, scoped }: RouteContext): Router {
  const router = Router();

  router.get('/print.pdf', async (request, response) => {
    const { players, papers } = readQuery(request, printQuery);
    const scope = await scopeOf(request);
    const today = new Date().toISOString().slice(0, 10);
    const run: Paper[] = [];
    for (const playerId of players) {
      const sheet = await readSheet(orm, scope, playerId, null);
      const planned = await scoped(request, (em) => plannedRounds(em, sheet, today));
      for (const paper of papers as PaperName[]) run.push(...papersOf(paper, sheet, planned, today));
    }
    if (run.length === 0)
      throw badInput('There is nothing to print for these players: no bag, no event, no ticket.');
    const pdf = await runInThread<Paper[], Uint8Array>(
      new URL('./print-run.ts', import.meta.url),
      run,
      hungUp(response),
      scope.workspaceId,
    );
    response.type('application/pdf').setHeader('content-disposition', 'inline; filename="print-run.pdf"');
    response.send(Buffer.from(pdf));
  });
  return router;
}
