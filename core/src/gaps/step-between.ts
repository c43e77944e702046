import type { GapReport, StepReport } from './report.js';

/**
 * The step of a report between two clubs that are neighbours in it; undefined where they are not, or not any
 * more.
 */
export function stepBetween(
  { steps }: Pick<GapReport, 'steps'>,
  { upperId, lowerId }: { upperId: string | undefined; lowerId: string | undefined },
): StepReport | undefined {
  return steps.find((step) => step.upperId === upperId && step.lowerId === lowerId);
}
