export { type HoleOutLie, expectedStrokes } from './expected-strokes.js';
export { strokesAfterApproach, strokesAfterDrive } from './value-of-spread.js';
