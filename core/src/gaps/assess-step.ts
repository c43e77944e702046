import { isWedge } from '../clubs/kinds.js';
import { formatDistance, type DistanceUnit } from '../units/distance.js';
import { MAX_MORE_SHOTS, atLimit, intervalOf, moreShotsFor } from './certainty.js';
import { flightDifference, type FlightDifference } from './flight-difference.js';
import { coverOf, widestHoleM, type OwnedShot, type Step } from './ladder.js';
import type { Flag, Severity, StepReport, StepWord } from './report.js';
import type { GappingStrategy } from './gapping-strategies.js';
import type { GapSettings } from './settings.js';
import { coverWords, flightWords, formatDegrees, pairName, stepSize } from './words.js';

/** Everything a step is judged by. */
interface StepContext {
  /** Shots of the whole bag that can be counted on. */
  owned: readonly OwnedShot[];
  school: GappingStrategy;
  settings: GapSettings;
  unit: DistanceUnit;
  targetM?: number;
  targetDeg?: number;
}

interface CarryVerdict {
  word: StepWord;
  severity: Severity;
  code?: Flag['code'];
  limitM?: number;
}

/** The verdict on one step: its word, its flags, how sure they are, and one sentence. */
export function assessStep(step: Step, context: StepContext): StepReport {
  const { settings, school, owned } = context;
  const holeM = widestHoleM(step, owned);
  const flight = flightDifference(step, settings);

  const sizeM = school.measure === 'hole' ? holeM : step.carryM;
  const interval = intervalOf(step, settings.confidence);
  let carry = judgeCarry(sizeM, step, context, flight);
  const unsettled =
    school.measure !== 'hole' &&
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

  const cover = carry.word === 'wide' ? coverOf(step, owned) : undefined;
  if (cover) carry = { ...carry, word: 'covered', severity: carry.severity === 'fault' ? 'look' : 'fine' };

  const reason = carryReason(step, carry, estimate, context, { flight, cover, interval, moreShots });
  const flags: Flag[] = [];
  if (carry.code && (carry.severity === 'look' || carry.severity === 'fault')) {
    flags.push({
      code: carry.code,
      severity: carry.severity,
      clubIds: [step.upper.id, step.lower.id],
      value: sizeM,
      limit: carry.limitM!,
      unit: 'm',
      reason,
    });
  }
  flags.push(...loftFlags(step, context, carry.word === 'either-or'));
  const worst = flags.reduce<Severity>((severity, flag) => worseOf(severity, flag.severity), carry.severity);
  const report: StepReport = {
    upperId: step.upper.id,
    lowerId: step.lower.id,
    carryM: step.carryM,
    holeM,
    word: flags.length > 0 && isQuiet(carry.word) ? wordOfLoft(flags[0]!.code) : carry.word,
    severity: worst,
    flags,
    reason: flags.reduce((text, flag) => (flag.unit === 'deg' ? `${text} ${flag.reason}` : text), reason),
  };
  // Set one by one: a hundred spreads a ladder are what makes it slow.
  if (step.loftDeg !== undefined) report.loftDeg = step.loftDeg;
  if (context.targetM !== undefined) report.targetM = context.targetM;
  if (context.targetDeg !== undefined) report.targetDeg = context.targetDeg;
  if (cover) report.cover = cover;
  if (interval) report.interval = interval;
  if (moreShots !== undefined) report.moreShots = moreShots;
  if (step.carryM < overlapLimitM(context)) report.flight = flight;
  return report;
}

/** A carry of the two is the model's alone. */
function isModelled({ upper, lower }: Step): boolean {
  return upper.full.source === 'modelled' || lower.full.source === 'modelled';
}

/** A carry of which there is nothing to say. */
function isQuiet(word: StepWord): boolean {
  return word === 'even' || word === 'at the limit' || word === 'not known yet';
}

/** A hole at one end of an interval and an overlap at the other are two verdicts, though both are faults. */
function isSameVerdict(a: CarryVerdict, b: CarryVerdict): boolean {
  return a.severity === b.severity && (a.severity === 'fine' || a.word === b.word);
}

/** What such a step is called when its lofts are at fault. */
function wordOfLoft(code: Flag['code']): StepWord {
  return code === 'wedge-loft-wide' || code === 'wide-of-target' ? 'wide' : 'narrow';
}

