import type { GapReport } from './report.js';

/**
 * Which of two reports is the better bag, as a sort order: faults, then looks, then evenness; where the noise
 * of the shots leaves no difference, the bag whose widest step is the smaller.
 */
export function compareReports(a: GapReport, b: GapReport): number {
  return (
    a.faults - b.faults ||
    a.looks - b.looks ||
    (a.evenness?.rms ?? 0) - (b.evenness?.rms ?? 0) ||
    widestStepM(a) - widestStepM(b)
  );
}

function widestStepM({ steps }: GapReport): number {
  return Math.max(0, ...steps.map(({ carryM }) => carryM));
}
