import { guessClub, storedMetres, type ClubMatch, type LabelledClub } from '@tasche/contract';
import { STRIKE_BOUNDS, type DistanceUnit, type Strike } from '@tasche/core';

/** Shots with one club: of the club named before them, else with the one in hand. */
interface HandTurn {
  club: ClubMatch;
  strikes: readonly Strike[];
}

/** Shots read off a line typed by hand, or what is wrong with it. */
type HandShots = { ok: true; turns: readonly HandTurn[] } | { ok: false; reason: string };

const CARRY = /^(\d+(?:[.,]\d+)?)(m|y|yds?)?$/i;
const SIDE = /^(\d+(?:[.,]\d+)?)([lr])$/i;
const SIDE_WORD = /^(l|left|r|right)$/i;
/** No name of a club has more words. */
const MAX_NAME_WORDS = 6;

/** Between the shots of two clubs: a line, or a stroke with room about it. */
export const BETWEEN_CLUBS = ' / ';

/**
 * "152 148 3L 150": carries in the player's unit, or in one they name, each with how far left or right it came
 * down where that follows it. A club may stand before them, and others after it: "7 iron 152 148 / PW 118".
 */
export function readHandShots(
  text: string,
  unit: DistanceUnit,
  clubs: readonly LabelledClub[] = [],
): HandShots {
  const turns: HandTurn[] = [];
  for (const part of text.split(/\n|\s\/\s/).filter((one) => one.trim() !== '')) {
    const words = wordsOf(part);
    const { club, from } = clubBefore(words, unit, clubs);
    const read = readStrikes(words.slice(from), unit);
    if (typeof read === 'string') return { ok: false, reason: read };
    turns.push({ club: club ?? turns.at(-1)?.club ?? null, strikes: read });
  }
  return turns.length > 0 ? { ok: true, turns } : { ok: false, reason: 'nothing written' };
}

const wordsOf = (text: string): string[] =>
  text
    .trim()
    .split(/[;\s]+|,\s+/)
    .filter((word) => word !== '');

/** The club the words begin with, if they name one of the locker's, and where its shots begin. */
function clubBefore(
  words: readonly string[],
  unit: DistanceUnit,
  clubs: readonly LabelledClub[],
): { club: ClubMatch; from: number } {
  for (let from = 1; from < Math.min(words.length, MAX_NAME_WORDS + 1); from++) {
    const name = words.slice(0, from).join(' ');
    // "56 90 88" is three carries; "56: 90 88" is two.
    if (words.slice(0, from).every((word) => CARRY.test(word) || SIDE_WORD.test(word))) continue;
    if (typeof readStrikes(words.slice(from), unit) === 'string') continue;
    const club = guessClub(name.replace(/[:=]$/, ''), clubs);
    if (club) return { club, from };
  }
  return { club: null, from: 0 };
}

/** @returns what is wrong with the first word that is no shot */
function readStrikes(words: readonly string[], unit: DistanceUnit): Strike[] | string {
  const strikes: Strike[] = [];
  const [min, max] = STRIKE_BOUNDS.carryM;
  const metres = (number: string, of: DistanceUnit) => storedMetres(Number(number.replace(',', '.')), of);
  const aside = (size: number, word: string) => (word.toLowerCase().startsWith('l') ? -size : size);
  for (const [i, word] of words.entries()) {
    const carry = CARRY.exec(word);
    const side = SIDE.exec(word);
    if (carry) {
      const of = !carry[2] ? unit : carry[2].toLowerCase() === 'm' ? 'm' : 'yd';
      const carryM = metres(carry[1]!, of);
      // A side may be written apart from its letter: "148 3 L".
      const isSide = SIDE_WORD.test(words[i + 1] ?? '');
      if (!isSide && (carryM < min || carryM > max))
        return `${word}${carry[2] ? '' : ` ${unit}`} is not a carry`;
      strikes.push({ carryM });
    } else if (side || SIDE_WORD.test(word)) {
      const size = side ? metres(side[1]!, unit) : strikes.pop()?.carryM;
      const last = strikes.at(-1);
      if (size === undefined || !last) return `${word} follows no carry`;
      last.offlineM = aside(size, side ? side[2]! : word);
    } else return `"${word}" is neither a carry, a side such as 3L, nor a club of the locker`;
  }
  return strikes.length > 0 ? strikes : 'nothing written';
}
