import type { PlayedShot } from './played-shots.js';
import { planRoundOf } from './plan-choosing.js';
import type { CourseView, EventView, PlanView, SheetView } from './views.js';

/** A round with something recorded afterwards: of an event, or one by itself. */
interface RoundPlayed {
  /** The plan for its event; null where it is of none. */
  planId: string | null;
  roundId: string;
  /** YYYY-MM-DD. */
  day: string;
  name: string;
  courseId: string | null;
  courseName: string | null;
  /** How often each club was hit; clubs that were not counted are left out. */
  hits: Readonly<Record<string, number>>;
  says: string;
  keep: string;
  shots: readonly PlayedShot[];
}

/** A player's rounds of which anything was recorded, the newest first. */
export function roundsPlayed(
  sheet: { plans: readonly Pick<PlanView, 'id' | 'eventId' | 'rounds'>[] } & Pick<SheetView, 'roundsPlayed'>,
  events: readonly Pick<EventView, 'id' | 'name' | 'rounds'>[],
  courses: readonly Pick<CourseView, 'id' | 'name'>[],
): RoundPlayed[] {
  const nameOfCourse = (courseId: string | null) => courses.find(({ id }) => id === courseId)?.name ?? null;
  const single = sheet.roundsPlayed.map(({ id, playedOn, name, courseId, after }): RoundPlayed => ({
    planId: null,
    roundId: id,
    day: playedOn,
    name: name || (nameOfCourse(courseId) ?? 'A round'),
    courseId,
    courseName: name ? nameOfCourse(courseId) : null,
    ...after,
    shots: after.shots ?? [],
  }));
  const ofEvents = sheet.plans.flatMap((plan) => {
    const event = events.find(({ id }) => id === plan.eventId);
    return (event?.rounds ?? []).flatMap(({ id, name, day, courseId }): RoundPlayed[] => {
      const { after } = planRoundOf(plan, id);
      if (!after) return [];
      return [
        {
          planId: plan.id,
          roundId: id,
          day,
          name: `${event!.name}, ${name}`,
          courseId,
          courseName: nameOfCourse(courseId),
          ...after,
          shots: after.shots ?? [],
        },
      ];
    });
  });
  return [...single, ...ofEvents].sort(
    (a, b) => b.day.localeCompare(a.day) || a.roundId.localeCompare(b.roundId),
  );
}

/** How often a club is hit in a round, over the rounds it was counted in. */
interface HitsARound {
  clubId: string;
  perRound: number;
  rounds: number;
}

/** Means to a tenth, most first. A round in which a club was not counted says nothing about it. */
export function hitsARound(rounds: readonly Pick<RoundPlayed, 'hits'>[]): HitsARound[] {
  const counted = new Map<string, number[]>();
  for (const { hits } of rounds)
    for (const [clubId, times] of Object.entries(hits))
      counted.set(clubId, [...(counted.get(clubId) ?? []), times]);
  return [...counted]
    .map(([clubId, times]) => ({
      clubId,
      perRound: Math.round((times.reduce((sum, one) => sum + one, 0) / times.length) * 10) / 10,
      rounds: times.length,
    }))
    .sort((a, b) => b.perRound - a.perRound || a.clubId.localeCompare(b.clubId));
}
