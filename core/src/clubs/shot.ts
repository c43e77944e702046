import { NORMAL_95 } from '../statistics/index.js';

/** The shots most players own with one club. */
export type UsualShotKind = 'full' | 'hard' | 'soft' | 'choked' | 'three-quarter' | 'half';
/**
 * A shot a player owns with one club: a usual one, or one of the player's own, which has a name after it:
 * "choked: into the wind", "full: cut".
 */
export type ShotKind = UsualShotKind | `${UsualShotKind}: ${string}`;

/** The usual ones, in the order they are shown in. */
export const SHOT_KINDS: readonly UsualShotKind[] = [
  'full',
  'hard',
  'soft',
  'choked',
  'three-quarter',
  'half',
];
/** Shots of a player's own with one club at most, and how long a name may be. Our choice. */
export const MAX_OWN_SHOTS = 6;
export const MAX_SHOT_NAME = 24;

/** No separators of lists and addresses, and nothing that cannot be printed. */
const IN_NAME = '[^\\p{C}:,;~]';
const AT_ITS_ENDS = '[^\\p{C}\\s:,;~]';
const OWN = new RegExp(
  `^(${SHOT_KINDS.join('|')}): (${AT_ITS_ENDS}(?:${IN_NAME}{0,${MAX_SHOT_NAME - 2}}${AT_ITS_ENDS})?)$`,
  'u',
);

/** Whether a text is a shot kind, of a player's own too. */
export function isShotKind(text: string): text is ShotKind {
  return (SHOT_KINDS as readonly string[]).includes(text) || OWN.test(text);
}

/** The usual shot that a shot is, or is one of. */
export function usualShotOf(kind: ShotKind): UsualShotKind {
  return kind.split(': ')[0] as UsualShotKind;
}

/** The name of a shot of a player's own: "into the wind"; undefined for a usual one. */
export function ownShotName(kind: ShotKind): string | undefined {
  return OWN.exec(kind)?.[2];
}

/** The shots of a club with their kinds, as they stand. */
export function shotsIn<T>(shots: Partial<Record<ShotKind, T>>): [ShotKind, T][] {
  return (Object.entries(shots) as [ShotKind, T | undefined][]).filter(
    (one): one is [ShotKind, T] => one[1] !== undefined,
  );
}

/** The shots of a club, the usual ones in their order and the player's own after the one each belongs to. */
export function shotKindsIn(shots: Partial<Record<ShotKind, unknown>>): ShotKind[] {
  const kinds = Object.keys(shots) as ShotKind[];
  const place = (kind: ShotKind) => SHOT_KINDS.indexOf(usualShotOf(kind));
  return kinds
    .filter((kind) => shots[kind] !== undefined)
    .sort((a, b) => place(a) - place(b) || (ownShotName(a) ?? '').localeCompare(ownShotName(b) ?? ''));
}

/** Where a carry comes from. They look different everywhere, and modelled never overwrites measured. */
export type ShotSource = 'measured' | 'stated' | 'modelled';

export const SHOT_SOURCES: readonly ShotSource[] = ['measured', 'stated', 'modelled'];

/**
 * One shot of one club. Distances in metres, angles in degrees. `spreadM` is one standard deviation of carry;
 * `plusMinusM` is half the 95 % interval of a shot that was modelled, or moved to other air, and of one that
 * was stated half of what it was said to lie between.
 */
export interface Shot {
  carryM: number;
  totalM?: number;
  apexM?: number;
  descentDeg?: number;
  spreadM?: number;
  /** One standard deviation across the line. */
  sideSpreadM?: number;
  /**
   * How much farther a good one carries off a tee than off the turf, where the player says so; less than zero
   * for shorter. A driver's carry is one from a tee: of it, nothing.
   */
  teeGainM?: number;
  source: ShotSource;
  /** How many shots were measured. */
  sampleSize?: number;
  plusMinusM?: number;
  /**
   * Where it starts, degrees right of the target line; and how far it has curved to the right of that where
   * it lands, metres.
   */
  startDeg?: number;
  curveM?: number;
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

/** A stated carry is within this share of itself, one standard deviation. Our choice. */
export const STATED_CARRY_SHARE = 0.04;

/**
 * No stated carry is taken to be closer than this share of itself, one standard deviation, however narrow a
 * range. Our choice.
 */
const MIN_STATED_SHARE = 0.01;

/**
 * The same for any shot: one that was neither measured nor modelled is as good as a stated one, or as the range
 * it was stated in. Metres.
 */
export function carryErrorM(shot: Shot): number {
  const known = carryStandardErrorM(shot);
  if (known !== undefined) return known;
  return shot.source === 'stated' && shot.plusMinusM !== undefined
    ? Math.max(shot.plusMinusM / NORMAL_95, shot.carryM * MIN_STATED_SHARE)
    : shot.carryM * STATED_CARRY_SHARE;
}
