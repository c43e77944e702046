import { atLimit, intervalOf, moreShotsFor } from './certainty.js';
import { flightDifference } from './flight-difference.js';
import {
  distanceToLimit,
  isModelled,
  judgeCarry,
  overlapLimitM,
  type CarryVerdict,
  type StepContext,
} from './judge-carry.js';
import { coverOf, widestGapOf, type Step } from './ladder.js';
import { loftFlags } from './loft-flags.js';
import { isMixedUp } from './mixed-up.js';
import type { Flag, Severity, StepReport, StepWord } from './report.js';

/** The verdict on one step: its word, its flags, and how sure they are. */
export function assessStep(step: Step, context: StepContext): StepReport {
  const { settings, school, owned } = context;
  const widestGapM = widestGapOf(step, owned);
  const flight = flightDifference(step, settings);

  const sizeM = school.measure === 'widest-gap' ? widestGapM : step.carryM;
  const interval = intervalOf(step, settings.confidence);
  let carry = judgeCarry(sizeM, step, context, flight);
  const unsettled =
    school.measure !== 'widest-gap' &&
    interval !== undefined &&
    (!isSameVerdict(judgeCarry(interval.lowM, step, context, flight), carry) ||
      !isSameVerdict(judgeCarry(interval.highM, step, context, flight), carry));
  const offM = unsettled ? distanceToLimit(sizeM, step, context, flight) : Infinity;
  const isAtLimit =
    unsettled && !isModelled(step) && atLimit(step, offM, settings.indifferenceM, settings.confidence);
  const moreShots =
    unsettled && !isAtLimit && !isModelled(step)
      ? moreShotsFor(step, offM, settings.indifferenceM, settings.confidence)
      : undefined;
  const estimate = carry;
  if (unsettled) {
    carry = isAtLimit
      ? { word: 'at the limit', severity: 'fine' }
      : { word: 'not known yet', severity: 'unknown' };
  }

  const mixedUp = isMixedUp(step);
  // Two clubs for one job are that whatever stands between them, and a wrong number stays wrong.
  const isAlike = carry.word === 'overlap' || carry.word === 'either-or';
  const isDivided = step.betweenIds !== undefined && !isAlike && !mixedUp;
  if (isDivided) carry = { word: 'not known yet', severity: 'unknown' };

  const cover = carry.word === 'wide' ? coverOf(step, owned) : undefined;
  if (cover) carry = { ...carry, word: 'covered', severity: carry.severity === 'error' ? 'warning' : 'fine' };

  const flags: Flag[] = [];
  if (!mixedUp && carry.code && (carry.severity === 'warning' || carry.severity === 'error')) {
    flags.push({
      code: carry.code,
      severity: carry.severity,
      clubIds: [step.upper.id, step.lower.id],
      value: sizeM,
      limit: carry.limitM!,
      unit: 'm',
    });
  }
  if (!isDivided) flags.push(...loftFlags(step, context, carry.word));
  const worst = flags.reduce<Severity>((severity, flag) => worseOf(severity, flag.severity), carry.severity);
  const report: StepReport = {
    upperId: step.upper.id,
    lowerId: step.lower.id,
    carryM: step.carryM,
    widestGapM,
    word: mixedUp
      ? 'mixed up'
      : flags.length > 0 && isQuiet(carry.word)
        ? wordOfLoft(flags[0]!.code)
        : carry.word,
    severity: worst,
    carryWord: carry.word,
    modelledIds: [step.upper, step.lower]
      .filter(({ full }) => full.source === 'modelled')
      .map(({ id }) => id),
    flags,
  };
  // Set one by one: a hundred spreads a ladder are what makes it slow.
  if (isDivided) report.betweenIds = step.betweenIds!;
  else if (unsettled && !isAtLimit) report.seems = estimate.word;
  if (carry.limitM !== undefined && !mixedUp) report.limitM = carry.limitM;
  if (carry.code !== undefined && !mixedUp) report.limitCode = carry.code;
  if (step.loftDeg !== undefined) report.loftDeg = step.loftDeg;
  if (context.targetM !== undefined) report.targetM = context.targetM;
  if (context.targetDeg !== undefined) report.targetDeg = context.targetDeg;
  if (cover) report.cover = cover;
  if (interval) report.interval = interval;
  if (moreShots !== undefined && !isDivided) report.moreShots = moreShots;
  if (step.carryM < overlapLimitM(context)) report.flight = flight;
  return report;
}

/** A carry of which there is nothing to say. */
function isQuiet(word: StepWord): boolean {
  return word === 'even' || word === 'at the limit' || word === 'not known yet';
}

/** A gap at one end of an interval and an overlap at the other are two verdicts, though both are faults. */
function isSameVerdict(a: CarryVerdict, b: CarryVerdict): boolean {
  return a.severity === b.severity && (a.severity === 'fine' || a.word === b.word);
}

/** What such a step is called when its lofts are at fault. */
function wordOfLoft(code: Flag['code']): StepWord {
  return code === 'wedge-loft-wide' || code === 'wide-of-target' ? 'wide' : 'narrow';
}

const RANK: Record<Severity, number> = { fine: 0, unknown: 1, warning: 2, error: 3 };

function worseOf(a: Severity, b: Severity | 'note'): Severity {
  return b === 'note' || RANK[a] >= RANK[b] ? a : b;
}
