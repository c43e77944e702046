import { isWedge } from '../clubs/kinds.js';
import type { LadderClub } from '../clubs/ladder-club.js';
import { formatDistance, type DistanceUnit } from '../units/distance.js';
import { intervalOf, moreShotsFor } from './certainty.js';
import { flightDifference, type FlightDifference } from './flight-difference.js';
import { coverOf, widestHoleM, type Step } from './ladder.js';
import type { Flag, Severity, StepReport, StepWord } from './report.js';
import type { School } from './schools.js';
import type { GapSettings } from './settings.js';
import { coverWords, flightWords, formatDegrees, pairName, stepSize } from './words.js';

/** Everything a step is judged by. */
export interface StepContext {
  clubs: readonly LadderClub[];
  school: School;
  settings: GapSettings;
  unit: DistanceUnit;
  targetM?: number;
  targetDeg?: number;
}

interface CarryVerdict { word: StepWord; severity: Severity; code?: Flag['code']; limitM?: number }

/** The verdict on one step: its word, its flags, how sure they are, and one sentence. */
export function assessStep(step: Step, context: StepContext): StepReport {
  const { settings, school, clubs } = context;
  const holeM = widestHoleM(step, clubs, settings.reliableShots);
  const flight = flightDifference(step, settings);
  const judge = (sizeM: number) => judgeCarry(sizeM, step, context, flight);

  const sizeM = school.measure === 'hole' ? holeM : step.carryM;
  const interval = intervalOf(step, settings.confidence);
  let carry = judge(sizeM);
  const unsettled = school.measure !== 'hole' && interval !== undefined &&
    [interval.lowM, interval.highM].some((edge) => judge(edge).severity !== carry.severity);
  const moreShots = unsettled ? moreShotsFor(step, distanceToLimit(sizeM, judge), settings.confidence) : undefined;
  const estimate = carry;
  if (unsettled) carry = { word: 'not known yet', severity: 'unknown' };

  const cover = carry.word === 'wide' ? coverOf(step, clubs, settings.reliableShots) : undefined;
  if (cover) carry = { ...carry, word: 'covered', severity: carry.severity === 'fault' ? 'look' : 'fine' };

  const reason = carryReason(step, carry, estimate, { ...context, flight, cover, interval, moreShots });
  const flags: Flag[] = [];
  if (carry.code && (carry.severity === 'look' || carry.severity === 'fault')) {
    flags.push({
      code: carry.code, severity: carry.severity, clubIds: [step.upper.id, step.lower.id],
      value: sizeM, limit: carry.limitM!, unit: 'm', reason,
    });
  }
  flags.push(...loftFlags(step, context, carry.word === 'either-or'));
  const worst = flags.reduce<Severity>((severity, flag) => worseOf(severity, flag.severity), carry.severity);
  return {
    upperId: step.upper.id,
    lowerId: step.lower.id,
    carryM: step.carryM,
    ...(step.loftDeg !== undefined && { loftDeg: step.loftDeg }),
    ...(context.targetM !== undefined && { targetM: context.targetM }),
    ...(context.targetDeg !== undefined && { targetDeg: context.targetDeg }),
    holeM,
    word: carry.word === 'even' && flags.length > 0 ? wordOfLoft(flags[0]!.code) : carry.word,
    severity: worst,
    flags,
    ...(cover && { cover }),
    ...(interval && { interval }),
    ...(moreShots !== undefined && { moreShots }),
    ...(step.carryM < settings.overlapBelowM && { flight }),
    reason: [reason, ...flags.filter((flag) => flag.unit === 'deg').map((flag) => flag.reason)].join(' '),
  };
}

/** What an even carry step is called when its lofts are at fault. */
function wordOfLoft(code: Flag['code']): StepWord {
  return code === 'wedge-loft-wide' || code === 'wide-of-target' ? 'wide' : 'narrow';
}

function judgeCarry(sizeM: number, step: Step, context: StepContext, flight: FlightDifference): CarryVerdict {
  const { settings, targetM, school } = context;
  const byHole = school.measure === 'hole';
  if ((byHole ? step.carryM : sizeM) < settings.overlapBelowM) {
    if (flight.verdict === 'differ') return { word: 'either-or', severity: 'fine' };
    return {
      word: 'overlap', severity: flight.verdict === 'same' ? 'fault' : 'look', code: 'overlap', limitM: settings.overlapBelowM,
    };
  }
  const scoring = isScoringEnd(step, settings);
  const limitM = scoring ? settings.scoringStepMaxM : settings.topStepMaxM;
  if (sizeM > limitM + ROUNDING) {
    return { word: 'wide', severity: 'fault', code: scoring ? 'scoring-carry-wide' : 'top-carry-wide', limitM };
  }
  if (targetM !== undefined && sizeM > settings.wideOfTarget * targetM) {
    return { word: 'wide', severity: 'look', code: 'wide-of-target', limitM: settings.wideOfTarget * targetM };
  }
  if (!byHole && targetM !== undefined && sizeM < settings.narrowOfTarget * targetM) {
    return { word: 'narrow', severity: 'look', code: 'narrow-of-target', limitM: settings.narrowOfTarget * targetM };
  }
  return { word: 'even', severity: 'fine' };
}

