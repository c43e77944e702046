export { type CompleteStrike, airsOf, completeStrike } from './complete-strike.js';
export { type Drift, driftOf } from './drift.js';
export { measuredShot } from './measured-shot.js';
export {
  type Strike,
  type StrikePart,
  STRIKE_BOUNDS,
  STRIKE_PARTS,
  SMASH_BOUNDS,
  smashOf,
  ENOUGH_FOR_A_FLIGHT,
  isEnough,
  type StrikeClub,
} from './strike.js';
export { MIN_TEE_BALLS, teeGainOf } from './tee-gain.js';
export {
  type Middle,
  type StrikeSummary,
  type Outlier,
  CARRY_MARGIN_M,
  summariseStrikes,
  outliersOf,
} from './summary.js';
