import {
  InvalidInputError,
  bagWhy,
  chooseBag,
  type BagAnswer,
  type LadderClub,
  type ShotDemand,
} from '@tasche/core';
import {
  choosingFor,
  clubsSchema,
  daySchema,
  demandsSchema,
  refusing,
  tasteIn,
  tasteShape,
  whole,
  type Day,
} from './choosing-fields.js';
import { wholeDocument } from './schemas.js';
import * as yup from './yup.js';

/** What `tasche calc choose` writes: docs/formats/choose-output.schema.json. */
interface ChooseAnswer extends BagAnswer {
  /** Why, in sentences: a line a chosen club, then a line a club left out. */
  why: readonly string[];
}

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
