export { BASKET_BOUNDS, allocateBalls } from './allocate-balls.js';
export { type BasketDecision, basketDecision } from './basket-decision.js';
export { type BasketPart, type NextBasket, nextBasket } from './next-basket.js';
export { openShots } from './open-shots.js';
export { type ShotProgress, knownEnough } from './known-enough.js';
