import { InvalidInputError } from '../invalid-input-error.js';

/** Longitude and latitude in degrees, as GeoJSON orders them. */
export type Place = readonly [longitudeDeg: number, latitudeDeg: number];

/** Mean radius of the earth, m: (2a + b) / 3 of the WGS 84 ellipsoid. */
const EARTH_M = 6_371_008.8;
const DEG = Math.PI / 180;

/**
 * Length and bearing of a hole from the line it is played along, tee to green; bends count. The bearing is from the first place to the
 * last. Great circles on a sphere (haversine: R. W. Sinnott, Sky and Telescope 68 (1984) 159); within 0.5 % of the ellipsoid.
 * @throws InvalidInputError for fewer than two places, or one that is none
 */
export function lineOfHole(line: readonly Place[]): { lengthM: number; bearingDeg: number } {
  if (line.length < 2)
    throw new InvalidInputError('line', 'must run from a tee to a green: two places at least');
  for (const [longitude, latitude] of line) {
    if (!(Math.abs(longitude) <= 180 && Math.abs(latitude) <= 90))
      throw new InvalidInputError('line', `holds a place that is none: ${longitude}, ${latitude}`);
  }
  const lengthM = line.slice(1).reduce((sum, place, i) => sum + apartM(line[i]!, place), 0);
  return { lengthM, bearingDeg: bearingDeg(line[0]!, line.at(-1)!) };
}

function apartM([lon0, lat0]: Place, [lon1, lat1]: Place): number {
  const h =
    Math.sin(((lat1 - lat0) * DEG) / 2) ** 2 +
    Math.cos(lat0 * DEG) * Math.cos(lat1 * DEG) * Math.sin(((lon1 - lon0) * DEG) / 2) ** 2;
  return 2 * EARTH_M * Math.asin(Math.min(1, Math.sqrt(h)));
}

function bearingDeg([lon0, lat0]: Place, [lon1, lat1]: Place): number {
  const east = Math.sin((lon1 - lon0) * DEG) * Math.cos(lat1 * DEG);
  const north =
    Math.cos(lat0 * DEG) * Math.sin(lat1 * DEG) -
    Math.sin(lat0 * DEG) * Math.cos(lat1 * DEG) * Math.cos((lon1 - lon0) * DEG);
  return (((Math.atan2(east, north) / DEG) % 360) + 360) % 360;
}

/** Where one comes to from a place, so far that way: the way back from a length and a bearing to a line. */
export function placeFrom([lon, lat]: Place, distanceM: number, towardsDeg: number): Place {
  const d = distanceM / EARTH_M;
  const north = Math.asin(
    Math.sin(lat * DEG) * Math.cos(d) + Math.cos(lat * DEG) * Math.sin(d) * Math.cos(towardsDeg * DEG),
  );
  const east =
    lon * DEG +
    Math.atan2(
      Math.sin(towardsDeg * DEG) * Math.sin(d) * Math.cos(lat * DEG),
      Math.cos(d) - Math.sin(lat * DEG) * Math.sin(north),
    );
  return [east / DEG, north / DEG];
}
