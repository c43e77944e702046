export {
  bagLossVerdict,
  bagWhy,
  factorSentence,
  howSureSentence,
  lossWords,
  BOUNCE_STRATEGY_WORDS,
  NO_DISTANCE_WORDS,
  lockerFindingSentence,
  proofWords,
} from './bag-words.js';
export { basketReasonSentence, basketSentence, leftOutOfBasketSentence } from './basket-words.js';
export { bendAnswerWords, bendPlanWords, bendRangeWords, byDegreesWords, offsetWords } from './bend-words.js';
export { calibrationWords } from './calibration-words.js';
export { cutName } from './cut-name.js';
export { caddieLine, ownShotLines, slowSwingWords } from './card-words.js';
export { BENDING_CAUTION, COMMITTEE_DECIDES } from './cautions.js';
export { counted, decimals, digits } from './counted.js';
export { listed } from './listed.js';
export {
  QUESTION_WORDS,
  differenceWords,
  pairSentence,
  mixedWarning,
  marginWords,
  tooFewWords,
} from './comparison-words.js';
export { UNPLACED_WORDS, flagSentence, bagHeadline, headlineWords, stepSentence } from './gap-words.js';
export { bagEvennessWords, evennessChangeWords, evennessWords } from './evenness-words.js';
export { LIE_WORDS } from './lie-words.js';
export { clubOfLoftWords, noRemediesWords, remedyWords } from './remedy-words.js';
export { bagFindingSentence } from './rules-words.js';
export { clashSentence, seasonSentence } from './season-words.js';
export {
  changeWords,
  factSourceWords,
  shapeWords,
  shotKindWords,
  shotName,
  sourceWords,
} from './shot-words.js';
export { handicapText, skillWords } from './skill-words.js';
export { turnWords } from './sleeve-words.js';
export {
  builtOtherwiseWords,
  shaftDifferenceWords,
  shaftTraditionSentence,
  swingWeightWords,
  wrapsWords,
} from './weight-words.js';
export { outlierWords } from './strike-words.js';
