export { specDifferences } from './differences.js';
export { type LadderClub, ladderClub } from './ladder-club.js';
export {
  LOFT_KEYS,
  type LoftKey,
  loftPlace,
  playingLoft,
  shownLoftKey,
  usualLoftKey,
} from './playing-loft.js';
export {
  type Quantity,
  type QuantityKey,
  CLUB_STATES,
  type HeadMaterial,
  QUANTITIES,
  quantityOf,
  type ShotKey,
  type ReadingKey,
  shotKeysIn,
  shotKindOf,
  BUILD_KEYS,
  type BuildKey,
} from './quantities.js';
export {
  type ReadingValue,
  type Reading,
  type Fact,
  type Spec,
  numberIn,
  textIn,
  shotIn,
  sameValue,
} from './readings.js';
export { swingWeightPoints, formatSwingWeight } from './swing-weight.js';
export { type BuildChange, changeSince } from './build-change.js';
export { BUILD_SHEET, buildDifferences, buildOf, copyOfBuild } from './build-sheet.js';
