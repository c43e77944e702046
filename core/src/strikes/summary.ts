import {
  FEWEST_FOR_OUTLIERS,
  ellipseOf,
  type Ellipse,
  meanHalfWidth,
  shotsForMean,
  isOutlying,
  outlyingness,
  robustMeanOf,
  deviationOf,
  meanOf,
  quantileOf,
} from '../statistics/index.js';
import type { CompleteStrike } from './complete-strike.js';

/** The middle of one quantity over a club's strikes. */
export interface Middle {
  mean: number;
  /** Huber's: wild shots pull it little. */
  robust: number;
  /** Standard deviation. */
  spread: number;
  /** Half the 95 % interval of the mean; undefined for one strike. */
  plusMinus: number | undefined;
}

/** What strikes of one club and shot kind show, in the baseline's air. Metres, m/s, degrees, rpm. */
export interface StrikeSummary {
  n: number;
  carryM: Middle;
  totalM: Middle;
  /** Of those whose side is known; undefined where none is. */
  offlineM: Middle | undefined;
  apexM: Middle;
  descentDeg: Middle;
  ballSpeedMps: Middle;
  launchDeg: Middle;
  spinRpm: Middle;
  /**
   * The carry nine in ten get past, and the one only one in ten does: the mis-hit end and the hard-swing end.
   */
  lowEndM: number;
  highEndM: number;
  /** What eight strikes in ten launch and spin within. */
  launchWindowDeg: readonly [number, number];
  spinWindowRpm: readonly [number, number];
  /** Of the landing points: along is x, right of the line is y. */
  ellipse: Ellipse | undefined;
  /**
   * Strikes still to be hit until the mean carry is known to `marginM`; 0 when it is, undefined when it
   * cannot be told.
   */
  moreShots: number | undefined;
}

/** The margin the trade asks a carry to be known to: 2 yd. Common practice, no source. */
export const CARRY_MARGIN_M = 2 * 0.9144;
const [LOW, HIGH] = [0.1, 0.9];

/** @param strikes at least one; those left out are not among them */
export function summariseStrikes(
  strikes: readonly CompleteStrike[],
  marginM = CARRY_MARGIN_M,
): StrikeSummary {
  const carries = strikes.map(({ atBaseline }) => atBaseline.carryM);
  const sided = strikes.filter(({ isSideKnown }) => isSideKnown).map(({ atBaseline }) => atBaseline);
  const sides = sided.map(({ offlineM }) => offlineM);
  const launches = strikes.map(({ launchDeg }) => launchDeg);
  const spins = strikes.map(({ spinRpm }) => spinRpm);
  const carryM = middleOf(carries);
  return {
    n: strikes.length,
    carryM,
    totalM: middleOf(strikes.map(({ atBaseline }) => atBaseline.totalM)),
    offlineM: sides.length > 0 ? middleOf(sides) : undefined,
    apexM: middleOf(strikes.map(({ atBaseline }) => atBaseline.apexM)),
    descentDeg: middleOf(strikes.map(({ atBaseline }) => atBaseline.descentDeg)),
    ballSpeedMps: middleOf(strikes.map(({ ballSpeedMps }) => ballSpeedMps)),
    launchDeg: middleOf(launches),
    spinRpm: middleOf(spins),
    lowEndM: quantileOf(carries, LOW),
    highEndM: quantileOf(carries, HIGH),
    launchWindowDeg: [quantileOf(launches, LOW), quantileOf(launches, HIGH)],
    spinWindowRpm: [quantileOf(spins, LOW), quantileOf(spins, HIGH)],
    ellipse: ellipseOf(
      sided.map((one) => one.carryM),
      sides,
    ),
    moreShots: moreShotsFor(carryM.spread, strikes.length, marginM),
  };
}

function middleOf(values: readonly number[]): Middle {
  const mean = meanOf(values);
  const spread = deviationOf(values, mean);
  return { mean, robust: robustMeanOf(values), spread, plusMinus: meanHalfWidth(spread, values.length) };
}

/** Fewer say too little of the spread to predict from it. Our choice. */
const FEWEST_TO_PREDICT = 3;

function moreShotsFor(spreadM: number, n: number, marginM: number): number | undefined {
  if (n < FEWEST_TO_PREDICT) return undefined;
  const needed = shotsForMean(spreadM, marginM);
  return needed === undefined ? undefined : Math.max(0, needed - n);
}

/**
 * A strike far from the rest: in carry or off line, by so many deviations, or one that carried so small a
 * share of the middle one, from 0 to 1, that it was mis-hit, where too few were hit to know their deviation.
 */
export type Outlier = { by: 'carry' | 'line'; deviations: number } | { by: 'short'; share: number };

/** A shot that carries less than this share of the player's own middle shot is a mis-hit. Our choice. */
const MIS_HIT_SHARE = 0.5;

/**
 * Which strikes are far from the rest; in the order given, undefined for the others. They count until they are
 * left out by hand.
 */
export function outliersOf(strikes: readonly CompleteStrike[]): (Outlier | undefined)[] {
  const carries = strikes.map(({ atBaseline }) => atBaseline.carryM);
  // Where more were hit their deviation tells, and mis-hits are a part of how the player plays.
  const isFew = carries.length < FEWEST_FOR_OUTLIERS;
  const middle = quantileOf(carries, 0.5);
  const along = outlyingness(carries);
  const across = acrossOf(strikes);
  return strikes.map((_strike, i) => {
    if (isOutlying(along[i]!)) return { by: 'carry', deviations: along[i]! };
    if (isOutlying(across[i]!)) return { by: 'line', deviations: across[i]! };
    const share = carries[i]! / middle;
    return isFew && share < MIS_HIT_SHARE ? { by: 'short', share } : undefined;
  });
}

/** How outlying each strike's side is among those that are known; 0 for one that is not. */
function acrossOf(strikes: readonly CompleteStrike[]): number[] {
  const known = outlyingness(
    strikes.filter(({ isSideKnown }) => isSideKnown).map(({ atBaseline }) => atBaseline.offlineM),
  );
  let next = 0;
  return strikes.map(({ isSideKnown }) => (isSideKnown ? known[next++]! : 0));
}
