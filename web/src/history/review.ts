import { hitsARound, type ReviewView, type roundsPlayed } from '@tasche/contract';
import {
  counted,
  formatDistance,
  type DistanceUnit,
  type Prediction,
  type PredictionBasis,
} from '@tasche/core';

/** A carry as it was expected before a day's session, and as it came. */
export interface PredictionOfDay extends Prediction {
  /** YYYY-MM-DD. */
  day: string;
}

export const BASIS_WORDS: Readonly<Record<PredictionBasis, string>> = {
  measured: 'measured before',
  stated: 'stated',
  moved: 'measured, then bent or rebuilt',
  modelled: 'never measured: modelled',
};

type Swap = ReviewView['swaps'][number];
type Round = ReturnType<typeof roundsPlayed>[number];

/**
 * What sessions and rounds since say of a club that came into the gamer; empty where nothing was heard of it.
 */
export function sinceWords(
  swap: Pick<Swap, 'at'>,
  clubId: string,
  predictions: readonly PredictionOfDay[],
  rounds: readonly Pick<Round, 'day' | 'hits'>[],
  unit: DistanceUnit,
): string {
  const from = swap.at.slice(0, 10);
  const newest = predictions
    .filter((one) => one.clubId === clubId && one.day >= from)
    .toSorted((a, b) => b.day.localeCompare(a.day))[0];
  const hits = hitsARound(rounds.filter(({ day }) => day >= from)).find((one) => one.clubId === clubId);
  return [
    newest &&
      `${formatDistance(newest.foundM, unit)} where ${formatDistance(newest.expectedM, unit)} was expected`,
    hits &&
      `hit ${hits.perRound === 1 ? 'once' : `${hits.perRound} times`} a round in ${counted(hits.rounds, 'round')}`,
  ]
    .filter(Boolean)
    .join('; ');
}

/** Sides of the picture, in standard deviations; what is farther off stands at its edge. */
export const STRIP_DEVIATIONS = 4;

/** Where a prediction's outcome stands in its own range, from 0 (far shorter) to 1 (far longer). */
export function placeInStrip({ expectedM, foundM, deviationM }: Prediction): number {
  const z = (foundM - expectedM) / deviationM;
  return (
    (Math.max(-STRIP_DEVIATIONS, Math.min(STRIP_DEVIATIONS, z)) + STRIP_DEVIATIONS) / (2 * STRIP_DEVIATIONS)
  );
}
