import { withDegreeSign } from '@tasche/core';
import { ABOUT_WORDS, distanceUnitOf } from './numbers-in-text.js';

/** A longer line is a sentence. */
export const MAX_CHARACTERS = 200;
/** A word behind a number. */
const WORD_BEHIND = /(?<=\d\s?)\p{L}{3,}/gu;
/** Degrees in words, as several languages have them; from memory, no source. */
const DEGREES = /^(degs?|degrees?|grad|grader|graden|grados?|gradi|graus?|degr[eé]s?)$/i;
const UNIT = /^(°|deg|y|yd|yds|m|yards|metres|meters)$/i;

/** Two carries as a range: "210-215", "210 to 215 yd". Smaller numbers are a wedge's loft and its bounce. */
const RANGE = /\b([5-9]\d|[1-3]\d\d)\s*(?:-|–|—|\bto\b|\bbis\b)\s*([5-9]\d|[1-3]\d\d)(?![\d.,])/gi;
/** The same distance again in the other unit: "250yds (228m)". */
const AGAIN = /(?<=\d\s?(?:m|y|yd|yds|yards|metres))\s?\(\d+(?:[.,]\d+)?\s?(?:m|y|yd|yds|yards|metres)\)/gi;
const INCHES = /(?<=\d) ?(?:inches|inch|in)(?![\p{L}\d])/giu;
/** "265c/285t", "c165 t175". */
const CARRY_AND_TOTAL =
  /(?<![\p{L}\d])(?:c ?(\d{2,3})|(\d{2,3}) ?c)[ ,/]{1,3}(?:t ?(\d{2,3})|(\d{2,3}) ?t)(?![\p{L}\d])/giu;
const ABOUT = new RegExp(ABOUT_WORDS, 'gi');

/** "150 mètres" is "150 m", "12 Grad" is "12 °"; other words stay. */
function shortUnit(word: string): string {
  if (DEGREES.test(word)) return '°';
  return UNIT.test(word) ? word : (distanceUnitOf(word) ?? word);
}

/** The words of a line, a number with its unit being one. */
export function wordsOf(text: string): string[] {
  return (
    withDegreeSign(text)
      .replace(CARRY_AND_TOTAL, ' carry $1$2 total $3$4 ')
      .replace(INCHES, '"')
      .replace(ABOUT, '~')
      .replace(AGAIN, '')
      .replace(WORD_BEHIND, shortUnit)
      // At the start stands the club: "60 - 75" is a wedge.
      .replace(RANGE, (all: string, from: string, to: string, at: number, line: string) =>
        line.slice(0, at).trim() === '' ? all : `${from}-${to}`,
      )
      .replace(/\s[-–—=]\s|[:;|,](\s|$)|\.{2,}|…/g, ' ')
      .trim()
      .split(/\s+/)
      // "165 yd" is one number.
      .reduce<string[]>((list, word) => {
        const last = list.at(-1);
        return last !== undefined && UNIT.test(word) && /\d$/.test(last)
          ? [...list.slice(0, -1), last + word]
          : [...list, word];
      }, [])
  );
}
