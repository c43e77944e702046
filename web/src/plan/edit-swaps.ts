import type { Swap } from '@tasche/core';

/** The swaps with a club taken out too. One that came in by a swap goes out by taking that swap back. */
export function withClubOut(swaps: readonly Swap[], clubId: string): readonly Swap[] {
  const cameIn = swaps.findIndex(({ inId }) => inId === clubId);
  if (cameIn < 0) return [...swaps, { outId: clubId }];
  const { inId: _in, ...rest } = swaps[cameIn]!;
  return rest.outId ? swaps.with(cameIn, rest) : swaps.toSpliced(cameIn, 1);
}

/**
 * The swaps with a club put in too. It takes the place of what went out last without anything coming in; what
 * went out itself just stays.
 */
export function withClubIn(swaps: readonly Swap[], clubId: string): readonly Swap[] {
  const wentOut = swaps.findIndex(({ outId }) => outId === clubId);
  if (wentOut >= 0) {
    const { outId: _out, ...rest } = swaps[wentOut]!;
    return rest.inId ? swaps.with(wentOut, rest) : swaps.toSpliced(wentOut, 1);
  }
  const open = swaps.findLastIndex(({ outId, inId }) => outId && !inId);
  return open >= 0 ? swaps.with(open, { ...swaps[open], inId: clubId }) : [...swaps, { inId: clubId }];
}
