import {
  BASELINE,
  TWEAK_BOUNDS,
  carryCurve,
  whatIf,
  type CarryEstimate,
  type ClubKind,
  type LadderClub,
  type Tweak,
  type TweakEffect,
} from '@tasche/core';
import * as yup from './yup.js';
import { named } from './flight-document.js';
import { ladderClubsSchema } from './ladder-clubs.js';
import { clubKindSchema, finite, textSchema, wholeDocument } from './schemas.js';
import { conditionsOf, conditionsSchema } from './setting-schemas.js';

/** What `tasche calc carry` writes: docs/formats/carry-output.schema.json. */
interface CarryAnswer {
  /** Clubs the curve stands on. */
  clubs: number;
  sevenIronSpeedMps: number;
  estimates: readonly ({ kind: ClubKind; loftDeg: number; longerIn: number } & CarryEstimate)[];
  tweaks: readonly ({ clubId: string } & TweakEffect)[];
}

const unknown = '${path} has an unknown field: ${unknown}';
export const carryDocument = wholeDocument(
  yup
    .object({
      clubs: ladderClubsSchema,
      conditions: conditionsSchema.default(undefined),
      lofts: yup
        .array(
          yup
            .object({
              kind: clubKindSchema.required('${path} is missing'),
              loftDeg: finite(0, 80).required('${path} is missing'),
              longerIn: finite(-3, 3),
            })
            .strict()
            .noUnknown(unknown),
        )
        .max(200),
      tweaks: yup
        .array(
          yup
            .object({
              clubId: textSchema(80).required('${path} is missing'),
              bendDeg: finite(...TWEAK_BOUNDS.bendDeg),
              longerIn: finite(...TWEAK_BOUNDS.longerIn),
              sleeveDeg: finite(...TWEAK_BOUNDS.sleeveDeg),
              lieDeg: finite(...TWEAK_BOUNDS.lieDeg),
            })
            .strict()
            .noUnknown(unknown),
        )
        .max(200),
    })
    .strict()
    .noUnknown('unknown field: ${unknown}'),
);

/**
 * A player's carry curve from the clubs whose carry is known: what lofts not yet hit are expected to do, and
 * what a tweak of a known club would.
 * @throws yup.ValidationError naming every bad field
 * @example
 * calcCarry({
 *   clubs: [
 *     { id: '7', name: '7', kind: 'iron', loftDeg: 32, shots: { full: { carryM: 147, source: 'stated' } } },
 *   ],
 *   lofts: [{ kind: 'iron', loftDeg: 36 }],
 * }).estimates[0].carryM.value.toFixed(0)
 * // '136'
 */
export function calcCarry(document: unknown): CarryAnswer {
  const {
    clubs,
    conditions,
    lofts = [],
    tweaks = [],
  } = carryDocument.validateSync(document, { strict: true, abortEarly: false });
  const known = clubs as unknown as LadderClub[];
  const air = conditions ? conditionsOf(conditions) : BASELINE;
  const curve = carryCurve(known, air);
  const asked = <T, R>(list: readonly T[], name: string, answer: (one: T) => R): R[] =>
    list.map((one, i) => {
      try {
        return answer(one);
      } catch (error) {
        throw named(error, `${name}[${i}].`);
      }
    });
  return {
    clubs: curve.clubs,
    sevenIronSpeedMps: curve.sevenIronSpeedMps,
    estimates: asked(lofts, 'lofts', ({ kind, loftDeg, longerIn = 0 }) => ({
      kind,
      loftDeg,
      longerIn,
      ...curve.at(kind, loftDeg, longerIn),
    })),
    tweaks: asked(tweaks, 'tweaks', ({ clubId, ...tweak }) => {
      const club = known.find((one) => one.id === clubId);
      const { loftDeg, shots } = club ?? { loftDeg: undefined, shots: {} as LadderClub['shots'] };
      if (!club || loftDeg === undefined || !shots.full)
        throw new yup.ValidationError(
          'tweaks name a club without a loft or a full carry',
          clubId,
          'tweaks.clubId',
        );
      return { clubId, ...whatIf({ kind: club.kind, loftDeg }, shots.full, tweak as Tweak, air) };
    }),
  };
}
