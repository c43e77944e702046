import { seasonOn, type CourseView, type EventRound } from '@tasche/contract';
import { CALM, USUAL_GROUND } from '@tasche/core';

/** A round on a course before it has a forecast: in the course's season of that day. */
export function freshRound(
  round: Pick<EventRound, 'id' | 'name' | 'day' | 'teeTime' | 'courseId' | 'tee'>,
  { seasons, grass, sand }: Pick<CourseView, 'seasons' | 'grass' | 'sand'>,
): EventRound {
  const season = seasonOn(seasons, round.day);
  return {
    ...round,
    air: season?.air ?? CALM,
    ground: season?.ground ?? { ...USUAL_GROUND, grass, sand },
    forecast: null,
  };
}
