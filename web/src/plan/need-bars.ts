import type { ShotDemand } from '@tasche/core';

export const NEED_BAR_KINDS = ['tee', 'approach', 'short'] as const;
type NeedBarKind = (typeof NEED_BAR_KINDS)[number];
/** What a round asks between two distances, in stock carries; shots a round. */
interface NeedBar {
  fromM: number;
  toM: number;
  asked: Record<NeedBarKind, number>;
  total: number;
}

/** As far as a shot is of the short game. */
const SHORT_M = 35;
const kindOf = ({ to, distanceM }: ShotDemand): NeedBarKind =>
  to === 'fairway' ? 'tee' : distanceM <= SHORT_M ? 'short' : 'approach';

/**
 * The needs heaped up by how far they play, longest first; those without a distance are left out. @param widthM
 * of a bar
 */
export function needBars(needs: readonly ShotDemand[], widthM: number): NeedBar[] {
  const bars = new Map<number, NeedBar>();
  for (const demand of needs) {
    if (demand.playsLikeM === undefined) continue;
    const at = Math.floor(demand.playsLikeM / widthM);
    const bar = bars.get(at) ?? {
      fromM: at * widthM,
      toM: (at + 1) * widthM,
      asked: { tee: 0, approach: 0, short: 0 },
      total: 0,
    };
    bar.asked[kindOf(demand)] += demand.weight;
    bar.total += demand.weight;
    bars.set(at, bar);
  }
  return [...bars.values()].sort((a, b) => b.fromM - a.fromM);
}
