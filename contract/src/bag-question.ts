import {
  DEFAULT_GAP_SETTINGS,
  GAPPING_STRATEGIES,
  MEDIUM_FAIRWAY,
  BASELINE,
  usualRoundChoosing,
  type BagQuestion,
  type CostedRound,
  type DistanceUnit,
  type GapOptions,
  type LadderClub,
} from '@tasche/core';
import * as yup from './yup.js';
import { ladderClubsSchema } from './ladder-clubs.js';
import { distanceUnitSchema, finite, gapSettingsSchema, handicapSchema, textSchema } from './schemas.js';

const MAX_CLUBS = 60;

/**
 * A locker and the bag of it that is asked about, in documents of `tasche calc`: carries in calm air, 21 C,
 * sea level.
 */
export const bagQuestionShape = {
  clubs: ladderClubsSchema
    .min(1, '${path} is empty')
    .max(MAX_CLUBS, `\${path} holds more than ${MAX_CLUBS} clubs`),
  bag: yup
    .array(textSchema(80).required('${path} is missing'))
    .max(MAX_CLUBS, `\${path} holds more than ${MAX_CLUBS} clubs`)
    .required('${path} is missing')
    .test('known', 'bag names a club that is not there', (ids, { parent }) => {
      const clubs = (parent as { clubs?: readonly { id?: string }[] }).clubs ?? [];
      return (ids ?? []).every((id) => clubs.some((club) => club?.id === id));
    }),
  handicap: handicapSchema,
  limit: finite(1, 14).integer('${path} must be a whole number'),
  school: yup
    .string()
    .strict()
    .oneOf(GAPPING_STRATEGIES.map(({ id }) => id)),
  settings: gapSettingsSchema.default(undefined),
  unit: distanceUnitSchema,
};

/** Such a document, read. */
export interface BagQuestionDocument extends GapOptions {
  clubs: readonly LadderClub[];
  bag: readonly string[];
  handicap?: number;
  limit?: number;
  /** Of the sentences; every number stays in metres and degrees. */
  unit?: DistanceUnit;
}

/**
 * A usual round of the document's player, and the question about the bag; no round where nothing says how far
 * they hit it.
 */
export function bagQuestionOf({ clubs, bag, handicap, limit, school, settings }: BagQuestionDocument): {
  round: CostedRound | undefined;
  question: BagQuestion;
} {
  const options: GapOptions = {
    ...(school && { school }),
    ...(settings && { settings }),
  };
  return {
    round: usualRoundChoosing({
      clubs,
      from: { conditions: BASELINE, surface: MEDIUM_FAIRWAY },
      ...(handicap !== undefined && { handicap }),
    }),
    question: {
      bagIds: bag,
      options,
      limit: limit ?? settings?.clubLimit ?? DEFAULT_GAP_SETTINGS.clubLimit,
    },
  };
}
