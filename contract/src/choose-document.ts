import {
  bagWhy,
  BASELINE,
  BOUNCE_STRATEGIES,
  CHOOSING_BOUNDS,
  MEDIUM_FAIRWAY,
  DEFAULT_CHOOSING_RULES,
  InvalidInputError,
  GAPPING_STRATEGIES,
  bagChoosing,
  chooseBag,
  deriveDemands,
  movedClub,
  demandCosts,
  playedIn,
  skillOf,
  smallestTravelSet,
  travelSet,
  type BagAnswer,
  type BagChoosing,
  type BounceStrategy,
  type ChoosingRules,
  type CourseGround,
  type Hole,
  type LadderClub,
  type ShotDemand,
  type RoundAir,
  type RoundDemands,
  type TravelSet,
  type TravelSize,
} from '@tasche/core';
import * as yup from './yup.js';
import { courseGroundSchema, holesSchema, roundAirSchema } from './course-schemas.js';
import { ladderClubsSchema } from './ladder-clubs.js';
import { demandSchema } from './plan-choosing.js';
import { conditionsOf, conditionsSchema } from './setting-schemas.js';
import { clubKindSchema, finite, handicapSchema, nameSchema, textSchema, wholeDocument } from './schemas.js';

/** What `tasche calc choose` writes: docs/formats/choose-output.schema.json. */
interface ChooseAnswer extends BagAnswer {
  /** Why, in sentences: a line a chosen club, then a line a club left out. */
  why: readonly string[];
}

const unknown = '${path} has an unknown field: ${unknown}';
const required = <S extends yup.Schema>(schema: S) => schema.required('${path} is missing');
const clubId = () => required(textSchema(80));
const clubIds = yup.array(clubId()).max(CHOOSING_BOUNDS.clubs[1]);
const whole = (min: number, max: number) => finite(min, max).integer('${path} must be a whole number');

const pricesSchema = yup.lazy((value: unknown) =>
  yup
    .object(
      Object.fromEntries(Object.keys((value ?? {}) as object).map((id) => [id, required(finite(-20, 20))])),
    )
    .strict()
    .default(undefined)
    .test(
      'few',
      '${path} names more clubs than can be chosen from',
      (prices) => Object.keys(prices ?? {}).length <= CHOOSING_BOUNDS.clubs[1],
    ),
);

const clubsSchema = ladderClubsSchema
  .min(1, '${path} is empty')
  .max(CHOOSING_BOUNDS.clubs[1], `\${path} holds more than ${CHOOSING_BOUNDS.clubs[1]} clubs`);
const MAX_NEEDS = 1000;
const demandsSchema = yup
  .array(required(demandSchema))
  .max(MAX_NEEDS, `\${path} holds more than ${MAX_NEEDS} needs`)
  .required('${path} is missing');
/** The day the needs are of: its still air and its ground; each need brings its own wind. */
const daySchema = yup
  .object({
    air: conditionsSchema.default(undefined).required('${path} is missing'),
    ground: courseGroundSchema.default(undefined).required('${path} is missing'),
    bounce: yup.string().strict().oneOf(BOUNCE_STRATEGIES),
  })
  .strict()
  .noUnknown(unknown)
  .default(undefined);
const tasteShape = {
  school: yup
    .string()
    .strict()
    .oneOf(GAPPING_STRATEGIES.map(({ id }) => id)),
  handicap: handicapSchema,
  limit: whole(1, 60),
  unevenStrokes: finite(0, 10),
  prices: pricesSchema,
  always: clubIds,
  never: clubIds,
  swings: finite(1, 500),
  groups: yup
    .array(
      yup
        .object({ ids: required(clubIds), least: whole(0, 60), most: whole(0, 60), name: textSchema(80) })
        .strict()
        .noUnknown(unknown),
    )
    .max(50),
  kinds: yup
    .array(
      yup
        .object({ kind: required(clubKindSchema), most: required(whole(0, 60)) })
        .strict()
        .noUnknown(unknown),
    )
    .max(8),
  mustCover: yup
    .array(
      yup
        .object({ distanceM: required(finite(1, 400)), withinM: required(finite(0.5, 50)) })
        .strict()
        .noUnknown(unknown),
    )
    .max(50),
};

export const chooseDocument = wholeDocument(
  yup
    .object({
      clubs: clubsSchema,
      needs: demandsSchema,
      day: daySchema,
      ...tasteShape,
      runnersUp: whole(0, 20),
    })
    .strict()
    .noUnknown('unknown field: ${unknown}'),
);

type Day =
  | { air: Parameters<typeof conditionsOf>[0]; ground: CourseGround; bounce?: BounceStrategy | undefined }
  | undefined;

function tasteIn(given: Record<string, unknown>): ChoosingRules {
  return {
    ...DEFAULT_CHOOSING_RULES,
    ...Object.fromEntries(
      Object.keys(tasteShape)
        .map((key) => [key, given[key]])
        .filter(([, value]) => value !== undefined),
    ),
  } as ChoosingRules;
}

/**
 * Shots are taken to be known in the usual air; with a day they are flown in it, without one they stand as
 * they are.
 */
