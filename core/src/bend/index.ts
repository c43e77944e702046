export {
  type BounceWindow,
  type BendRange,
  bendRangeOf,
  bendChoices,
  USUAL_BOUNCE_WINDOW,
} from './bend-range.js';
export { type SleevePosition, GENERIC_SLEEVE, readSleeve, sleeveOf } from './sleeve.js';
export { type BendAnswer, type BendPlan, type LoftChoice, type PlannedBend, bendPlan } from './bend-plan.js';
export { loftChoicesOf } from './loft-choices.js';
