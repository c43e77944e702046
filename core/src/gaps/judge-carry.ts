import type { FlightDifference } from './flight-difference.js';
import type { OwnedShot, Step } from './ladder.js';
import type { Flag, Severity, StepWord } from './report.js';
import type { GappingStrategy } from './gapping-strategies.js';
import type { GapSettings } from './settings.js';

/** Everything a step is judged by. */
export interface StepContext {
  /** Shots of the whole bag that can be counted on. */
  owned: readonly OwnedShot[];
  school: GappingStrategy;
  settings: GapSettings;
  /** Those of them the player set. */
  own: Partial<GapSettings>;
  targetM?: number;
  targetDeg?: number;
}

export interface CarryVerdict {
  word: StepWord;
  severity: Severity;
  code?: Flag['code'];
  limitM?: number;
}

/** What a carry step of that size is called, and how bad it is. */
export function judgeCarry(
  sizeM: number,
  step: Step,
  context: StepContext,
  flight: FlightDifference,
): CarryVerdict {
  const { settings, targetM, school } = context;
  const byWidestGap = school.measure === 'widest-gap';
  const overlapM = overlapLimitM(context);
  if ((byWidestGap ? step.carryM : sizeM) < overlapM - ROUNDING) {
    if (flight.verdict === 'differ') return { word: 'either-or', severity: 'fine' };
    return {
      word: 'overlap',
      severity: flight.verdict === 'same' ? 'error' : 'warning',
      code: 'overlap',
      limitM: overlapM,
    };
  }
  if (isDriverStep(step)) {
    return sizeM > settings.driverStepMaxM + ROUNDING
      ? { word: 'wide', severity: 'warning', code: 'driver-carry-wide', limitM: settings.driverStepMaxM }
      : { word: 'even', severity: 'fine' };
  }
  // Lofts that step as the player wants them to are right, whatever they carry.
  if (school.measure === 'loft' && isLoftAsWanted(step, context)) return { word: 'even', severity: 'fine' };
  const limitM = carryLimitM(step, context);
  if (sizeM > limitM + ROUNDING) {
    return {
      word: 'wide',
      severity: 'error',
      code: isScoringEnd(step, settings) ? 'scoring-carry-wide' : 'top-carry-wide',
      limitM,
    };
  }
  if (targetM !== undefined && sizeM > settings.wideOfTarget * targetM) {
    return {
      word: 'wide',
      severity: 'warning',
      code: 'wide-of-target',
      limitM: settings.wideOfTarget * targetM,
    };
  }
  if (!byWidestGap && targetM !== undefined && sizeM < settings.narrowOfTarget * targetM) {
    return {
      word: 'narrow',
      severity: 'warning',
      code: 'narrow-of-target',
      limitM: settings.narrowOfTarget * targetM,
    };
  }
  return { word: 'even', severity: 'fine' };
}

/** Keeps 15 yd, stored as metres, at 15 yd. */
export const ROUNDING = 1e-6;

/**
 * A step is at fault beyond this: the player's own limit; else so many targets, or the yards a bag is held to
 * that is too small to have a target, whichever is more, so that a bag of even steps has no fault, however
 * wide they are.
 */
function carryLimitM(step: Step, { settings, own, targetM = 0 }: StepContext): number {
  const key = isScoringEnd(step, settings) ? 'scoringStepMaxM' : 'topStepMaxM';
  return own[key] ?? Math.max(settings[key], settings.faultOfTarget * targetM);
}

/** Below this two clubs are one: the yards that say so, or less in a bag of small even steps. */
export function overlapLimitM({ settings, targetM }: StepContext): number {
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
  return [step.upper, step.lower].every(
    ({ loftOrUsualDeg = -Infinity }) => loftOrUsualDeg >= settings.scoringFromLoftDeg,
  );
}

/**
 * From a size, the way to the nearest limit at which a step would be judged more or less severely, in metres.
 */
export function distanceToLimit(
  sizeM: number,
  step: Step,
  context: StepContext,
  flight: FlightDifference,
): number {
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

/** A carry of the two is the model's alone. */
export function isModelled({ upper, lower }: Step): boolean {
  return upper.full.source === 'modelled' || lower.full.source === 'modelled';
}
