import type { ClubKind, Reading, GappingStrategyId } from '@tasche/core';
import * as yup from './yup.js';
import { MAX_BAGS_A_PLAYER, MAX_CLUBS_A_PLAYER } from './limits.js';
import {
  clubKindSchema,
  distanceUnitSchema,
  gapSettingsSchema,
  handSchema,
  handicapSchema,
  idSchema,
  nameSchema,
  readingSchema,
  textSchema,
  wholeDocument,
  type Hand,
  strategySchema,
} from './schemas.js';
import { keptConditionsSchema } from './setting-schemas.js';
import type { PlayerView } from './views.js';

/** A player's locker with its whole history, as docs/formats/locker.schema.json describes it. */
export interface LockerDocument {
  format: 'tasche-locker';
  version: 1;
  player: {
    name: string;
    hand: Hand;
    distanceUnit: PlayerView['distanceUnit'];
    notes: string;
    handicap?: PlayerView['handicap'];
    gapSettings: PlayerView['gapSettings'];
    baseline?: PlayerView['baseline'];
  };
  clubs: { id: string; name: string; kind: ClubKind; readings: Reading[] }[];
  bags: {
    name: string;
    note: string;
    gamer: boolean;
    ready: boolean;
    /** Even carries where it is not given. */
    strategy?: GappingStrategyId;
    clubIds: string[];
  }[];
}

/** Ten years of weekly gauge readings of two quantities, and room to spare. */
const MAX_READINGS_A_CLUB = 5000;

export const lockerSchema = wholeDocument(
  yup
    .object({
      format: yup
        .string()
        .strict()
        .oneOf(['tasche-locker'] as const, 'format must be "tasche-locker"')
        .required('format is missing'),
      version: yup
        .number()
        .strict()
        .oneOf([1] as const, 'version must be 1')
        .required('version is missing'),
      player: yup
        .object({
          name: nameSchema.required(),
          hand: handSchema.required(),
          distanceUnit: distanceUnitSchema.required(),
          notes: textSchema(4000).defined(),
          handicap: handicapSchema.nullable(),
          gapSettings: gapSettingsSchema.required(),
          baseline: keptConditionsSchema.nullable().default(undefined),
        })
        .strict()
        .noUnknown('${path} has an unknown field: ${unknown}')
        .required('player is missing'),
      clubs: yup
        .array(
          yup
            .object({
              id: idSchema.required(),
              name: nameSchema.required(),
              kind: clubKindSchema.required(),
              readings: yup.array(readingSchema.required()).max(MAX_READINGS_A_CLUB).required(),
            })
            .strict()
            .noUnknown('${path} has an unknown field: ${unknown}'),
        )
        .max(MAX_CLUBS_A_PLAYER)
        .required('clubs is missing'),
      bags: yup
        .array(
          yup
            .object({
              name: nameSchema.required(),
              note: textSchema(2000).defined(),
              gamer: yup.boolean().strict().required(),
              strategy: strategySchema,
              ready: yup.boolean().strict().required(),
              clubIds: yup.array(idSchema.required()).max(MAX_CLUBS_A_PLAYER).required(),
            })
            .strict()
            .noUnknown('${path} has an unknown field: ${unknown}'),
        )
        .max(MAX_BAGS_A_PLAYER)
        .required('bags is missing'),
    })
    .strict()
    .noUnknown('unknown field: ${unknown}'),
);

/**
 * The locker document in parsed JSON.
 * @throws yup.ValidationError naming every bad field
 */
export function parseLockerDocument(body: unknown): LockerDocument {
  return lockerSchema.validateSync(body, { strict: true, abortEarly: false }) as unknown as LockerDocument;
}
