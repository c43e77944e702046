import { dayOf, type CourseView, type EventView } from '@tasche/contract';
import type { RoundAir } from '@tasche/core';
import { roundAirWords } from '../courses/ground-words';
import { isAskable, type AskedRound, type NotAskable } from './use-round';

/** One way a round of an event may turn out. */
export type TravelScenario = Pick<AskedRound, 'request' | 'rules'> & {
  name: string;
  /** Those of one round weigh one together. */
  weight: number;
  round: string;
  /** "2b": the second round, the second way. */
  head: string;
};

const MAX_SCENARIOS = 12;
/** Shares of its wind a round without a forecast is looked at in: as it is, calmer and windier. Our choice. */
const WIND_SHARES = [1, 0.5, 1.5];
const MAX_WIND_MPS = 30;

/** Rounds times members of their forecasts, thinned evenly to so many. */
export function travelScenarios(
  event: EventView,
  courses: readonly CourseView[],
  askedOf: (roundId: string) => AskedRound | NotAskable,
): TravelScenario[] {
  return event.rounds.flatMap((round, at, rounds) => {
    const asked = askedOf(round.id);
    const course = courses.find(({ id }) => id === round.courseId);
    if (!isAskable(asked) || !course || course.holes.length === 0) return [];
    const each = Math.max(1, Math.floor(MAX_SCENARIOS / rounds.length));
    const airs = round.forecast ? thinned(round.forecast.members, each) : scaled(round.air).slice(0, each);
    return airs.map((air, k) => ({
      name: `${round.name}, ${k + 1}: ${roundAirWords(air, asked.unit)}`,
      weight: 1 / airs.length,
      request: { ...asked.request, day: dayOf({ ...round, air }, course) },
      rules: asked.rules,
      round: round.id,
      head: `${at + 1}${'abcdefghijkl'[k]!}`,
    }));
  });
}

function thinned<T>(list: readonly T[], wanted: number): T[] {
  const count = Math.min(wanted, list.length);
  return Array.from({ length: count }, (_one, k) => list[Math.floor((k * list.length) / count)]!);
}

function scaled(air: RoundAir): RoundAir[] {
  return WIND_SHARES.map((share) => ({
    ...air,
    windMps: Math.min(MAX_WIND_MPS, Math.round(air.windMps * share * 10) / 10),
  }));
}
