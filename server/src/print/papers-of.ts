import {
  clubName,
  homeCard,
  planRoundOf,
  roundCards,
  type PaperName,
  type SheetView,
} from '@tasche/contract';
import type { EntityManager } from '@mikro-orm/postgresql';
import { Course, Event, courseView, eventView } from '../schedule/schedule-rows.js';
import { clubsOf } from '../sheet/read-sheet.js';
import type { Paper } from './print-run.js';

/** An event's rounds as somebody planned them. */
type Planned = {
  plan: SheetView['plans'][number];
  event: ReturnType<typeof eventView.of>;
  courses: ReturnType<typeof courseView.of>[];
} | null;

/**
 * The rounds of a plan for an event.
 * @param planId left out, that of the next event
 */
export async function plannedRounds(
  em: EntityManager,
  sheet: SheetView,
  today: string,
  planId?: string,
): Promise<Planned> {
  const plan =
    planId === undefined
      ? sheet.plans
          .filter(({ eventId, endsOn }) => eventId !== null && endsOn >= today)
          .toSorted((a, b) => a.startsOn.localeCompare(b.startsOn))[0]
      : sheet.plans.find(({ id }) => id === planId);
  const event = plan?.eventId ? await em.findOne(Event, { id: plan.eventId, removedAt: null }) : null;
  if (!plan || !event) return null;
  const courses = await em.find(Course, { id: { $in: event.rounds.map(({ courseId }) => courseId) } });
  return { plan, event: eventView.of(event), courses: courses.map((one) => courseView.of(one)) };
}

/** A paper of a player's, or none where there is nothing for it. */
export function papersOf(paper: PaperName, sheet: SheetView, planned: Planned, today: string): Paper[] {
  const { player, bags, tickets } = sheet;
  const unit = player.distanceUnit;
  const gamer = bags.find((bag) => bag.gamer);
  const playerName = player.name;
  const nameOf = (id: string | undefined) => (id === undefined ? '–' : clubName(sheet.clubs, id));
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
