import type { Lie } from '@tasche/core';

/** Rough a club is caught in. */
const HEAVY = [
  '(?:\\b(?:heavy|deep|thick|long|high|tall|hohe[nms]?|tiefe[nms]?|dicke[nms]?|gros|haut|hoge|diepe|djup|dyb)',
  '(?:rough|ruff)\\b|\\brough (?:alto|denso|épais|fitto))',
].join(' ');
/** How people say what a ball lies on, other languages from memory; the first that is found is meant. */
const LIE_WORDS: readonly [RegExp, Lie][] = [
  [new RegExp(`\\bwet ${HEAVY}|${HEAVY},? wet\\b`), 'heavy rough, wet'],
  [new RegExp(HEAVY), 'heavy rough'],
  [/\bwet rough\b|\blight rough,? wet\b/, 'light rough, wet'],
  [/\b(?:(?:light|semi|short)[ -]?)?(?:rough|ruff)\b|\bfirst cut\b/, 'light rough'],
  [/\b(?:sand|sable|arena|sabbia|areia|zand)\b|\b(?:(?:greenside|fairway) )?bunker\b|\btrap\b/, 'sand'],
  [/\b(?:tight|bare|hard ?pan)\b(?: lie\b)?/, 'tight'],
  [/\b(?:tee|abschlag|départ|salida|partenza|saída|utslag|afslag)\b/, 'tee'],
  [/\bfairway\b|\bfwy?\b/, 'fairway'],
];

/** The lie a text names, in lower case; undefined where it names none. */
export function lieInText(text: string): Lie | undefined {
  return LIE_WORDS.find(([pattern]) => pattern.test(text))?.[1];
}

/** The text without the lie it names. */
export function withoutLie(text: string): string {
  const found = LIE_WORDS.find(([pattern]) => pattern.test(text));
  return found ? text.replace(found[0], ' ').replace(/\bfrom\b/, ' ') : text;
}
