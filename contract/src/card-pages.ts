import {
  BASELINE,
  USUAL_GROUND,
  ladderClub,
  placedClubs,
  skillOf,
  stillAir,
  toMetres,
  type CardDay,
  type CardRequest,
  type CardSteps,
  type DistanceUnit,
  type LadderClub,
  type RoundAir,
} from '@tasche/core';
import type { EventRound } from './event-schemas.js';
import { planRoundOf } from './plan-choosing.js';
import { baselineOf } from './round-request.js';
import type { BagView, ClubView, CourseView, EventView, PlanView, PlayerView } from './views.js';

/** A card of a pocket's worth: one bag on one day, or several days that are alike. */
export interface CardPage {
  /** Ids of the rounds it is for; none at home. */
  roundIds: readonly string[];
  name: string;
  /** YYYY-MM-DD of the first of them. */
  day: string | null;
  courseName: string | null;
  bagName: string;
  /** The rounds' own bag, or the gamer while none is settled. */
  isSettled: boolean;
  /** The wind expected, which no figure of the card has in it; null at home. */
  air: RoundAir | null;
  request: CardRequest;
}

interface CardParts {
  player: PlayerView;
  clubs: readonly ClubView[];
  bags: readonly BagView[];
  unit: DistanceUnit;
}

const MPS_PER_MPH = 0.44704;

/** So much wind, height and warmth are the helpers for: 10 mph, 10 yd and 20 °F, or 5 m/s, 10 m and 10 °C. */
export function cardSteps(unit: DistanceUnit): CardSteps {
  return {
    windMps: unit === 'yd' ? 10 * MPS_PER_MPH : 5,
    elevationChangeM: toMetres(10, unit),
    temperatureC: unit === 'yd' ? 20 / 1.8 : 10,
  };
}

/** What the caddie's question is asked with: clubs that have a place, and the player's skill. */
export function caddieParts({ player, clubs }: Pick<CardParts, 'player' | 'clubs'>): {
  clubs: LadderClub[];
  handicap: number;
} {
  const placed = placedClubs(clubs.map(ladderClub), player.baseline ?? BASELINE);
  return { clubs: placed, handicap: skillOf(placed, player.handicap).handicap };
}

/** The card of a bag where its carries are known. */
export function homeCard(parts: CardParts, bag: BagView): CardPage {
  const { conditions } = baselineOf(parts.player);
  return {
    roundIds: [],
    name: 'At home',
    day: null,
    courseName: null,
    bagName: bag.name,
    isSettled: true,
    air: null,
    request: requestOf(parts, bag, { still: conditions, ground: USUAL_GROUND }),
  };
}

/**
 * The cards of a player's rounds at an event, in order; rounds of one bag, course, temperature and ground
 * share one.
 */
export function roundCards(
  parts: CardParts,
  plan: PlanView,
  event: Pick<EventView, 'rounds'>,
  courses: readonly CourseView[],
): CardPage[] {
  const pages: CardPage[] = [];
  for (const round of event.rounds) {
    const page = roundCard(parts, plan, round, courses);
    const same = page && pages.find((one) => isSame(one, page));
    if (same) {
      const all = [...same.roundIds, ...page.roundIds];
      const names = all.map((id) => event.rounds.find((one) => one.id === id)!.name);
      pages[pages.indexOf(same)] = { ...same, roundIds: all, name: roundNames(names) };
    } else if (page) pages.push(page);
  }
  return pages;
}

function roundCard(
  parts: CardParts,
  plan: PlanView,
  round: EventRound,
  courses: readonly CourseView[],
): CardPage | undefined {
  const course = courses.find(({ id }) => id === round.courseId);
  const own = parts.bags.find(({ id }) => id === planRoundOf(plan, round.id).bagId);
  const bag = own ?? parts.bags.find(({ gamer }) => gamer);
  if (!bag) return undefined;
  const day: CardDay = {
    still: stillAir(round.air, { altitudeM: course?.altitudeM ?? 0 }),
    ground: round.ground,
  };
  return {
    roundIds: [round.id],
    name: round.name,
    day: round.day,
    courseName: course?.name ?? null,
    bagName: bag.name,
    isSettled: own !== undefined,
    air: round.air,
    request: requestOf(parts, bag, day),
  };
}

function requestOf({ player, clubs, unit }: CardParts, bag: BagView, day: CardDay): CardRequest {
  return {
    clubs: clubs.map(ladderClub),
    bagIds: bag.clubIds,
    from: baselineOf(player),
    day,
    steps: cardSteps(unit),
    gapOptions: { school: bag.strategy, settings: player.gapSettings },
  };
}

/** Whether two rounds have one card; the wind is the hole's and on no card. */
function isSame(a: CardPage, b: CardPage): boolean {
  const of = ({ request, courseName, isSettled }: CardPage) =>
    JSON.stringify([
      [...request.bagIds].sort(),
      request.day,
      request.gapOptions?.school,
      courseName,
      isSettled,
    ]);
  return of(a) === of(b);
}

/** "Rounds 1 to 4"; "Practice, Round 1 and Round 3". */
function roundNames(names: readonly string[]): string {
  const numbers = names.map((name) => Number(/^Round (\d+)$/.exec(name)?.[1]));
  const inRow = numbers.every((number, i) => (i === 0 ? number > 0 : number === numbers[i - 1]! + 1));
  if (names.length > 2 && inRow) return `Rounds ${numbers[0]!} to ${numbers.at(-1)!}`;
  return names.length < 2 ? names.join('') : `${names.slice(0, -1).join(', ')} and ${names.at(-1)!}`;
}
