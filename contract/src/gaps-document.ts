import {
  GAPPING_STRATEGIES,
  gaps,
  placedClubs,
  type GapOptions,
  type GapReport,
  type LadderClub,
} from '@tasche/core';
import * as yup from './yup.js';
import { ladderClubsSchema } from './ladder-clubs.js';
import { distanceUnitSchema, gapSettingsSchema, wholeDocument } from './schemas.js';

/** What `tasche calc gaps` reads: docs/formats/gaps.schema.json. */
interface GapsDocument extends GapOptions {
  clubs: readonly LadderClub[];
  /** False leaves a club without a carry off the ladder; else it has its modelled place. */
  fill?: boolean;
}

const gapsSchema = wholeDocument(
  yup
    .object({
      school: yup
        .string()
        .strict()
        .oneOf(GAPPING_STRATEGIES.map((school) => school.id)),
      settings: gapSettingsSchema.default(undefined),
      unit: distanceUnitSchema,
      clubs: ladderClubsSchema,
      fill: yup.boolean().strict(),
    })
    .strict()
    .noUnknown('unknown field: ${unknown}'),
);

/**
 * Checks a document and computes its gap report.
 * @throws yup.ValidationError naming every bad field
 * @example
 * calcGaps({
 *   unit: 'yd',
 *   clubs: [
 *     { id: 'PW', name: 'PW', kind: 'iron', loftDeg: 44, shots: { full: { carryM: 114.3, source: 'stated' } } },
 *     { id: '52', name: '52', kind: 'wedge', loftDeg: 52, shots: { full: { carryM: 92.4, source: 'stated' } } },
 *   ],
 * }).headline.text
 * // 'PW to 52 is 8.0° and 24 yd, over 15 yd.'
 */
export function calcGaps(document: unknown): GapReport {
  const {
    clubs,
    fill = true,
    ...options
  } = gapsSchema.validateSync(document, {
    strict: true,
    abortEarly: false,
  }) as unknown as GapsDocument;
  return gaps(fill ? placedClubs(clubs) : clubs, options);
}
