export {
  type DistanceUnit,
  DISTANCE_UNITS,
  toMetres,
  fromMetres,
  formatDistance,
  distanceNumber,
  signedDistance,
  typedDistance,
} from './distance.js';
export { formatDegrees } from './degrees.js';
