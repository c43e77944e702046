export { gramsForPoints, momentOfPoints, pointsOfMoment, pointsOfWeight } from './lorythmic-scale.js';
export { type ClubParts, knownSwingWeight, partsOf, placeIn, weightOfParts } from './club-parts.js';
export { type BuildTweak, bringTo, buildTweakEffect, gramsForInertia } from './bring-to.js';
export { type TrendKey, TREND_KEYS, type BuiltOtherwise, builtOtherwise, setTrends } from './set-trend.js';
export {
  type ShaftDifference,
  type ShaftOutOfLine,
  SHAFT_STEPS_G,
  nearestShafts,
  shaftTradition,
} from './nearest-shaft.js';
export { WEDGE_SHAFT_SCHOOLS, WEIGHT_DIRECTIONS } from './weight-places.js';
