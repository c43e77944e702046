import { MAX_HEAD_CHARACTERS, splitBracket, withoutBrackets } from './head-words.js';

/** Units a column may be in; what is kept is metres, m/s, degrees and rpm. */
export type StrikeUnit = 'yd' | 'm' | 'ft' | 'mph' | 'm/s' | 'km/h' | 'deg' | 'rpm';

/**
 * The factor from a unit to what is kept. Mile and yard are exact (international yard and pound agreement of
 * 1959).
 */
export const STRIKE_UNIT_FACTORS: Record<StrikeUnit, number> = {
  yd: 0.9144,
  m: 1,
  ft: 0.3048,
  mph: 0.44704,
  'm/s': 1,
  'km/h': 1 / 3.6,
  deg: 1,
  rpm: 1,
};

export const DISTANCE_UNITS: readonly StrikeUnit[] = ['yd', 'm', 'ft'];
export const SPEED_UNITS: readonly StrikeUnit[] = ['mph', 'm/s', 'km/h'];

/** How a unit is written, in English and other languages; from memory, no source. */
const UNIT_WORDS: readonly [RegExp, StrikeUnit][] = [
  [/^(yd|yds|yards?|y|yardas?|iarde)$/, 'yd'],
  [/^(ft|feet|foot|fuß|pieds?|pies?|piedi)$/, 'ft'],
  [/^(mph|mi\/h|miles per hour)$/, 'mph'],
  [/^(m\/s|mps|m s-1)$/, 'm/s'],
  [/^(km\/h|kmh|kph|km\/t|km\/u)$/, 'km/h'],
  [/^(rpm|1\/min|u\/min|tr\/min|t\/min|r\/min|g\/min|giri\/min|o\/min|varv\/min|omw\/min)$/, 'rpm'],
  [/^(deg|degrees?|°|grad|degrés?|grados?|gradi|graus?|graden|grader)$/, 'deg'],
  [/^(m|mtr|met(re|er)s?|mètres?|metros?|metri)$/, 'm'],
];

/** The unit a word means, or undefined. */
export function strikeUnitOf(word: string): StrikeUnit | undefined {
  const plain = word.toLowerCase().trim();
  return UNIT_WORDS.find(([pattern]) => pattern.test(plain))?.[1];
}

/**
 * A column's head without its unit, and that unit: "Carry Distance [yd]", "Ball Speed (mph)", "spin_rate, rpm".
 */
export function splitHead(head: string): { words: string; unit: StrikeUnit | undefined } {
  const { words, bracketed } = splitBracket(head);
  const unit = strikeUnitOf(bracketed);
  if (unit) return { words: plainWords(words), unit };
  // "spin_rate, rpm": the unit after a sign of its own.
  for (const sign of [',', ':', '-', '/']) {
    const cut = words.lastIndexOf(sign);
    const last = cut === -1 ? undefined : strikeUnitOf(words.slice(cut + 1));
    if (last) return { words: plainWords(words.slice(0, cut)), unit: last };
  }
  return { words: plainWords(withoutBrackets(head.slice(0, MAX_HEAD_CHARACTERS))), unit: undefined };
}

function plainWords(text: string): string {
  return text
    .replace(/([a-z])([A-Z])/g, '$1 $2')
    .replace(/[_.\-\s]+/g, ' ')
    .trim()
    .toLowerCase();
}

/** Units stand under the heads in some files, and not a shot. */
export function isUnitRow(row: readonly string[]): boolean {
  const filled = row.map((cell) => cell.replace(/[[\]()]/g, '').trim()).filter((cell) => cell !== '');
  return filled.length > 0 && filled.every((cell) => strikeUnitOf(cell) !== undefined);
}
