import { SCHOOLS, SHOT_KINDS, gaps, quantityOf, type GapOptions, type GapReport, type LadderClub } from '@tasche/core';
import * as yup from 'yup';
import { clubKindSchema, distanceUnitSchema, gapSettingsSchema, nameSchema, quantitySchema, shotSchema, textSchema, wholeDocument } from './schemas.js';

/** What `tasche calc gaps` reads: docs/formats/gaps.schema.json. */
export interface GapsDocument extends GapOptions {
  clubs: readonly LadderClub[];
}

const loft = quantitySchema(quantityOf('loftStampedDeg')!) as yup.NumberSchema;
const length = quantitySchema(quantityOf('lengthIn')!) as yup.NumberSchema;
const hits = quantitySchema(quantityOf('hitsPerRound')!) as yup.NumberSchema;
const unknown = '${path} has an unknown field: ${unknown}';

const shotsShape: yup.ObjectShape = Object.fromEntries(SHOT_KINDS.map((kind) => [kind, shotSchema.default(undefined)]));

const gapsSchema = wholeDocument(yup.object({
  school: yup.string().strict().oneOf(SCHOOLS.map((school) => school.id)),
  settings: gapSettingsSchema.default(undefined),
  unit: distanceUnitSchema,
  clubs: yup.array(yup.object({
    id: textSchema(80).min(1).required('${path} is missing'),
    name: nameSchema.required('${path} is missing'),
    kind: clubKindSchema.required('${path} is missing'),
    loftDeg: loft, lengthIn: length, hitsPerRound: hits,
    shots: yup.object(shotsShape).strict().noUnknown(unknown).required('${path} is missing'),
  }).strict().noUnknown(unknown)).max(200).required('${path} is missing')
    .test('ids', 'clubs holds one id twice', (clubs) => new Set(clubs?.map((club) => club?.id)).size === (clubs?.length ?? 0)),
}).strict().noUnknown('unknown field: ${unknown}'));

/**
 * Checks a document and computes its gap report.
 * @throws yup.ValidationError naming every bad field
 */
export function calcGaps(document: unknown): GapReport {
  const { clubs, ...options } = gapsSchema.validateSync(document, { strict: true, abortEarly: false }) as unknown as GapsDocument;
  return gaps(clubs, options);
}
