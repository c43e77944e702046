import {
  JUDGED_FROM_CLUBS,
  MAX_MORE_SHOTS,
  isBeingEntered,
  stepBetween,
  type Cover,
  type Flag,
  type FlightDifference,
  type GapReport,
  type Severity,
  type StepReport,
} from '../gaps/index.js';
import { distanceNumber, formatDegrees, formatDistance, type DistanceUnit } from '../units/index.js';
import { counted } from './counted.js';
import { evennessWords, isEvenEnough } from './evenness-words.js';
import { listed } from './listed.js';
import { shotName } from './shot-words.js';

/** The verdict on a step with its numbers, what its lofts say after what its carry says. */
export function stepSentence(step: StepReport, report: GapReport, unit: DistanceUnit): string {
  const ofLofts = step.flags
    .filter((flag) => flag.unit === 'deg')
    .map((flag) => loftSentence(flag, report, unit));
  return (step.word === 'mixed up' ? ofLofts : [carrySentence(step, report, unit), ...ofLofts]).join(' ');
}

/** Any finding with its numbers. */
export function flagSentence(flag: Flag, report: GapReport, unit: DistanceUnit): string {
  if (flag.code === 'never-hit') return `${nameIn(report, flag.clubIds[0]!)} is never hit: its slot is free.`;
  if (flag.code === 'same-loft') {
    const [a, b] = flag.clubIds.map((id) => nameIn(report, id));
    const loftDeg = report.loftRungs.find(({ clubId }) => clubId === flag.clubIds[0])!.loftDeg;
    return `${a} and ${b} both sit at ${formatDegrees(loftDeg)}.`;
  }
  return flag.unit === 'deg'
    ? loftSentence(flag, report, unit)
    : carrySentence(stepOf(flag, report)!, report, unit);
}

/** What matters most about a bag: a title, and the sentence under it. */
export function headlineWords(report: GapReport, unit: DistanceUnit): { title: string; text: string } {
  const { headline, steps, evenness } = report;
  const { flag, count } = headline;
  if (headline.code === 'no ladder')
    return {
      title: 'No ladder yet.',
      text: 'Give two clubs a carry and the steps between them appear.',
    };
  if (headline.code === 'flag' && flag)
    return {
      title: flagTitle(flag, count),
      text: `${flagSentence(flag, report, unit)}${othersAverage(flag, report, unit)}`,
    };
  if (headline.code === 'steps not known')
    return {
      title: count === 1 ? 'One step not known yet.' : `${countWord(count)} steps not known yet.`,
      text: stepSentence(
        steps
          .filter(({ severity }) => severity === 'unknown')
          .reduce((a, b) => (excess(b) > excess(a) ? b : a)),
        report,
        unit,
      ),
    };
  return {
    title: isEven(report) ? 'An even bag.' : 'No step at fault.',
    text: evenness ? evenSentence(evenness, steps.length, unit) : '',
  };
}

/**
 * What a page says of a bag, and how bad it is: nothing of one that is still being entered, where a step is only
 * wide because the clubs between are not there yet.
 */
export function bagHeadline(
  report: GapReport,
  unit: DistanceUnit,
): { title: string; text: string; severity: Severity } {
  if (report.rungs.length < 2 || !isBeingEntered(report))
    return { ...headlineWords(report, unit), severity: report.headline.severity };
  return {
    title: `${report.rungs.length} clubs so far.`,
    text: `The bag as a whole is judged from ${JUDGED_FROM_CLUBS} on.`,
    severity: 'unknown',
  };
}

/** A bag is called even where its steps are off their targets by at most this share of them. Our choice. */
const EVEN_SHARE = 0.25;

function isEven({ evenness, steps }: GapReport): boolean {
  if (!evenness) return true;
  const targets = steps.flatMap(({ targetM, targetDeg }) => targetM ?? targetDeg ?? []);
  const mean = targets.reduce((sum, target) => sum + target, 0) / targets.length;
  return evenness.rms <= EVEN_SHARE * mean;
}

/** How much wider a step seems to be than it should; of steps not known yet the most matters most. */
const excess = ({ carryM, targetM }: StepReport) => (targetM === undefined ? 0 : carryM / targetM - 1);

/** Why a club has no place on the carry ladder. */
export const UNPLACED_WORDS = 'no full carry recorded yet';

/** @param stepCount of the whole bag; the step below a driver, for one, has no target */
function evenSentence(
  evenness: NonNullable<GapReport['evenness']>,
  stepCount: number,
  unit: DistanceUnit,
): string {
  const judged = counted(evenness.steps, 'step');
  const those = evenness.steps < stepCount ? `The ${judged} with a target` : `Its ${judged}`;
  const verb = evenness.steps === 1 ? 'is' : 'are';
  return isEvenEnough(evenness)
    ? `${those} ${verb} as even as the shots can tell.`
    : `${those} ${verb} usually within ${evennessWords(evenness, unit)} of ${evenness.steps === 1 ? 'its target' : 'their targets'}.`;
}

