import { DEMAND_BOUNDS, distanceNumber, type DistanceUnit, type Lie, type ShotDemand } from '@tasche/core';
import { lieInText, storedMetres, withoutLie } from '@tasche/contract';
import {
  AT_HOLE,
  BESIDE,
  DRIVE,
  EITHER_TEE_SHOT,
  HOLD,
  LAY_UP,
  LEFT_BEFORE,
  LEFT_BEHIND,
  OTHER_PAR,
  PAR_3,
  RUN,
  shotsWritten,
  TO_FAIRWAY,
} from './need-words';

/** Needs read off a line typed by hand, or what is wrong with it. */
type ReadNeeds = { ok: true; needs: ShotDemand[] } | { ok: false; reason: string };

const TIMES_BETWEEN = /\b(\d+(?:\.\d+)?)(\s?)x(\s?)(\d+(?:\.\d+)?)\b/;
/** The highest count written before its distance: a round's shots. */
const MAX_TIMES_BEFORE = 36;
const TIMES = /(?<![a-z])x\s?(\d+(?:\.\d+)?)\b/;
const TIMES_BEFORE = /\b(\d+(?:\.\d+)?)\s?(?:x|times)(?![a-z\d])/;
/** A unit behind a number: every distance of the part is in it. */
const UNIT = /(?<=\d)\s?(m|met(?:re|er)s?|y|yds?|yards?)\b/g;
const SPAN = /^(\d+(?:\.\d+)?)\s?[-–]\s?(\d+(?:\.\d+)?)$/;
const NUMBERS = /^\d+(?:\.\d+)?(?:[ /]+\d+(?:\.\d+)?)*$/;
/** Numbers side by side that are all distances: one that is less may be a count. */
const MIN_OF_LIST = 30;

/** How often it comes up, and the rest of what is said. */
function timesIn(part: string): { weight: number; rest: string } {
  const both = TIMES_BETWEEN.exec(part);
  if (both) {
    const [, first, gapBefore, gapAfter, second] = both;
    // "3x 155", "155 x3"; where the blanks do not tell, the distance is the larger.
    const isBefore =
      gapBefore === gapAfter
        ? Number(first) < Number(second)
        : gapBefore === '' && Number(first) <= MAX_TIMES_BEFORE;
    const [times, distance] = isBefore ? [first, second] : [second, first];
    return { weight: Number(times), rest: part.replace(TIMES_BETWEEN, `${distance} `) };
  }
  for (const pattern of [TIMES, TIMES_BEFORE]) {
    const found = pattern.exec(part);
    if (found) return { weight: Number(found[1]), rest: part.replace(pattern, ' ') };
  }
  return { weight: 1, rest: part };
}

/**
 * "155 hold x3, 210 run, drive 285 left 140 x14, 160 heavy rough": a distance to a green, whether it must
 * hold there (else it may run), what it lies on, how often ("3 times", "twice"). "drive" is a tee shot with
 * more to come, "lay up" any other, "left" what is left after it; "par 3" is a tee shot to a green. "230-250 x6"
 * are six spread over these distances. A distance may name its unit, "150 m".
 */
export function readNeeds(text: string, readerUnit: DistanceUnit): ReadNeeds {
  const needs: ShotDemand[] = [];
  for (const part of shotsWritten(text)) {
    const read = needsOf(part, readerUnit);
    if (typeof read === 'string') return { ok: false, reason: read };
    needs.push(...read);
  }
  return needs.length > 0 ? { ok: true, needs } : { ok: false, reason: 'nothing written' };
}

