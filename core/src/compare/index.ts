export type { BuildParts } from './build.js';
export {
  type Question,
  type Margins,
  type MarginPart,
  USUAL_MARGINS,
  MARGIN_BOUNDS,
  MAX_BUILDS,
  FEWEST_STRIKES,
  type Difference,
  type Pair,
  type Comparison,
  compareBuilds,
} from './compare-builds.js';
export { differenceWords, pairSentence, mixedWarning, marginWords } from './comparison-words.js';
export { type Turn, TEST_ORDER_BOUNDS, testOrder } from './test-order.js';
