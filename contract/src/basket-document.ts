import {
  BASKET_BOUNDS,
  basketReasonSentence,
  basketSentence,
  nextBasket,
  usualRules,
  type NextBasket,
} from '@tasche/core';
import * as yup from './yup.js';
import { bagQuestionOf, bagQuestionShape, type BagQuestionDocument } from './bag-question.js';
import { finite, wholeDocument } from './schemas.js';

/** What `tasche calc basket` writes: docs/formats/basket-output.schema.json. */
interface BasketAnswer extends NextBasket {
  /** What the balls are worth, then a line a shot. */
  why: readonly string[];
}

export const basketDocument = wholeDocument(
  yup
    .object({
      ...bagQuestionShape,
      balls: finite(...BASKET_BOUNDS.balls)
        .integer('${path} must be a whole number')
        .required('${path} is missing'),
    })
    .strict()
    .noUnknown('unknown field: ${unknown}'),
);

/**
 * Checks a document and works the next basket out.
 * @throws yup.ValidationError naming every bad field
 * @example
 * calcBasket({
 *   clubs: [
 *     { id: '7', name: '7', kind: 'iron', loftDeg: 32, shots: { full: { carryM: 147, source: 'stated' } } },
 *     { id: '9', name: '9', kind: 'iron', loftDeg: 41, shots: {} },
 *     { id: 'PW', name: 'PW', kind: 'wedge', loftDeg: 46, shots: {} },
 *   ],
 *   bag: ['7', '9', 'PW'],
 *   balls: 30,
 * }).parts.map(({ clubId }) => clubId).sort()
 * // ['9', 'PW']
 */
export function calcBasket(document: unknown): BasketAnswer {
  const given = basketDocument.validateSync(document, {
    strict: true,
    abortEarly: false,
  }) as unknown as BagQuestionDocument & { balls: number };
  const { round, question } = bagQuestionOf(given);
  const basket: NextBasket = (round &&
    nextBasket({
      round,
      rules: usualRules(question),
      bagIds: question.bagIds,
      balls: given.balls,
      options: question.options,
      ...(given.handicap !== undefined && { handicap: given.handicap }),
    })) ?? { parts: [], gain: 0, perfectGain: 0, spare: given.balls };
  const nameOf = (id: string) => given.clubs.find((club) => club.id === id)?.name ?? id;
  const { unit = 'yd' } = given;
  return {
    ...basket,
    why: round
      ? [basketSentence(basket), ...basket.parts.map((part) => basketReasonSentence(part, nameOf, unit))]
      : ['Nothing says how far this player hits it: give a loft or a carry.'],
  };
}
