import type { Font } from 'fontkit';

/** What stands on paper for a letter its font lacks. */
const STAND_IN = '?';
/** Joiners and the choice of a coloured form: they are no letters themselves. */
const INVISIBLE = /[\u200b-\u200f\u2060\ufe00-\ufe0f\u{1f3fb}-\u{1f3ff}]/gu;

/** A text with a stand-in for each letter a font lacks, and how many there were. */
export function withKnownLetters(text: string, font: Pick<Font, 'hasGlyphForCodePoint'>): [string, number] {
  let lacking = 0;
  const known = text
    .normalize('NFC')
    .replace(INVISIBLE, '')
    .replace(/[^\u0000-\u007e]/gu, (letter) => {
      if (font.hasGlyphForCodePoint(letter.codePointAt(0)!)) return letter;
      lacking += 1;
      return STAND_IN;
    });
  return [known, lacking];
}

/** The same of every text in a document, whatever it is in; texts that are made page by page too. */
export function inEveryText<T>(part: T, change: (text: string) => string): T {
  const changed = (one: unknown): unknown => {
    if (typeof one === 'string') return change(one);
    if (typeof one === 'function')
      return (...given: unknown[]) => changed((one as (...given: unknown[]) => unknown)(...given));
    if (Array.isArray(one)) return one.map(changed);
    if (one === null || typeof one !== 'object' || one instanceof Uint8Array) return one;
    return Object.fromEntries(Object.entries(one).map(([key, value]) => [key, changed(value)]));
  };
  return changed(part) as T;
}
