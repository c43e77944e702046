export { COMMITTEE_DECIDES, clubsTooMany, bagFindings } from './bag-rules.js';
export { type SwapEffect, swapEffects, changedSteps, turnedSteps } from './swap-effect.js';
export { type Swap, SwapError, applySwaps } from './swaps.js';
