export { carryCovariance, knownShare } from './carry-covariance.js';
export { type CarryEstimate, type CarryCurve, carryCurve } from './carry-curve.js';
export { SWING_SPEEDS_MPS, USUAL_LOFT_DEG, launchOfShot } from './launch-of-shot.js';
export { placedClubs } from './placed-clubs.js';
export { type Tweak, TWEAK_BOUNDS, type TweakEffect, whatIf } from './what-if.js';
