export { type ExpectedShot, withExpectedShot } from './expected-shot.js';
export { spinCost } from './spin-cost.js';
export { type BestUse, type WishAnswer, type WishedItem, wishWorths } from './wish-worth.js';
