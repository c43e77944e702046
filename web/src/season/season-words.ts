import type { Repeats, SeasonEntryKind, SeasonItemKind, TrialOutcome } from '@tasche/contract';

/** A shape and a word for each; colour never speaks alone. */
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
  check: '✓',
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
