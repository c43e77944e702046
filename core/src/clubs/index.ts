export {
  type ClubKind,
  CLUB_KINDS,
  isWedge,
  isFullSwing,
  kindFromName,
  withDegreeSign,
  loftFromName,
} from './kinds.js';
export { clubWordsInEnglish } from './club-words.js';
export {
  type LoftedClub,
  DRIVER_LOFT_DEG,
  IRON_LOFT_DEG,
  PITCHING_WEDGE_LOFT_DEG,
  USUAL_LOFT_SHARE,
  WOOD_LOFT_DEG,
  loftOrUsual,
  usualLoftOf,
} from './usual-loft.js';
export {
  type ShotKind,
  type UsualShotKind,
  SHOT_KINDS,
  MAX_OWN_SHOTS,
  MAX_SHOT_NAME,
  isShotKind,
  usualShotOf,
  ownShotName,
  shotKindsIn,
  shotsIn,
  SHOT_SOURCES,
  type Shot,
  STATED_CARRY_SHARE,
  carryErrorM,
  carryStandardErrorM,
} from './shot.js';
