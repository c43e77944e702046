import { withRenamedFields } from './renamed-fields.js';
import {
  FRONTS,
  HOLE_BOUNDS,
  InvalidInputError,
  SLOPES,
  HAZARD_KINDS,
  HAZARD_SIDES,
  lineOfHole,
  placeFrom,
  requireHole,
  toMetres,
  usualHole,
  usualPar,
  fromMetres,
  type DistanceUnit,
  type Front,
  type Hole,
  type Place,
  type Slope,
  type Hazard,
} from '@tasche/core';
import Papa from 'papaparse';
import { MAX_CELL_CHARACTERS, guarded, unguarded } from './cells.js';
import { MAX_LINE, type CourseDetails } from './course-schemas.js';
import { MAX_HEAD_CHARACTERS, splitBracket, withoutBrackets } from './head-words.js';
import { distanceUnitOf } from './numbers-in-text.js';
import { inputShown } from './schemas.js';

/** What a file says of a course's holes. Nothing of it is taken while it has problems. */
export interface ReadHoles {
  tees: readonly string[];
  holes: readonly Hole[];
  /** Where the course lies, as far as the file knows. */
  place: Place | null;
  /** What is wrong, by hole or row. */
  problems: readonly string[];
  /** What was passed over, and is no fault. */
  passed: readonly string[];
}

type Known = Pick<CourseDetails, 'tees' | 'holes'>;
const round1 = (value: number) => Math.round(value * 10) / 10;

/**
 * Holes of a GeoJSON document (RFC 7946): one LineString a hole, tee to green, which gives its length and
 * bearing. Its properties may name the hole (`hole`, `ref` or `number`; else they count as they come), `par`,
 * and any of ours; what they do not say stays as the course has it.
 */
