import {
  bendPlanWords,
  evennessWords,
  type BendAnswer,
  type BendPlan,
  type DistanceUnit,
} from '@tasche/core';

/** How far a plan's steps are from their targets: "±3.1 yd". */
export function offTargetWords(
  plan: Pick<BendPlan, 'offTarget'>,
  answer: Pick<BendAnswer, 'unit'>,
  unit: DistanceUnit,
): string {
  return `±${evennessWords({ rms: plan.offTarget, unit: answer.unit }, unit)}`;
}

/** What a plan does, in a line. */
export const planTitle = (plan: BendPlan): string => bendPlanWords(plan, plan.report.rungs) || 'as it is';
