import { clubOfLoftWords, remedyWords, usualRemedies, type Remedy } from '@tasche/core';
import * as yup from './yup.js';
import { bagQuestionOf, bagQuestionShape, type BagQuestionDocument } from './bag-question.js';
import { wholeDocument } from './schemas.js';

/** One remedy, as `tasche calc remedies` writes it: docs/formats/remedies-output.schema.json. */
type RemedyAnswer = Pick<Remedy, 'kind' | 'gain' | 'outId' | 'inId' | 'bends'> & {
  /** "Put the 48 in for the 5 hybrid". */
  text: string;
  /** The bag it makes, ids; a club to buy is "a wedge of 48". */
  bag: readonly string[];
  /** Steps at fault before and after. */
  faults: number;
};

export const remediesDocument = wholeDocument(
  yup.object(bagQuestionShape).strict().noUnknown('unknown field: ${unknown}'),
);

/**
 * Checks a document and looks for what may be done to its bag; an empty list is "nothing worth doing".
 * @throws yup.ValidationError naming every bad field
 * @example
 * calcRemedies({
 *   clubs: [
 *     { id: '9', name: '9', kind: 'iron', loftDeg: 40, shots: { full: { carryM: 125, source: 'stated' } } },
 *     { id: 'PW', name: 'PW', kind: 'iron', loftDeg: 45, shots: { full: { carryM: 112, source: 'stated' } } },
 *     { id: '50', name: '50', kind: 'wedge', loftDeg: 50, shots: { full: { carryM: 99, source: 'stated' } } },
 *     { id: '56', name: '56', kind: 'wedge', loftDeg: 56, shots: { full: { carryM: 82, source: 'stated' } } },
 *   ],
 *   bag: ['9', 'PW', '56'],
 * }).remedies.map(({ text }) => text).at(-1)
 * // 'Put the 50 in'
 */
export function calcRemedies(document: unknown): { remedies: readonly RemedyAnswer[] } {
  const given = remediesDocument.validateSync(document, {
    strict: true,
    abortEarly: false,
  }) as unknown as BagQuestionDocument;
  const { round, question } = bagQuestionOf(given);
  const found = round ? usualRemedies(round, question) : [];
  const nameOf = (id: string) => given.clubs.find((club) => club.id === id)?.name ?? id;
  return {
    remedies: found.map((remedy) => {
      const { kind, gain, outId, inId, bends, buys, bag, after } = remedy;
      return {
        kind,
        text: remedyWords(remedy, nameOf, given.unit ?? 'yd'),
        gain,
        bag: bag.map((club) => (club === buys ? clubOfLoftWords(club.kind, String(club.loftDeg)) : club.id)),
        faults: after.faults,
        ...(outId !== undefined && { outId }),
        ...(inId !== undefined && { inId }),
        ...(bends && { bends }),
      };
    }),
  };
}
