import {
  MAX_NAME_WORDS,
  MAX_NUMBER_IN_NAME,
  guessClub,
  storedMetres,
  withoutListMarks,
  type ClubMatch,
  type LabelledClub,
} from '@tasche/contract';
import { STRIKE_BOUNDS, type DistanceUnit, type Strike } from '@tasche/core';

/** Shots with one club: of the club named before them, else with the one in hand. */
interface HandTurn {
  club: ClubMatch;
  strikes: readonly Strike[];
}

/** Shots read off a line typed by hand, or what is wrong with it. */
type HandShots = { ok: true; turns: readonly HandTurn[] } | { ok: false; reason: string };

const CARRY = /^(\d+(?:\.\d+)?)(m|y|yds?)?$/i;
const SIDE = /^(\d+(?:\.\d+)?)(m|y|yds?)?([lr])$/i;
const SIDE_FIRST = /^([lr])(\d+(?:\.\d+)?)$/i;
const SIDE_WORD = /^(l|left|r|right)$/i;
const UNIT_WORD = /^(m|met(?:re|er)s?|y|yds?|yards?)$/i;
const STRAIGHT = /^(straight|online)$/i;
/** Said beside shots, and changing nothing about them. */
const BESIDE = /^(and|und|et|then|about|around|approx|circa|ca|dead|carry|carried|[-–])$/i;
const AVERAGE = /^(avg|average|mean|ø|median|max|min|total|mittel|schnitt|durchschnitt|moyenne)$/i;
const TIMES = /^(x\d+|\d+x\d+|twice|times)$/i;
/** "7 - 165": a number with such a mark behind it is a club. */
const MARK_BEHIND = /^[-–:=]$/;
const LETTERS_OF_WEDGE = /^[pgasl]w:?$/i;
/** A number that is so much less than its neighbours may be the loft or the number of a club. */
const MUCH_LESS = 0.75;
/** How far aside is at most this part of the carry. */
const MAX_ASIDE = 0.5;

/** Between the shots of two clubs: a line, or a stroke with room about it. */
export const BETWEEN_CLUBS = ' / ';

/**
 * "152 148 3L 150": carries in the player's unit, or in one they name, each with how far left or right it came
 * down where that follows it. A club may stand before them, and others after it: "7 iron 152 148 / PW 118", "7i
 * 152 148 PW 118"; or above them, on a line of its own.
 */
export function readHandShots(
  text: string,
  unit: DistanceUnit,
  clubs: readonly LabelledClub[] = [],
): HandShots {
  const turns: (HandTurn & { strikes: Strike[]; name: string })[] = [];
  const parts = withoutListMarks(text.split(/\n|\s\/\s/)).filter((part) => part !== '');
  for (const part of parts) {
    const wrong = readPart(wordsOf(part), unit, clubs, turns);
    if (wrong !== undefined) return { ok: false, reason: wrong };
  }
  const empty = turns.find(({ strikes }) => strikes.length === 0);
  if (empty) return { ok: false, reason: `no shot follows "${empty.name}"` };
  return turns.length > 0
    ? { ok: true, turns: turns.map(({ club, strikes }) => ({ club, strikes })) }
    : { ok: false, reason: 'nothing written' };
}

/** "165,163" are two; "152,5" is one. */
const wordsOf = (text: string): string[] =>
  text
    .replace(/[();~]|,(?!\d(?!\d))|(?<=\d)\/(?=\d)/g, ' ')
    .replace(/(?<=\d),/g, '.')
    .split(/\s+/)
    .map((word) => word.replace(/(?<=\d)ish$|(?<=[^.!*])[.!*]{1,3}$/i, ''))
    .filter((word) => word !== '');

/**
 * Adds the shots of a line to the turns.
 * @returns what is wrong with the first word that is no shot
 */