/** Keeps 15 yd, stored as metres, at 15 yd. */
const ROUNDING = 1e-6;

/** Both clubs are short irons or wedges. */
export function isScoringEnd(step: Pick<Step, 'upper' | 'lower'>, settings: GapSettings): boolean {
  return [step.upper, step.lower].every((club) => (club.loftDeg ?? -Infinity) >= settings.scoringFromLoftDeg);
}

/** From a size, the way to the nearest size that would be judged otherwise, in metres. */
function distanceToLimit(sizeM: number, judge: (sizeM: number) => CarryVerdict): number {
  const { severity } = judge(sizeM);
  const differs = (away: number) => judge(sizeM + away).severity !== severity;
  return Math.min(...[-1, 1].map((sign) => {
    let far = LIMIT_STRIDE_M;
    while (!differs(sign * far)) {
      far += LIMIT_STRIDE_M;
      if (far > LIMIT_FURTHEST_M) return far;
    }
    let near = far - LIMIT_STRIDE_M;
    while (far - near > LIMIT_TOLERANCE_M) {
      const middle = (near + far) / 2;
      if (differs(sign * middle)) far = middle;
      else near = middle;
    }
    return near;
  }));
}

/** No two limits lie closer together than this. */
const LIMIT_STRIDE_M = 0.1;
const LIMIT_FURTHEST_M = 60;
const LIMIT_TOLERANCE_M = 1e-4;

/** Loft steps speak for themselves among irons and wedges, whatever the carries say. */
function loftFlags(step: Step, { settings, school, targetDeg }: StepContext, eitherOr: boolean): Flag[] {
  const { loftDeg } = step;
  if (loftDeg === undefined) return [];
  const clubIds = [step.upper.id, step.lower.id];
  const flag = (code: Flag['code'], severity: 'look' | 'fault', limit: number, words: string): Flag =>
    ({ code, severity, clubIds, value: loftDeg, limit, unit: 'deg', reason: `${pairName(step)} is ${words}.` });
  if (loftDeg < -REVERSED_DEG) {
    return [flag('reversed', 'look', 0, `${formatDegrees(-loftDeg)} the wrong way: the weaker loft carries farther`)];
  }
  if (isWedge(step.upper) && step.lower.kind === 'wedge') {
    if (loftDeg > settings.wedgeLoftStepMaxDeg + ROUNDING) {
      return [flag('wedge-loft-wide', 'fault', settings.wedgeLoftStepMaxDeg,
        `${formatDegrees(loftDeg)} in the wedges, over ${formatDegrees(settings.wedgeLoftStepMaxDeg)}`)];
    }
    if (loftDeg < settings.wedgeLoftStepMinDeg - ROUNDING && !eitherOr) {
      return [flag('wedge-loft-narrow', 'look', settings.wedgeLoftStepMinDeg,
        `${formatDegrees(loftDeg)} in the wedges, under ${formatDegrees(settings.wedgeLoftStepMinDeg)}`)];
    }
  }
  if (school.measure === 'loft' && targetDeg !== undefined && !eitherOr) {
    const target = formatDegrees(targetDeg);
    if (loftDeg > settings.wideOfTarget * targetDeg) {
      return [flag('wide-of-target', 'look', settings.wideOfTarget * targetDeg, `${formatDegrees(loftDeg)} against a target of ${target}`)];
    }
    if (loftDeg < settings.narrowOfTarget * targetDeg) {
      return [flag('narrow-of-target', 'look', settings.narrowOfTarget * targetDeg, `${formatDegrees(loftDeg)} against a target of ${target}`)];
    }
  }
  return [];
}

/** A gauge repeats to about a quarter of a degree, so a smaller reversal may be the gauge's. Common practice, no source. */
const REVERSED_DEG = 0.5;

const RANK: Record<Severity, number> = { fine: 0, unknown: 1, look: 2, fault: 3 };

function worseOf(a: Severity, b: Severity | 'note'): Severity {
  return b === 'note' || RANK[a] >= RANK[b] ? a : b;
}

function carryReason(
  step: Step, carry: CarryVerdict, estimate: CarryVerdict,
  { unit, targetM, flight, cover, interval, moreShots, settings }:
    StepContext & Pick<StepReport, 'cover' | 'interval' | 'moreShots'> & { flight: FlightDifference },
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
    case 'not known yet': {
      const sure = `${Math.round(settings.confidence * 100)} %`;
      const range = `${formatDistance(interval!.lowM, unit)} to ${formatDistance(interval!.highM, unit)} at ${sure}`;
      const settle = moreShots === undefined
        ? 'too close to its limit for shots to settle'
        : `about ${moreShots} more shot${moreShots === 1 ? '' : 's'} with each would settle it`;
      return `${size}, somewhere from ${range}: not known yet whether it is ${estimate.word}; ${settle}.`;
    }
    default:
      return `${size}${target}.`;
  }
}

function shareWords(share: number): string {
  return share === 0.5 ? 'half' : `${Math.round(share * 100)} %`;
}
