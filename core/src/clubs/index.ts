export { type ClubKind, CLUB_KINDS, isWedge, isFullSwing, kindFromName, loftFromName } from './kinds.js';
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
