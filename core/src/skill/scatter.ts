import type { ClubKind, Shot } from '../clubs/index.js';

/**
 * How one shot misses: a good strike about its own middle, and now and then a mis-hit that falls short. Metres.
 */
interface ShotScatter {
  /** Where good strikes pitch on average. The mean of all strikes is `mishitShare * mishitShortM` less. */
  middleM: number;
  /** Standard deviations of good strikes, along the line and across it. */
  alongM: number;
  acrossM: number;
  /** Share of strikes that are mis-hits, and how much shorter they carry. */
  mishitShare: number;
  mishitShortM: number;
}

/** The handicap whose figures are the tour's. Common practice, no source. */
export const TOUR_HANDICAP = -4;
/**
 * The two handicaps the figures below are told for, tour and 15; between them and beyond they change by the
 * same for each stroke.
 */
const CLUB_HANDICAP = 15;

/**
 * Direction of shots about the line aimed at, one standard deviation, degrees, tour. Common practice, no
 * source.
 */
const DIRECTION_DEG: Record<ClubKind, number> = {
  driver: 3.4,
  fairway: 3.0,
  hybrid: 2.8,
  'driving iron': 2.7,
  iron: 2.7,
  wedge: 2.2,
  chipper: 2.2,
  putter: 1,
};
/** Times as crooked at 15. Common practice, no source. */
const DIRECTION_TIMES = 2;
/** Spread of good strikes along the line as a share of the carry, tour and 15. Common practice, no source. */
const ALONG_SHARE = [0.045, 0.08] as const;
/** Share of strikes that are mis-hits, tour and 15. Common practice, no source. */
const MISHIT_SHARE = [0.08, 0.15] as const;
/**
 * What a mis-hit loses of its carry: 12 % with an iron; deep heads forgive more, a driving iron less. Common
 * practice, no source; the differences are our choice.
 */
const MISHIT_SHORT: Record<ClubKind, number> = {
  driver: 0.11,
  fairway: 0.11,
  hybrid: 0.1,
  'driving iron': 0.14,
  iron: 0.12,
  wedge: 0.12,
  chipper: 0.12,
  putter: 0.12,
};
const MISHIT_SHARE_MAX = 0.25;
/** No player lands the ball closer to where they meant to than this. Common practice, no source. */
const CLOSEST_M = 3;
/**
 * Long irons and driving irons are this much more crooked for slow swings. Common practice, no source; the
 * carries that tell fast from slow are our choice.
 */
const SLOW_LONG_IRON = 1.25;
const LONG_IRON_DEG = 24;
const FAST_LONG_IRON_M = 175;
const SLOW_LONG_IRON_M = 150;
/** A player's usual spread weighs as much as so many measured shots. Our choice. */
const USUAL_SHOTS = 8;
/** Of a spread whose mis-hits are in it, good strikes have at least this share. Our choice. */
const GOOD_SHARE_MIN = 0.5;

/** 0 for a tour player, 1 for a 15 handicap. */
export function handicapShare(handicap: number): number {
  return Math.max(0, (handicap - TOUR_HANDICAP) / (CLUB_HANDICAP - TOUR_HANDICAP));
}

function between([tour, club]: readonly [number, number], handicap: number): number {
  return tour + (club - tour) * handicapShare(handicap);
}

/** Usual direction of a player's shots with a club, one standard deviation, degrees. */
export function usualDirectionDeg(
  kind: ClubKind,
  loftDeg: number | undefined,
  carryM: number,
  handicap: number,
): number {
  const isLongIron =
    kind === 'driving iron' || (kind === 'iron' && loftDeg !== undefined && loftDeg < LONG_IRON_DEG);
  const slowness = isLongIron
    ? Math.min(1, Math.max(0, (FAST_LONG_IRON_M - carryM) / (FAST_LONG_IRON_M - SLOW_LONG_IRON_M)))
    : 0;
  return (
    DIRECTION_DEG[kind] * between([1, DIRECTION_TIMES], handicap) * (1 + (SLOW_LONG_IRON - 1) * slowness)
  );
}

function usualMishitShare(handicap: number): number {
  return Math.min(MISHIT_SHARE_MAX, between(MISHIT_SHARE, handicap));
}

/** Usual spread of all strikes of a carry, mis-hits among them, as a share of it. */
export function usualSpreadShare(handicap: number, kind: ClubKind = 'iron'): number {
  const mishits = usualMishitShare(handicap);
  return Math.hypot(between(ALONG_SHARE, handicap), MISHIT_SHORT[kind] * Math.sqrt(mishits * (1 - mishits)));
}

/** A measured deviation and the usual one as one, each weighed by its number of shots. */
function joined(measured: number | undefined, shots: number | undefined, usual: number): number {
  if (measured === undefined) return usual;
  const freedom = Math.max(1, (shots ?? USUAL_SHOTS + 1) - 1);
  return Math.sqrt((freedom * measured ** 2 + USUAL_SHOTS * usual ** 2) / (freedom + USUAL_SHOTS));
}

/** Standard deviation of all strikes along the line, good ones and mis-hits together. */
export function wholeAlongM({ alongM, mishitShare, mishitShortM }: ShotScatter): number {
  return Math.hypot(alongM, mishitShortM * Math.sqrt(mishitShare * (1 - mishitShare)));
}

/**
 * How a shot scatters: what was measured of it, drawn towards what is usual for the player by how few shots
 * there were. A stated carry is that of a good strike; a measured mean has the mis-hits in it.
 */
export function scatterOf(
  kind: ClubKind,
  loftDeg: number | undefined,
  shot: Shot,
  handicap: number,
): ShotScatter {
  const { carryM, source, sampleSize: shots, spreadM } = shot;
  // A spread that comes with a modelled shot has been drawn towards the usual one already.
  const alongM =
    source === 'modelled' && spreadM !== undefined
      ? spreadM
      : joined(spreadM, shots, carryM * usualSpreadShare(handicap, kind));
  const acrossM = joined(
    shot.sideSpreadM,
    source === 'modelled' ? undefined : shots,
    carryM * Math.tan((usualDirectionDeg(kind, loftDeg, carryM, handicap) * Math.PI) / 180),
  );
  const mishitShare = usualMishitShare(handicap);
  const mishitVariance = mishitShare * (1 - mishitShare);
  const goodM = Math.max(
    CLOSEST_M,
    GOOD_SHARE_MIN * alongM,
    Math.sqrt(Math.max(0, alongM ** 2 - mishitVariance * (MISHIT_SHORT[kind] * carryM) ** 2)),
  );
  const mishitShortM = Math.sqrt(Math.max(0, alongM ** 2 - goodM ** 2) / mishitVariance);
  return {
    middleM: source === 'measured' ? carryM + mishitShare * mishitShortM : carryM,
    alongM: goodM,
    acrossM: Math.max(CLOSEST_M, acrossM),
    mishitShare,
    mishitShortM,
  };
}
