export { BALL, type Aerodynamics, AERODYNAMICS } from './aerodynamics.js';
export { type Flight, type PathPoint, flight, fly } from './fly.js';
export { type Launch, LAUNCH_BOUNDS } from './launch.js';
