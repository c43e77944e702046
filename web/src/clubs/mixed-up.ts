import { lockerFindings, lockerFindingSentence } from '@tasche/core';
import type { useSheet } from '../sheet/sheet-store';

/** Of these clubs, pairs of which a loft or a carry must be wrong, in words. */
export function mixedUpSentences(store: ReturnType<typeof useSheet>, clubIds: readonly string[]): string[] {
  return lockerFindings(clubIds.flatMap((id) => store.ladderClubs.get(id) ?? []))
    .filter(({ code }) => code === 'mixed up')
    .map((finding) => lockerFindingSentence(finding, store.nameOf));
}
