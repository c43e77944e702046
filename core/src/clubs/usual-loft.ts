import { loftFromName, type ClubKind } from './kinds.js';

/** Usual lofts in degrees by number. Common practice, no source. */
export const WOOD_LOFT_DEG: Readonly<Record<number, number>> = {
  2: 13,
  3: 15,
  4: 16.5,
  5: 18,
  7: 21,
  9: 24,
  11: 27,
};
/** Hybrids and driving irons are numbered by the irons they replace. */
export const IRON_LOFT_DEG: Readonly<Record<number, number>> = {
  1: 16,
  2: 18,
  3: 20,
  4: 22.5,
  5: 25.5,
  6: 28.5,
  7: 32,
  8: 36,
  9: 41,
};
export const DRIVER_LOFT_DEG = 10.5;
export const PITCHING_WEDGE_LOFT_DEG = 45;
/** Wedges by the letter or word they are called by. */
const WEDGE_LOFT_DEG: readonly [RegExp, number][] = [
  [/^p\b|^p\/?w|pitch/i, PITCHING_WEDGE_LOFT_DEG],
  [/^[gau]\b|^[gau]\/?w|gap|approach|attack/i, 50],
  [/^s\b|^s\/?w|sand/i, 56],
  [/^l\b|^l\/?w|lob/i, 60],
];
/** From here on the number of a wood, a hybrid or a driving iron is its loft: "Hybrid 22". */
const FIRST_LOFT_DEG = 13;
const LAST_LOFT_DEG = 36;

/** A club as far as its loft goes. */
export interface LoftedClub {
  kind: ClubKind;
  /** What it is called; it may say the loft. */
  name?: string;
  loftDeg?: number | undefined;
}

/**
 * The loft a club of this kind and name usually has, in degrees: "7 iron", "3w", "4h", "PW", "SW 54". Undefined
 * where the name says nothing of it, and of putters and chippers. Sets differ by some degrees.
 */
export function usualLoftOf({ kind, name = '' }: LoftedClub): number | undefined {
  if (kind === 'driver') return DRIVER_LOFT_DEG;
  const byLetter = WEDGE_LOFT_DEG.find(([called]) => called.test(name.trim()))?.[1];
  if (kind === 'wedge') return loftFromName(name, kind) ?? byLetter;
  const number = Number(/(?<![\d.,])\d{1,2}(?![\d.,])/.exec(name)?.[0]);
  // The wedges of a set are often kept as irons.
  if (kind === 'iron') return IRON_LOFT_DEG[number] ?? byLetter;
  if (kind !== 'fairway' && kind !== 'hybrid' && kind !== 'driving iron') return undefined;
  if (number >= FIRST_LOFT_DEG && number <= LAST_LOFT_DEG) return number;
  return (kind === 'fairway' ? WOOD_LOFT_DEG : IRON_LOFT_DEG)[number];
}

/**
 * What a club whose loft is not known carries differs from what its usual loft makes it carry by this share, one
 * standard deviation: about a degree and a half of loft. Our choice.
 */
export const USUAL_LOFT_SHARE = 0.035;

/** The loft a club is taken to have: its own, or the one usual for its name; undefined where neither is known. */
export function loftOrUsual(club: LoftedClub): number | undefined {
  return club.loftDeg ?? usualLoftOf(club);
}
