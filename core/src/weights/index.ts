export {
  gramsForPoints,
  momentOfPoints,
  pointsOfMoment,
  pointsOfWeight,
  swingWeightWords,
} from './lorythmic-scale.js';
export {
  type ClubParts,
  type ClubWeight,
  type WeightPlace,
  WEIGHT_PLACES,
  knownSwingWeight,
  partsOf,
  placeIn,
  weightOfParts,
} from './club-parts.js';
export {
  type BringTo,
  type BuildTweak,
  type BuildTweakEffect,
  bringTo,
  buildTweakEffect,
  gramsForInertia,
} from './bring-to.js';
export {
  type SetTrend,
  type TrendKey,
  type TrendPoint,
  TREND_KEYS,
  builtOtherwise,
  setTrends,
} from './set-trend.js';
export { gripThicker } from './grip.js';
export { type NearShaft, nearestShafts, shaftTradition } from './nearest-shaft.js';
