import {
  FEWEST_STRIKES,
  HOLDS_M,
  type Difference,
  type MarginPart,
  type Measure,
  type Pair,
  type Question,
} from '../compare/index.js';
import { distanceNumber, formatDistance, signedDistance, type DistanceUnit } from '../units/index.js';
import { counted } from './counted.js';
import { listed } from './listed.js';

const HEIGHT: Record<DistanceUnit, 'ft' | 'm'> = { yd: 'ft', m: 'm' };
const PART_WORDS: Record<Measure, string> = {
  carryM: 'carry',
  totalM: 'total',
  apexM: 'apex',
  spinRpm: 'spin',
  descentDeg: 'descent',
  firmGreenRunM: 'run on a firm green',
  missM: 'miss',
};

/** What is asked, as a person asks it. */
export const QUESTION_WORDS: Readonly<Record<Question, string>> = {
  longer: 'Longest off the tee',
  matches: 'Match the old one',
  holds: 'Hold a green',
  'more-spin': 'More spin, no carry lost',
  tighter: 'Tightest',
};

/** "carry", "carry and spin". */
function partWords(parts: readonly Measure[]): string {
  return listed(parts.map((part) => PART_WORDS[part]));
}

/** "carry +4 yd (1 to 7)". */
export function differenceWords({ part, by, low, high }: Difference, unit: DistanceUnit): string {
  if (part === 'spinRpm') return `spin ${signed(by)} rpm (${signed(low)} to ${signed(high)})`;
  if (part === 'descentDeg') return `descent ${degrees(by)} (${degrees(low)} to ${degrees(high)})`;
  const shown = part === 'apexM' ? HEIGHT[unit] : unit;
  const decimals = part === 'apexM' ? 0 : 1;
  const [said, from, to] = [by, low, high].map((value) => signedDistance(value, shown, decimals));
  return `${PART_WORDS[part]} ${said} ${shown} (${from} to ${to})`;
}

function degrees(value: number): string {
  const rounded = Math.round(value * 10) / 10;
  return `${rounded < 0 ? '−' : rounded > 0 ? '+' : ''}${Math.abs(rounded).toFixed(1)}°`;
}

function signed(value: number): string {
  const rounded = Math.round(value / 10) * 10;
  return rounded === 0 ? '0' : `${rounded < 0 ? '−' : '+'}${Math.abs(rounded)}`;
}

/** The verdict on a pair as a sentence with its numbers. */
export function pairSentence(pair: Pair, name: string, firstName: string, unit: DistanceUnit): string {
  const sentence = verdictSentence(pair, name, firstName, unit) + holdsWords(pair, unit);
  // A carry stands in for a total that was not measured; apex and spin are left out of a match they are not
  // known for.
  if (pair.unmeasured.length === 0 || pair.word === 'not measured') return sentence;
  return pair.unmeasured[0] === 'totalM'
    ? `${sentence} By carry alone: how far they run was not measured.`
    : `${sentence} By what was measured: ${partWords(pair.unmeasured)} ${pair.unmeasured.length === 1 ? 'was' : 'were'} not.`;
}

function holdsWords({ holds }: Pair, unit: DistanceUnit): string {
  if (holds === undefined) return '';
  const limit = `${distanceNumber(HOLDS_M, unit)} ${unit}`;
  return holds ? ` It holds a firm green: under ${limit}.` : ` It does not hold a firm green: over ${limit}.`;
}

function verdictSentence(pair: Pair, name: string, firstName: string, unit: DistanceUnit): string {
  const all = pair.differences.map((one) => differenceWords(one, unit));
  const figures = all[0] ?? '';
  const more =
    pair.moreShots === undefined
      ? 'too close for shots to settle'
      : `about ${pair.moreShots} more ${pair.moreShots === 1 ? 'shot' : 'shots'} with each would likely settle it`;
  const opened = pair.differences
    .filter(({ part }) => pair.open.includes(part))
    .map((one) => differenceWords(one, unit))
    .join(', ');
  switch (pair.word) {
    case 'longer':
      return `${name} is longer than ${firstName}: ${figures}.`;
    case 'shorter':
      return `${name} is shorter than ${firstName}: ${figures}.`;
    case 'no longer':
      return `${name} is no longer than ${firstName}, nor shorter, by a margin anyone would notice: ${figures}.`;
    case 'matches':
      return `${name} matches ${firstName}: ${all.join(', ')}, all within the margins.`;
    case 'does not match':
      return `${name} does not match ${firstName}: ${opened}, outside the margin.`;
    case 'stops sooner':
      return `${name} stops sooner than ${firstName}: ${all.slice(0, 2).join(', ')}.`;
    case 'runs farther':
      return `${name} runs farther than ${firstName}: ${all.slice(0, 2).join(', ')}.`;
    case 'stops alike':
      return `${name} and ${firstName} stop alike on a firm green: ${figures}.`;
    case 'more spin':
      return `${name} spins more than ${firstName} and loses no carry that matters: ${all.slice(0, 2).join(', ')}.`;
    case 'less spin':
      return `${name} spins less than ${firstName}: ${figures}.`;
    case 'no more spin':
      return `${name} spins no more than ${firstName}, nor less, by a margin anyone would notice: ${figures}.`;
    case 'carry lost':
      return `${name} spins more than ${firstName} and loses carry for it: ${all.slice(0, 2).join(', ')}.`;
    case 'tighter':
      return `${name} is tighter than ${firstName}: an average ${figures}.`;
    case 'wider':
      return `${name} is wider than ${firstName}: an average ${figures}.`;
    case 'no tighter':
      return `${name} is no tighter than ${firstName}, nor wider, by a margin anyone would notice: an average ${figures}.`;
    case 'not known yet':
      return `No verdict yet on ${name} against ${firstName} (${partWords(pair.open)} not settled): ${opened}; ${more}.`;
    case 'not measured': {
      const missing = `${partWords(pair.unmeasured)} ${pair.unmeasured.length === 1 ? 'was' : 'were'} not measured`;
      return `Nothing can be said of ${name} against ${firstName}: ${missing} of both, three shots at least.`;
    }
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

/** Which builds were hit too seldom to be compared; empty where none was. */
export function tooFewWords(builds: readonly { name: string; shots: number }[]): string {
  const [first, ...rest] = builds.filter(({ shots }) => shots < FEWEST_STRIKES);
  if (!first) return '';
  const others = rest.map(({ name, shots }) => `, ${name} ${shots}`).join('');
  const those = `${counted(first.shots, 'shot')} that ${first.shots === 1 ? 'counts' : 'count'}`;
  return `${first.name} has ${those}${others}: it takes ${FEWEST_STRIKES} of each.`;
}
