import type { Place } from './hole-line.js';
import { InvalidInputError, requireWithin, type Bounds } from '../invalid-input-error.js';

/**
 * What may spoil a shot, by its distance from the first tee along the line; from another tee it is as much
 * nearer as that one stands forward.
 */
export interface Hazard {
  kind: HazardKind;
  side: 'left' | 'right' | 'across';
  fromM: number;
  toM: number;
}
export type HazardKind = 'bunker' | 'water' | 'out of bounds' | 'trees';
export const HAZARD_KINDS: readonly HazardKind[] = ['bunker', 'water', 'out of bounds', 'trees'];
export const HAZARD_SIDES = ['left', 'right', 'across'] as const;

/** What lies before the green: nothing (a ball may run on), sand, or water. */
export type Front = 'open' | 'sand' | 'water';
export const FRONTS: readonly Front[] = ['open', 'sand', 'water'];

/** How the green tilts, as the player sees it coming. */
export type Slope = 'towards' | 'flat' | 'away';
export const SLOPES: readonly Slope[] = ['towards', 'flat', 'away'];

export interface Hole {
  par: number;
  /** One for each tee of the course, in their order; to the middle of the green, as it is walked. */
  lengthsM: readonly number[];
  /** From tee to green, clockwise from north; null where not recorded. */
  bearingDeg: number | null;
  /** The green above the first tee, negative below; the ground between is taken as one slope. */
  elevationChangeM: number;
  /** Width of the area a tee shot may land in. */
  corridorM: number;
  hazards: readonly Hazard[];
  /** Depth of the green. */
  greenM: number;
  front: Front;
  slope: Slope;
  /** The line it is played along, tee to green, where it came from a map; length and bearing are its own. */
  line?: readonly Place[];
}

/** A course as it lies there; what a season makes of it is a `Ground`. */
export interface Course {
  /** Names of the tees, longest first. */
  tees: readonly string[];
  holes: readonly Hole[];
  altitudeM: number;
}

export const HOLE_BOUNDS: Bounds<
  'par' | 'lengthM' | 'bearingDeg' | 'elevationChangeM' | 'corridorM' | 'greenM'
> = {
  par: [3, 6],
  lengthM: [40, 700],
  bearingDeg: [0, 360],
  elevationChangeM: [-80, 80],
  corridorM: [8, 90],
  greenM: [6, 70],
};
export const HAZARD_BOUNDS: Bounds<'fromM' | 'toM'> = { fromM: [0, 500], toM: [1, 600] };
export const MAX_TEES = 6;
export const MAX_HAZARDS = 12;
/** A course is nine holes or eighteen. */
export const COURSE_HOLES: readonly number[] = [9, 18];

/**
 * @throws InvalidInputError naming the hole and the field
 */
export function requireCourse({ tees, holes }: Pick<Course, 'tees' | 'holes'>): void {
  if (tees.length < 1 || tees.length > MAX_TEES)
    throw new InvalidInputError('tees', `must be 1 to ${MAX_TEES}, not ${tees.length}`);
  if (!COURSE_HOLES.includes(holes.length))
    throw new InvalidInputError('holes', `must be ${COURSE_HOLES.join(' or ')}, not ${holes.length}`);
  holes.forEach((hole, i) => {
    const named = <T>(check: () => T): T => {
      try {
        return check();
      } catch (error) {
        if (error instanceof InvalidInputError)
          throw new InvalidInputError(`hole ${i + 1}: ${error.field}`, error.reason);
        throw error;
      }
    };
    named(() => {
      requireHole(hole, tees.length);
    });
  });
}

/** @throws InvalidInputError naming the field */
export function requireHole(hole: Hole, tees: number): void {
  const { par, bearingDeg, elevationChangeM, corridorM, greenM, lengthsM, hazards } = hole;
  if (lengthsM.length !== tees)
    throw new InvalidInputError('length', `must be given for each of the ${tees} tees`);
  for (const lengthM of lengthsM)
    requireWithin<keyof typeof HOLE_BOUNDS>(
      { par, lengthM, bearingDeg: bearingDeg ?? undefined, elevationChangeM, corridorM, greenM },
      HOLE_BOUNDS,
      ['bearingDeg'],
    );
  if (!Number.isInteger(par)) throw new InvalidInputError('par', `must be a whole number, not ${par}`);
  for (const { fromM, toM } of hazards) {
    requireWithin({ fromM, toM }, HAZARD_BOUNDS);
    if (toM <= fromM)
      throw new InvalidInputError('hazards', `must end after they begin, not go from ${fromM} to ${toM} m`);
  }
}

export function courseLengthM({ holes }: Pick<Course, 'holes'>, tee: number): number {
  return holes.reduce((sum, { lengthsM }) => sum + (lengthsM[tee] ?? 0), 0);
}

/** The usual par of a length. Common practice, no source. */
export function usualPar(lengthM: number): number {
  return lengthM < 230 ? 3 : lengthM < 435 ? 4 : 5;
}

/** A hole to begin with, before its own is recorded: a usual one of that par. Our choice. */
export function usualHole(par: number, lengthsM: readonly number[]): Hole {
  return {
    par,
    lengthsM,
    bearingDeg: null,
    elevationChangeM: 0,
    corridorM: 27,
    hazards: [],
    greenM: 28,
    front: 'open',
    slope: 'flat',
  };
}
