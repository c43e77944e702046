import { atLimit, intervalOf, moreShotsFor, type StepInterval } from './certainty.js';
import { flightDifference, type FlightDifference } from './flight-difference.js';
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
  const sizeM = school.measure === 'widest-gap' ? widestGapM : step.carryM;
  const flight = flightDifference(step, settings);
  const seeming = judgeCarry(sizeM, step, context, flight);
  const certainty = certaintyOf(sizeM, seeming, step, context, flight);

  let carry = verdictKnown(seeming, certainty);
  const mixedUp = isMixedUp(step);
  // Two clubs for one job are that whatever stands between them, and a wrong number stays wrong.
  const isAlike = carry.word === 'overlap' || carry.word === 'either-or';
  const isDivided = step.betweenIds !== undefined && !isAlike && !mixedUp;
  if (isDivided) carry = NOT_KNOWN_YET;
  const cover = carry.word === 'wide' ? coverOf(step, owned) : undefined;
  if (cover) carry = { ...carry, word: 'covered', severity: carry.severity === 'error' ? 'warning' : 'fine' };

  const flags: Flag[] = [];
  const ofCarry = mixedUp ? undefined : carryFlag(carry, step, sizeM);
  if (ofCarry) flags.push(ofCarry);
  if (!isDivided) flags.push(...loftFlags(step, context, carry.word));

  const report: StepReport = {
    upperId: step.upper.id,
    lowerId: step.lower.id,
    carryM: step.carryM,
    widestGapM,
    word: mixedUp ? 'mixed up' : wordOf(carry, flags),
    severity: flags.reduce<Severity>((worst, { severity }) => worseOf(worst, severity), carry.severity),
    carryWord: carry.word,
    modelledIds: [step.upper, step.lower]
      .filter(({ full }) => full.source === 'modelled')
      .map(({ id }) => id),
    flags,
  };
  // Set one by one: a hundred spreads a ladder are what makes it slow.
  if (isDivided) report.betweenIds = step.betweenIds!;
  else if (certainty.isUnsettled && !certainty.isAtLimit) report.seems = seeming.word;
  if (carry.limitM !== undefined && !mixedUp) report.limitM = carry.limitM;
  if (carry.code !== undefined && !mixedUp) report.limitCode = carry.code;
  if (step.loftDeg !== undefined) report.loftDeg = step.loftDeg;
  if (context.targetM !== undefined) report.targetM = context.targetM;
  if (context.targetDeg !== undefined) report.targetDeg = context.targetDeg;
  if (cover) report.cover = cover;
  if (certainty.interval) report.interval = certainty.interval;
  if (certainty.moreShots !== undefined && !isDivided) report.moreShots = certainty.moreShots;
  if (step.carryM < overlapLimitM(context)) report.flight = flight;
  return report;
}

const NOT_KNOWN_YET: CarryVerdict = { word: 'not known yet', severity: 'unknown' };
const AT_THE_LIMIT: CarryVerdict = { word: 'at the limit', severity: 'fine' };

interface Certainty {
  interval: StepInterval | undefined;
  /** The verdict is another at one end of the interval. */
  isUnsettled: boolean;
  /** Unsettled because the size is next to its limit: more shots would not tell. */
  isAtLimit: boolean;
  /** Shots more with each club that would settle it, where shots can. */
  moreShots?: number;
}

/** How sure the verdict on a step is. A strategy that goes by its widest gap is not asked. */
function certaintyOf(
  sizeM: number,
  seeming: CarryVerdict,
  step: Step,
  context: StepContext,
  flight: FlightDifference,
): Certainty {
  const { indifferenceM, confidence } = context.settings;
  const interval = intervalOf(step, confidence);
  const isUnsettled =
    context.school.measure !== 'widest-gap' &&
    interval !== undefined &&
    (!isSameVerdict(judgeCarry(interval.lowM, step, context, flight), seeming) ||
      !isSameVerdict(judgeCarry(interval.highM, step, context, flight), seeming));
  if (!isUnsettled || isModelled(step)) return { interval, isUnsettled, isAtLimit: false };
  const offM = distanceToLimit(sizeM, step, context, flight);
  if (atLimit(step, offM, indifferenceM, confidence)) return { interval, isUnsettled, isAtLimit: true };
  const moreShots = moreShotsFor(step, offM, indifferenceM, confidence);
  return { interval, isUnsettled, isAtLimit: false, ...(moreShots !== undefined && { moreShots }) };
}

/** The verdict as far as it can be given. */
function verdictKnown(seeming: CarryVerdict, { isUnsettled, isAtLimit }: Certainty): CarryVerdict {
  if (!isUnsettled) return seeming;
  return isAtLimit ? AT_THE_LIMIT : NOT_KNOWN_YET;
}

/** The flag of a carry step that is looked at or a fault. */
function carryFlag({ code, severity, limitM }: CarryVerdict, step: Step, sizeM: number): Flag | undefined {
  if (!code || (severity !== 'warning' && severity !== 'error')) return undefined;
  const clubIds: Flag['clubIds'] = [step.upper.id, step.lower.id];
  return { code, severity, clubIds, value: sizeM, limit: limitM!, unit: 'm' };
}

/** What a step is called: by its carry, unless that is quiet and its lofts are not. */
function wordOf(carry: CarryVerdict, [flag]: readonly Flag[]): StepWord {
  return flag && isQuiet(carry.word) ? wordOfLoft(flag.code) : carry.word;
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
