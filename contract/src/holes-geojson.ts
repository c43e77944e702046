import { InvalidInputError, lineOfHole, placeFrom, type Place } from '@tasche/core';
import { MAX_LINE, type CourseDetails } from './course-schemas.js';
import { isParMissing, readHole, round1, unreadHoles, type KnownHoles, type ReadHoles } from './read-hole.js';
import { withRenamedFields } from './renamed-fields.js';

/**
 * Holes of a GeoJSON document (RFC 7946): one LineString a hole, tee to green, which gives its length and
 * bearing. Its properties may name the hole (`hole`, `ref` or `number`; else they count as they come), `par`,
 * and any of ours; what they do not say stays as the course has it.
 */
export function readHolesGeoJson(text: string, known: KnownHoles): ReadHoles {
  const nothing = (problem: string) => unreadHoles(known, problem);
  let document: unknown;
  try {
    document = withRenamedFields(JSON.parse(text));
  } catch (error) {
    return nothing(`The file is not JSON: ${(error as Error).message}`);
  }
  const features =
    (document as { type?: unknown; features?: unknown } | null)?.type === 'FeatureCollection'
      ? (document as { features?: unknown }).features
      : undefined;
  if (!Array.isArray(features)) return nothing('The file is not a GeoJSON FeatureCollection.');
  if (features.length > 500)
    return nothing(`The file holds ${features.length} features; a course has at most 18 holes.`);
  const problems: string[] = [];
  const passed: string[] = [];
  const found = new Map<number, { line: Place[]; properties: Record<string, unknown> }>();
  let counted = 0;
  features.forEach((feature: unknown, i) => {
    const { geometry, properties } = (feature ?? {}) as {
      geometry?: { type?: unknown; coordinates?: unknown } | null;
      properties?: Record<string, unknown> | null;
    };
    if (geometry?.type !== 'LineString' || !Array.isArray(geometry.coordinates)) {
      passed.push(`feature ${i + 1} is not a line`);
      return;
    }
    const line = (geometry.coordinates as unknown[]).map((place) =>
      Array.isArray(place) ? ([Number(place[0]), Number(place[1])] as const) : ([NaN, NaN] as const),
    );
    counted += 1;
    const named = Number(properties?.hole ?? properties?.ref ?? properties?.number ?? counted);
    if (!Number.isInteger(named) || named < 1 || named > 18) {
      problems.push(
        `feature ${i + 1}: hole must be between 1 and 18, not ${JSON.stringify(properties?.hole ?? properties?.ref ?? properties?.number)}`,
      );
      return;
    }
    if (found.has(named)) {
      problems.push(`hole ${named} has two lines`);
      return;
    }
    if (line.length > MAX_LINE) {
      problems.push(`hole ${named}: line holds more than ${MAX_LINE} places`);
      return;
    }
    found.set(named, { line, properties: properties ?? {} });
  });
  const numbers = [...found.keys()].sort((a, b) => a - b);
  if (numbers.length !== 9 && numbers.length !== 18)
    problems.push(`holes must be 9 or 18, not ${numbers.length}`);
  else if (numbers.at(-1) !== numbers.length)
    problems.push(`holes must be numbered 1 to ${numbers.length}; ${numbers.at(-1)} is the last`);
  const holes = numbers.flatMap((number) => {
    const { line, properties } = found.get(number)!;
    try {
      const { lengthM, bearingDeg } = lineOfHole(line);
      return [
        readHole(
          number,
          known,
          {
            ...properties,
            line,
            bearingDeg: round1(bearingDeg),
            lengths: properties.lengthsM ?? known.tees.map(() => round1(lengthM)),
            lineM: lengthM,
          },
          problems,
        ),
      ];
    } catch (error) {
      if (!(error instanceof InvalidInputError)) throw error;
      problems.push(`hole ${number}: ${error.message}`);
      return [];
    }
  });
  return {
    tees: known.tees,
    holes,
    place: found.get(numbers[0] ?? 0)?.line[0] ?? null,
    problems,
    passed,
    isUnitGuessed: false,
    isParGuessed: numbers.some((number) => isParMissing(number, known, found.get(number)!.properties)),
  };
}

/** Where a course without a position is drawn. */
const NOWHERE: Place = [0, 0];

/**
 * The holes as GeoJSON: the line a hole came with, or a straight one of its length and bearing, each
 * beginning where the last ends.
 */
export function writeHolesGeoJson({
  name,
  holes,
  tees,
  latitudeDeg,
  longitudeDeg,
}: Pick<CourseDetails, 'name' | 'holes' | 'tees' | 'latitudeDeg' | 'longitudeDeg'>): string {
  let at: Place = longitudeDeg !== null && latitudeDeg !== null ? [longitudeDeg, latitudeDeg] : NOWHERE;
  const seven = ([longitude, latitude]: Place): Place => [
    Number(longitude.toFixed(7)),
    Number(latitude.toFixed(7)),
  ];
  const features = holes.map(({ line, bearingDeg, lengthsM, ...rest }, i) => {
    const coordinates = line ?? [seven(at), seven(placeFrom(at, lengthsM[0]!, bearingDeg ?? 0))];
    at = coordinates.at(-1)!;
    const { par, elevationChangeM, corridorM, greenM, front, slope, hazards } = rest;
    return {
      type: 'Feature',
      properties: {
        hole: i + 1,
        par,
        lengthsM,
        elevationChangeM,
        corridorM,
        greenM,
        front,
        slope,
        hazards,
        drawn: line === undefined,
      },
      geometry: { type: 'LineString', coordinates },
    };
  });
  return `${JSON.stringify({ type: 'FeatureCollection', name, tees, features }, null, 1)}\n`;
}