function choosingFor(
  clubs: readonly LadderClub[],
  needs: readonly ShotDemand[],
  day: Day,
  rules: ChoosingRules,
): BagChoosing {
  if (!day) return bagChoosing(clubs, needs, rules);
  const played = playedIn(
    { conditions: BASELINE, surface: MEDIUM_FAIRWAY },
    conditionsOf(day.air),
    day.ground,
    rules.handicap ?? skillOf(clubs).handicap,
  );
  return bagChoosing(
    clubs.map((club) => movedClub(played(club, { windMps: 0, windFromDeg: 0 }))),
    needs,
    rules,
    undefined,
    demandCosts(clubs, needs, { played, ground: day.ground, bounce: day.bounce ?? 'match' }),
  );
}

/** What the core refuses, as every border says it. */
function refusing<T>(work: () => T): T {
  try {
    return work();
  } catch (error) {
    if (!(error instanceof InvalidInputError)) throw error;
    throw new yup.ValidationError(error.message, undefined, error.field);
  }
}

/**
 * The bag that costs the fewest strokes, the next best, and why.
 * @throws yup.ValidationError naming every bad field, two rules that contradict each other, or that the rules
 * together allow nothing
 * @example
 * calcChoose({
 *   limit: 1,
 *   clubs: [
 *     { id: '7', name: '7', kind: 'iron', loftDeg: 32, shots: { full: { carryM: 147, source: 'stated' } } },
 *     { id: '8', name: '8', kind: 'iron', loftDeg: 36, shots: { full: { carryM: 136, source: 'stated' } } },
 *   ],
 *   needs: [
 *     { name: 'the 4th', to: 'green', distanceM: 139, lie: 'fairway', mustHold: true, weight: 1 },
 *   ],
 * }).best.ids
 * // ['8']
 */
export function calcChoose(document: unknown): ChooseAnswer {
  const {
    clubs,
    needs,
    day,
    runnersUp = 4,
    ...given
  } = chooseDocument.validateSync(document, { strict: true, abortEarly: false });
  const locker = clubs as unknown as LadderClub[];
  return refusing(() => {
    const answer = chooseBag(
      choosingFor(locker, needs as unknown as ShotDemand[], day as Day, tasteIn(given)),
      runnersUp,
    );
    if (!answer)
      throw new InvalidInputError(
        'rules',
        'together allow no bag, though no two of them contradict each other',
      );
    const nameOf = (id: string) => locker.find((club) => club.id === id)!.name;
    return {
      ...answer,
      why: bagWhy(answer, new Map(), nameOf).map(([, sentence]) => sentence),
    };
  });
}

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

const MAX_SCENARIOS = 40;
export const travelDocument = wholeDocument(
  yup
    .object({
      clubs: clubsSchema,
      size: whole(1, CHOOSING_BOUNDS.clubs[1]),
      loss: finite(0, 100),
      ...tasteShape,
      scenarios: yup
        .array(
          required(
            yup
              .object({
                name: required(nameSchema),
                weight: finite(0.001, 1000),
                needs: demandsSchema,
                day: daySchema,
              })
              .strict()
              .noUnknown(unknown),
          ),
        )
        .min(1, '${path} is empty')
        .max(MAX_SCENARIOS, `\${path} holds more than ${MAX_SCENARIOS}`)
        .required('${path} is missing'),
    })
    .strict()
    .noUnknown('unknown field: ${unknown}')
    .test(
      'how many',
      'size or loss must be given, and not both',
      ({ size, loss }) => (size === undefined) !== (loss === undefined),
    ),
);

interface TravelAnswer extends TravelSet {
  /** With a loss: every size looked at, and whether nothing smaller will do. */
  sizes?: readonly TravelSize[];
  smallest?: boolean;
}

/**
 * The clubs to travel with, so that the best bags of all scenarios cost least: so many of them, or as few as
 * lose no more than is said.
 * @throws yup.ValidationError naming every bad field, or a scenario that allows no bag
 * @example
 * (await calcTravel({
 *   size: 1,
 *   clubs: [
 *     { id: '7', name: '7', kind: 'iron', loftDeg: 32, shots: { full: { carryM: 147, source: 'stated' } } },
 *     { id: '8', name: '8', kind: 'iron', loftDeg: 36, shots: { full: { carryM: 136, source: 'stated' } } },
 *   ],
 *   scenarios: [
 *     {
 *       name: 'calm',
 *       needs: [
 *         { name: 'the 4th', to: 'green', distanceM: 139, lie: 'fairway', mustHold: true, weight: 1 },
 *       ],
 *     },
 *   ],
 * })).ids
 * // ['8']
 */
export async function calcTravel(document: unknown): Promise<TravelAnswer> {
  const { clubs, size, loss, scenarios, ...given } = travelDocument.validateSync(document, {
    strict: true,
    abortEarly: false,
  });
  const all = refusing(() =>
    scenarios.map(({ name, weight = 1, needs, day }) => ({
      name,
      weight,
      choosing: choosingFor(
        clubs as unknown as LadderClub[],
        needs as unknown as ShotDemand[],
        day as Day,
        tasteIn(given),
      ),
    })),
  );
  if (size !== undefined) return refusing(() => travelSet(all, size));
  try {
    const { set, smallest, sizes } = await smallestTravelSet(all, loss!);
    return { ...set, smallest, sizes };
  } catch (error) {
    return refusing(() => {
      throw error;
    });
  }
}
