import { usualRemedies, type Remedy } from '@tasche/core';
import * as yup from 'yup';
import { bagQuestionOf, bagQuestionShape, type BagQuestionDocument } from './bag-question.js';
import { wholeDocument } from './schemas.js';

/** One remedy, as `tasche calc remedies` writes it: docs/formats/remedies-output.schema.json. */
type RemedyAnswer = Pick<Remedy, 'kind' | 'text' | 'gain' | 'outId' | 'inId' | 'bends'> & {
  /** The bag it makes, ids. */
  bag: readonly string[];
  /** Steps at fault before and after. */
  faults: number;
};

const remediesSchema = wholeDocument(
  yup.object(bagQuestionShape).strict().noUnknown('unknown field: ${unknown}'),
);

/**
 * Checks a document and looks for what may be done to its bag; an empty list is "nothing worth doing".
 * @throws yup.ValidationError naming every bad field
 */
export function calcRemedies(document: unknown): { remedies: readonly RemedyAnswer[] } {
  const given = remediesSchema.validateSync(document, {
    strict: true,
    abortEarly: false,
  }) as unknown as BagQuestionDocument;
  const { round, question } = bagQuestionOf(given);
  const found = round ? usualRemedies(round, question) : [];
  return {
    remedies: found.map(({ kind, text, gain, outId, inId, bends, bag, after }) => ({
      kind,
      text,
      gain,
      bag: bag.map(({ id }) => id),
      faults: after.faults,
      ...(outId !== undefined && { outId }),
      ...(inId !== undefined && { inId }),
      ...(bends && { bends }),
    })),
  };
}
