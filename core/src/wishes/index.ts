export { type SpinCost, spinCost } from './spin-cost.js';
export { type BestUse, type WishAnswer, type WishedItem, type WishWorth, wishWorths } from './wish-worth.js';
