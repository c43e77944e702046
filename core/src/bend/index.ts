export { type BounceWindow, bendRangeOf, bendChoices, USUAL_BOUNCE_WINDOW } from './bend-range.js';
export { GENERIC_SLEEVE, readSleeve, sleeveOf, turnWords } from './sleeve.js';
export { type BendAnswer, type BendPlan, type LoftChoice, type PlannedBend, bendPlan } from './bend-plan.js';
export { bendAnswerWords, bendPlanWords, byDegreesWords, offsetWords } from './bend-words.js';
export { loftChoicesOf } from './loft-choices.js';
