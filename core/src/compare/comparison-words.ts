import { distanceNumber, formatDistance, signedDistance, type DistanceUnit } from '../units/index.js';
import type { Difference, MarginPart, Pair } from './compare-builds.js';

const HEIGHT: Record<DistanceUnit, 'ft' | 'm'> = { yd: 'ft', m: 'm' };
const PART_WORDS: Record<Difference['part'], string> = {
  carryM: 'carry',
  totalM: 'total',
  apexM: 'apex',
  spinRpm: 'spin',
};

/** "carry", "carry and spin". */
function partWords(parts: readonly MarginPart[]): string {
  const words = parts.map((part) => PART_WORDS[part]);
  return words.length < 2 ? words.join('') : `${words.slice(0, -1).join(', ')} and ${words.at(-1)}`;
}

/** "carry +4 yd (1 to 7)". */
export function differenceWords({ part, by, low, high }: Difference, unit: DistanceUnit): string {
  if (part === 'spinRpm') return `spin ${signed(by)} rpm (${signed(low)} to ${signed(high)})`;
  const shown = part === 'apexM' ? HEIGHT[unit] : unit;
  const decimals = part === 'apexM' ? 0 : 1;
  return `${PART_WORDS[part]} ${signedDistance(by, shown, decimals)} ${shown} (${signedDistance(low, shown, decimals)} to ${signedDistance(high, shown, decimals)})`;
}

function signed(value: number): string {
  const rounded = Math.round(value / 10) * 10;
  return rounded === 0 ? '0' : `${rounded < 0 ? '−' : '+'}${Math.abs(rounded)}`;
}

/** The verdict on a pair as a sentence with its numbers. */
export function pairSentence(pair: Pair, name: string, firstName: string, unit: DistanceUnit): string {
  const told = differenceWords(pair.differences[0]!, unit);
  const more =
    pair.moreShots === undefined
      ? 'too close for shots to settle'
      : `about ${pair.moreShots} more ${pair.moreShots === 1 ? 'shot' : 'shots'} with each would likely settle it`;
  switch (pair.word) {
    case 'longer':
      return `${name} is longer than ${firstName}: ${told}.`;
    case 'shorter':
      return `${name} is shorter than ${firstName}: ${told}.`;
    case 'no longer':
      return `${name} is no longer than ${firstName}, nor shorter, by more than anybody would notice: ${told}.`;
    case 'matches':
      return `${name} matches ${firstName}: ${pair.differences.map((one) => differenceWords(one, unit)).join(', ')}, all within the margins.`;
    case 'does not match':
      return `${name} does not match ${firstName}: ${pair.differences
        .filter(({ part }) => (pair.open as readonly string[]).includes(part))
        .map((one) => differenceWords(one, unit))
        .join(', ')}, outside the margin.`;
    case 'not known yet':
      return `No verdict yet on ${name} against ${firstName} (${partWords(pair.open)} not settled): ${told}; ${more}.`;
  }
}

/** What two things changed at once keep from being learnt, or undefined. */
export function mixedWarning(pair: Pair, name: string): string | undefined {
  if (pair.mixed.length === 0) return undefined;
  return `${name} changes ${pair.mixed.join(' and ')} together: a difference cannot be laid at either. Change one at a time to learn which.`;
}

/** "within 3 yd" of a margin. */
export function marginWords(part: MarginPart, value: number, unit: DistanceUnit): string {
  if (part === 'spinRpm') return `${value.toFixed(0)} rpm`;
  return part === 'apexM' ? formatDistance(value, HEIGHT[unit]) : `${distanceNumber(value, unit, 1)} ${unit}`;
}