function judgeCarry(sizeM: number, step: Step, context: StepContext, flight: FlightDifference): CarryVerdict {
  const { settings, targetM, school } = context;
  const byHole = school.measure === 'hole';
  const overlapM = overlapLimitM(context);
  if ((byHole ? step.carryM : sizeM) < overlapM - ROUNDING) {
    if (flight.verdict === 'differ') return { word: 'either-or', severity: 'fine' };
    return {
      word: 'overlap',
      severity: flight.verdict === 'same' ? 'fault' : 'look',
      code: 'overlap',
      limitM: overlapM,
    };
  }
  if (isDriverStep(step)) {
    return sizeM > settings.driverStepMaxM + ROUNDING
      ? { word: 'wide', severity: 'look', code: 'driver-carry-wide', limitM: settings.driverStepMaxM }
      : { word: 'even', severity: 'fine' };
  }
  // Lofts that step as the player wants them to are right, whatever they carry.
  if (school.measure === 'loft' && isLoftAsWanted(step, context)) return { word: 'even', severity: 'fine' };
  const limitM = carryLimitM(step, context);
  if (sizeM > limitM + ROUNDING) {
    return {
      word: 'wide',
      severity: 'fault',
      code: isScoringEnd(step, settings) ? 'scoring-carry-wide' : 'top-carry-wide',
      limitM,
    };
  }
  if (targetM !== undefined && sizeM > settings.wideOfTarget * targetM) {
    return {
      word: 'wide',
      severity: 'look',
      code: 'wide-of-target',
      limitM: settings.wideOfTarget * targetM,
    };
  }
  if (!byHole && targetM !== undefined && sizeM < settings.narrowOfTarget * targetM) {
    return {
      word: 'narrow',
      severity: 'look',
      code: 'narrow-of-target',
      limitM: settings.narrowOfTarget * targetM,
    };
  }
  return { word: 'even', severity: 'fine' };
}

/** Keeps 15 yd, stored as metres, at 15 yd. */
const ROUNDING = 1e-6;

/**
 * A step is at fault beyond this: so many targets, or the yards a bag is held to that is too small to have a target, whichever is more. A bag
 * of even steps has no fault, however wide they are.
 */
function carryLimitM(step: Step, { settings, targetM = 0 }: StepContext): number {
  const yards = isScoringEnd(step, settings) ? settings.scoringStepMaxM : settings.topStepMaxM;
  return Math.max(yards, settings.faultOfTarget * targetM);
}

/** Below this two clubs are one: the yards that say so, or less in a bag of small even steps. */
function overlapLimitM({ settings, targetM }: StepContext): number {
  return targetM === undefined
    ? settings.overlapBelowM
    : Math.min(settings.overlapBelowM, settings.narrowOfTarget * targetM);
}

/** From a driver to the next club: common practice is to leave more there than anywhere else. */
export function isDriverStep({ upper, lower }: Pick<Step, 'upper' | 'lower'>): boolean {
  return upper.kind === 'driver' && lower.kind !== 'driver';
}

function isLoftAsWanted({ loftDeg }: Step, { settings, targetDeg }: StepContext): boolean {
  return (
    loftDeg !== undefined &&
    targetDeg !== undefined &&
    loftDeg <= settings.wideOfTarget * targetDeg &&
    loftDeg >= settings.narrowOfTarget * targetDeg
  );
}

/** Both clubs are short irons or wedges. */
function isScoringEnd(step: Pick<Step, 'upper' | 'lower'>, settings: GapSettings): boolean {
  return [step.upper, step.lower].every((club) => (club.loftDeg ?? -Infinity) >= settings.scoringFromLoftDeg);
}

/** From a size, the way to the nearest limit at which a step would be judged more or less severely, in metres. */
function distanceToLimit(sizeM: number, step: Step, context: StepContext, flight: FlightDifference): number {
  const { settings, targetM } = context;
  let nearestM = Infinity;
  for (const limitM of [
    overlapLimitM(context),
    isDriverStep(step) ? settings.driverStepMaxM : carryLimitM(step, context),
    (targetM ?? NaN) * settings.wideOfTarget,
    (targetM ?? NaN) * settings.narrowOfTarget,
  ]) {
    const under = judgeCarry(limitM - 2 * ROUNDING, step, context, flight);
    const over = judgeCarry(limitM + 2 * ROUNDING, step, context, flight);
    if (under.severity !== over.severity) nearestM = Math.min(nearestM, Math.abs(limitM - sizeM));
  }
  return nearestM;
}

