import {
  BASELINE,
  MEDIUM_FAIRWAY,
  deriveDemands,
  skillOf,
  type CourseGround,
  type Hole,
  type LadderClub,
  type RoundAir,
  type RoundDemands,
} from '@tasche/core';
import { clubsSchema, refusing, required, unknown, whole } from './choosing-fields.js';
import { courseGroundSchema, holesSchema, roundAirSchema } from './course-schemas.js';
import { finite, handicapSchema, nameSchema, wholeDocument } from './schemas.js';
import * as yup from './yup.js';

export const needsDocument = wholeDocument(
  yup
    .object({
      clubs: clubsSchema,
      course: yup
        .object({
          tees: yup.array(required(nameSchema)).min(1).max(6).required('${path} is missing'),
          holes: holesSchema.required('${path} is missing'),
          altitudeM: required(finite(-430, 4500)),
        })
        .strict()
        .noUnknown(unknown)
        .default(undefined)
        .required('${path} is missing'),
      tee: whole(0, 5),
      air: roundAirSchema.default(undefined).required('${path} is missing'),
      ground: courseGroundSchema.default(undefined).required('${path} is missing'),
      seed: whole(0, 2 ** 31 - 1),
      handicap: handicapSchema,
      plays: whole(1, 1000),
    })
    .strict()
    .noUnknown('unknown field: ${unknown}'),
);

/**
 * The shots a round on a course will ask of these clubs' player. Shots are taken to be known in the usual air.
 * @throws yup.ValidationError naming every bad field
 * @example
 * calcNeeds({
 *   clubs: [
 *     { id: '7', name: '7', kind: 'iron', loftDeg: 32, shots: { full: { carryM: 147, source: 'stated' } } },
 *   ],
 *   course: {
 *     tees: ['Back'],
 *     altitudeM: 0,
 *     holes: Array.from({ length: 9 }, () => ({
 *       par: 3, lengthsM: [140], bearingDeg: 0, elevationChangeM: 0, corridorM: 30, greenM: 25, front: 'open', slope: 'flat', hazards: [],
 *     })),
 *   },
 *   tee: 0,
 *   air: { temperatureC: 21, humidityPct: 50, windMps: 0, windFromDeg: 0 },
 *   ground: {
 *     grass: 'rye', fairways: 'medium', greens: 'medium', rough: 'medium', wet: false, sand: 'medium', greenSpeedM: 3,
 *   },
 * }).needs.filter(({ lie }) => lie === 'tee').length
 * // 9
 */
export function calcNeeds(document: unknown): RoundDemands {
  const {
    clubs,
    course: { tees, holes, altitudeM },
    tee = 0,
    air,
    ground,
    seed,
    plays,
    handicap,
  } = needsDocument.validateSync(document, { strict: true, abortEarly: false });
  return refusing(() =>
    deriveDemands(
      {
        course: { tees, holes: holes as unknown as Hole[], altitudeM },
        tee,
        air: air as RoundAir,
        ground: ground as CourseGround,
      },
      clubs as unknown as LadderClub[],
      { conditions: BASELINE, surface: MEDIUM_FAIRWAY },
      {
        handicap: handicap ?? skillOf(clubs as unknown as LadderClub[]).handicap,
        ...(seed !== undefined && { seed }),
        ...(plays !== undefined && { plays }),
      },
    ),
  );
}
