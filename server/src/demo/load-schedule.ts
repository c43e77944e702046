import type { Command, EventRound } from '@tasche/contract';
import type { MikroORM } from '@mikro-orm/postgresql';
import { applyChange } from '../changes/apply-change.js';
import { BY_REP, courseId, dayFromNow, demoId, eventId, SCHEDULE } from './demo-ids.js';
import { DEMO_COURSES, DEMO_EVENTS, DEMO_SEASONS } from './meridian-courses.js';

/** Courses, seasons and events, each as a change of its own. */
export async function loadSchedule(orm: MikroORM): Promise<void> {
  const scope = BY_REP;
  await applyChange(orm, scope, {
    id: demoId(SCHEDULE, 1),
    why: 'the courses of the swing, entered',
    commands: [
      ...DEMO_COURSES.map((course): Command => ({
        do: 'addCourse',
        course: { id: courseId(course.name), ...course },
      })),
      ...DEMO_SEASONS.map((season, i): Command => ({
        do: 'addSeason',
        season: { id: demoId(SCHEDULE, 200 + i), ...season },
      })),
    ],
  });
  await applyChange(orm, scope, {
    id: demoId(SCHEDULE, 2),
    why: '',
    commands: DEMO_EVENTS.map(
      (
        { name, inDays, courses, season: seasonName, tee, clubs, lengthIn, notes, windShare, zone, teeTimes },
        e,
      ): Command => ({
        do: 'addEvent',
        event: {
          id: eventId(name),
          name,
          notes,
          zone,
          limits: { clubs, lengthIn },
          rounds: courses.map((course, i): EventRound => {
            const { seasons } = DEMO_COURSES.find((one) => one.name === course)!;
            const { air, ground } = seasons.find((one) => one.name === seasonName) ?? seasons[0]!;
            return {
              id: demoId(SCHEDULE, 1000 + e * 10 + i),
              name: `Round ${i + 1}`,
              day: dayFromNow(inDays + i),
              teeTime: teeTimes?.[i],
              courseId: courseId(course),
              tee,
              air: { ...air, windMps: Math.round(air.windMps * (windShare?.[i] ?? 1) * 10) / 10 },
              ground,
              forecast: null,
            };
          }),
        },
      }),
    ),
  });
}
