import { MAX_OWN_SHOTS, SHOT_KINDS, isShotKind, quantityOf } from '@tasche/core';
import * as yup from './yup.js';
import { clubKindSchema, nameSchema, quantitySchema, shotSchema, textSchema } from './schemas.js';

const number = (key: string) => quantitySchema(quantityOf(key)!) as yup.NumberSchema;
const unknown = '${path} has an unknown field: ${unknown}';
/** Shots by their kinds: the usual ones, and a player's own, each checked as one. */
const shotsSchema = yup.lazy((shots: unknown) => {
  const own = Object.keys(Object(shots) as object).filter((kind) => isShotKind(kind));
  return yup
    .object(
      Object.fromEntries(
        [...SHOT_KINDS, ...own].map((kind) => [kind, shotSchema.default(undefined)]),
      ) as yup.ObjectShape,
    )
    .strict()
    .noUnknown(unknown)
    .test(
      'own',
      `\${path} holds more than ${MAX_OWN_SHOTS} shots of a player’s own`,
      () => own.length - SHOT_KINDS.filter((kind) => own.includes(kind)).length <= MAX_OWN_SHOTS,
    )
    .required('${path} is missing');
});

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
        shots: shotsSchema,
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
