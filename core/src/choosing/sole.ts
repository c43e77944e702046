import type { LadderClub } from '../spec/index.js';
import { isWedge } from '../clubs/index.js';
import type { Lie } from '../plays-like/index.js';
import type { CourseGround } from '../courses/index.js';
import type { Firmness } from '../run-out/index.js';

/**
 * What a player holds of bounce: matched to turf and sand; always low, because hands make it versatile; one
 * in the middle for everywhere.
 */
export type BounceStrategy = 'match' | 'low' | 'middle';
export const BOUNCE_STRATEGIES: readonly BounceStrategy[] = ['match', 'low', 'middle'];

/*
 * Firm and tight turf wants less bounce, soft turf and fluffy sand more: common practice, no source. The degrees
 * are our choice.
 */
const TURF_BOUNCE: Record<Firmness, number> = { soaked: 14, soft: 12, medium: 10, firm: 7, baked: 5 };
const SAND_BOUNCE: Record<CourseGround['sand'], number> = { hard: 6, medium: 10, fluffy: 14 };
const MIDDLE_BOUNCE = 10;
/** Up to here bounce is low enough for a player who wants it low. */
const LOW_BOUNCE = 6;
/** What a grind adds to the bounce a player meets. Our choice. */
const GRINDS: readonly (readonly [RegExp, number])[] = [
  [/wide/i, 2],
  [/full/i, 1],
  [/heel and toe/i, -2],
  [/heel|toe/i, -1],
];
/**
 * A shot with five degrees too much or too little costs this much; as the square, and never more than four
 * times it. Strokes; our choice.
 */
const FIVE_DEGREES_STROKES = 0.012;

/** The bounce a sole plays with: what is stamped, and what its grind adds or takes. */
export function playingBounceDeg({
  bounceDeg,
  grind,
}: Pick<LadderClub, 'bounceDeg' | 'grind'>): number | undefined {
  if (bounceDeg === undefined) return undefined;
  return bounceDeg + (GRINDS.find(([pattern]) => pattern.test(grind ?? ''))?.[1] ?? 0);
}

/** The bounce asked for by what the ball lies on. */
export function wantedBounceDeg(lie: Lie, ground: CourseGround, school: BounceStrategy): number {
  if (school === 'low') return LOW_BOUNCE;
  if (school === 'middle') return MIDDLE_BOUNCE;
  if (lie === 'sand') return SAND_BOUNCE[ground.sand];
  return TURF_BOUNCE[ground.fairways] + (lie.includes('rough') ? 1 : 0);
}

/**
 * What a wedge's sole costs a shot from this lie; nothing where its bounce is not known, or it stands on a tee.
 */
export function soleStrokes(
  club: LadderClub,
  lie: Lie,
  ground: CourseGround,
  school: BounceStrategy,
): number {
  const bounce = playingBounceDeg(club);
  if (
    bounce === undefined ||
    lie === 'tee' ||
    !isWedge({ kind: club.kind, ...(club.loftDeg !== undefined && { loftDeg: club.loftDeg }) })
  )
    return 0;
  const off = bounce - wantedBounceDeg(lie, ground, school);
  if (school === 'low' && off < 0) return 0;
  return FIVE_DEGREES_STROKES * Math.min(4, (off / 5) ** 2);
}
