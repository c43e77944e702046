export { type DistanceCover, COVER_WINDOW_M, coverage } from './coverage.js';
