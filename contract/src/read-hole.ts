import {
  FRONTS,
  HAZARD_KINDS,
  HAZARD_SIDES,
  HOLE_BOUNDS,
  InvalidInputError,
  SLOPES,
  fromMetres,
  requireHole,
  usualHole,
  usualPar,
  type DistanceUnit,
  type Front,
  type Hazard,
  type Hole,
  type Place,
  type Slope,
} from '@tasche/core';
import type { CourseDetails } from './course-schemas.js';

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
  /** Lengths stood there without a unit, and were taken in the reader's. */
  isUnitGuessed: boolean;
  /** The par of a hole is nowhere said: it is what holes of such a length usually have. */
  isParGuessed: boolean;
}

export type KnownHoles = Pick<CourseDetails, 'tees' | 'holes'>;
export const round1 = (value: number) => Math.round(value * 10) / 10;

/** A file nothing can be read of. */
export const unreadHoles = ({ tees }: KnownHoles, problem: string): ReadHoles => ({
  tees,
  holes: [],
  place: null,
  problems: [problem],
  passed: [],
  isUnitGuessed: false,
  isParGuessed: false,
});

/** Whether the par of a hole is not given: neither what is read, nor the course. */
export const isParMissing = (number: number, known: KnownHoles, said: Record<string, unknown>): boolean =>
  !known.holes[number - 1] && (said.par === undefined || said.par === null || said.par === '');

/**
 * A hole out of what a file says of it, laid over what is known.
 * @param problems those found are added to it, by the hole's number and the field's name
 * @param unit that of what its reader wrote; the numbers in `said` are metres
 */
export function readHole(
  number: number,
  known: KnownHoles,
  said: Record<string, unknown>,
  problems: string[],
  unit: DistanceUnit = 'm',
): Hole {
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
    if (!Number.isFinite(value)) at(`${FIELD_WORDS[key]} must be a number, not ${JSON.stringify(said[key])}`);
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
  const outside = outsideProblems(hole, known.tees, unit);
  outside.forEach(at);
  if (outside.length > 0) return hole;
  try {
    requireHole(hole, known.tees.length);
  } catch (error) {
    if (!(error instanceof InvalidInputError)) throw error;
    at(error.message);
  }
  return hole;
}

/** What the fields of a hole are called, as in the heads of a list. */
const FIELD_WORDS: Readonly<Record<keyof typeof HOLE_BOUNDS, string>> = {
  par: 'par',
  lengthM: 'length',
  bearingDeg: 'bearing',
  elevationChangeM: 'rise',
  corridorM: 'corridor',
  greenM: 'green',
};

/** What is larger or smaller than it may be, in its reader's unit. */
function outsideProblems(hole: Hole, tees: readonly string[], unit: DistanceUnit): string[] {
  const problemOf = (key: keyof typeof HOLE_BOUNDS, value: number | null, from = ''): string[] => {
    const [min, max] = HOLE_BOUNDS[key];
    if (value === null || !Number.isFinite(value) || (value >= min && value <= max)) return [];
    const isLength = key.endsWith('M');
    const shown = (metres: number) => (isLength ? Math.round(fromMetres(metres, unit)) : metres);
    const bounds = `between ${shown(min)} and ${shown(max)}${isLength ? ` ${unit}` : ''}`;
    return [`${FIELD_WORDS[key]}${from} must be ${bounds}, not ${shown(value)}`];
  };
  return [
    ...problemOf('par', hole.par),
    ...hole.lengthsM.flatMap((lengthM, tee) =>
      problemOf('lengthM', lengthM, tees[tee] === undefined ? '' : ` from ${tees[tee]}`),
    ),
    ...problemOf('bearingDeg', hole.bearingDeg),
    ...problemOf('elevationChangeM', hole.elevationChangeM),
    ...problemOf('corridorM', hole.corridorM),
    ...problemOf('greenM', hole.greenM),
  ];
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
