import type { Launch } from '../flight/index.js';
import type { ClubKind } from '../clubs/index.js';

/** What the ball lies on. */
export type Lie =
  | 'tee'
  | 'fairway'
  | 'tight'
  | 'light rough'
  | 'light rough, wet'
  | 'heavy rough'
  | 'heavy rough, wet'
  | 'sand';

/**
 * What a lie does to the launch against a good fairway lie, as factors of ball speed and spin and degrees of
 * launch. Grass between ball and face takes friction and so spin: from light rough the ball flies out with
 * less spin (the flyer) at nearly full speed; wet takes more. Common practice, no source; the sizes are our
 * choice and uncertain by about half of themselves.
 */
interface LieEffect {
  speed: number;
  spin: number;
  launchDeg: number;
  /** Spread against that from the fairway. */
  spread: number;
}

export const LIES: Record<Lie, LieEffect> = {
  tee: { speed: 1, spin: 0.95, launchDeg: 0.5, spread: 0.95 },
  fairway: { speed: 1, spin: 1, launchDeg: 0, spread: 1 },
  tight: { speed: 0.99, spin: 1.05, launchDeg: -0.5, spread: 1.1 },
  'light rough': { speed: 0.985, spin: 0.7, launchDeg: 1, spread: 1.3 },
  'light rough, wet': { speed: 0.97, spin: 0.5, launchDeg: 1.5, spread: 1.5 },
  'heavy rough': { speed: 0.86, spin: 0.55, launchDeg: 1.5, spread: 1.9 },
  'heavy rough, wet': { speed: 0.78, spin: 0.4, launchDeg: 2, spread: 2.3 },
  sand: { speed: 0.95, spin: 0.9, launchDeg: -0.5, spread: 1.6 },
};

/** As people choose among them. */
export const LIE_NAMES = Object.keys(LIES) as readonly Lie[];

/**
 * How much worse than an iron a head gets out of grass and sand, as a factor of what the lie does. Our choice.
 */
const LIE_HURTS: Partial<Record<ClubKind, number>> = {
  driver: 1.6,
  fairway: 1.15,
  hybrid: 0.85,
  'driving iron': 1.35,
  wedge: 0.85,
};

/**
 * What this lie takes from a head of that kind, as a factor of what it takes from an iron; 1 from the tee and
 * the fairway.
 */
export function lieHurts(kind: ClubKind, lie: Lie): number {
  return lie === 'tee' || lie === 'fairway' ? 1 : (LIE_HURTS[kind] ?? 1);
}

/** A launch from this lie. */
export function fromLie(launch: Launch, kind: ClubKind, lie: Lie): Launch {
  const effect = LIES[lie];
  const hurt = lieHurts(kind, lie);
  return {
    ...launch,
    ballSpeedMps: launch.ballSpeedMps * (1 - (1 - effect.speed) * hurt),
    spinRpm: launch.spinRpm * effect.spin,
    launchDeg: launch.launchDeg + effect.launchDeg,
  };
}
