import type { Command, CourseView, EventView } from '@tasche/contract';
import { courseNames } from './event-draft';

/** A plan of a player for an event, from the gamer bag. */
export function planOfEvent(
  event: EventView,
  playerId: string,
  courses: readonly CourseView[],
  ids: { plan: string; bag: string },
): Command {
  const days = event.rounds.map(({ day }) => day).sort();
  return {
    do: 'addPlan',
    plan: {
      id: ids.plan,
      bagId: ids.bag,
      playerId,
      eventId: event.id,
      name: event.name,
      course: courseNames(event, courses),
      startsOn: days[0]!,
      endsOn: days.at(-1)!,
      ground: '',
      weather: '',
    },
  };
}
