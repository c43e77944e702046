export { type BagFinding, clubsTooMany, bagFindings } from './bag-rules.js';
export { type SwapEffect, swapEffects, changedSteps, turnedSteps } from './swap-effect.js';
export { type Swap, SwapError, applySwaps, swapsBetween, swapsThatApply } from './swaps.js';
export { MAKE_UP_BOUNDS, USUAL_MAKE_UP, type MakeUp, usualBag } from './usual-bag.js';
