/** No head of a column is longer; what is longer is not looked at. */
export const MAX_HEAD_CHARACTERS = 200;

const OPENING: Record<string, string> = { ']': '[', ')': '(', '}': '{' };

/** White space as one blank, none at the ends. */
export function oneBlank(text: string): string {
  return text.trim().split(/\s+/).join(' ');
}

/**
 * A head cut into its words and what stands in a bracket at its end.
 * @example splitBracket('Carry  [ yd ]') // { words: 'Carry', bracketed: 'yd' }
 */
export function splitBracket(head: string): { words: string; bracketed: string } {
  const text = oneBlank(head.slice(0, MAX_HEAD_CHARACTERS));
  const opening = OPENING[text.at(-1) ?? ''];
  const at = opening === undefined ? -1 : text.lastIndexOf(opening);
  return at === -1
    ? { words: text, bracketed: '' }
    : { words: text.slice(0, at).trim(), bracketed: text.slice(at + 1, -1).trim() };
}

/** The head without anything from its first bracket to the last. */
export function withoutBrackets(head: string): string {
  const from = head.search(/[([{]/);
  const to = Math.max(...Object.keys(OPENING).map((closing) => head.lastIndexOf(closing)));
  return from === -1 || to < from ? head : head.slice(0, from) + head.slice(to + 1);
}
