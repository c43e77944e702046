export { type Lie, LIES, LIE_NAMES, lieHurts } from './lies.js';
export {
  type PlayingConditions,
  type MovedShot,
  type SwungShot,
  swingOf,
  moveShot,
  movedShot,
} from './move-shot.js';
export { type PlaysLike, playsLike } from './plays-like.js';
export { spreadOf } from './spread.js';
