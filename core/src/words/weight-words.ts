import { formatSwingWeight } from '../spec/index.js';
import {
  SHAFT_STEPS_G,
  type BuiltOtherwise,
  type ShaftDifference,
  type ShaftOutOfLine,
} from '../weights/index.js';

/** Whether the scale can write it: A0 to G9.9. */
function isOnScale(points: number): boolean {
  return points >= 0 && points < 70;
}

/** "D2.4", or the points where the scale ends. */
export function swingWeightWords(points: number): string {
  const tenths = Math.round(points * 10) / 10;
  return isOnScale(tenths) ? formatSwingWeight(tenths) : `${tenths.toFixed(1)} points from A0`;
}

/** One layer of tape under a grip makes it about 1/64 in thicker. Common practice, no source. */
const WRAPS_PER_IN = 64;

/** How much thicker so many wraps make a grip: "about 1/32 in thicker than bare". */
export function wrapsWords(wraps: number): string {
  if (wraps === 0) return 'no tape';
  let [over, under] = [Math.round(wraps), WRAPS_PER_IN];
  while (over % 2 === 0 && under > 1) [over, under] = [over / 2, under / 2];
  return `about ${over}/${under} in thicker than bare`;
}

const OTHERWISE: Record<BuiltOtherwise['key'], string> = {
  shaft: 'another shaft',
  flex: 'another flex',
  stepping: 'stepped differently',
  tipTrimIn: 'tipped differently',
  shaftWeightG: 'a shaft of another weight',
  grip: 'another grip',
  gripWraps: 'different wraps',
  head: 'another head',
};

/** "another shaft (Siv 95, where the others have Siv 105)". */
export function builtOtherwiseWords({ key, value, usual }: Omit<BuiltOtherwise, 'since'>): string {
  return `${OTHERWISE[key]} (${value}, where the others have ${usual})`;
}

/** "8 g heavier", "softer (R for S)": another shaft against the one that is wanted. */
export function shaftDifferenceWords(difference: ShaftDifference): string {
  if (difference.part === 'shaft') return `${difference.other} for ${difference.wanted}`;
  const { part, by } = difference;
  const size = (digits: number) => Number(Math.abs(by).toFixed(digits));
  switch (part) {
    case 'weight':
      return `${size(0)} g ${by > 0 ? 'heavier' : 'lighter'}`;
    case 'flex':
      return `${by > 0 ? 'stiffer' : 'softer'} (${difference.other} for ${difference.wanted})`;
    case 'torque':
      return `torque ${size(1)}° ${by > 0 ? 'more' : 'less'}`;
    case 'tip':
      return `tipped ${size(2)} in ${by > 0 ? 'more' : 'less'}`;
    case 'stepping':
      return `stepped ${by > 0 ? 'harder' : 'softer'}`;
  }
}

const BESIDE = { driver: 'driver', fairway: 'fairway wood' } as const;

/** What tradition says of a shaft's weight beside its neighbour's. */
export function shaftTraditionSentence({ name, besideName, heavierG, beside }: ShaftOutOfLine): string {
  const { min, max } = SHAFT_STEPS_G[beside];
  const size = `${Math.abs(heavierG)} g ${heavierG < 0 ? 'lighter' : 'heavier'}`;
  return `${name}: its shaft is ${size} than the ${besideName}’s; tradition is ${min} to ${max} g heavier than the ${BESIDE[beside]}’s.`;
}
