import { InvalidInputError } from '../invalid-input-error.js';

/** Where the ball comes down. */
export type Area = 'fairway' | 'green';
export const AREAS: readonly Area[] = ['fairway', 'green'];

/** How hard the ground is, softest first. */
export type Firmness = 'soaked' | 'soft' | 'medium' | 'firm' | 'baked';
export const FIRMNESSES: readonly Firmness[] = ['soaked', 'soft', 'medium', 'firm', 'baked'];

export type Grass = 'fescue' | 'bent' | 'rye' | 'bermuda' | 'kikuyu';
export const GRASSES: readonly Grass[] = ['fescue', 'bent', 'rye', 'bermuda', 'kikuyu'];

export interface Surface {
  area: Area;
  firmness: Firmness;
  grass: Grass;
}

export const MEDIUM_FAIRWAY: Surface = { area: 'fairway', firmness: 'medium', grass: 'bent' };

/**
 * What the run of a ball needs to know of the ground. All are our choice; docs/numbers.md says what they were
 * set against.
 */
export interface Ground {
  /**
   * How deep a landing ball digs, against the turf the bounce law was measured on: scales the tilt of the
   * surface it meets.
   */
  dig: number;
  /** How much it springs back, against the same. */
  spring: number;
  /** Sliding friction of ball on turf. */
  friction: number;
  /** Rolling resistance: deceleration of a rolling ball is 5/7 of this times g. */
  rolling: number;
}

const FIRMNESS: Record<Firmness, { dig: number; spring: number; rolling: number }> = {
  soaked: { dig: 1.8, spring: 0.51, rolling: 1.8 },
  soft: { dig: 1.46, spring: 0.88, rolling: 1.3 },
  medium: { dig: 1, spring: 1, rolling: 1 },
  firm: { dig: 0.962, spring: 1.01, rolling: 0.8 },
  baked: { dig: 0.631, spring: 1.073, rolling: 0.617 },
};
/**
 * Friction against bent grass, and rolling resistance against it where it is left longer and where it is cut
 * to a green.
 */
const GRASS: Record<Grass, { friction: number; rolling: Record<Area, number> }> = {
  fescue: { friction: 0.92, rolling: { fairway: 0.85, green: 1 } },
  bent: { friction: 1, rolling: { fairway: 1, green: 1 } },
  rye: { friction: 1.05, rolling: { fairway: 1.1, green: 1.1 } },
  bermuda: { friction: 1.1, rolling: { fairway: 1.2, green: 1.15 } },
  kikuyu: { friction: 1.2, rolling: { fairway: 1.5, green: 1.4 } },
};
/**
 * Bent grass on medium ground. The green takes a deeper pitch mark; its rolling is a ball that goes 3.0 m
 * from a speed of 1.83 m/s.
 */
const AREA: Record<Area, { dig: number; friction: number; rolling: number }> = {
  fairway: { dig: 1, friction: 0.188, rolling: 0.134 },
  green: { dig: 1.724, friction: 0.17, rolling: 0.079 },
};

export function groundOf({ area, firmness, grass }: Surface): Ground {
  return {
    dig: AREA[area].dig * FIRMNESS[firmness].dig,
    spring: FIRMNESS[firmness].spring,
    friction: AREA[area].friction * GRASS[grass].friction,
    rolling: AREA[area].rolling * GRASS[grass].rolling[area] * FIRMNESS[firmness].rolling,
  };
}

/** @throws InvalidInputError naming the part that is not known */
export function requireSurface(surface: Surface): void {
  const known = { area: AREAS, firmness: FIRMNESSES, grass: GRASSES } as const;
  for (const part of Object.keys(known) as (keyof Surface)[]) {
    if (!(known[part] as readonly string[]).includes(surface[part]))
      throw new InvalidInputError(`surface.${part}`, `must be one of ${known[part].join(', ')}`);
  }
}