export function readHolesGeoJson(text: string, known: Known): ReadHoles {
  const nothing = (problem: string): ReadHoles => ({
    tees: known.tees,
    holes: [],
    place: null,
    problems: [problem],
    passed: [],
  });
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
  if (!Array.isArray(features)) return nothing('The file is no GeoJSON FeatureCollection.');
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
      passed.push(`feature ${i + 1} is no line`);
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
        checked(
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
  return { tees: known.tees, holes, place: found.get(numbers[0] ?? 0)?.line[0] ?? null, problems, passed };
}

/** A hole out of what a file says of it, laid over what is known; problems are added by name. */
function checked(number: number, known: Known, said: Record<string, unknown>, problems: string[]): Hole {
  const at = (problem: string) => {
    problems.push(`hole ${number}: ${problem}`);
  };
  const lengthsM =
    Array.isArray(said.lengths) && said.lengths.every((one) => typeof one === 'number')
      ? (said.lengths as number[])
      : [];
  const before = known.holes[number - 1] ?? usualHole(usualPar(lengthsM[0] ?? 350), lengthsM);
  const numeric = (key: 'par' | 'elevationChangeM' | 'corridorM' | 'greenM'): number => {
    if (said[key] === undefined || said[key] === null || said[key] === '') return before[key];
    const value = Number(said[key]);
    if (!Number.isFinite(value)) at(`${key} must be a number, not ${JSON.stringify(said[key])}`);
    return value;
  };
  const choice = <T extends string>(key: 'front' | 'slope', of: readonly T[], usual: T): T => {
    if (said[key] === undefined || said[key] === null || said[key] === '') return usual;
    if (!of.includes(said[key] as T)) {
      at(`${key} must be one of ${of.join(', ')}, not ${JSON.stringify(said[key])}`);
      return usual;
    }
    return said[key] as T;
  };
  const bearing =
    said.bearingDeg === undefined || said.bearingDeg === null || said.bearingDeg === ''
      ? before.bearingDeg
      : Number(said.bearingDeg);
  const hole: Hole = {
    ...before,
    par: numeric('par'),
    lengthsM,
    bearingDeg: bearing,
    elevationChangeM: numeric('elevationChangeM'),
    corridorM: numeric('corridorM'),
    greenM: numeric('greenM'),
    front: choice<Front>('front', FRONTS, before.front),
    slope: choice<Slope>('slope', SLOPES, before.slope),
    hazards: hazardsOf(said.hazards, before.hazards, at),
    ...(said.line !== undefined && { line: said.line as Place[] }),
  };
  try {
    requireHole(hole, known.tees.length);
  } catch (error) {
    if (!(error instanceof InvalidInputError)) throw error;
    at(error.message);
  }
  return hole;
}

function hazardsOf(
  said: unknown,
  before: readonly Hazard[],
  at: (problem: string) => void,
): readonly Hazard[] {
  if (said === undefined) return before;
  const good =
    Array.isArray(said) &&
    (said as Partial<Hazard>[]).every(
      (one) =>
        HAZARD_KINDS.includes(one?.kind as Hazard['kind']) &&
        HAZARD_SIDES.includes(one.side as Hazard['side']) &&
        typeof one.fromM === 'number' &&
        typeof one.toM === 'number',
    );
  if (!good) {
    at('hazards must be a list of kind, side, fromM and toM');
    return before;
  }
  return (said as Hazard[]).map(({ kind, side, fromM, toM }) => ({ kind, side, fromM, toM }));
}

/** Where a course is drawn that nobody has placed: the middle of no ocean's charts. */
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

const HEADS: Readonly<
  Record<
    string,
    'hole' | 'par' | 'bearingDeg' | 'elevationChangeM' | 'corridorM' | 'greenM' | 'front' | 'slope'
  >
> = {
  hole: 'hole',
  no: 'hole',
  nr: 'hole',
  '#': 'hole',
  par: 'par',
  bearing: 'bearingDeg',
  direction: 'bearingDeg',
  rise: 'elevationChangeM',
  elevation: 'elevationChangeM',
  corridor: 'corridorM',
  fairway: 'corridorM',
  width: 'corridorM',
  green: 'greenM',
  'green depth': 'greenM',
  front: 'front',
  slope: 'slope',
};
const LENGTHS: readonly string[] = ['elevationChangeM', 'corridorM', 'greenM'];

/**
 * A yardage list: a row a hole, `hole`, `par`, a column a tee, and if you like `bearing`, `rise`, `corridor`,
 * `green`, `front`, `slope`. A head may name its unit ("White [m]"); else it is `unit`. Commas, semicolons or
 * tabs; decimal points or commas.
 */
export function readHolesCsv(text: string, known: Known, unit: DistanceUnit): ReadHoles {
  const { data } = Papa.parse<string[]>(text.replace(/^\uFEFF/, '').trim(), {
    skipEmptyLines: 'greedy',
    delimitersToGuess: ['\t', ';', ',', '|'],
  });
  const nothing = (problem: string): ReadHoles => ({
    tees: known.tees,
    holes: [],
    place: null,
    problems: [problem],
    passed: [],
  });
  if (data.length < 2) return nothing('The list holds no rows under its heads.');
  if (data.length > 200) return nothing(`The list holds ${data.length} rows; a course has at most 18 holes.`);
  const columns = data[0]!.map((head) => {
    const said = distanceUnitOf(splitBracket(head).bracketed);
    const unitOf: DistanceUnit = said === 'm' || said === 'yd' ? said : unit;
    const plain = withoutBrackets(unguarded(head.slice(0, MAX_HEAD_CHARACTERS))).trim();
    const part = HEADS[plain.toLowerCase()];
    return { plain, part, unit: unitOf };
  });
  const holeAt = columns.findIndex(({ part }) => part === 'hole');
  if (holeAt === -1)
    return nothing(`No column is headed "hole"; the heads are ${inputShown(data[0]!.join(', '))}.`);
  const teeColumns = columns
    .map((column, at) => ({ ...column, at }))
    .filter(
      ({ part, plain, at }) =>
        part === undefined && plain !== '' && looksLikeLengths(data.slice(1).map((row) => numberIn(row[at]))),
    );
  if (teeColumns.length === 0) return nothing('No column holds lengths; head one with the name of a tee.');
  const tees = teeColumns.map(({ plain }) => plain);
  const problems: string[] = [];
  const passed = columns
    .filter(
      (column, at) =>
        column.part === undefined && !teeColumns.some((tee) => tee.at === at) && column.plain !== '',
    )
    .map(({ plain }) => `column "${plain}"`);
  const found = new Map<number, Record<string, unknown>>();
  for (const row of data.slice(1)) {
    const number = numberIn(row[holeAt]);
    if (number === undefined) {
      passed.push(`row "${inputShown(row.slice(0, 3).join(' '))}"`);
      continue;
    } // Totals: out, in.
    if (!Number.isInteger(number) || number < 1 || number > 18) {
      problems.push(`hole must be between 1 and 18, not ${inputShown(row[holeAt] ?? '')}`);
      continue;
    }
    if (found.has(number)) {
      problems.push(`hole ${number} is there twice`);
      continue;
    }
    const said: Record<string, unknown> = {
      lengths: teeColumns.map(({ at, unit: of, plain }) => {
        const value = numberIn(row[at]);
        if (value === undefined) {
          problems.push(`hole ${number}: ${plain} must be a length, not "${inputShown(row[at] ?? '')}"`);
          return 300;
        }
        return round1(toMetres(value, of));
      }),
    };
    columns.forEach(({ part, unit: of }, at) => {
      if (!part || part === 'hole' || (row[at] ?? '').trim() === '') return;
      const value =
        part === 'front' || part === 'slope' ? row[at]!.trim().toLowerCase() : (numberIn(row[at]) ?? row[at]);
      said[part] = typeof value === 'number' && LENGTHS.includes(part) ? round1(toMetres(value, of)) : value;
    });
    found.set(number, said);
  }
  const numbers = [...found.keys()].sort((a, b) => a - b);
  if (numbers.length !== 9 && numbers.length !== 18)
    problems.unshift(`holes must be 9 or 18, not ${numbers.length}`);
  const holes = numbers.map((number) =>
    checked(number, { tees, holes: known.holes }, found.get(number)!, problems),
  );
  return { tees, holes, place: null, problems, passed };
}

/** Lengths are large numbers; a stroke index is not. One slip among them is a slip. */
function looksLikeLengths(values: readonly (number | undefined)[]): boolean {
  const numbers = values.filter((value) => value !== undefined);
  return (
    numbers.length > 0 &&
    numbers.filter((value) => value >= HOLE_BOUNDS.lengthM[0]).length * 2 > numbers.length
  );
}

function numberIn(text: string | undefined): number | undefined {
  const plain = (text ?? '')
    .slice(0, MAX_CELL_CHARACTERS)
    .trim()
    .replace(/(m|yds?|°)$/i, '')
    .trim()
    .replace(',', '.');
  return plain !== '' && Number.isFinite(Number(plain)) ? Number(plain) : undefined;
}

/** The same list, written. */
export function writeHolesCsv({ tees, holes }: Known, unit: DistanceUnit): string {
  const shown = (m: number) => String(round1(fromMetres(m, unit)));
  return `${Papa.unparse(
    {
      fields: [
        'hole',
        'par',
        ...tees.map((tee) => `${guarded(tee)} [${unit}]`),
        'bearing',
        `rise [${unit}]`,
        `corridor [${unit}]`,
        `green [${unit}]`,
        'front',
        'slope',
      ],
      data: holes.map(
        ({ par, lengthsM, bearingDeg, elevationChangeM, corridorM, greenM, front, slope }, i) => [
          i + 1,
          par,
          ...lengthsM.map(shown),
          bearingDeg ?? '',
          shown(elevationChangeM),
          shown(corridorM),
          shown(greenM),
          front,
          slope,
        ],
      ),
    },
    { newline: '\n' },
  )}\n`;
}
