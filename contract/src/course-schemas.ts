import {
  COURSE_HOLES,
  FIRMNESSES,
  FRONTS,
  GRASSES,
  GREEN_SPEED_M,
  HOLE_BOUNDS,
  MAX_TEES,
  MAX_HAZARDS,
  ROUGH_LENGTHS,
  ROUND_AIR_BOUNDS,
  InvalidInputError,
  SANDS,
  SLOPES,
  HAZARD_BOUNDS,
  HAZARD_KINDS,
  HAZARD_SIDES,
  requireHole,
  CONDITION_BOUNDS,
  type CourseGround,
  type Course,
  type Grass,
  type Hole,
  type RoundAir,
  type Sand,
} from '@tasche/core';
import * as yup from './yup.js';
import { finite, nameSchema, required, shape, textSchema } from './schemas.js';

/** A course in a season: its usual air and how it plays underfoot, from a month on. */
export interface CourseSeason {
  name: string;
  fromMonth: number;
  air: RoundAir;
  ground: CourseGround;
}

/** A course as it is kept. One without holes is only a place yet. */
export interface CourseDetails extends Course {
  name: string;
  latitudeDeg: number | null;
  longitudeDeg: number | null;
  grass: Grass;
  sand: Sand;
  seasons: readonly CourseSeason[];
  notes: string;
}

/** What a season does to any course; applied to one, it takes on that course's grass and sand. */
export interface SeasonDetails {
  name: string;
  fromMonth: number;
  temperatureC: number;
  humidityPct: number;
  windMps: number;
  ground: Omit<CourseGround, 'grass' | 'sand'>;
}

const MAX_SEASONS = 12;
/** Places of a hole's line. */
export const MAX_LINE = 60;
export const MAX_COURSES = 200;

const oneOf = <T extends string>(of: readonly T[]) =>
  required(
    yup
      .string()
      .strict()
      .oneOf(of, `\${path} must be one of ${of.join(', ')}`),
  );
const month = required(finite(1, 12).integer('${path} must be a whole number'));

export const roundAirSchema = shape({
  temperatureC: required(finite(...ROUND_AIR_BOUNDS.temperatureC)),
  humidityPct: required(finite(...ROUND_AIR_BOUNDS.humidityPct)),
  windMps: required(finite(...ROUND_AIR_BOUNDS.windMps)),
  windFromDeg: required(finite(...ROUND_AIR_BOUNDS.windFromDeg)),
  pressureHpa: finite(...ROUND_AIR_BOUNDS.pressureHpa),
});

const groundOfSeason = {
  fairways: oneOf(FIRMNESSES),
  greens: oneOf(FIRMNESSES),
  rough: oneOf(ROUGH_LENGTHS),
  wet: required(yup.boolean().strict()),
  greenSpeedM: required(finite(...GREEN_SPEED_M)),
};
export const courseGroundSchema = shape({ ...groundOfSeason, grass: oneOf(GRASSES), sand: oneOf(SANDS) });

const hazardSchema = shape({
  kind: oneOf(HAZARD_KINDS),
  side: oneOf(HAZARD_SIDES),
  fromM: required(finite(...HAZARD_BOUNDS.fromM)),
  toM: required(finite(...HAZARD_BOUNDS.toM)),
}).test(
  'order',
  '${path} ends before it begins',
  (one) => one?.fromM === undefined || one.toM === undefined || one.toM > one.fromM,
);

const holeSchema = shape({
  par: required(finite(...HOLE_BOUNDS.par).integer('${path} must be a whole number')),
  lengthsM: yup
    .array(required(finite(...HOLE_BOUNDS.lengthM, 'm')))
    .min(1)
    .max(MAX_TEES)
    .required('${path} is missing'),
  bearingDeg: finite(...HOLE_BOUNDS.bearingDeg)
    .nullable()
    .defined('${path} is missing'),
  elevationChangeM: required(finite(...HOLE_BOUNDS.elevationChangeM, 'm')),
  corridorM: required(finite(...HOLE_BOUNDS.corridorM, 'm')),
  hazards: yup.array(required(hazardSchema)).max(MAX_HAZARDS).required('${path} is missing'),
  greenM: required(finite(...HOLE_BOUNDS.greenM, 'm')),
  front: oneOf(FRONTS),
  slope: oneOf(SLOPES),
  line: yup
    .array(required(yup.tuple([required(finite(-180, 180)), required(finite(-90, 90))])))
    .min(2)
    .max(MAX_LINE)
    .default(undefined)
    .optional(),
});

/** Nine holes or eighteen; none while not recorded. */
export const holesSchema = yup
  .array(required(holeSchema))
  .test(
    'count',
    `\${path} must be ${COURSE_HOLES.join(' or ')}, or none yet`,
    (holes) => holes === undefined || holes.length === 0 || COURSE_HOLES.includes(holes.length),
  );

const courseSeasonSchema = shape({
  name: required(nameSchema),
  fromMonth: month,
  air: required(roundAirSchema),
  ground: required(courseGroundSchema),
});

export const courseDetails = {
  name: nameSchema,
  tees: yup
    .array(required(nameSchema))
    .min(1, '${path} must name at least one tee')
    .max(MAX_TEES, `\${path} must be at most ${MAX_TEES}`),
  holes: holesSchema,
  altitudeM: finite(...CONDITION_BOUNDS.altitudeM, 'm'),
  latitudeDeg: finite(-90, 90).nullable(),
  longitudeDeg: finite(-180, 180).nullable(),
  grass: yup.string().strict().oneOf(GRASSES),
  sand: yup.string().strict().oneOf(SANDS),
  seasons: yup
    .array(required(courseSeasonSchema))
    .max(MAX_SEASONS, `\${path} must be at most ${MAX_SEASONS}`),
  notes: textSchema(2000),
};

export const seasonDetails = {
  name: nameSchema,
  fromMonth: finite(1, 12).integer('${path} must be a whole number'),
  temperatureC: finite(...ROUND_AIR_BOUNDS.temperatureC),
  humidityPct: finite(...ROUND_AIR_BOUNDS.humidityPct),
  windMps: finite(...ROUND_AIR_BOUNDS.windMps),
  ground: shape(groundOfSeason),
};

/**
 * A season as it comes to a course: with its grass and its sand, the wind from the north until it is set.
 */
export function seasonOnCourse(
  { name, fromMonth, temperatureC, humidityPct, windMps, ground }: SeasonDetails,
  { grass, sand }: Pick<CourseDetails, 'grass' | 'sand'>,
): CourseSeason {
  return {
    name,
    fromMonth,
    air: { temperatureC, humidityPct, windMps, windFromDeg: 0 },
    ground: { ...ground, grass, sand },
  };
}

/** The season a day falls in: the last to begin before it, round the year. */
export function seasonOn<S extends { fromMonth: number }>(seasons: readonly S[], day: string): S | undefined {
  const at = Number(day.slice(5, 7));
  const inOrder = [...seasons].sort((a, b) => a.fromMonth - b.fromMonth);
  return inOrder.findLast(({ fromMonth }) => fromMonth <= at) ?? inOrder.at(-1);
}

/**
 * Every hole has a length for every tee, and nothing on it contradicts itself. @returns what is wrong, naming
 * the hole and field
 */
export function holesProblem(holes: readonly Hole[], tees: readonly string[]): string | undefined {
  for (const [i, hole] of holes.entries()) {
    try {
      requireHole(hole, tees.length);
    } catch (error) {
      if (error instanceof InvalidInputError) return `hole ${i + 1}: ${error.message}`;
      throw error;
    }
  }
  return undefined;
}
