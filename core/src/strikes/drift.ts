import type { StrikePart } from './strike.js';
import type { Middle, StrikeSummary } from './summary.js';
import { welchInterval } from '../statistics/index.js';

/** How one quantity moved between two times. */
export interface Drifted {
  part: DriftPart;
  before: number;
  after: number;
  /** Interval of after less before, so wide that of all four together one in twenty is wrong at most. */
  low: number;
  high: number;
  /** The interval leaves out zero. */
  isSignificant: boolean;
}

type DriftPart = Extract<StrikePart, 'carryM' | 'ballSpeedMps' | 'launchDeg' | 'spinRpm'>;
const PARTS: readonly DriftPart[] = ['carryM', 'ballSpeedMps', 'launchDeg', 'spinRpm'];

/** A club against itself at two times. */
export interface Drift {
  parts: readonly Drifted[];
  verdict: 'worn grooves' | 'slower' | 'faster' | 'changed' | 'as it was' | 'not known yet';
}

/** Four quantities are looked at: each has a quarter of the one chance in twenty to be wrong (Bonferroni). */
const CONFIDENCE = 1 - 0.05 / PARTS.length;

/** Strikes each side must have before anything is said. Our choice. */
const FEWEST = 5;

/**
 * What moved between two summaries of one club. Spin lost and launch gained at one ball speed are what worn
 * grooves do (common practice, no source); anything not clearly different from zero is "as it was".
 */
export function driftOf(before: StrikeSummary, after: StrikeSummary): Drift {
  if (before.n < FEWEST || after.n < FEWEST) return { parts: [], verdict: 'not known yet' };
  const parts = PARTS.map((part): Drifted => {
    const { low, high } = welchInterval(
      meanWithErrorOf(after[part], after.n),
      meanWithErrorOf(before[part], before.n),
      CONFIDENCE,
    );
    return {
      part,
      before: before[part].mean,
      after: after[part].mean,
      low,
      high,
      isSignificant: low > 0 || high < 0,
    };
  });
  const way = (part: DriftPart) => {
    const { isSignificant, low } = parts.find((one) => one.part === part)!;
    return isSignificant ? Math.sign(low) || -1 : 0;
  };
  const verdict =
    way('spinRpm') < 0 && way('launchDeg') > 0
      ? 'worn grooves'
      : way('ballSpeedMps') < 0
        ? 'slower'
        : way('ballSpeedMps') > 0
          ? 'faster'
          : parts.some(({ isSignificant }) => isSignificant)
            ? 'changed'
            : 'as it was';
  return { parts, verdict };
}

function meanWithErrorOf({ mean, spread }: Middle, n: number) {
  return { mean, standardError: spread / Math.sqrt(n), n };
}
