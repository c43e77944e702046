import { isWedge } from '../clubs/index.js';
import { ROUNDING, type StepContext } from './judge-carry.js';
import type { Step } from './ladder.js';
import { isMixedUp, mixedUpDeg } from './mixed-up.js';
import type { Flag, StepWord } from './report.js';

/** Loft steps speak for themselves among irons and wedges, whatever the carries say. */
export function loftFlags(
  step: Step,
  { settings, school, targetDeg }: StepContext,
  carryWord: StepWord,
): Flag[] {
  const { loftDeg, upper, lower } = step;
  const eitherOr = carryWord === 'either-or';
  if (isMixedUp(step)) {
    const lessDeg = lower.loftOrUsualDeg! - upper.loftOrUsualDeg!;
    return [loftFlag(step, lessDeg, 'mixed-up', 'error', mixedUpDeg(upper, lower))];
  }
  if (loftDeg === undefined) return [];
  if (loftDeg < -REVERSED_DEG) return [loftFlag(step, loftDeg, 'reversed', 'warning', 0)];
  if (isWedge(upper) && lower.kind === 'wedge') {
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
