import { InvalidInputError } from '../invalid-input-error.js';
import { equivalence, shotsToTell, welchInterval } from '../statistics/index.js';
import { summariseStrikes, type StrikeSummary } from '../strikes/index.js';
import { partsChanged, factorsMixed, type Build, type BuildPart } from './build.js';
import { FEWEST_STRIKES, errorOf, measuredOf, type Measure, type Measured } from './measures.js';

/**
 * The question about the new one: is it longer off the tee, does it match the old one, does it stop sooner on a
 * firm green, does it spin more without losing carry, do its balls pitch closer together?
 */
export type Question = 'longer' | 'matches' | 'holds' | 'more-spin' | 'tighter';
export const QUESTIONS: readonly Question[] = ['longer', 'matches', 'holds', 'more-spin', 'tighter'];

/** How far two builds may be apart and still be the same to a player; the carry's goes for every distance. */
export interface Margins {
  carryM: number;
  apexM: number;
  spinRpm: number;
}
export type MarginPart = keyof Margins;
const MARGIN_PARTS: readonly MarginPart[] = ['carryM', 'apexM', 'spinRpm'];

/**
 * 3 yd of carry, 6 ft of apex, 300 rpm. Our choice: about what a player would notice on the course; changed on
 * the screen.
 */
export const USUAL_MARGINS: Margins = { carryM: 3 * 0.9144, apexM: 6 * 0.3048, spinRpm: 300 };
export const MARGIN_BOUNDS: Readonly<Record<MarginPart, readonly [number, number]>> = {
  carryM: [0.5, 30],
  apexM: [0.3, 15],
  spinRpm: [20, 3000],
};

const FEWEST_BUILDS = 2;
export const MAX_BUILDS = 6;

export type PairWord =
  | 'longer'
  | 'shorter'
  | 'no longer'
  | 'matches'
  | 'does not match'
  | 'stops sooner'
  | 'runs farther'
  | 'stops alike'
  | 'more spin'
  | 'less spin'
  | 'no more spin'
  | 'carry lost'
  | 'tighter'
  | 'wider'
  | 'no tighter'
  | 'not known yet'
  | 'not measured';

/** One quantity of a pair: the other build less the first, with its interval. */
export interface Difference {
  part: Measure;
  by: number;
  low: number;
  high: number;
}

/** A build against the first one. */
export interface Pair {
  id: string;
  word: PairWord;
  /** What was asked first; those that were not measured of both are not among them. */
  differences: readonly Difference[];
  /** What spoils the match, or is not settled. */
  open: readonly Measure[];
  /** What the question asks and the strikes do not tell. */
  unmeasured: readonly Measure[];
  /**
   * More shots with each of the two until it is likely told, four times in five, at what was seen so far;
   * undefined where none of it is open, or it is too close ever to tell.
   */
  moreShots: number | undefined;
  /** Where a green is to be held: whether this one holds a firm one; undefined where that is not known. */
  holds?: boolean;
  changed: readonly BuildPart[];
  mixed: readonly BuildPart[];
}

/** What one build does, as far as it was measured. */
export type BuildSummary = StrikeSummary & {
  id: string;
  measured: Readonly<Partial<Record<Measure, Measured>>>;
};

export interface Comparison {
  question: Question;
  summaries: readonly BuildSummary[];
  pairs: readonly Pair[];
  /** Confidence of each single interval: 95 % for all of them together, shared out evenly (Bonferroni). */
  confidenceEach: number;
}

/** What each question looks at, what decides it first. */
const ASKED: Readonly<Record<Question, readonly Measure[]>> = {
  longer: ['totalM', 'carryM', 'apexM', 'spinRpm'],
  matches: MARGIN_PARTS,
  holds: ['firmGreenRunM', 'descentDeg', 'carryM', 'spinRpm'],
  'more-spin': ['spinRpm', 'carryM', 'apexM'],
  tighter: ['missM', 'carryM'],
};
const MEASURES: readonly Measure[] = [
  'carryM',
  'totalM',
  'apexM',
  'spinRpm',
  'descentDeg',
  'firmGreenRunM',
  'missM',
];

const ALPHA = 0.05;
/** A ball that runs less than 8 yd on a firm green holds it. Common practice, no source. */
export const HOLDS_M = 8 * 0.9144;
/** No more shots than this are asked for. Our choice. */
const MAX_MORE = 500;

