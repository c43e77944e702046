import {
  distanceUnitSchema,
  homeCard,
  idSchema,
  roundCards,
  type CardPage,
  type SheetView,
} from '@tasche/contract';
import type { DistanceUnit } from '@tasche/core';
import { Router } from 'express';
import * as yup from 'yup';
import { badInput, notFound } from '../http/http-error.js';
import { readQuery } from '../http/read-query.js';
import type { Asks } from '../http/route-list.js';
import { fileName, hungUp, idIn, type RouteContext } from '../http/route-context.js';
import { Course, Event, courseView, eventView } from '../schedule/schedule-rows.js';
import { readSheet } from '../sheet/read-sheet.js';
import { runInThread } from '../threads/thread-pool.js';
import { CARD_SIZES, type CardSize, type PrintedCard } from './card-pdf.js';

const cardQuery = yup.object({
  plan: idSchema,
  round: idSchema,
  unit: distanceUnitSchema,
  size: yup.string().oneOf(Object.keys(CARD_SIZES) as CardSize[]),
});

export const cardAsks: Asks = {
  'GET /players/:playerId/card.pdf': { query: cardQuery, answers: 'application/pdf' },
};

export function cardRoutes({ orm, scopeOf, scoped }: RouteContext): Router {
  const router = Router();

  router.get('/players/:playerId/card.pdf', async (request, response) => {
    const playerId = idIn(request, 'playerId');
    const { plan: planId, round, unit: wanted, size } = readQuery(request, cardQuery);
    const sheet = await readSheet(orm, await scopeOf(request), playerId, null);
    const unit = wanted ?? sheet.player.distanceUnit;
    const all = planId === undefined ? homePages(sheet, unit) : await roundPages(sheet, planId, unit);
    const pages = round === undefined ? all : all.filter(({ roundIds }) => roundIds.includes(round));
    if (pages.length === 0)
      throw planId === undefined
        ? badInput('There is no bag yet to make a card for.')
        : round === undefined
          ? badInput('No round has a bag, and there is no gamer.')
          : notFound('round');
    const pdf = await runInThread<PrintedCard, Uint8Array>(
      new URL('./card-pdf.ts', import.meta.url),
      { playerName: sheet.player.name, pages, size: size ?? 'book', unit },
      hungUp(response),
      (await scopeOf(request)).workspaceId,
    );
    response
      .type('application/pdf')
      .setHeader('content-disposition', `inline; filename="${fileName(sheet.player.name)}-card.pdf"`);
    response.send(Buffer.from(pdf));

    function roundPages(of: SheetView, id: string, inUnit: DistanceUnit): Promise<CardPage[]> {
      return scoped(request, async (em) => {
        const plan = of.plans.find((one) => one.id === id);
        if (!plan) throw notFound('plan');
        const event =
          plan.eventId === null ? null : await em.findOne(Event, { id: plan.eventId, removedAt: null });
        if (!event) throw notFound('event');
        const courses = await em.find(Course, { id: { $in: event.rounds.map(({ courseId }) => courseId) } });
        return roundCards(
          { ...of, unit: inUnit },
          plan,
          eventView.of(event),
          courses.map((one) => courseView.of(one)),
        );
      });
    }
  });
  return router;
}

function homePages(sheet: SheetView, unit: DistanceUnit): CardPage[] {
  const bag = sheet.bags.find(({ gamer }) => gamer) ?? sheet.bags[0];
  return bag ? [homeCard({ ...sheet, unit }, bag)] : [];
}
