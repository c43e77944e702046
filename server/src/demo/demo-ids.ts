import type { Scope } from '../people/scope.js';
import { DEMO_COURSES, DEMO_EVENTS } from './meridian-courses.js';
import { REP } from './meridian-swing.js';

export const DEMO_WORKSPACE = '7a5c4e00-0000-4000-8000-00000000de30';
export const BY_REP: Scope = { workspaceId: DEMO_WORKSPACE, who: REP, personId: null, role: 'owner' };
/** Where ids of what is no single player's begin. */
export const SCHEDULE = 8999;

/**
 * Ids that are the same on every load, so that a second load does nothing and links into the demo keep working.
 */
export function demoId(player: number, what: number): string {
  return `7a5c4e00-${String(player + 1).padStart(4, '0')}-4000-8000-${String(what).padStart(12, '0')}`;
}

export function courseId(name: string): string {
  return demoId(SCHEDULE, 100 + DEMO_COURSES.findIndex((course) => course.name === name));
}

export function eventId(name: string): string {
  return demoId(SCHEDULE, 300 + DEMO_EVENTS.findIndex((event) => event.name === name));
}

/** YYYY-MM-DD; before today where negative. */
export function dayFromNow(days: number): string {
  return new Date(Date.now() + days * 86_400_000).toISOString().slice(0, 10);
}