/**
 * Two to six builds on the same task, each against the first. A race (longer, stops sooner, tighter, more
 * spin) asks for a Welch interval of its measure that leaves out zero; *matches* for two one-sided tests
 * inside the margins of carry, apex and spin, all three (which needs no correction: R. L. Berger,
 * Technometrics 24 (1982) 295-300). With more than one pair the level is shared out between them. A measure
 * that the strikes do not tell is not judged.
 * @throws InvalidInputError for too few or too many builds, or one with too few strikes
 */
export function compareBuilds(
  builds: readonly Build[],
  question: Question,
  margins: Margins = USUAL_MARGINS,
): Comparison {
  if (builds.length < FEWEST_BUILDS || builds.length > MAX_BUILDS)
    throw new InvalidInputError('builds', `must be ${FEWEST_BUILDS} to ${MAX_BUILDS}, not ${builds.length}`);
  for (const { name, strikes } of builds) {
    if (strikes.length < FEWEST_STRIKES)
      throw new InvalidInputError(
        'strikes',
        `of ${name} are ${strikes.length}; a spread needs ${FEWEST_STRIKES}`,
      );
  }
  const summaries = builds.map(({ id, strikes }): BuildSummary => ({
    ...summariseStrikes(strikes),
    id,
    measured: Object.fromEntries(
      MEASURES.flatMap((measure) => {
        const known = measuredOf(strikes, measure);
        return known ? [[measure, known]] : [];
      }),
    ),
  }));
  const alpha = ALPHA / (builds.length - 1);
  const isRace = question !== 'matches';
  const confidenceEach = isRace ? 1 - alpha : 1 - 2 * alpha;
  const pairs = builds.slice(1).map((build, i): Pair => {
    const holds = question === 'holds' ? holdsGreen(summaries[i + 1]!) : undefined;
    const both = measuredPair(summaries[0]!, summaries[i + 1]!, confidenceEach, margins);
    return {
      id: build.id,
      ...(isRace ? raceOf(question, both, alpha) : doesItMatch(both, alpha)),
      differences: ASKED[question].flatMap((measure) => both.difference(measure) ?? []),
      ...(holds !== undefined && { holds }),
      changed: partsChanged(builds[0]!.parts, build.parts),
      mixed: factorsMixed(builds[0]!.parts, build.parts),
    };
  });
  return { question, summaries, pairs, confidenceEach };
}

type Answer = Pick<Pair, 'word' | 'open' | 'unmeasured' | 'moreShots'>;

/** The first and another build, measure by measure. */
interface MeasuredPair {
  /** What both were measured in. */
  of(measure: Measure): readonly [Measured, Measured] | undefined;
  difference(measure: Measure): Difference | undefined;
  /** How far apart they may be and still be the same. */
  margin(measure: Measure): number;
  /** More shots with each until a distance of `delta` is told, four times in five. */
  moreShots(measure: Measure, delta: number, alpha: number): number | undefined;
}

function measuredPair(
  first: BuildSummary,
  other: BuildSummary,
  confidence: number,
  margins: Margins,
): MeasuredPair {
  const of = (measure: Measure) => {
    const [a, b] = [first.measured[measure], other.measured[measure]];
    return a && b ? ([a, b] as const) : undefined;
  };
  return {
    of,
    difference(measure) {
      const both = of(measure);
      if (!both) return undefined;
      const { low, high } = welchInterval(errorOf(both[1]), errorOf(both[0]), confidence);
      return { part: measure, by: both[1].mean - both[0].mean, low, high };
    },
    margin: (measure) => (measure === 'apexM' || measure === 'spinRpm' ? margins[measure] : margins.carryM),
    moreShots(measure, delta, alpha) {
      const [a, b] = of(measure)!;
      const more = Math.max(1, shotsToTell(a.spread, b.spread, delta, alpha) - Math.min(a.n, b.n));
      return more > MAX_MORE ? undefined : more;
    },
  };
}

/** Words for more, for less, and for no noticeable difference. */
const RACES: Readonly<
  Record<
    Exclude<Question, 'matches'>,
    { measures: readonly Measure[]; more: PairWord; less: PairWord; same: PairWord }
  >
> = {
  // Where no run was measured the carry decides.
  longer: { measures: ['totalM', 'carryM'], more: 'longer', less: 'shorter', same: 'no longer' },
  holds: { measures: ['firmGreenRunM'], more: 'runs farther', less: 'stops sooner', same: 'stops alike' },
  'more-spin': { measures: ['spinRpm'], more: 'more spin', less: 'less spin', same: 'no more spin' },
  tighter: { measures: ['missM'], more: 'wider', less: 'tighter', same: 'no tighter' },
};