function flagTitle(flag: Flag, count: number): string {
  const noun = NOUNS[flag.code];
  return count === 1
    ? `One ${noun}.`
    : `${countWord(count)} ${flag.severity === 'error' ? 'faults' : 'things to look at'}; first, one ${noun}.`;
}

const NOUNS: Record<Flag['code'], string> = {
  'wedge-loft-wide': 'gap too wide',
  'scoring-carry-wide': 'gap too wide',
  'top-carry-wide': 'gap too wide',
  'driver-carry-wide': 'wide step',
  'wide-of-target': 'wide step',
  'wedge-loft-narrow': 'narrow step',
  'narrow-of-target': 'narrow step',
  overlap: 'dead overlap',
  reversed: 'pair the wrong way round',
  'mixed-up': 'pair mixed up',
  'same-loft': 'loft twice',
  'never-hit': 'idle club',
};

const COUNTS = ['No', 'One', 'Two', 'Three', 'Four', 'Five', 'Six', 'Seven', 'Eight', 'Nine'];

function countWord(count: number): string {
  return COUNTS[count] ?? String(count);
}

/** What the other steps are, so that the worst can be seen against them. */
function othersAverage(worst: Flag, report: GapReport, unit: DistanceUnit): string {
  if (worst.unit === 'per round' || worst.code === 'mixed-up') return '';
  const others = report.steps.filter(
    (step) =>
      step.word !== 'either-or' &&
      !(worst.clubIds.includes(step.upperId) && worst.clubIds.includes(step.lowerId)),
  );
  if (others.length < 2) return '';
  const mean = others.reduce((sum, step) => sum + step.carryM, 0) / others.length;
  const average = `other steps average ${formatDistance(mean, unit, 1)}.`;
  const step = stepOf(worst, report);
  // A fault of lofts is said with what it carries, so that the average has something to be held against.
  return worst.unit === 'deg' && step
    ? ` It carries ${formatDistance(step.carryM, unit)}; the ${average}`
    : ` The ${average}`;
}

/** One sentence on the carry of a step. */
function carrySentence(step: StepReport, report: GapReport, unit: DistanceUnit): string {
  const { settings } = report;
  const { targetM } = step;
  const size = `${pairName(step, report)} is ${stepSize(step, unit)}`;
  const target = targetM === undefined ? '' : `, target ${formatDistance(targetM, unit)}`;
  switch (step.carryWord) {
    case 'either-or':
      return `${size}, but they fly differently (${flightWords(step.flight!, unit)}): one or the other, by course and wind.`;
    case 'overlap':
      return step.flight!.verdict === 'unknown'
        ? `${size}, an overlap unless they fly differently; record apex and landing angle to know.`
        : `${size} and they fly alike (${flightWords(step.flight!, unit)}): two clubs for one job.`;
    case 'covered':
      return `${size}${target}; ${coverWords(step.cover!, unit)}.`;
    case 'wide': {
      const times = step.limitCode === 'wide-of-target' ? ` (${settings.wideOfTarget} times the target)` : '';
      return `${size}, over ${limitWords(step.carryM, step.limitM!, unit)}${times}.`;
    }
    case 'narrow':
      return `${size}, under ${shareWords(settings.narrowOfTarget)} of its target ${formatDistance(targetM!, unit)}.`;
    case 'at the limit':
      return `${size}${target}: so near its limit that it is right either way.`;
    case 'not known yet':
      return `${size}${step.betweenIds ? betweenWords(step.betweenIds, report) : `, ${unsettledWords(step, report, unit)}`}.`;
    default:
      return `${size}${target}.`;
  }
}

/**
 * "somewhere from 10 yd to 16 yd at 95 %: not known yet whether it is wide; about 5 more shots … would settle
 * it".
 */
function unsettledWords(step: StepReport, report: GapReport, unit: DistanceUnit): string {
  const { interval, moreShots, seems, modelledIds } = step;
  const sure = `${Math.round(report.settings.confidence * 100)} %`;
  const [low, high] = [interval!.lowM, interval!.highM].map((m) => formatDistance(m, unit).replace('-', '−'));
  const range = `${low} to ${high} at ${sure}`;
  const settle =
    modelledIds.length > 0
      ? modelledWords(modelledIds, report)
      : moreShots === undefined
        ? `more shots would not settle it: over ${MAX_MORE_SHOTS} shots with each would be needed`
        : `about ${moreShots} more shot${moreShots === 1 ? '' : 's'} with each would settle it`;
  return `somewhere from ${range}: not known yet whether it is ${seems}; ${settle}`;
}

