import {
  STATED_CARRY_SHARE,
  USUAL_LOFT_SHARE,
  carryErrorM,
  carryStandardErrorM,
  loftOrUsual,
  type ClubKind,
  type Shot,
} from '../clubs/index.js';
import { gaussianProcess } from '../statistics/index.js';
import type { LadderClub } from '../spec/index.js';

/*
 * How players differ from the stock swing, as standard deviations of the logarithm of carry. Our choice: wide
 * enough that the stock table's own scatter about the flight model (1.7 %) is well inside; docs/validation.md
 * prints how often the interval held in leave-one-out.
 */
const WHOLE = 0.16;
const PER_KIND = 0.03;
const PER_TEN_DEGREES = 0.02;
const WAVE = 0.025;
const WAVE_DEG = 8;
/** Two builds of one kind and loft differ by this share of their carry, one standard deviation. Our choice. */
export const BUILD_SHARE = 0.018;
/**
 * No measured mean is known closer than this share of it: the day, the balls and the monitor differ. Our
 * choice.
 */
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

/** How much a carry is less sure for a loft that is only the usual one: one standard deviation, as a share. */
export function usualLoftShare({ loftDeg }: { loftDeg?: number | undefined }): number {
  return loftDeg === undefined ? USUAL_LOFT_SHARE : 0;
}

/** How closely a measured or stated carry is known: one standard deviation, as a share of it. */
export function knownShare(shot: Shot): number {
  if (shot.source === 'stated') return carryErrorM(shot) / shot.carryM;
  const error = carryStandardErrorM(shot);
  return Math.max(MIN_MEASURED, error === undefined ? STATED_CARRY_SHARE / 2 : error / shot.carryM);
}

/**
 * How far the true full carries of some clubs may be from what is known of them, and how much of that they
 * share: a club whose carry is not known is as uncertain as the player's curve, and so are its neighbours;
 * one that was measured is as good as its shots, and no worse than the curve predicts it.
 * @returns covariances of the logarithm of carry, club by club in the order given
 */
export function carryCovariance(clubs: readonly LadderClub[]): number[][] {
  const placed = clubs.map(placedOf);
  const process = processOf(placed);
  return placed.map((a) => placed.map((b) => process.covariance(a, b)));
}

/** How far the carries of a player's clubs may be wrong, and how far they are wrong together. */
interface CarryErrors {
  /** One standard deviation of what is known of a club, as a share of its carry. */
  share(clubId: string): number;
  /** 1 where two clubs are wrong alike, as two read off one curve nearly are; 0 where nothing joins them. */
  correlation(clubId: string, otherId: string): number;
}

/** @param clubs those that are asked about, and those whose carry was measured or stated */
export function carryErrors(clubs: readonly LadderClub[]): CarryErrors {
  const placed = new Map(clubs.map((club) => [club.id, placedOf(club)]));
  const process = processOf([...placed.values()]);
  const covariance = (a: string, b: string) => process.covariance(placed.get(a)!, placed.get(b)!);
  const share = (id: string) => Math.sqrt(Math.max(0, covariance(id, id)));
  return {
    share,
    correlation(a, b) {
      const both = share(a) * share(b);
      return both > 0 ? covariance(a, b) / both : 0;
    },
  };
}

interface Placed {
  place: Place | undefined;
  full: Shot | undefined;
  /** Of the club alone: its build, and a loft that is only the usual one. */
  own: number;
}

function placedOf(club: LadderClub): Placed {
  const place = placeOf(club.kind, loftOrUsual(club));
  const own = BUILD_SHARE ** 2 + (place ? usualLoftShare(club) ** 2 : WHOLE ** 2);
  return { place, full: club.shots.full, own };
}

function processOf(placed: readonly Placed[]) {
  const known = placed.filter(({ full }) => full && full.source !== 'modelled');
  return gaussianProcess(
    known,
    known.map(() => 0),
    known.map(({ full }) => knownShare(full!) ** 2),
    (a: Placed, b: Placed) =>
      (a.place && b.place ? sharedVariance(a.place, b.place) : 0) + (a === b ? a.own : 0),
  );
}

/** A club of which not even a usual loft is known shares nothing with the others. */
function placeOf(kind: ClubKind, loftDeg: number | undefined): Place | undefined {
  return loftDeg === undefined ? undefined : { kind, loftDeg };
}
