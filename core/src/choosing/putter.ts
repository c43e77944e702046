import type { LadderClub } from '../spec/index.js';
import type { CourseGround } from '../courses/index.js';

/**
 * What a player holds of putters: a heavier head for slow greens, a heavier one for fast, or the gamer's
 * whatever they do.
 */
export type PutterStrategy = 'gamer' | 'heavy on slow' | 'heavy on fast';
export const PUTTER_STRATEGIES: readonly PutterStrategy[] = ['gamer', 'heavy on slow', 'heavy on fast'];

/**
 * Head weights for a slow and a fast green, grams, and the speeds they are for. Both schools are common
 * practice, no source; the numbers are our choice.
 */
const LIGHT_G = 340;
const HEAVY_G = 375;
const SLOW_M = 2.4;
const FAST_M = 3.6;
/**
 * Twenty grams from what is wanted, in strokes a round; as the square, and never more than a quarter stroke.
 * Our choice.
 */
const TWENTY_GRAMS_STROKES = 0.05;
const MAX_STROKES = 0.25;
/** What another putter than the gamer's costs a player who uses only one. Strokes a round; our choice. */
const STRANGER_STROKES = 0.3;

/** The head weight greens of this speed ask for, grams. */
export function wantedHeadG(
  { greenSpeedM }: Pick<CourseGround, 'greenSpeedM'>,
  school: Exclude<PutterStrategy, 'gamer'>,
): number {
  const fast = Math.min(1, Math.max(0, (greenSpeedM - SLOW_M) / (FAST_M - SLOW_M)));
  return school === 'heavy on fast'
    ? LIGHT_G + fast * (HEAVY_G - LIGHT_G)
    : HEAVY_G - fast * (HEAVY_G - LIGHT_G);
}

/** What a putter costs on these greens, strokes a round; a head that was not weighed costs nothing. */
export function putterStrokes(
  putter: LadderClub,
  ground: CourseGround,
  school: PutterStrategy,
  inGamer: boolean,
): number {
  if (school === 'gamer') return inGamer ? 0 : STRANGER_STROKES;
  if (putter.headWeightG === undefined) return 0;
  return Math.min(
    MAX_STROKES,
    TWENTY_GRAMS_STROKES * ((putter.headWeightG - wantedHeadG(ground, school)) / 20) ** 2,
  );
}
