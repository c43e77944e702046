import { LIES, type Lie } from '../plays-like/index.js';
import type { Slope, Hazard } from '../courses/index.js';
import { InvalidInputError, requireWithin, type Bounds } from '../invalid-input-error.js';

/**
 * A shot a round asks for. Metres; weights are counted against each other, so that only their proportions
 * matter.
 */
export interface ShotDemand {
  /** Of a derived one: the same every time the round is worked out, so that changes can be kept by it. */
  id?: string;
  /** "second at the 7th". */
  name: string;
  /** The same without its hole, beside which it is read. */
  stroke?: string;
  /** At a green, or down a fairway with more to come. */
  to: 'green' | 'fairway';
  /** To where the ball is to come to rest, as it is walked. */
  distanceM: number;
  lie: Lie;
  /** The ball must come down on the green and stay; else it may run there. */
  mustHold: boolean;
  weight: number;
  /** Half the width of what is aimed at, the green's radius or half the fairway. */
  halfM?: number;
  /** To a fairway: how much is left from the aim to the hole. */
  leftM?: number;
  hole?: number;
  /**
   * How far from the hole it is hit, as many shots from each place; what it stands for when it was gathered
   * from many.
   */
  hitFromM?: readonly number[];
  /** The wind it is hit in: 0 in the face, 90 from the right. */
  windMps?: number;
  windFromDeg?: number;
  /** Where it comes down, above the ball. */
  elevationChangeM?: number;
  /** What lies before a green that must be held; sand where it is not given. */
  front?: 'sand' | 'water';
  slope?: Slope;
  /** To a fairway: what may be hit into, by its distance from the ball. */
  hazards?: readonly Hazard[];
  /** What missing costs beyond a usual rough. */
  missStrokes?: number;
  /** The stock carry, at home, of this player's shot that ends there. */
  playsLikeM?: number;
}

/** What identifies a demand: the id of a derived one, the name of one entered by hand. */
export function demandKey({ id, name }: Pick<ShotDemand, 'id' | 'name'>): string {
  return id ?? name;
}

/** Shots to a green from no farther are played by feel: chips, pitches, bunker shots. */
export const TOUCH_M = 35;

export const MAX_HIT_FROM = 12;

export const DEMAND_BOUNDS: Bounds<
  | 'distanceM'
  | 'weight'
  | 'halfM'
  | 'leftM'
  | 'hitFromM'
  | 'hole'
  | 'windMps'
  | 'windFromDeg'
  | 'elevationChangeM'
  | 'missStrokes'
  | 'playsLikeM'
> = {
  distanceM: [1, 600],
  weight: [0, 1000],
  halfM: [3, 60],
  leftM: [1, 700],
  hitFromM: [1, 1300],
  hole: [1, 18],
  windMps: [0, 30],
  windFromDeg: [0, 360],
  elevationChangeM: [-80, 80],
  missStrokes: [-1, 2],
  playsLikeM: [1, 500],
};

/** @throws InvalidInputError naming the field */
export function requireDemand({
  distanceM,
  weight,
  halfM,
  leftM,
  hole,
  windMps,
  windFromDeg,
  elevationChangeM,
  missStrokes,
  playsLikeM,
  hitFromM = [],
  lie,
}: ShotDemand): void {
  requireWithin<keyof typeof DEMAND_BOUNDS>(
    {
      distanceM,
      weight,
      halfM,
      leftM,
      hole,
      windMps,
      windFromDeg,
      elevationChangeM,
      missStrokes,
      playsLikeM,
    },
    DEMAND_BOUNDS,
    [
      'halfM',
      'leftM',
      'hitFromM',
      'hole',
      'windMps',
      'windFromDeg',
      'elevationChangeM',
      'missStrokes',
      'playsLikeM',
    ],
  );
  if (hitFromM.length > MAX_HIT_FROM)
    throw new InvalidInputError('hitFromM', `must be at most ${MAX_HIT_FROM} places, not ${hitFromM.length}`);
  for (const from of hitFromM) requireWithin({ hitFromM: from }, { hitFromM: DEMAND_BOUNDS.hitFromM });
  if (!LIES[lie]) throw new InvalidInputError('lie', `must be one of ${Object.keys(LIES).join(', ')}`);
}
