export { type ClubKind, CLUB_KINDS, isWedge, isFullSwing, kindFromName } from './kinds.js';
export {
  type ShotKind,
  SHOT_KINDS,
  SHOT_SOURCES,
  type Shot,
  STATED_CARRY_SHARE,
  carryErrorM,
  carryStandardErrorM,
} from './shot.js';
