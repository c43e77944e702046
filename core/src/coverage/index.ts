export { type DistanceCover, COVER_WINDOW_M, coverage } from './coverage.js';
export { MIN_COVER_CHANCE, uncovered } from './uncovered.js';
