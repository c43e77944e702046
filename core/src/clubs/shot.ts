import { NORMAL_95 } from '../statistics/index.js';

/** The shots a player may own with one club. */
export type ShotKind = 'full' | 'hard' | 'soft' | 'choked' | 'three-quarter' | 'half';

export const SHOT_KINDS: readonly ShotKind[] = ['full', 'hard', 'soft', 'choked', 'three-quarter', 'half'];

/** Where a carry comes from. They look different everywhere, and modelled never overwrites measured. */
export type ShotSource = 'measured' | 'stated' | 'modelled';

export const SHOT_SOURCES: readonly ShotSource[] = ['measured', 'stated', 'modelled'];

/**
 * One shot of one club. Distances in metres, angles in degrees.
 * `spreadM` is one standard deviation of carry; `plusMinusM` is half the 95 % interval of a shot that was modelled, or moved to other air, and of
 * one that was stated half of what it was said to lie between.
 */
export interface Shot {
  carryM: number;
  totalM?: number;
  apexM?: number;
  descentDeg?: number;
  spreadM?: number;
  /** One standard deviation across the line. */
  sideSpreadM?: number;
  /** How much farther a good one carries off a tee than off the turf, where the player says so; less than zero for shorter. A driver's carry is one from a tee: of it, nothing. */
  teeGainM?: number;
  source: ShotSource;
  /** How many shots were measured. */
  sampleSize?: number;
  plusMinusM?: number;
  /** Where and in what air, in words. */
  conditions?: string;
}

/** Standard error of a shot's mean carry in metres, or undefined when nothing is known of it. */
export function carryStandardErrorM(shot: Shot): number | undefined {
  if (shot.source !== 'stated' && shot.plusMinusM !== undefined) return shot.plusMinusM / NORMAL_95;
  if (
    shot.source === 'measured' &&
    shot.spreadM !== undefined &&
    shot.sampleSize !== undefined &&
    shot.sampleSize > 1
  ) {
    return shot.spreadM / Math.sqrt(shot.sampleSize);
  }
  return undefined;
}

/** A carry somebody stated is within this share of itself, one standard deviation. Ours. */
export const STATED_CARRY_SHARE = 0.04;

/** Nobody states a carry closer than this share of itself, one standard deviation, however narrow a range. Ours. */
const MIN_STATED_SHARE = 0.01;

/** The same for any shot: one nobody measured or modelled is as good as a stated one, or as the range it was stated in. Metres. */
export function carryErrorM(shot: Shot): number {
  const known = carryStandardErrorM(shot);
  if (known !== undefined) return known;
  return shot.source === 'stated' && shot.plusMinusM !== undefined
    ? Math.max(shot.plusMinusM / NORMAL_95, shot.carryM * MIN_STATED_SHARE)
    : shot.carryM * STATED_CARRY_SHARE;
}