/** "; the 9 iron belongs between them and has no carry yet". */
function betweenWords(ids: readonly string[], report: GapReport): string {
  const names = listed(ids.map((id) => `the ${nameIn(report, id)}`));
  return ids.length === 1
    ? `; ${names} belongs between them and has no carry yet`
    : `; ${names} belong between them and have no carry yet`;
}

/** "the carry of the 5 iron is only modelled; type it or hit some shots". */
function modelledWords(ids: readonly string[], report: GapReport): string {
  return ids.length > 1
    ? 'both carries are only modelled; type them or hit some shots'
    : `the carry of the ${nameIn(report, ids[0]!)} is only modelled; type it or hit some shots`;
}

function loftSentence(flag: Flag, report: GapReport, unit: DistanceUnit): string {
  const loft = formatDegrees(flag.value);
  if (flag.code === 'mixed-up') {
    const [farther, nearer] = flag.clubIds.map((id) => {
      const { name, carryM, loftDeg } = report.rungs.find(({ clubId }) => clubId === id)!;
      return { name, carry: formatDistance(carryM, unit), hasLoft: loftDeg !== undefined };
    });
    const pair = `${farther!.name} carries ${farther!.carry}, farther than ${nearer!.name} at ${nearer!.carry}`;
    return farther!.hasLoft && nearer!.hasLoft
      ? `${pair} with ${formatDegrees(-flag.value)} more loft: one of these lofts or carries must be wrong.`
      : `${pair}, which has less loft: one of these carries must be wrong.`;
  }
  const step = stepOf(flag, report)!;
  const pair = pairName(step, report);
  switch (flag.code) {
    case 'reversed':
      return `${pair} is ${formatDegrees(-flag.value)} the wrong way: the weaker loft carries farther.`;
    case 'wedge-loft-wide':
      return `${pair} is ${loft} in the wedges, over ${formatDegrees(flag.limit)}.`;
    case 'wedge-loft-narrow':
      return `${pair} is ${loft} in the wedges, under ${formatDegrees(flag.limit)}.`;
    default:
      return `${pair} is ${loft} against a target of ${formatDegrees(step.targetDeg!)}.`;
  }
}

/** The step a finding is of; undefined for one of another kind. */
function stepOf({ clubIds: [upperId, lowerId] }: Flag, report: GapReport): StepReport | undefined {
  return stepBetween(report, { upperId, lowerId });
}

function nameIn({ names }: GapReport, clubId: string): string {
  return names.get(clubId) ?? clubId;
}

/** "PW to 52". */
function pairName({ upperId, lowerId }: StepReport, report: GapReport): string {
  return `${nameIn(report, upperId)} to ${nameIn(report, lowerId)}`;
}

/** "8.0° and 24 yd", or the carry alone where a loft is not known. */
function stepSize(step: Pick<StepReport, 'carryM' | 'loftDeg'>, unit: DistanceUnit): string {
  const carry = formatDistance(step.carryM, unit);
  return step.loftDeg === undefined ? carry : `${formatDegrees(step.loftDeg)} and ${carry}`;
}

/** A limit that was passed, to a tenth where whole numbers would say "20 yd, over 20 yd". */
function limitWords(valueM: number, limitM: number, unit: DistanceUnit): string {
  const isTold = distanceNumber(valueM, unit) !== distanceNumber(limitM, unit);
  return formatDistance(limitM, unit, isTold ? 0 : 1);
}

/** "soft PW at 113 covers its middle, leaving 12 and 11 yd". */
function coverWords(cover: Cover, unit: DistanceUnit): string {
  const [above, below] = cover.leavesM;
  return (
    `${shotName(cover.shotKind, cover.clubName)} at ${distanceNumber(cover.carryM, unit)} covers its middle, ` +
    `leaving ${distanceNumber(above, unit)} and ${formatDistance(below, unit)}`
  );
}

/** "31 ft and 6° apart". */
function flightWords(flight: FlightDifference, unit: DistanceUnit): string {
  const height = unit === 'yd' ? 'ft' : 'm';
  const parts: string[] = [];
  if (flight.apexM !== undefined) parts.push(`apex ${formatDistance(Math.abs(flight.apexM), height)}`);
  if (flight.descentDeg !== undefined) parts.push(`landing ${Math.abs(flight.descentDeg).toFixed(0)}°`);
  return parts.length > 0 ? `${parts.join(' and ')} apart` : 'flight not recorded';
}

function shareWords(share: number): string {
  return share === 0.5 ? 'half' : `${Math.round(share * 100)} %`;
}
