import { DEMAND_BOUNDS, distanceNumber, type DistanceUnit, type Lie, type ShotDemand } from '@tasche/core';
import { lieInText, storedMetres } from '@tasche/contract';

/** Needs read off a line typed by hand, or what is wrong with it. */
type ReadNeeds = { ok: true; needs: ShotDemand[] } | { ok: false; reason: string };

/**
 * "155 hold x3, 210 run, drive 285 left 140 x14, 160 heavy rough": a distance to a green, whether it must
 * hold there (else it may run), what it lies on, how often. "drive" is a tee shot with more to come, "left"
 * what is left after it. "230-250 x6" are six spread over these distances.
 */
export function readNeeds(text: string, unit: DistanceUnit): ReadNeeds {
  const needs: ShotDemand[] = [];
  for (const part of text
    .toLowerCase()
    .split(/[,;\n]+/)
    .map((one) => one.trim())
    .filter((one) => one !== '')) {
    const times = /\bx\s?(\d+(?:\.\d+)?)\b/.exec(part);
    const left = /\bleft (\d+(?:\.\d+)?)\b/.exec(part);
    const rest = part.replace(/\bx\s?\d+(\.\d+)?\b/, '').replace(/\bleft \d+(\.\d+)?\b/, '');
    const drive = /\bdrive\b/.test(rest);
    const lie = lieInText(rest) ?? (drive ? 'tee' : 'fairway');
    const span = /(\d+(?:\.\d+)?)(?:\s?[-–]\s?(\d+(?:\.\d+)?))?/.exec(rest);
    const strange = rest
      .replace(/\d+(\.\d+)?(\s?[-–]\s?\d+(\.\d+)?)?/, '')
      .replace(/\b(drive|hold|run|wet|heavy|light|rough|sand|bunker|tight|tee|fairway)\b/g, '')
      .trim();
    if (!span) return { ok: false, reason: `"${part}" names no distance` };
    if (strange !== '') return { ok: false, reason: `"${strange}" is not understood` };
    const [from, to] = [Number(span[1]), Number(span[2] ?? span[1])];
    if (to < from) return { ok: false, reason: `"${span[0]}" ends before it begins` };
    // A span is cut in three, and each third stands at its middle.
    const distances = (to > from ? [1, 3, 5].map((sixth) => from + ((to - from) * sixth) / 6) : [from]).map(
      (value) => storedMetres(value, unit),
    );
    const [min, max] = DEMAND_BOUNDS.distanceM;
    if (distances.some((distanceM) => distanceM < min || distanceM > max))
      return { ok: false, reason: `${span[0]} ${unit} is no shot` };
    const leftM = left ? storedMetres(Number(left[1]), unit) : undefined;
    if (leftM !== undefined && (leftM < DEMAND_BOUNDS.leftM[0] || leftM > DEMAND_BOUNDS.leftM[1]))
      return { ok: false, reason: `${left![1]} ${unit} cannot be left` };
    const weight = times ? Number(times[1]) : 1;
    if (weight > DEMAND_BOUNDS.weight[1]) return { ok: false, reason: `${times![1]} times is too often` };
    const mustHold = !drive && /\bhold\b/.test(rest);
    for (const distanceM of distances)
      needs.push({
        name: needName(drive, distanceM, lie, mustHold, unit),
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