/** Loft steps speak for themselves among irons and wedges, whatever the carries say. */
function loftFlags(step: Step, { settings, school, targetDeg }: StepContext, eitherOr: boolean): Flag[] {
  const { loftDeg } = step;
  if (loftDeg === undefined) return [];
  if (loftDeg < -REVERSED_DEG) {
    return [
      loftFlag(
        step,
        loftDeg,
        'reversed',
        'look',
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
          'fault',
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
          'look',
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
      ? loftFlag(step, loftDeg, 'wide-of-target', 'look', wide, words)
      : loftFlag(step, loftDeg, 'narrow-of-target', 'look', narrow, words),
  ];
}

function loftFlag(
  step: Step,
  value: number,
  code: Flag['code'],
  severity: 'look' | 'fault',
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

/** A gauge repeats to about a quarter of a degree, so a smaller reversal may be the gauge's. Common practice, no source. */
const REVERSED_DEG = 0.5;

const RANK: Record<Severity, number> = { fine: 0, unknown: 1, look: 2, fault: 3 };

function worseOf(a: Severity, b: Severity | 'note'): Severity {
  return b === 'note' || RANK[a] >= RANK[b] ? a : b;
}

function carryReason(
  step: Step,
  carry: CarryVerdict,
  estimate: CarryVerdict,
  { unit, targetM, settings }: StepContext,
  {
    flight,
    cover,
    interval,
    moreShots,
  }: { flight: FlightDifference } & { [K in 'cover' | 'interval' | 'moreShots']: StepReport[K] | undefined },
): string {
  const size = `${pairName(step)} is ${stepSize(step, unit)}`;
  const target = targetM === undefined ? '' : `, target ${formatDistance(targetM, unit)}`;
  switch (carry.word) {
    case 'either-or':
      return `${size}, but they fly differently (${flightWords(flight, unit)}): one or the other, by course and wind.`;
    case 'overlap':
      return flight.verdict === 'unknown'
        ? `${size}, an overlap unless they fly differently; record apex and landing angle to know.`
        : `${size} and they fly alike (${flightWords(flight, unit)}): two clubs for one job.`;
    case 'covered':
      return `${size}${target}; ${coverWords(cover!, unit)}.`;
    case 'wide':
      return `${size}, over ${formatDistance(carry.limitM!, unit)}${carry.code === 'wide-of-target' ? ` (${settings.wideOfTarget} times the target)` : ''}.`;
    case 'narrow':
      return `${size}, under ${shareWords(settings.narrowOfTarget)} of its target ${formatDistance(targetM!, unit)}.`;
    case 'at the limit':
      return `${size}${target}: so near its limit that it is right either way.`;
    case 'not known yet': {
      const sure = `${Math.round(settings.confidence * 100)} %`;
      const range = `${formatDistance(interval!.lowM, unit)} to ${formatDistance(interval!.highM, unit)} at ${sure}`;
      const settle = isModelled(step)
        ? `${modelledWords(step)} not told yet`
        : moreShots === undefined
          ? `hitting more will not tell: over ${MAX_MORE_SHOTS} shots with each would be needed`
          : `about ${moreShots} more shot${moreShots === 1 ? '' : 's'} with each would settle it`;
      return `${size}, somewhere from ${range}: not known yet whether it is ${estimate.word}; ${settle}.`;
    }
    default:
      return `${size}${target}.`;
  }
}

/** "the carry of the 5 iron is", "both carries are". */
function modelledWords({ upper, lower }: Step): string {
  const modelled = [upper, lower].filter(({ full }) => full.source === 'modelled');
  return modelled.length > 1 ? 'both carries are' : `the carry of the ${modelled[0]!.name} is`;
}

function shareWords(share: number): string {
  return share === 0.5 ? 'half' : `${Math.round(share * 100)} %`;
}
