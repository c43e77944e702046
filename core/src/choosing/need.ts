import type { ClubKind } from '../clubs/kinds.js';
import type { Shot, ShotKind } from '../clubs/shot.js';
import { LIES, type Lie } from '../conditions/lies.js';
import { RefusedInput, requireWithin, type Bounds } from '../refused-input.js';
import { expectedStrokes } from '../strokes/expected-strokes.js';
import { middlesOf, overScatter } from '../strokes/value-of-spread.js';

/** A shot a round asks for. Metres; weights are counted against each other, so that only their proportions matter. */
export interface Need {
  /** "7th, second shot". */
  name: string;
  /** At a green, or down a fairway with more to come. */
  to: 'green' | 'fairway';
  /** Plays-like, to where the ball is to come to rest. */
  distanceM: number;
  lie: Lie;
  /** The ball must come down on the green and stay; else it may run there. */
  mustHold: boolean;
  weight: number;
  /** Half the width of what is aimed at, the green's radius or half the fairway. */
  halfM?: number;
  /** To a fairway: how much is left from the aim to the hole. */
  leftM?: number;
}

export const NEED_BOUNDS: Bounds<'distanceM' | 'weight' | 'halfM' | 'leftM'> = { distanceM: [1, 400], weight: [0, 1000], halfM: [3, 60], leftM: [1, 600] };

/** @throws RefusedInput naming the field */
export function requireNeed(need: Need): void {
  requireWithin<keyof typeof NEED_BOUNDS>({ distanceM: need.distanceM, weight: need.weight, halfM: need.halfM, leftM: need.leftM }, NEED_BOUNDS, ['halfM', 'leftM']);
  if (!LIES[need.lie]) throw new RefusedInput('lie', `must be one of ${Object.keys(LIES).join(', ')}`);
}

/** A usual green and fairway where a need says nothing of its own; ours. */
const USUAL_HALF_M = { green: 13, fairway: 15 } as const;
const USUAL_LEFT_M = 130;
/** What is not known of a shot: spread as a share of the carry, scatter across against along, run. From memory of good players. */
const USUAL_SPREAD = 0.03;
const ACROSS_PER_ALONG = 1.3;
const USUAL_RUN_M = 3;
/** A shot asked to do more, or less, than a full swing is a little likelier to go wrong. Strokes; ours. */
const EFFORT: Record<ShotKind, number> = { full: 0, hard: 0.03, soft: 0.01, choked: 0.01, 'three-quarter': 0.02, half: 0.03 };
/** How much worse than an iron a head gets out of grass and sand, as a factor of what the lie does. Ours. */
const LIE_HURTS: Partial<Record<ClubKind, number>> = { driver: 1.6, fairway: 1.15, hybrid: 0.85, 'driving iron': 1.35, wedge: 0.85 };
/** Speed lost is carry lost, and a little more. */
const CARRY_PER_SPEED = 1.4;
/** Nobody drives off the ground without losing something. Strokes; ours. */
const DRIVER_OFF_THE_GROUND = 0.25;
/** Twelve places each way are within a hundredth of a stroke of the twenty-four a single figure is given with. */
const PLACES = middlesOf(12);
/** A club with no shot for it: as good as a stroke and a half lost. Ours. */
const NO_SHOT_STROKES = 1.5;

/**
 * Strokes from this shot to the hole: the one that is hit, and what is expected after it, over where it may come to rest. A ball for a green
 * that must hold and comes down short of it lies in the sand before it; anything off the green or the fairway lies in the rough. Broadie's
 * strokes to hole out (see `expectedStrokes`); the scatter is normal.
 */
export function strokesFor(need: Need, kind: ClubKind, shotKind: ShotKind, shot: Shot): number {
  const { spread, speed } = LIES[need.lie];
  const rough = need.lie !== 'tee' && need.lie !== 'fairway';
  const hurt = rough ? LIE_HURTS[kind] ?? 1 : 1;
  const carryM = shot.carryM * (1 - (1 - speed) * hurt) ** CARRY_PER_SPEED;
  const runM = Math.max(0, (shot.totalM ?? shot.carryM + USUAL_RUN_M) - shot.carryM);
  const alongM = (shot.spreadM ?? shot.carryM * USUAL_SPREAD) * (1 + (spread - 1) * hurt);
  const halfM = need.halfM ?? USUAL_HALF_M[need.to];
  const short = carryM + runM - need.distanceM;
  const effort = EFFORT[shotKind] + (kind === 'driver' && need.lie !== 'tee' ? DRIVER_OFF_THE_GROUND : 0);
  return 1 + effort + overScatter({ alongM, acrossM: alongM * ACROSS_PER_ALONG }, (along, across) => {
    const rest = short + along;
    if (need.to === 'fairway') return expectedStrokes(Math.abs(across) <= halfM ? 'fairway' : 'rough', Math.max(1, Math.hypot((need.leftM ?? USUAL_LEFT_M) - rest, across)));
    const off = Math.hypot(rest, across);
    // Where it comes down decides, not where it would have run to.
    if (need.mustHold && rest - runM < -halfM) return expectedStrokes('sand', Math.hypot(rest - runM, across));
    return expectedStrokes(off <= halfM ? 'green' : 'rough', off);
  }, PLACES);
}

/** What a need costs with a club: its best shot for it, or what is lost when it has none. */
export function strokesWith(need: Need, club: { kind: ClubKind; shots: Partial<Record<ShotKind, Shot>> }): { strokes: number; shot: ShotKind | undefined } {
  let best: { strokes: number; shot: ShotKind | undefined } = { strokes: Infinity, shot: undefined };
  for (const [shotKind, shot] of Object.entries(club.shots) as [ShotKind, Shot][]) {
    const strokes = strokesFor(need, club.kind, shotKind, shot);
    if (strokes < best.strokes) best = { strokes, shot: shotKind };
  }
  if (best.shot) return best;
  return { strokes: 1 + NO_SHOT_STROKES + expectedStrokes('rough', need.to === 'green' ? need.distanceM : (need.leftM ?? USUAL_LEFT_M) + need.distanceM), shot: undefined };
}
