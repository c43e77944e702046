import { bearing } from '@turf/bearing';
import { destination } from '@turf/destination';
import { distance } from '@turf/distance';
import { InvalidInputError } from '../invalid-input-error.js';

/** Longitude and latitude in degrees, as GeoJSON orders them. */
export type Place = readonly [longitudeDeg: number, latitudeDeg: number];

/** A distance for the package that works on the sphere: metres, of the mean radius of the earth. */
const IN_METRES = { units: 'meters' } as const;

/**
 * Length and bearing of a hole from the line it is played along, tee to green; bends count. The bearing is
 * from the first place to the last. Great circles on a sphere; within 0.5 % of the ellipsoid.
 * @throws InvalidInputError for fewer than two places, or an invalid one
 */
export function lineOfHole(line: readonly Place[]): { lengthM: number; bearingDeg: number } {
  if (line.length < 2)
    throw new InvalidInputError('line', 'must run from a tee to a green: two places at least');
  for (const [longitude, latitude] of line) {
    if (!(Math.abs(longitude) <= 180 && Math.abs(latitude) <= 90))
      throw new InvalidInputError('line', `holds a place that is none: ${longitude}, ${latitude}`);
  }
  const lengthM = line
    .slice(1)
    .reduce((sum, place, i) => sum + distance([...line[i]!], [...place], IN_METRES), 0);
  return { lengthM, bearingDeg: (bearing([...line[0]!], [...line.at(-1)!]) + 360) % 360 };
}

/** Where one comes to from a place, so far that way: the way back from a length and a bearing to a line. */
export function placeFrom(from: Place, distanceM: number, towardsDeg: number): Place {
  const [longitude, latitude] = destination([...from], distanceM, towardsDeg, IN_METRES).geometry.coordinates;
  return [longitude!, latitude!];
}