/** The needs one part of a line is, or what is wrong with it. */
function needsOf(part: string, readerUnit: DistanceUnit): ShotDemand[] | string {
  const units = new Set((part.match(UNIT) ?? []).map((one) => (one.trim().startsWith('m') ? 'm' : 'yd')));
  if (units.size > 1) return `"${part}" has two units`;
  const [unit = readerUnit] = units;
  const atHole = AT_HOLE.exec(part);
  const hole = atHole ? Number(atHole[1] ?? atHole[2]) : undefined;
  if (hole !== undefined && (hole < DEMAND_BOUNDS.hole[0] || hole > DEMAND_BOUNDS.hole[1]))
    return `"${part}": there is no hole ${hole}`;
  const isPar3 = PAR_3.test(part);
  const { weight, rest: said } = timesIn(
    part.replace(AT_HOLE, '').replace(PAR_3, ' ').replace(OTHER_PAR, ' ').replace(UNIT, ''),
  );
  const left = LEFT_BEFORE.exec(said) ?? LEFT_BEHIND.exec(said);
  const shot = left ? said.replace(left[0], ' ') : said;
  const mustHold = HOLD.test(shot);
  const isDrive = DRIVE.test(shot);
  const isLayUp = LAY_UP.test(shot) || TO_FAIRWAY.test(shot);
  const [teeShot] = EITHER_TEE_SHOT.exec(shot) ?? [];
  const isEither = teeShot !== undefined && !isDrive && !isPar3 && !mustHold;
  if (isEither && !left)
    return `"${part}" may go to a fairway or a green: write "drive" or "par 3" for "${teeShot}"`;
  const kind = isDrive || isEither ? 'drive' : isLayUp ? 'lay-up' : 'green';
  const words = [TO_FAIRWAY, EITHER_TEE_SHOT, LAY_UP, DRIVE, HOLD, RUN].reduce(
    (rest, one) => rest.replace(one, ' '),
    shot,
  );
  const lie = lieInText(words) ?? (kind === 'drive' || isPar3 || teeShot ? 'tee' : 'fairway');
  const numbers = withoutLie(words).replace(BESIDE, ' ').trim().replace(/\s+/g, ' ');
  const strange = numbers
    .replace(/\d+(?:\.\d+)?(?:\s?[-–]\s?\d+(?:\.\d+)?)?/, ' ')
    .trim()
    .replace(/\s+/g, ' ');
  // "155 hold 165 run" are two shots, of which it is not clear where the first ends.
  const distances = part.replace(UNIT, '').includes(numbers) ? distancesOf(numbers) : undefined;
  if (!/\d/.test(numbers)) return `"${part}" has no distance`;
  if (distances === undefined) return `"${strange}" is not understood`;
  if (distances === 'backwards') return `"${numbers}" ends before it begins`;
  const metres = distances.values.map((value) => storedMetres(value, unit));
  const [min, max] = DEMAND_BOUNDS.distanceM;
  if (metres.some((distanceM) => distanceM < min || distanceM > max))
    return `${numbers} ${unit} is not a shot`;
  const leftM = left ? storedMetres(Number(left[1]), unit) : undefined;
  if (leftM !== undefined && (leftM < DEMAND_BOUNDS.leftM[0] || leftM > DEMAND_BOUNDS.leftM[1]))
    return `${left![1]} ${unit} cannot be left over`;
  if (weight === 0) return `"${part}" never comes up`;
  if (weight > DEMAND_BOUNDS.weight[1]) return `${weight} times is too often`;
  return metres.map((distanceM) => ({
    name: needName(kind, distanceM, lie, mustHold && kind === 'green', readerUnit, hole),
    to: kind === 'green' ? 'green' : 'fairway',
    distanceM,
    lie,
    mustHold: mustHold && kind === 'green',
    weight: distances.isSpan ? Math.round((weight / metres.length) * 100) / 100 : weight,
    ...(kind !== 'green' && leftM !== undefined && { leftM }),
  }));
}

/** What numbers say of distances: one, several, or a span, which is cut in three, each third at its middle. */
function distancesOf(
  numbers: string,
): { values: readonly number[]; isSpan: boolean } | 'backwards' | undefined {
  const span = SPAN.exec(numbers);
  if (span) {
    const [from, to] = [Number(span[1]), Number(span[2])];
    if (to < from) return 'backwards';
    return {
      values: to > from ? [1, 3, 5].map((sixth) => from + ((to - from) * sixth) / 6) : [from],
      isSpan: true,
    };
  }
  if (!NUMBERS.test(numbers)) return undefined;
  const values = numbers.split(/[ /]+/).map(Number);
  return values.length > 1 && values.some((value) => value < MIN_OF_LIST)
    ? undefined
    : { values, isSpan: false };
}

function needName(
  kind: 'drive' | 'lay-up' | 'green',
  distanceM: number,
  lie: Lie,
  mustHold: boolean,
  unit: DistanceUnit,
  hole: number | undefined,
): string {
  const shown = `${distanceNumber(distanceM, unit)} ${unit}`;
  const at = hole === undefined ? '' : `, hole ${hole}`;
  if (kind !== 'green') return `${kind} of ${shown}${at}`;
  return `${shown}${lie === 'fairway' ? '' : ` from ${lie}`}${mustHold ? ', to hold' : ''}${at}`;
}
