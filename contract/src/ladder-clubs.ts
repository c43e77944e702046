import { SHOT_KINDS, quantityOf } from '@tasche/core';
import * as yup from './yup.js';
import { clubKindSchema, nameSchema, quantitySchema, shotSchema, textSchema } from './schemas.js';

const number = (key: string) => quantitySchema(quantityOf(key)!) as yup.NumberSchema;
const unknown = '${path} has an unknown field: ${unknown}';
const shotsShape: yup.ObjectShape = Object.fromEntries(
  SHOT_KINDS.map((kind) => [kind, shotSchema.default(undefined)]),
);

/** The clubs of a document of `tasche calc`: ids that differ, kinds, lofts, shots. */
export const ladderClubsSchema = yup
  .array(
    yup
      .object({
        id: textSchema(80).min(1).required('${path} is missing'),
        name: nameSchema.required('${path} is missing'),
        kind: clubKindSchema.required('${path} is missing'),
        loftDeg: number('loftStampedDeg'),
        lengthIn: number('lengthIn'),
        hitsPerRound: number('hitsPerRound'),
        bounceDeg: number('bounceDeg'),
        grind: textSchema(40),
        headWeightG: number('headWeightG'),
        price: number('price'),
        shots: yup.object(shotsShape).strict().noUnknown(unknown).required('${path} is missing'),
      })
      .strict()
      .noUnknown(unknown),
  )
  .max(200)
  .required('${path} is missing')
  .test(
    'ids',
    'clubs holds one id twice',
    (clubs) => new Set(clubs?.map((club) => club?.id)).size === (clubs?.length ?? 0),
  );
