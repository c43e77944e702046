import { stepBetween, type GapReport, type StepReport } from '../gaps/index.js';

/** The wide step the headline is about, or the widest where that is about something else. */
export function namedStep(report: GapReport): StepReport | undefined {
  const steps = stepsAtFault(report);
  const [upperId, lowerId] = report.headline.clubIds ?? [];
  return stepBetween({ steps }, { upperId, lowerId }) ?? steps[0];
}

/** Wide steps that are at fault or worth a look, what costs most first. */
export function stepsAtFault({ steps }: GapReport): StepReport[] {
  return steps
    .filter(({ word, severity }) => word === 'wide' && (severity === 'error' || severity === 'warning'))
    .sort((a, b) => Number(b.severity === 'error') - Number(a.severity === 'error') || spanOf(b) - spanOf(a));
}

function spanOf(step: StepReport): number {
  return (step.severity === 'error' ? 1000 : 0) + step.carryM;
}

/**
 * A step that is still wide, but no fault any more, counts as fixed where at least this share of its excess
 * over the target is gone. Our choice.
 */
const MENDED_SHARE = 1 / 3;

/** A covered step's widest stretch is this share of what it was, at most. Our choice. */
const COVERED_SHARE = 0.75;

/** Whether a step that stands is in order now, or at least much less wide than it was. */
export function isFixed(step: StepReport, worst: StepReport): boolean {
  const { word, severity } = step;
  if (severity === 'error') return false;
  // A shot that was owned all along covers it no better for half a degree.
  if (word === 'covered') return step.widestGapM <= worst.widestGapM * COVERED_SHARE;
  if (word !== 'wide' && word !== 'not known yet' && word !== 'at the limit') return true;
  if (worst.severity === 'warning' || worst.targetM === undefined) return word === 'at the limit';
  return step.carryM - worst.targetM <= (worst.carryM - worst.targetM) * (1 - MENDED_SHARE);
}

/** Whether another step is at fault in the place of one that was to be fixed: as wide, or nearly. */
export function isMovedTo(step: StepReport, worst: StepReport): boolean {
  if (step.severity !== worst.severity) return step.severity === 'error';
  const excess = ({ carryM, targetM }: StepReport) => carryM - (targetM ?? worst.targetM ?? 0);
  return excess(step) > excess(worst) * (1 - MENDED_SHARE);
}

export function isSame(a: StepReport, b: StepReport): boolean {
  return a.upperId === b.upperId && a.lowerId === b.lowerId;
}

/**
 * Whether a report is no worse than another: as many faults and looks at most, and where those are as many,
 * no less even.
 */
export function isNoWorse(before: GapReport, after: GapReport): boolean {
  if (after.faults !== before.faults) return after.faults < before.faults;
  if (after.looks !== before.looks) return after.looks < before.looks;
  return (after.evenness?.rms ?? 0) <= (before.evenness?.rms ?? 0) + 1e-9;
}
