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
export {
  type CaddieQuestion,
  type CaddieAnswer,
  type CaddieOption,
  GREEN_HALF_M,
  caddieAnswer,
} from './caddie-question.js';
