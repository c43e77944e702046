import { InvalidInputError } from '../invalid-input-error.js';
import { equivalence, shotsToTell, welchInterval, type MeanWithError } from '../statistics/index.js';
import { summariseStrikes, type Middle, type StrikeSummary } from '../strikes/index.js';
import { partsChanged, factorsMixed, type Build, type BuildPart } from './build.js';

/** What is asked: does the new one beat the old one (a driver), or does it match it (anything else)? */
export type Question = 'longer' | 'matches';

/** How far two builds may be apart and still be the same to a player. */
export interface Margins {
  carryM: number;
  apexM: number;
  spinRpm: number;
}
export type MarginPart = keyof Margins;
const MARGIN_PARTS: readonly MarginPart[] = ['carryM', 'apexM', 'spinRpm'];

/** 3 yd of carry, 6 ft of apex, 300 rpm. Ours: about what a player would notice on the course; changed on the screen. */
export const USUAL_MARGINS: Margins = { carryM: 3 * 0.9144, apexM: 6 * 0.3048, spinRpm: 300 };
export const MARGIN_BOUNDS: Readonly<Record<MarginPart, readonly [number, number]>> = {
  carryM: [0.5, 30],
  apexM: [0.3, 15],
  spinRpm: [20, 3000],
};

const FEWEST_BUILDS = 2;
export const MAX_BUILDS = 6;
/** Strikes of each build before a spread can be spoken of. */
export const FEWEST_STRIKES = 3;

export type PairWord = 'longer' | 'shorter' | 'no longer' | 'matches' | 'does not match' | 'not known yet';

/** One quantity of a pair: the other build less the first, with its interval. */
export interface Difference {
  part: MarginPart | 'totalM';
  by: number;
  low: number;
  high: number;
}

/** A build against the first one. */
export interface Pair {
  id: string;
  word: PairWord;
  differences: readonly Difference[];
  /** What spoils the match, or is not settled. */
  open: readonly MarginPart[];
  /** More shots with each of the two until it is likely told, four times in five, at what was seen so far; undefined where none of it is open, or it is too close ever to tell. */
  moreShots: number | undefined;
  changed: readonly BuildPart[];
  mixed: readonly BuildPart[];
}

export interface Comparison {
  question: Question;
  summaries: readonly (StrikeSummary & { id: string })[];
  pairs: readonly Pair[];
  /** Confidence of each single interval: 95 % for all of them together, shared out evenly (Bonferroni). */
  confidenceEach: number;
}

const ALPHA = 0.05;
/** Past this many nobody goes on hitting. Ours. */
const MAX_MORE = 500;

/**
 * Two to six builds on the same task, each against the first. *Longer* asks for a Welch interval of the carry that leaves out zero;
 * *matches* for two one-sided tests inside the margins of carry, apex and spin, all three (which needs no correction: R. L. Berger,
 * Technometrics 24 (1982) 295-300). With more than one pair the level is shared out between them.
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
  const summaries = builds.map(({ id, strikes }) => ({ ...summariseStrikes(strikes), id }));
  const alpha = ALPHA / (builds.length - 1);
  const pairs = builds.slice(1).map((build, i): Pair => {
    const [first, other] = [summaries[0]!, summaries[i + 1]!];
    const answer =
      question === 'longer'
        ? whichIsLonger(first, other, alpha, margins)
        : doesItMatch(first, other, alpha, margins);
    return {
      id: build.id,
      ...answer,
      changed: partsChanged(builds[0]!.parts, build.parts),
      mixed: factorsMixed(builds[0]!.parts, build.parts),
    };
  });
  return { question, summaries, pairs, confidenceEach: question === 'longer' ? 1 - alpha : 1 - 2 * alpha };
}

type Answer = Pick<Pair, 'word' | 'differences' | 'open' | 'moreShots'>;

function whichIsLonger(first: StrikeSummary, other: StrikeSummary, alpha: number, margins: Margins): Answer {
  const differences = (['carryM', 'totalM', 'apexM', 'spinRpm'] as const).map((part) =>
    differenceOf(part, first, other, 1 - alpha),
  );
  const carry = differences[0]!;
  if (carry.low > 0) return { word: 'longer', differences, open: [], moreShots: undefined };
  if (carry.high < 0) return { word: 'shorter', differences, open: [], moreShots: undefined };
  // Not told apart, and whatever it is, it is less than anybody would notice.
  if (carry.low > -margins.carryM && carry.high < margins.carryM)
    return { word: 'no longer', differences, open: [], moreShots: undefined };
  const needed = shotsToTell(first.carryM.spread, other.carryM.spread, Math.abs(carry.by), alpha / 2);
  return {
    word: 'not known yet',
    differences,
    open: ['carryM'],
    moreShots: moreThan(Math.min(first.n, other.n), needed),
  };
}

function doesItMatch(first: StrikeSummary, other: StrikeSummary, alpha: number, margins: Margins): Answer {
  const tests = MARGIN_PARTS.map((part) => ({
    part,
    margin: margins[part],
    difference: differenceOf(part, first, other, 1 - 2 * alpha),
    ...equivalence(errorOf(other[part], other.n), errorOf(first[part], first.n), margins[part], alpha),
  }));
  const differences = tests.map(({ difference }) => difference);
  const outside = tests
    .filter(({ low, high, margin }) => low > margin || high < -margin)
    .map(({ part }) => part);
  if (outside.length > 0) return { word: 'does not match', differences, open: outside, moreShots: undefined };
  const unsettled = tests.filter(({ p }) => p >= alpha);
  if (unsettled.length === 0) return { word: 'matches', differences, open: [], moreShots: undefined };
  const needed = Math.max(
    ...unsettled.map(({ part, margin, difference }) =>
      shotsToTell(first[part].spread, other[part].spread, Math.abs(margin - Math.abs(difference.by)), alpha),
    ),
  );
  return {
    word: 'not known yet',
    differences,
    open: unsettled.map(({ part }) => part),
    moreShots: moreThan(Math.min(first.n, other.n), needed),
  };
}

/** At least one: it is not told yet. */
function moreThan(n: number, needed: number): number | undefined {
  const more = Math.max(1, needed - n);
  return more > MAX_MORE ? undefined : more;
}

function differenceOf(
  part: Difference['part'],
  first: StrikeSummary,
  other: StrikeSummary,
  confidence: number,
): Difference {
  const { low, high } = welchInterval(
    errorOf(other[part], other.n),
    errorOf(first[part], first.n),
    confidence,
  );
  return { part, by: other[part].mean - first[part].mean, low, high };
}

function errorOf({ mean, spread }: Middle, n: number): MeanWithError {
  return { mean, standardError: spread / Math.sqrt(n), n };
}
