export {
  type CardDay,
  type CardSteps,
  type CardRequest,
  type CardShot,
  type CardHelpers,
  type CardClub,
  type DistanceCard,
  distanceCard,
} from './distance-card.js';
export { type CaddieQuestion, type CaddieAnswer, caddieAnswer, caddieLine } from './caddie-question.js';
export { ownShotLines, shapeWords } from './own-shots.js';
