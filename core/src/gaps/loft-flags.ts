import { isWedge, type ClubKind } from '../clubs/index.js';
import { ROUNDING, type StepContext } from './judge-carry.js';
import type { Step } from './ladder.js';
import type { Flag, StepWord } from './report.js';

/** Loft steps speak for themselves among irons and wedges, whatever the carries say. */
export function loftFlags(
  step: Step,
  { settings, school, targetDeg }: StepContext,
  carryWord: StepWord,
): Flag[] {
  const { loftDeg } = step;
  const eitherOr = carryWord === 'either-or';
  if (loftDeg === undefined) return [];
  if (isMixedUp(step)) return [loftFlag(step, loftDeg, 'mixed-up', 'error', mixedUpDeg(step))];
  if (loftDeg < -REVERSED_DEG) return [loftFlag(step, loftDeg, 'reversed', 'warning', 0)];
  if (isWedge(step.upper) && step.lower.kind === 'wedge') {
    const { wedgeLoftStepMaxDeg: max, wedgeLoftStepMinDeg: min } = settings;
    // A shot the player owns stands in the middle of a covered one.
    if (loftDeg > max + ROUNDING)
      return [loftFlag(step, loftDeg, 'wedge-loft-wide', carryWord === 'covered' ? 'warning' : 'error', max)];
    if (loftDeg < min - ROUNDING && !eitherOr)
      return [loftFlag(step, loftDeg, 'wedge-loft-narrow', 'warning', min)];
  }
  if (school.measure !== 'loft' || targetDeg === undefined || eitherOr) return [];
  const [wide, narrow] = [settings.wideOfTarget * targetDeg, settings.narrowOfTarget * targetDeg];
  if (loftDeg > wide) return [loftFlag(step, loftDeg, 'wide-of-target', 'warning', wide)];
  return loftDeg < narrow ? [loftFlag(step, loftDeg, 'narrow-of-target', 'warning', narrow)] : [];
}

function loftFlag(
  { upper, lower }: Step,
  value: number,
  code: Flag['code'],
  severity: 'warning' | 'error',
  limit: number,
): Flag {
  return { code, severity, clubIds: [upper.id, lower.id], value, limit, unit: 'deg' };
}

/**
 * A gauge repeats to about a quarter of a degree, so a smaller reversal may be the gauge's. Common practice,
 * no source.
 */
const REVERSED_DEG = 0.5;

/**
 * A higher club may carry farther: for slow swings a hybrid of 27 degrees beats an iron of 20, a wood of 18 the
 * driver, and low irons of all lofts carry about alike. Farther apart than this, degrees, and with a carry that
 * much longer, a loft or a carry was written down wrong. Ours.
 */
const MIXED_UP_DEG = 12;
/** The same between two irons or wedges, whose heads are alike. */
const MIXED_UP_IRONS_DEG = 6;
/** As a share of the longer carry. */
const MIXED_UP_SHARE = 0.1;
/** From here on, degrees, no swing does it, however near the carries are. */
const NEVER_DEG = 20;
const IRONS: ReadonlySet<ClubKind> = new Set(['iron', 'wedge']);

function mixedUpDeg({ upper, lower, carryM }: Step): number {
  if (carryM <= MIXED_UP_SHARE * upper.carryM) return NEVER_DEG;
  return IRONS.has(upper.kind) && IRONS.has(lower.kind) ? MIXED_UP_IRONS_DEG : MIXED_UP_DEG;
}

/** Lofts so far the wrong way round that one of the pair's numbers must be wrong: its carry says nothing. */
export function isMixedUp(step: Step): boolean {
  return step.loftDeg !== undefined && step.loftDeg < -mixedUpDeg(step);
}
