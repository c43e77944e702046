export type { BuildParts } from './build.js';
export {
  type Question,
  QUESTIONS,
  type Margins,
  type MarginPart,
  USUAL_MARGINS,
  MARGIN_BOUNDS,
  MAX_BUILDS,
  type Difference,
  type Pair,
  type BuildSummary,
  type Comparison,
  HOLDS_M,
  compareBuilds,
  wishOf,
} from './compare-builds.js';
export { type Crossing, crossingOf } from './main-effects.js';
export { FEWEST_STRIKES, type Measure } from './measures.js';
export { type Turn, TEST_ORDER_BOUNDS, testOrder } from './test-order.js';
