import {
  STATED_CARRY_SHARE,
  carryErrorM,
  carryStandardErrorM,
  type ClubKind,
  type Shot,
} from '../clubs/index.js';
import { gaussianProcess } from '../statistics/index.js';
import type { LadderClub } from '../spec/index.js';

/*
 * How players differ from the stock swing, as standard deviations of the logarithm of carry. Ours: wide enough that the stock table's own
 * scatter about the flight model (1.7 %) is well inside; docs/validation.md prints how often the interval held in leave-one-out.
 */
const WHOLE = 0.16;
const PER_KIND = 0.03;
const PER_TEN_DEGREES = 0.02;
const WAVE = 0.025;
const WAVE_DEG = 8;
/** Two builds of one kind and loft differ by this share of their carry, one standard deviation. Ours. */
export const BUILD_SHARE = 0.018;
/** No measured mean is known closer than this share of it: the day, the balls and the monitor differ. Ours. */
const MIN_MEASURED = 0.004;

/** A club as the curve of carry over loft sees it. */
export interface Place {
  kind: ClubKind;
  loftDeg: number;
}

/** What two clubs of one player have in common, as a covariance of the logarithm of carry. */
export function sharedVariance(a: Place, b: Place): number {
  return (
    WHOLE ** 2 +
    (a.kind === b.kind ? PER_KIND ** 2 : 0) +
    PER_TEN_DEGREES ** 2 * ((a.loftDeg - 32) / 10) * ((b.loftDeg - 32) / 10) +
    WAVE ** 2 * Math.exp(-((a.loftDeg - b.loftDeg) ** 2) / (2 * WAVE_DEG ** 2))
  );
}

/** How closely a carry somebody measured or stated is known: one standard deviation, as a share of it. */
export function knownShare(shot: Shot): number {
  if (shot.source === 'stated') return carryErrorM(shot) / shot.carryM;
  const error = carryStandardErrorM(shot);
  return Math.max(MIN_MEASURED, error === undefined ? STATED_CARRY_SHARE / 2 : error / shot.carryM);
}

/**
 * How far the true full carries of some clubs may be from what is known of them, and how much of that they
 * share: a club whose carry nobody has told is as uncertain as the player's curve, and so are its neighbours;
 * one that was measured is as good as its shots, and no worse than the curve foretells it.
 * @returns covariances of the logarithm of carry, club by club in the order given
 */
export function carryCovariance(clubs: readonly LadderClub[]): number[][] {
  const placed = clubs.map(({ kind, loftDeg, shots: { full } }) => ({ place: placeOf(kind, loftDeg), full }));
  const known = placed.filter(({ full }) => full && full.source !== 'modelled');
  const sharedWith = (a: (typeof placed)[number], b: (typeof placed)[number]) =>
    (a.place && b.place ? sharedVariance(a.place, b.place) : 0) + (a === b ? ownVariance(a) : 0);
  const process = gaussianProcess(
    known,
    known.map(() => 0),
    known.map(({ full }) => knownShare(full!) ** 2),
    sharedWith,
  );
  return placed.map((a) => placed.map((b) => process.covariance(a, b)));
}

/** A club without a loft shares nothing with the others that is known. */
function placeOf(kind: ClubKind, loftDeg: number | undefined): Place | undefined {
  return loftDeg === undefined ? undefined : { kind, loftDeg };
}

function ownVariance({ place }: { place: Place | undefined }): number {
  return BUILD_SHARE ** 2 + (place ? 0 : WHOLE ** 2);
}
