import {
  GAPPING_STRATEGIES,
  UNPLACED_WORDS,
  flagSentence,
  gaps,
  headlineWords,
  placedClubs,
  stepSentence,
  type DistanceUnit,
  type Flag,
  type GapOptions,
  type GapReport,
  type LadderClub,
  type StepReport,
} from '@tasche/core';
import * as yup from './yup.js';
import { ladderClubsSchema } from './ladder-clubs.js';
import { distanceUnitSchema, gapSettingsSchema, wholeDocument } from './schemas.js';

/** What `tasche calc gaps` reads: docs/formats/gaps.schema.json. */
interface GapsDocument extends GapOptions {
  clubs: readonly LadderClub[];
  /** False leaves a club without a carry off the ladder; else it has its modelled place. */
  fill?: boolean;
  /** Of the sentences; every number stays in metres and degrees. */
  unit?: DistanceUnit;
}

type Said<T> = T & { reason: string };

/** The report as `tasche calc gaps` writes it: every finding with its sentence. */
type GapAnswer = Omit<GapReport, 'settings' | 'names' | 'steps' | 'flags' | 'unplaced' | 'headline'> & {
  steps: readonly Said<
    Omit<StepReport, 'carryWord' | 'seems' | 'limitM' | 'limitCode' | 'modelledIds' | 'flags'> & {
      flags: readonly Said<Flag>[];
    }
  >[];
  flags: readonly Said<Flag>[];
  unplaced: readonly Said<GapReport['unplaced'][number]>[];
  headline: Pick<GapReport['headline'], 'severity' | 'clubIds'> & { title: string; text: string };
};

export const gapsDocument = wholeDocument(
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
export function calcGaps(document: unknown): GapAnswer {
  const {
    clubs,
    fill = true,
    unit = 'yd',
    ...options
  } = gapsDocument.validateSync(document, {
    strict: true,
    abortEarly: false,
  }) as unknown as GapsDocument;
  return answerOf(gaps(fill ? placedClubs(clubs) : clubs, options), unit);
}

function answerOf(report: GapReport, unit: DistanceUnit): GapAnswer {
  const { settings: _settings, names: _names, steps, flags, unplaced, headline, ...rest } = report;
  const said = (flag: Flag) => ({ ...flag, reason: flagSentence(flag, report, unit) });
  return {
    ...rest,
    steps: steps.map((step) => {
      const {
        carryWord: _carryWord,
        seems: _seems,
        limitM: _limitM,
        limitCode: _limitCode,
        modelledIds: _modelledIds,
        ...shown
      } = step;
      return { ...shown, flags: step.flags.map(said), reason: stepSentence(step, report, unit) };
    }),
    flags: flags.map(said),
    unplaced: unplaced.map((club) => ({ ...club, reason: UNPLACED_WORDS })),
    headline: {
      severity: headline.severity,
      ...headlineWords(report, unit),
      ...(headline.clubIds && { clubIds: headline.clubIds }),
    },
  };
}
