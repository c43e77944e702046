import { isWedge } from '../clubs/index.js';
import { ROUNDING, type StepContext } from './judge-carry.js';
import type { Step } from './ladder.js';
import type { Flag, StepWord } from './report.js';
import { formatDegrees, pairName } from './words.js';

/** Loft steps speak for themselves among irons and wedges, whatever the carries say. */
export function loftFlags(
  step: Step,
  { settings, school, targetDeg }: StepContext,
  carryWord: StepWord,
): Flag[] {
  const { loftDeg } = step;
  const eitherOr = carryWord === 'either-or';
  if (loftDeg === undefined) return [];
  if (loftDeg < -REVERSED_DEG) {
    return [
      loftFlag(
        step,
        loftDeg,
        'reversed',
        'warning',
        0,
        `${formatDegrees(-loftDeg)} the wrong way: the weaker loft carries farther`,
      ),
    ];
  }
  if (isWedge(step.upper) && step.lower.kind === 'wedge') {
    const { wedgeLoftStepMaxDeg: max, wedgeLoftStepMinDeg: min } = settings;
    if (loftDeg > max + ROUNDING) {
      return [
        loftFlag(
          step,
          loftDeg,
          'wedge-loft-wide',
          // A shot the player owns stands in the middle of it.
          carryWord === 'covered' ? 'warning' : 'error',
          max,
          `${formatDegrees(loftDeg)} in the wedges, over ${formatDegrees(max)}`,
        ),
      ];
    }
    if (loftDeg < min - ROUNDING && !eitherOr) {
      return [
        loftFlag(
          step,
          loftDeg,
          'wedge-loft-narrow',
          'warning',
          min,
          `${formatDegrees(loftDeg)} in the wedges, under ${formatDegrees(min)}`,
        ),
      ];
    }
  }
  if (school.measure !== 'loft' || targetDeg === undefined || eitherOr) return [];
  const [wide, narrow] = [settings.wideOfTarget * targetDeg, settings.narrowOfTarget * targetDeg];
  if (loftDeg <= wide && loftDeg >= narrow) return [];
  const words = `${formatDegrees(loftDeg)} against a target of ${formatDegrees(targetDeg)}`;
  return [
    loftDeg > wide
      ? loftFlag(step, loftDeg, 'wide-of-target', 'warning', wide, words)
      : loftFlag(step, loftDeg, 'narrow-of-target', 'warning', narrow, words),
  ];
}

function loftFlag(
  step: Step,
  value: number,
  code: Flag['code'],
  severity: 'warning' | 'error',
  limit: number,
  words: string,
): Flag {
  return {
    code,
    severity,
    clubIds: [step.upper.id, step.lower.id],
    value,
    limit,
    unit: 'deg',
    reason: `${pairName(step)} is ${words}.`,
  };
}

/**
 * A gauge repeats to about a quarter of a degree, so a smaller reversal may be the gauge's. Common practice,
 * no source.
 */
const REVERSED_DEG = 0.5;
