import type { CourseDetails } from '@tasche/contract';
import { usualHole, type Hole } from '@tasche/core';

/** An empty new course, under a free name. */
export function newCourse(taken: readonly string[]): CourseDetails {
  let name = 'New course';
  for (let n = 2; taken.includes(name); n++) name = `New course ${n}`;
  return emptyCourse(name);
}

/** A course that is no more than a name yet. */
export function emptyCourse(name: string): CourseDetails {
  return {
    name,
    altitudeM: 0,
    latitudeDeg: null,
    longitudeDeg: null,
    grass: 'bent',
    sand: 'medium',
    tees: ['Back'],
    holes: [],
    seasons: [],
    notes: '',
  };
}

/** Threes and fives where they often are; common practice, no source. */
const USUAL_PARS = [4, 4, 3, 5, 4, 3, 4, 4, 5] as const;
const USUAL_LENGTHS_M = { 3: 160, 4: 370, 5: 490 } as const;

/** A usual nine or eighteen to begin with, as long from every tee. */
export function usualHoles(count: 9 | 18, tees: number): Hole[] {
  return Array.from({ length: count }, (_one, i) => {
    const par = USUAL_PARS[i % USUAL_PARS.length]!;
    return usualHole(par, Array<number>(tees).fill(USUAL_LENGTHS_M[par]));
  });
}
