import {
  CHOOSING_BOUNDS,
  smallestTravelSet,
  travelSet,
  type LadderClub,
  type ShotDemand,
  type TravelSet,
  type TravelSize,
} from '@tasche/core';
import {
  choosingFor,
  clubsSchema,
  daySchema,
  demandsSchema,
  refusing,
  required,
  tasteIn,
  tasteShape,
  unknown,
  whole,
  type Day,
} from './choosing-fields.js';
import { finite, nameSchema, wholeDocument } from './schemas.js';
import * as yup from './yup.js';

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
