import type { DistanceCover } from './coverage.js';

/** Below this chance a distance counts as not covered. Our choice. */
export const MIN_COVER_CHANCE = 0.4;
/** A shorter stretch is a dip that means nothing, metres. Our choice. */
const MIN_STRETCH_M = 2;

/** A stretch of distances that no shot covers well. */
interface UncoveredStretch {
  fromM: number;
  toM: number;
  /** The least chance on it, 0 to 1. */
  worst: number;
  /** What is likeliest to reach its shortest and its longest distance. */
  nearest: readonly [shorter: DistanceCover['best'], longer: DistanceCover['best']];
}

/**
 * The stretches a bag leaves uncovered, shortest first.
 * @param covers from `coverage`, by distance
 * @example uncovered(coverage(clubs, 60, 230, 1)) // [{ fromM: 104, toM: 111, worst: 0.12, … }]
 */
export function uncovered(covers: readonly DistanceCover[]): UncoveredStretch[] {
  const found: UncoveredStretch[] = [];
  let open: UncoveredStretch | undefined;
  for (const { carryM, reliability, best } of covers) {
    if (reliability >= MIN_COVER_CHANCE) {
      open = undefined;
      continue;
    }
    if (!open) found.push((open = { fromM: carryM, toM: carryM, worst: reliability, nearest: [best, best] }));
    open.toM = carryM;
    open.worst = Math.min(open.worst, reliability);
    open.nearest = [open.nearest[0], best];
  }
  return found.filter(({ fromM, toM }) => toM - fromM >= MIN_STRETCH_M);
}
