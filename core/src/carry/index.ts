export { bendOutcome } from './bend-outcome.js';
export { carryCovariance, carryErrors, knownShare } from './carry-covariance.js';
export { type CarryEstimate, type CarryCurve, carryCurve, modelledShot, predictedOf } from './carry-curve.js';
export { SWING_SPEEDS_MPS, USUAL_LOFT_DEG, launchOfShot } from './launch-of-shot.js';
export { placedClubs } from './placed-clubs.js';
export { SHUT_DEG_PER_SLEEVE_DEG, type Tweak, TWEAK_BOUNDS, type TweakEffect, whatIf } from './what-if.js';