function readPart(
  words: readonly string[],
  unit: DistanceUnit,
  clubs: readonly LabelledClub[],
  turns: (HandTurn & { strikes: Strike[]; name: string })[],
): string | undefined {
  const [min, max] = STRIKE_BOUNDS.carryM;
  const last = turns.at(-1);
  // A club on a line of its own is hit in those below.
  let turn = last && last.strikes.length === 0 ? last : undefined;
  let i = 0;
  while (i < words.length) {
    const word = words[i]!;
    // "60 - 62 - 64" may be the 60 or three carries; "60 - 85" is the club.
    const isDash = /^[-–]$/.test(words[i + 1] ?? '');
    const isNear = isDash && Number(word) >= Number.parseFloat(words[i + 2] ?? '') * MUCH_LESS;
    if (isNear && guessClub(word, clubs)) return maybeClub(word, unit);
    const named = isShotOnly(word, words[i + 1]) ? undefined : clubAt(words, i, clubs);
    if (named) {
      turn = { club: named.club, strikes: [], name: words.slice(i, named.end).join(' ') };
      turns.push(turn);
      i = named.end;
      continue;
    }
    // "9 iron 130" where there is no 9 iron.
    if (Number(word) <= MAX_NUMBER_IN_NAME && !isShotOnly(word, words[i + 1]))
      return wordRefused(`${word} ${words[i + 1]}`);
    if (BESIDE.test(word)) {
      i++;
      continue;
    }
    const carry = carryAt(words, i, unit);
    if (carry) {
      if (isMaybeClub(words, i, clubs)) return maybeClub(word, unit);
      if (carry.carryM < min || carry.carryM > max)
        return `${word}${carry.isUnitSaid ? '' : ` ${unit}`} is not a carry`;
      if (!turn) {
        turn = { club: turns.at(-1)?.club ?? null, strikes: [], name: word };
        turns.push(turn);
      }
      turn.strikes.push({
        carryM: carry.carryM,
        ...(carry.offlineM !== undefined && { offlineM: carry.offlineM }),
      });
      i = carry.end;
    } else if (SIDE.test(word) || SIDE_FIRST.test(word) || SIDE_WORD.test(word))
      return `${word} follows no carry`;
    else return wordRefused(word);
  }
  return undefined;
}

/** A number is a carry unless more of a name follows: "7 iron", "7 - 165". */
function isShotOnly(word: string, next: string | undefined): boolean {
  if (!CARRY.test(word)) return false;
  if (next === undefined) return true;
  if (MARK_BEHIND.test(next)) return false;
  return [CARRY, SIDE, SIDE_FIRST, SIDE_WORD, UNIT_WORD, STRAIGHT, BESIDE].some((one) => one.test(next));
}

function maybeClub(word: string, unit: DistanceUnit): string {
  return `"${word}" may be a club or a carry: write "${word}:" for the club, "${word} ${unit}" for the carry`;
}

function wordRefused(word: string): string {
  if (AVERAGE.test(word)) return `"${word}" is no shot: leave it and its number out`;
  if (TIMES.test(word)) return `"${word}": write every shot by itself`;
  return `"${word}" is neither a carry, a side such as 3L, nor a club of the locker`;
}

/** The club named from there on, before a shot or at the end of its line, and where its name ends. */
function clubAt(
  words: readonly string[],
  at: number,
  clubs: readonly LabelledClub[],
): { club: ClubMatch; end: number } | undefined {
  for (let n = 1; n <= MAX_NAME_WORDS && at + n <= words.length; n++) {
    const name = words.slice(at, at + n);
    const next = words[at + n];
    if (next !== undefined && !CARRY.test(next)) continue;
    // "56 90 88" may be three carries; "56: 90 88" is two.
    if (name.every((word) => CARRY.test(word) || SIDE_WORD.test(word))) continue;
    const club = guessClub(name.join(' ').replace(/ ?[-–:=]$/, ''), clubs);
    if (!club) continue;
    // "SW 56 90 88": a wedge and its loft.
    const [loft, first] = [Number(next), Number.parseFloat(words[at + n + 1] ?? '')];
    const isLoft =
      LETTERS_OF_WEDGE.test(name.at(-1)!) && loft <= MAX_NUMBER_IN_NAME && loft < first * MUCH_LESS;
    const lofted = isLoft ? guessClub(`${name.join(' ').replace(/:$/, '')} ${next}`, clubs) : null;
    return lofted ? { club: lofted, end: at + n + 1 } : { club, end: at + n };
  }
  return undefined;
}

