import { FIRMNESSES, GRASSES, type Firmness, type Grass } from '../run-out/index.js';
import { InvalidInputError } from '../invalid-input-error.js';
import type { Lie } from '../plays-like/index.js';

export type RoughLength = 'short' | 'medium' | 'long';
export const ROUGH_LENGTHS: readonly RoughLength[] = ['short', 'medium', 'long'];

/** How sand lies: a hard bed, or fluff a sole sinks into. */
export type Sand = 'hard' | 'medium' | 'fluffy';
export const SANDS: readonly Sand[] = ['hard', 'medium', 'fluffy'];

/** How a course plays underfoot on a day. */
export interface CourseGround {
  grass: Grass;
  fairways: Firmness;
  greens: Firmness;
  rough: RoughLength;
  wet: boolean;
  sand: Sand;
  /** How far a ball rolls that leaves the ramp of a green-speed gauge: about 2.4 m is slow, 3.7 m fast. */
  greenSpeedM: number;
}

export const GREEN_SPEED_M = [1.5, 4.5] as const;
export const USUAL_GROUND: CourseGround = {
  grass: 'bent',
  fairways: 'medium',
  greens: 'medium',
  rough: 'medium',
  wet: false,
  sand: 'medium',
  greenSpeedM: 3,
};

/** @throws InvalidInputError naming the part that is not known, or out of bounds */
export function requireGround(ground: CourseGround): void {
  const known: readonly (readonly [keyof CourseGround, readonly string[]])[] = [
    ['grass', GRASSES],
    ['fairways', FIRMNESSES],
    ['greens', FIRMNESSES],
    ['rough', ROUGH_LENGTHS],
    ['sand', SANDS],
  ];
  for (const [part, of] of known)
    if (!of.includes(ground[part] as string))
      throw new InvalidInputError(`ground.${part}`, `must be one of ${of.join(', ')}`);
  const [min, max] = GREEN_SPEED_M;
  if (!(ground.greenSpeedM >= min && ground.greenSpeedM <= max))
    throw new InvalidInputError(
      'ground.greenSpeedM',
      `must be between ${min} and ${max}, not ${ground.greenSpeedM}`,
    );
}

/** What a ball off the fairway lies in. */
export function roughLie({ rough, wet }: Pick<CourseGround, 'rough' | 'wet'>): Lie {
  const lie: Lie = rough === 'long' ? 'heavy rough' : 'light rough';
  return wet ? (`${lie}, wet` as Lie) : lie;
}

/** What missing into this rough costs beyond the rough of Broadie's table. Strokes; our choice. */
export function roughStrokes({ rough, wet }: Pick<CourseGround, 'rough' | 'wet'>): number {
  return { short: -0.05, medium: 0, long: 0.12 }[rough] + (wet ? 0.04 : 0);
}
