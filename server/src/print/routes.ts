import {
  PAPERS,
  homeCard,
  idSchema,
  planRoundOf,
  roundCards,
  type PaperName,
  type SheetView,
} from '@tasche/contract';
import { Router } from 'express';
import * as yup from 'yup';
import { badInput } from '../http/http-error.js';
import { readQuery } from '../http/read-query.js';
import { hungUp, required, type RouteContext } from '../http/route-context.js';
import { Course, Event, courseView, eventView } from '../schedule/schedule-rows.js';
import { clubsOf, readSheet } from '../sheet/read-sheet.js';
import { runInThread } from '../threads/thread-pool.js';
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

export function printRoutes({ orm, scopeOf, scoped }: RouteContext): Router {
  const router = Router();

  router.get('/print.pdf', async (request, response) => {
    const { players, papers } = readQuery(request, printQuery);
    const { workspaceId } = await scopeOf(request);
    const today = new Date().toISOString().slice(0, 10);
    const run: Paper[] = [];
    for (const playerId of players) {
      const sheet = await readSheet(orm, workspaceId, playerId, null);
      const planned = await scoped(request, async (em) => {
        const plan = sheet.plans
          .filter(({ eventId, endsOn }) => eventId !== null && endsOn >= today)
          .toSorted((a, b) => a.startsOn.localeCompare(b.startsOn))[0];
        const event = plan && (await em.findOne(Event, { id: plan.eventId, removedAt: null }));
        if (!plan || !event) return null;
        const courses = await em.find(Course, { id: { $in: event.rounds.map(({ courseId }) => courseId) } });
        return { plan, event: eventView.of(event), courses: courses.map((one) => courseView.of(one)) };
      });
      for (const paper of papers as PaperName[]) run.push(...papersOf(paper, sheet, planned, today));
    }
    if (run.length === 0)
      throw badInput('There is nothing to print of these players: no bag, no event, no ticket.');
    const pdf = await runInThread<Paper[], Uint8Array>(
      new URL('./print-run.ts', import.meta.url),
      run,
      hungUp(response),
    );
    response.type('application/pdf').setHeader('content-disposition', 'inline; filename="print-run.pdf"');
    response.send(Buffer.from(pdf));
  });
  return router;
}

type Planned = {
  plan: SheetView['plans'][number];
  event: ReturnType<typeof eventView.of>;
  courses: ReturnType<typeof courseView.of>[];
} | null;

/** A paper of a player's, or none where there is nothing for it. */
function papersOf(paper: PaperName, sheet: SheetView, planned: Planned, today: string): Paper[] {
  const { player, bags, tickets } = sheet;
  const unit = player.distanceUnit;
  const gamer = bags.find((bag) => bag.gamer);
  const playerName = player.name;
  const nameOf = (id: string | undefined) =>
    id === undefined ? '–' : (sheet.clubs.find((club) => club.id === id)?.name ?? 'a club deleted since');
  const cards = planned ? roundCards({ ...sheet, unit }, planned.plan, planned.event, planned.courses) : [];
  switch (paper) {
    case 'sheet':
      return gamer
        ? [
            {
              paper,
              of: {
                player,
                clubs: clubsOf(sheet, gamer.id),
                bagName: gamer.name,
                strategy: gamer.strategy,
                unit,
                day: today,
              },
            },
          ]
        : [];
    case 'card': {
      const pages = cards.length > 0 ? cards : gamer ? [homeCard({ ...sheet, unit }, gamer)] : [];
      return pages.length > 0 ? [{ paper, of: { playerName, pages, size: 'book', unit } }] : [];
    }
    case 'tickets': {
      const open = tickets.filter(({ state }) => state === 'asked' || state === 'on the bench');
      return open.length > 0
        ? [
            {
              paper,
              of: { playerName, tickets: open.map((one) => ({ ...one, clubName: nameOf(one.clubId) })) },
            },
          ]
        : [];
    }
    case 'swaps': {
      if (!planned) return [];
      const { plan, event, courses } = planned;
      return [
        {
          paper,
          of: {
            playerName,
            eventName: event.name,
            unit,
            rounds: event.rounds.map(({ id, name, day, courseId }) => {
              const own = planRoundOf(plan, id);
              const card = cards.find(({ roundIds, isSettled }) => isSettled && roundIds.includes(id));
              return {
                name,
                day,
                courseName: courses.find((course) => course.id === courseId)?.name ?? null,
                bag: card
                  ? {
                      swaps: own.swaps.map(({ outId, inId, why }) => ({
                        out: nameOf(outId),
                        in: nameOf(inId),
                        why: why ?? '',
                      })),
                      triggers: own.triggers,
                      request: card.request,
                    }
                  : null,
              };
            }),
          },
        },
      ];
    }
  }
}
