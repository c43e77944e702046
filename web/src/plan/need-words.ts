import { HOLE_WORDS } from '@tasche/contract';

/** A pattern for whole words, of any alphabet. */
const words = (choices: string, flags = 'u') =>
  new RegExp(`(?<![\\p{L}\\d])(?:${choices})(?![\\p{L}\\d])`, flags);

/** Other languages from memory, here and below. */
export const HOLD = words(
  'holds?|holding|stops?|stopping|halten|tenir|parar|tenere|fermare|houden|stoppen|holde|stoppa|hålla|segurar',
);
export const RUN = words(
  'runs?|run up|running|rolls?|rolling|(?:aus|uit)?rollen|rouler|rodar|rotolare|correre|rulla|rulle',
);
export const DRIVE = words('drives?|driver|driving');
/** A shot to a fairway that is no drive. */
export const LAY_UP = words('lay(?:ing)?[ -]?ups?|laid[ -]?up|vorlegen');
/** Where it is to end, which is not what it lies on. */
export const TO_FAIRWAY = words('(?:to|on|onto|for|in|down) (?:the )?(?:fairway|fwy?)');
/** A tee shot that may go to a fairway or to a green. */
export const EITHER_TEE_SHOT = words(
  'tee[ -]?shots?|tee[ -]?off|off (?:(?:the|a) )?tee|vom tee|abschlag|abschläge',
);
export const PAR_3 = words('par[ -]?3s?');
export const OTHER_PAR = words('par[ -]?[456]s?', 'gu');
/** Said beside a shot, and changing nothing about it. */
export const BESIDE = words(
  [
    'about|around|approx\\.?|approximately|roughly|circa|ca\\.?|some|ungefähr|etwa|environ|unos|cerca|omkring|ongeveer',
    'from|out of|out|of|off|to|at|in|into|with|must|has to|needs? to|should|and',
    'the|a|an|aus|vom|von|dem|der|im|muss|auf|de|du|le|la|el|il|uit|het|från|fra',
    'shots?|approach|approaches|chips?|pitch|pitches|greens?|balls?|first|second|third|1st|2nd|3rd',
  ].join('|'),
  'gu',
);
const NUMBER = String.raw`\d+(?:\.\d+)?`;
const LEFT_WORDS = 'left|leaves|leaving|to leave|übrig|rest|remaining';
/** "left 140", "leaves 140". */
export const LEFT_BEFORE = words(`(?:${LEFT_WORDS}) (${NUMBER})`);
/** "140 left". */
export const LEFT_BEHIND = words(`(${NUMBER}) (?:left|übrig|remaining|to go)`);
/** "Hole 7: " or "7: ", where a shot begins. */
export const AT_HOLE = new RegExp(
  `^(?:(?:${HOLE_WORDS}|h|#)\\s?(\\d{1,2})(?!\\d)[ :.)–-]*|(\\d{1,2}): )`,
  'u',
);

const COUNTS = 'one two three four five six seven eight nine ten'.split(' ');
const COUNT_OF_DISTANCE = words(`(${COUNTS.join('|')})(?= \\d)`, 'gu');
const COUNT = words(`(${COUNTS.join('|')})(?= ?x| times)`, 'gu');
const countOf = (_found: string, word: string | undefined) => String(COUNTS.indexOf(word!) + 1);
/** How a unit may stand between a span's ends. */
const UNIT = '(?: ?(?:m|y|yds?|yards?|met(?:re|er)s?))?';
const TO = 'to|till|until|or|bis|oder|à|til|tot|eller|hasta';

/** One way to write what is written in several: [what stands there, what is read]. */
const ONE_WAY: readonly [RegExp, string | ((found: string, ...groups: string[]) => string)][] = [
  [/[×✕]/g, 'x'],
  [/(?<=\d) ?\* ?(?=\d)/g, ' x '],
  [/[~≈]/g, ' '],
  // "155,5" is a number, "155,160" are two.
  [/(?<=\d\d),(?=\d(?!\d| ?x))|(?<=(?<!\d)\d),(?=\d(?!\d))/g, '.'],
  [/(?<=\d)(?:ish|s)(?![\p{L}\d])/gu, ''],
  [words('once', 'gu'), 'x1'],
  [words('twice', 'gu'), 'x2'],
  [words('thrice', 'gu'), 'x3'],
  [COUNT_OF_DISTANCE, (found, count) => `${countOf(found, count)}x`],
  [COUNT, countOf],
  // "155 (3)".
  [/\(x? ?(\d{1,2})x?\)/g, ' x$1 '],
  // "155: 3"; "7: 15" is of a hole.
  [new RegExp(`(?<=[3-9]\\d|\\d{3})${UNIT}: (?=\\d{1,2}(?:[,;\\n]|$))`, 'g'), ' x'],
  [new RegExp(`(?<![\\p{L}\\d])between (${NUMBER}${UNIT}) and (?=\\d)`, 'gu'), '$1-'],
  [new RegExp(`(?<=\\d${UNIT}) (?:${TO}) (?=${NUMBER})`, 'gu'), '-'],
];
/** "155 x2 165 x1", "2x 155 3x 165": a count ends a shot, where a distance stands in it. "par 3 x1 30" is one. */
const COUNT_BEFORE_NEXT = new RegExp(`(?<=\\d{2}.{0,40}|(?<!par[ -]?)\\d ?)(x ?${NUMBER}) (?=\\d)`, 'g');
const BETWEEN_SHOTS = /[,;\n]+| [/+&|] |\.(?= |$)| (?:and|und|et|e|en|og|och|plus|then|dann) (?=\D{0,40}\d)/u;

/** What belongs to the shot before the comma: "155, to hold x3", "drive 240, leaves 140". */
function belongsToLast(part: string): boolean {
  if (/^(?:left|leav|wet)/.test(part)) return true;
  const said = part.replace(/x ?\d{1,3}(?!\d)|(?<!\d)\d{1,3} ?(?:x|times)/, '');
  return /^(?:(?:to|must) )?(?:hold|stop)/.test(part) && !/\d/.test(said);
}

/** What is written of each shot, in lower case and with one way to write a thing. */
export function shotsWritten(text: string): string[] {
  // A no-break space is one, and "2,  3" is "2, 3"; lines stay.
  const spaced = text.toLowerCase().replace(/[^\S\n]+/g, ' ');
  return ONE_WAY.reduce((written, [from, to]) => written.replace(from, to as string), spaced)
    .split(BETWEEN_SHOTS)
    .flatMap((part) => part.replace(COUNT_BEFORE_NEXT, '$1\n').split('\n'))
    .map((part) => part.trim())
    .filter((part) => part !== '')
    .reduce<string[]>((parts, part) => {
      const last = parts.at(-1);
      return last !== undefined && belongsToLast(part)
        ? [...parts.slice(0, -1), `${last} ${part}`]
        : [...parts, part];
    }, []);
}
