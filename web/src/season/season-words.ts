import { counted, decimals, type SeasonStrokes } from '@tasche/core';
import type { Repeats, SeasonEntryKind, SeasonItemKind, TrialOutcome } from '@tasche/contract';

/** A shape and a word for each; colour is never the only sign. */
export const ENTRY_MARKS: Record<SeasonEntryKind, string> = {
  event: '⚑',
  round: '▸',
  test: '◔',
  play: '◑',
  untouched: '■',
  freeze: '❄',
  trip: '✈',
  note: '○',
  ticket: '◆',
  trial: '◇',
  // An angle, for lofts and lies; a tick would say that it is done.
  check: '∠',
  grooves: '≋',
};
export const ENTRY_WORDS: Record<SeasonEntryKind, string> = {
  event: 'event',
  round: 'tee time',
  test: 'test',
  play: 'play in',
  untouched: 'leave alone',
  freeze: 'nothing new',
  trip: 'trip',
  note: 'note',
  ticket: 'bench',
  trial: 'trial',
  check: 'check',
  grooves: 'wear',
};
export const ITEM_WORDS: Record<SeasonItemKind, string> = {
  freeze: 'nothing new',
  test: 'test',
  trip: 'trip',
  note: 'note',
};
export const REPEAT_WORDS: Record<Repeats, string> = {
  weekly: 'every week',
  monthly: 'every month',
  yearly: 'every year',
};
export const OUTCOME_WORDS: Record<TrialOutcome, string> = {
  open: 'on trial',
  kept: 'kept',
  dropped: 'dropped',
};

/** "1.2 (−0.4 to 2.8)". */
export function strokesWithin({ strokes, low, high }: SeasonStrokes): string {
  return `${decimals(strokes, 1)} (${decimals(low, 1)} to ${decimals(high, 1)})`;
}

/**
 * What a bag changes against the gamer: "4 hybrid in, 5 wood out".
 * @param taken the clubs of the gamer that may go there, where not all may
 */
export function againstGamerWords(
  ids: readonly string[],
  gamerIds: readonly string[],
  nameOf: (id: string) => string,
  taken = gamerIds,
): string {
  const named = (some: readonly string[]) => some.map(nameOf).join(', ');
  const [ins, outs] = [ids.filter((id) => !taken.includes(id)), taken.filter((id) => !ids.includes(id))];
  if (ins.length + outs.length > 0)
    return [ins.length > 0 && `${named(ins)} in`, outs.length > 0 && `${named(outs)} out`]
      .filter(Boolean)
      .join(', ');
  return taken.length < gamerIds.length
    ? `${counted(taken.length, 'club')} of the gamer: ${named(taken)}`
    : 'the gamer';
}