/** Whether a bare number is what a club is called, and much less than the carries beside it. */
function isMaybeClub(words: readonly string[], at: number, clubs: readonly LabelledClub[]): boolean {
  const [before, value, after] = [at - 1, at, at + 1].map((i) => {
    const word = words[i] ?? '';
    return /^\d+(?:\.\d+)?$/.test(word) ? Number(word) : undefined;
  });
  const isLess = value !== undefined && after !== undefined && value < after * MUCH_LESS;
  return (
    isLess && (before === undefined || value < before * MUCH_LESS) && guessClub(words[at]!, clubs) !== null
  );
}

/** The carry at a word, with the side that follows it, and where both end; undefined where there is none. */
function carryAt(
  words: readonly string[],
  at: number,
  unit: DistanceUnit,
): { carryM: number; offlineM?: number; isUnitSaid: boolean; end: number } | undefined {
  const carry = numberAt(words, at, unit);
  if (!carry) return undefined;
  const [word = '', next = ''] = words.slice(carry.end);
  const found = { carryM: carry.metres, isUnitSaid: carry.isUnitSaid };
  const aside = (metres: number, side: string) => (side.toLowerCase().startsWith('l') ? -metres : metres);
  if (STRAIGHT.test(word)) return { ...found, offlineM: 0, end: carry.end + 1 };
  if (word === 'dead' && STRAIGHT.test(next)) return { ...found, offlineM: 0, end: carry.end + 2 };
  const joined = SIDE.exec(word);
  if (joined)
    return {
      ...found,
      offlineM: aside(metresOf(joined[1]!, joined[2], unit), joined[3]!),
      end: carry.end + 1,
    };
  const turned = SIDE_FIRST.exec(word);
  if (turned)
    return {
      ...found,
      offlineM: aside(metresOf(turned[2]!, undefined, unit), turned[1]!),
      end: carry.end + 1,
    };
  // "148 3 L", "148 3 yards left".
  const size = numberAt(words, carry.end, unit);
  const side = size ? (words[size.end] ?? '') : '';
  if (size && SIDE_WORD.test(side) && size.metres <= carry.metres * MAX_ASIDE)
    return { ...found, offlineM: aside(size.metres, side), end: size.end + 1 };
  // "148 left 3"; in "148 L 3 R" nobody can tell.
  const behind = SIDE_WORD.test(word) ? numberAt(words, carry.end + 1, unit) : undefined;
  if (behind && behind.metres <= carry.metres * MAX_ASIDE && !SIDE_WORD.test(words[behind.end] ?? ''))
    return { ...found, offlineM: aside(behind.metres, word), end: behind.end };
  return { ...found, end: carry.end };
}

/** A number and its unit, which may stand apart. */
function numberAt(
  words: readonly string[],
  at: number,
  unit: DistanceUnit,
): { metres: number; isUnitSaid: boolean; end: number } | undefined {
  const found = CARRY.exec(words[at] ?? '');
  if (!found) return undefined;
  const apart = found[2] === undefined && UNIT_WORD.test(words[at + 1] ?? '') ? words[at + 1] : undefined;
  const said = found[2] ?? apart;
  return {
    metres: metresOf(found[1]!, said, unit),
    isUnitSaid: said !== undefined,
    end: at + (apart === undefined ? 1 : 2),
  };
}

const metresOf = (number: string, said: string | undefined, unit: DistanceUnit) =>
  storedMetres(Number(number), said === undefined ? unit : said.toLowerCase().startsWith('m') ? 'm' : 'yd');
