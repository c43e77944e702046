import {
  USUAL_BOUNCE_WINDOW,
  bendChoices,
  bendPlan,
  bendPlanWords,
  placedClubs,
  type BendPlan,
  type BounceWindow,
  type GapOptions,
  type LadderClub,
  type LoftChoice,
} from '@tasche/core';
import * as yup from './yup.js';
import { ladderClubsSchema } from './ladder-clubs.js';
import {
  distanceUnitSchema,
  finite,
  gapSettingsSchema,
  strategySchema,
  textSchema,
  wholeDocument,
} from './schemas.js';

/** What `tasche calc bend` reads: docs/formats/bend-input.schema.json. */
interface BendDocument extends GapOptions {
  clubs: readonly LadderClub[];
  /** How far clubs may be bent or turned; an iron or a wedge that is not named is bent a degree at most. */
  limits?: readonly {
    clubId: string;
    weakerDeg?: number;
    strongerDeg?: number;
    turnsDeg?: readonly number[];
  }[];
  bounce?: BounceWindow;
}

/** A plan as it is written: docs/formats/bend-output.schema.json. */
type BendPlanAnswer = Pick<BendPlan, 'bends' | 'effort' | 'offTarget' | 'offTargetAtWorst'> & {
  /** "7 to PW ½° weak". */
  words: string;
  faults: number;
  looks: number;
};
interface BendAnswerDocument {
  unit: 'm' | 'deg';
  now: BendPlanAnswer;
  plans: readonly BendPlanAnswer[];
  chosen: BendPlanAnswer;
  nextBest?: BendPlanAnswer;
}

const MAX_LIMIT_DEG = 6;
const USUAL_LIMIT_DEG = 1;
const MAX_TURNS = 16;

export const bendDocument = wholeDocument(
  yup
    .object({
      clubs: ladderClubsSchema,
      school: strategySchema,
      settings: gapSettingsSchema.default(undefined),
      unit: distanceUnitSchema,
      limits: yup
        .array(
          yup
            .object({
              clubId: textSchema(80).required('${path} is missing'),
              weakerDeg: finite(0, MAX_LIMIT_DEG),
              strongerDeg: finite(0, MAX_LIMIT_DEG),
              turnsDeg: yup
                .array(finite(-MAX_LIMIT_DEG, MAX_LIMIT_DEG).required('${path} is missing'))
                .max(MAX_TURNS, `\${path} holds more than ${MAX_TURNS} turns`),
            })
            .strict()
            .noUnknown('${path} has an unknown field: ${unknown}'),
        )
        .max(200, '${path} holds more than 200 limits')
        .test('known', 'limits names a club that is not there', (limits, { parent }) => {
          const clubs = (parent as { clubs?: readonly { id?: string }[] }).clubs ?? [];
          return (limits ?? []).every((one) => clubs.some((club) => club?.id === one?.clubId));
        }),
      bounce: yup
        .object({
          minDeg: finite(-5, 30).required('${path} is missing'),
          maxDeg: finite(-5, 30).required('${path} is missing'),
        })
        .strict()
        .noUnknown('${path} has an unknown field: ${unknown}')
        .default(undefined),
    })
    .strict()
    .noUnknown('unknown field: ${unknown}'),
);

/**
 * Checks a document and computes its bend plan.
 * @throws yup.ValidationError naming every bad field
 * @example
 * calcBend({
 *   limits: [{ clubId: '52', weakerDeg: 2, strongerDeg: 2 }],
 *   clubs: [
 *     { id: '9', name: '9', kind: 'iron', loftDeg: 40, shots: { full: { carryM: 125, source: 'stated' } } },
 *     { id: 'PW', name: 'PW', kind: 'iron', loftDeg: 44, shots: { full: { carryM: 114, source: 'stated' } } },
 *     { id: '52', name: '52', kind: 'wedge', loftDeg: 52, shots: { full: { carryM: 92, source: 'stated' } } },
 *     { id: '56', name: '56', kind: 'wedge', loftDeg: 56, shots: { full: { carryM: 80, source: 'stated' } } },
 *   ],
 * }).plans[1].words
 * // '52 ½° strong'
 */
export function calcBend(document: unknown): BendAnswerDocument {
  const {
    clubs,
    limits = [],
    bounce = USUAL_BOUNCE_WINDOW,
    ...options
  } = bendDocument.validateSync(document, {
    strict: true,
    abortEarly: false,
  }) as unknown as BendDocument;
  const placed = placedClubs(clubs);
  const choices = new Map(placed.map((club) => [club.id, choicesOf(club)]));
  const { unit, now, plans, chosen, nextBest } = bendPlan({ clubs: placed, choices, options });
  return {
    unit,
    now: answerOf(now),
    plans: plans.map(answerOf),
    chosen: answerOf(chosen),
    ...(nextBest && { nextBest: answerOf(nextBest) }),
  };

  function choicesOf(club: LadderClub): LoftChoice[] {
    const own = limits.find(({ clubId }) => clubId === club.id);
    if (own?.turnsDeg) return [0, ...own.turnsDeg].map((byDeg) => ({ byDeg, effort: byDeg === 0 ? 0 : 1 }));
    const isBent = club.kind === 'iron' || club.kind === 'wedge';
    if (!own && !isBent) return [];
    const usual = isBent ? USUAL_LIMIT_DEG : 0;
    const range = { weakerDeg: own?.weakerDeg ?? usual, strongerDeg: own?.strongerDeg ?? usual };
    return bendChoices(club, range, bounce).map((byDeg) => ({ byDeg, effort: Math.abs(byDeg) * 2 }));
  }
}

function answerOf(plan: BendPlan): BendPlanAnswer {
  const { bends, effort, offTarget, offTargetAtWorst, report } = plan;
  return {
    words: bendPlanWords(plan, report.rungs),
    bends,
    effort,
    offTarget,
    offTargetAtWorst,
    faults: report.faults,
    looks: report.looks,
  };
}
