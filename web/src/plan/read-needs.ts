import { DEMAND_BOUNDS, distanceNumber, type DistanceUnit, type Lie, type ShotDemand } from '@tasche/core';
import { lieInText, storedMetres, withoutLie } from '@tasche/contract';

/** Needs read off a line typed by hand, or what is wrong with it. */
type ReadNeeds = { ok: true; needs: ShotDemand[] } | { ok: false; reason: string };

const TIMES_BETWEEN = /\b(\d+(?:\.\d+)?)(\s?)x(\s?)(\d+(?:\.\d+)?)\b/;
/** The highest count written before its distance: a round's shots. */
const MAX_TIMES_BEFORE = 36;
const TIMES = /(?<![a-z])x\s?(\d+(?:\.\d+)?)\b/;
const TIMES_BEFORE = /\b(\d+(?:\.\d+)?)\s?(?:x|times)(?![a-z\d])/;
const TIMES_WORDS: readonly [RegExp, number][] = [
  [/\bonce\b/, 1],
  [/\btwice\b/, 2],
];
const LEFT = /\bleft (\d+(?:\.\d+)?)\b/;
/** A unit behind a number: every distance of the part is in it. */
const UNIT = /(?<=\d)\s?(m|met(?:re|er)s?|y|yds?|yards?)\b/g;

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
  const word = TIMES_WORDS.find(([pattern]) => pattern.test(part));
  return word ? { weight: word[1], rest: part.replace(word[0], ' ') } : { weight: 1, rest: part };
}

/**
 * "155 hold x3, 210 run, drive 285 left 140 x14, 160 heavy rough": a distance to a green, whether it must
 * hold there (else it may run), what it lies on, how often ("3 times", "twice"). "drive" is a tee shot with
 * more to come, "left" what is left after it. "230-250 x6" are six spread over these distances. A distance may
 * name its unit, "150 m".
 */
export function readNeeds(text: string, readerUnit: DistanceUnit): ReadNeeds {
  const needs: ShotDemand[] = [];
  for (const part of text
    .toLowerCase()
    .split(/[,;\n]+/)
    .map((one) => one.trim())
    .filter((one) => one !== '')) {
    const units = new Set((part.match(UNIT) ?? []).map((one) => (one.trim().startsWith('m') ? 'm' : 'yd')));
    if (units.size > 1) return { ok: false, reason: `"${part}" has two units` };
    const [unit = readerUnit] = units;
    const { weight, rest: said } = timesIn(part.replace(UNIT, ''));
    const left = LEFT.exec(said);
    const rest = said.replace(LEFT, '');
    const drive = /\bdrive\b/.test(rest);
    const lie = lieInText(rest) ?? (drive ? 'tee' : 'fairway');
    const span = /(\d+(?:\.\d+)?)(?:\s?[-–]\s?(\d+(?:\.\d+)?))?/.exec(rest);
    const strange = withoutLie(rest)
      .replace(/\d+(\.\d+)?(\s?[-–]\s?\d+(\.\d+)?)?/, '')
      .replace(/\b(drive|hold|run)\b/g, '')
      .trim();
    if (!span) return { ok: false, reason: `"${part}" has no distance` };
    if (strange !== '') return { ok: false, reason: `"${strange}" is not understood` };
    const [from, to] = [Number(span[1]), Number(span[2] ?? span[1])];
    if (to < from) return { ok: false, reason: `"${span[0]}" ends before it begins` };
    // A span is cut in three, and each third stands at its middle.
    const distances = (to > from ? [1, 3, 5].map((sixth) => from + ((to - from) * sixth) / 6) : [from]).map(
      (value) => storedMetres(value, unit),
    );
    const [min, max] = DEMAND_BOUNDS.distanceM;
    if (distances.some((distanceM) => distanceM < min || distanceM > max))
      return { ok: false, reason: `${span[0]} ${unit} is not a shot` };
    const leftM = left ? storedMetres(Number(left[1]), unit) : undefined;
    if (leftM !== undefined && (leftM < DEMAND_BOUNDS.leftM[0] || leftM > DEMAND_BOUNDS.leftM[1]))
      return { ok: false, reason: `${left![1]} ${unit} cannot be left over` };
    if (weight > DEMAND_BOUNDS.weight[1]) return { ok: false, reason: `${weight} times is too often` };
    const mustHold = !drive && /\bhold\b/.test(rest);
    for (const distanceM of distances)
      needs.push({
        name: needName(drive, distanceM, lie, mustHold, readerUnit),
        to: drive ? 'fairway' : 'green',
        distanceM,
        lie,
        mustHold,
        weight: weight / distances.length,
        ...(drive && leftM !== undefined && { leftM }),
      });
  }
  return needs.length > 0 ? { ok: true, needs } : { ok: false, reason: 'nothing written' };
}

function needName(
  drive: boolean,
  distanceM: number,
  lie: Lie,
  mustHold: boolean,
  unit: DistanceUnit,
): string {
  const shown = `${distanceNumber(distanceM, unit)} ${unit}`;
  if (drive) return `drive of ${shown}`;
  return `${shown}${lie === 'fairway' ? '' : ` from ${lie}`}${mustHold ? ', to hold' : ''}`;
}