function raceOf(question: Exclude<Question, 'matches'>, both: MeasuredPair, alpha: number): Answer {
  const { measures, more, less, same } = RACES[question];
  const measure = measures.find((one) => both.of(one));
  const unmeasured = measures.filter((one) => !both.of(one));
  if (measure === undefined)
    return { word: 'not measured', open: [], unmeasured: measures, moreShots: undefined };
  const settled = (word: PairWord): Answer => ({ word, open: [], unmeasured, moreShots: undefined });
  const { by, low, high } = both.difference(measure)!;
  const margin = both.margin(measure);
  if (low > 0) return question === 'more-spin' ? withCarryKept(both, alpha) : settled(more);
  if (high < 0) return settled(less);
  // Not told apart, and whatever it is, it is less than a player would notice.
  if (low > -margin && high < margin) return settled(same);
  return {
    word: 'not known yet',
    open: [measure],
    unmeasured,
    moreShots: both.moreShots(measure, Math.abs(by), alpha / 2),
  };
}

/** It spins more; whether it does so for carry. */
function withCarryKept(both: MeasuredPair, alpha: number): Answer {
  const carry = both.difference('carryM');
  if (!carry) return { word: 'not measured', open: [], unmeasured: ['carryM'], moreShots: undefined };
  const margin = both.margin('carryM');
  if (carry.low > -margin) return { word: 'more spin', open: [], unmeasured: [], moreShots: undefined };
  if (carry.high < -margin)
    return { word: 'carry lost', open: ['carryM'], unmeasured: [], moreShots: undefined };
  return {
    word: 'not known yet',
    open: ['carryM'],
    unmeasured: [],
    moreShots: both.moreShots('carryM', Math.abs(carry.by + margin), alpha / 2),
  };
}

function doesItMatch(both: MeasuredPair, alpha: number): Answer {
  const unmeasured = MARGIN_PARTS.filter((part) => !both.of(part));
  if (unmeasured.includes('carryM'))
    return { word: 'not measured', open: [], unmeasured, moreShots: undefined };
  const tests = MARGIN_PARTS.flatMap((part) => {
    const measured = both.of(part);
    if (!measured) return [];
    const margin = both.margin(part);
    return [
      {
        part,
        margin,
        by: both.difference(part)!.by,
        ...equivalence(errorOf(measured[1]), errorOf(measured[0]), margin, alpha),
      },
    ];
  });
  const outside = tests
    .filter(({ low, high, margin }) => low > margin || high < -margin)
    .map(({ part }) => part);
  if (outside.length > 0) return { word: 'does not match', open: outside, unmeasured, moreShots: undefined };
  const unsettled = tests.filter(({ p }) => p >= alpha);
  if (unsettled.length === 0) return { word: 'matches', open: [], unmeasured, moreShots: undefined };
  const more = unsettled.map(({ part, margin, by }) =>
    both.moreShots(part, Math.abs(margin - Math.abs(by)), alpha),
  );
  return {
    word: 'not known yet',
    open: unsettled.map(({ part }) => part),
    unmeasured,
    moreShots: more.some((one) => one === undefined) ? undefined : Math.max(...(more as number[])),
  };
}

/**
 * Whether a build holds a firm green, by the interval of its mean run; undefined where that lies on both
 * sides of the limit.
 */
function holdsGreen({ measured: { firmGreenRunM: run } }: BuildSummary): boolean | undefined {
  if (!run) return undefined;
  const half = run.plusMinus ?? 0;
  if (run.mean + half < HOLDS_M) return true;
  return run.mean - half > HOLDS_M ? false : undefined;
}

/**
 * Whether a verdict is what was wished for; a verdict that is fine is never red: one that runs farther and
 * still holds the green is not, nor is the wish met by one that stops sooner and does not hold it.
 */
export function wishOf({ word, holds }: Pick<Pair, 'word' | 'holds'>): 'met' | 'not met' | 'even' | 'open' {
  if ((word === 'runs farther' && holds) || (word === 'stops sooner' && holds === false)) return 'even';
  switch (word) {
    case 'longer':
    case 'matches':
    case 'stops sooner':
    case 'more spin':
    case 'tighter':
      return 'met';
    case 'shorter':
    case 'does not match':
    case 'runs farther':
    case 'less spin':
    case 'carry lost':
    case 'wider':
      return 'not met';
    case 'no longer':
    case 'stops alike':
    case 'no more spin':
    case 'no tighter':
      return 'even';
    case 'not known yet':
    case 'not measured':
      return 'open';
  }
}
