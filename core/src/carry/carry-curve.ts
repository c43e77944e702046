import { loftOrUsual, type ClubKind, type LoftedClub, type Shot } from '../clubs/index.js';
import type { LadderClub } from '../spec/index.js';
import { airOf, BASELINE, type Conditions } from '../conditions/index.js';
import { fly, type Flight } from '../flight/index.js';
import { impact, stockDelivery, TOUR_SEVEN_IRON_MPS } from '../impact/index.js';
import { InvalidInputError, requireWithin } from '../invalid-input-error.js';
import { NORMAL_95, gaussianProcess, falling } from '../statistics/index.js';
import { BUILD_SHARE, knownShare, sharedVariance, usualLoftShare, type Place } from './carry-covariance.js';
import { SWING_SPEEDS_MPS, launchOfShot } from './launch-of-shot.js';

/** A number with half its 95 % interval. */
export interface Estimate {
  value: number;
  plusMinus: number;
}

/** What a club not yet hit is expected to do. Metres and degrees. */
export interface CarryEstimate {
  carryM: Estimate;
  apexM: Estimate;
  descentDeg: Estimate;
}

/** The full shot that is expected of a club, as the ladder has it. */
export function modelledShot({ carryM, apexM, descentDeg }: CarryEstimate): Shot {
  return {
    carryM: carryM.value,
    plusMinusM: carryM.plusMinus,
    apexM: apexM.value,
    descentDeg: descentDeg.value,
    source: 'modelled',
  };
}

/**
 * The full shot of a club as a curve predicts it, by its loft or the usual one for its name; the second is less
 * sure, and says nothing while no carry of the player is known. Undefined where there is neither.
 * @throws InvalidInputError naming the field
 */
export function predictedOf(curve: CarryCurve, club: LoftedClub): CarryEstimate | undefined {
  const loftDeg = loftOrUsual(club);
  if (loftDeg === undefined || (club.loftDeg === undefined && curve.clubs === 0)) return undefined;
  const found = curve.at(club.kind, loftDeg);
  const { value, plusMinus } = found.carryM;
  const unsure = NORMAL_95 * usualLoftShare(club) * value;
  return { ...found, carryM: { value, plusMinus: Math.hypot(plusMinus, unsure) } };
}

export interface CarryCurve {
  /** Clubs it stands on. */
  clubs: number;
  /** Head speed of the player's 7 iron, m/s, as the known carries imply it. */
  sevenIronSpeedMps: number;
  /**
   * The full shot of a club of this kind and loft.
   * @param longerIn than such clubs usually are, inches; the head comes faster, and that is all that is known
   * of it
   * @throws InvalidInputError naming the field
   */
  at(kind: ClubKind, loftDeg: number, longerIn?: number): CarryEstimate;
}

/** Lofts a curve speaks of, per kind; they end where a step more would say nothing. */
const LOFTS: Record<Exclude<ClubKind, 'putter'>, readonly [number, number]> = {
  driver: [5, 20],
  fairway: [10, 32],
  hybrid: [13, 36],
  'driving iron': [13, 30],
  iron: [13, 54],
  wedge: [40, 68],
  chipper: [25, 45],
};

/** How far a build's length may be from the usual. */
const LONGER_IN = [-3, 3] as const;

/**
 * How much farther than the stock swing a kind of club carries, as a logarithm, before any of a player's own
 * is known. Every driver is hit up on and built long to be one: left out of six bags (the two stock tables,
 * four of the demo) it came out 6.5 % short, hybrids and driving irons 2 %, the other kinds within half a per
 * cent.
 */
const KIND_MEAN: Partial<Record<ClubKind, number>> = { driver: 0.065, hybrid: 0.02, 'driving iron': 0.02 };
/** Apex and landing angle at one carry, between players and between clubs of one. */
const APEX = { player: 0.1, club: 0.07 };
const LAND = { player: 2.5, club: 2 };

/**
 * A player's own curve of carry over loft: the stock swing at the player's speed, bent to the clubs whose
 * carry is known by a Gaussian process over kind and loft, and made to fall with loft within a kind. Modelled
 * shots are never learnt from.
 * @param clubs those with a full shot, measured or stated, and a loft, their own or the usual one, count; any
 * others are passed over
 * @param conditions the air the carries are known in
 */
export function carryCurve(clubs: readonly LadderClub[], conditions: Conditions = BASELINE): CarryCurve {
  const air = airOf(conditions);
  const known = clubs.flatMap((club) => {
    const { kind, shots } = club;
    const loftDeg = loftOrUsual(club);
    return kind === 'putter' || loftDeg === undefined || !shots.full || shots.full.source === 'modelled'
      ? []
      : [{ kind, loftDeg, full: shots.full, loftShare: usualLoftShare(club) }];
  });
  const stockCarryM = (place: Place, speedMps: number) =>
    fly(impact(stockDelivery(place.kind, place.loftDeg, speedMps)), air).carryM *
    Math.exp(KIND_MEAN[place.kind] ?? 0);
  const sevenIronSpeedMps = speedOf(
    known.map((club) => ({ place: club, carryM: club.full.carryM })),
    stockCarryM,
  );

  const process = gaussianProcess<Place>(
    known,
    known.map((club) => Math.log(club.full.carryM / stockCarryM(club, sevenIronSpeedMps))),
    known.map(({ full, loftShare }) => knownShare(full) ** 2 + BUILD_SHARE ** 2 + loftShare ** 2),
    sharedVariance,
  );

  const flights = known.flatMap((club) => {
    const { apexM, descentDeg } = club.full;
    if (apexM === undefined && descentDeg === undefined) return [];
    const flight = flightOf(club, club.full.carryM);
    return [
      {
        apex: apexM === undefined ? undefined : Math.log(apexM / flight.apexM),
        land: descentDeg === undefined ? undefined : descentDeg - flight.descentDeg,
      },
    ];
  });
  const apexOff = shrunk(
    flights.map((one) => one.apex),
    APEX.player,
    APEX.club,
  );
  const landOff = shrunk(
    flights.map((one) => one.land),
    LAND.player,
    LAND.club,
  );

  /**
   * The stock flight that carries so far, or the fastest there is where a few odd carries have bent the curve
   * past it.
   */
  function flightOf(place: Place, carryM: number): Flight {
    try {
      return launchOfShot(place.kind, place.loftDeg, carryM, air).flight;
    } catch (error) {
      if (!(error instanceof InvalidInputError)) throw error;
      return fly(impact(stockDelivery(place.kind, place.loftDeg, SWING_SPEEDS_MPS[1])), air);
    }
  }

  const buildCarryM = (kind: ClubKind, loftDeg: number, longerIn: number) =>
    fly(impact({ ...stockDelivery(kind, loftDeg, sevenIronSpeedMps), longerIn }), air).carryM;

  const curves = new Map<ClubKind, { lofts: number[]; logs: number[] }>();
  /** The curve of a kind at whole degrees, falling. */
  function curveOf(kind: Exclude<ClubKind, 'putter'>): { lofts: number[]; logs: number[] } {
    const ready = curves.get(kind);
    if (ready) return ready;
    const [from, to] = LOFTS[kind];
    const lofts = Array.from({ length: to - from + 1 }, (_one, i) => from + i);
    const guesses = lofts.map((loftDeg) => {
      const { mean, variance } = process.at({ kind, loftDeg });
      return {
        log: Math.log(stockCarryM({ kind, loftDeg }, sevenIronSpeedMps)) + mean,
        weight: 1 / (variance + BUILD_SHARE ** 2),
      };
    });
    const curve = {
      lofts,
      logs: falling(
        guesses.map((one) => one.log),
        guesses.map((one) => one.weight),
      ),
    };
    curves.set(kind, curve);
    return curve;
  }

  return {
    clubs: known.length,
    sevenIronSpeedMps,
    at(kind, loftDeg, longerIn = 0) {
      if (kind === 'putter') throw new InvalidInputError('kind', 'must be a club with a carry, not a putter');
      const [from, to] = LOFTS[kind];
      requireWithin({ loftDeg, longerIn }, { loftDeg: [from, to], longerIn: LONGER_IN });
      const { logs } = curveOf(kind);
      const below = Math.min(Math.floor(loftDeg) - from, logs.length - 2);
      const share = loftDeg - from - below;
      const usualM = Math.exp(logs[below]! * (1 - share) + logs[below + 1]! * share);
      const carryM =
        longerIn === 0
          ? usualM
          : usualM * (buildCarryM(kind, loftDeg, longerIn) / buildCarryM(kind, loftDeg, 0));
      const deviation = Math.sqrt(process.at({ kind, loftDeg }).variance + BUILD_SHARE ** 2);
      const flight = flightOf({ kind, loftDeg }, carryM);
      const apexM = flight.apexM * Math.exp(apexOff.mean);
      // A ball that carries farther flies higher in proportion.
      return {
        carryM: { value: carryM, plusMinus: NORMAL_95 * deviation * carryM },
        apexM: { value: apexM, plusMinus: NORMAL_95 * Math.hypot(apexOff.deviation, deviation) * apexM },
        descentDeg: { value: flight.descentDeg + landOff.mean, plusMinus: NORMAL_95 * landOff.deviation },
      };
    },
  };
}

/**
 * The 7-iron speed whose stock carries are nearest the known ones, in logarithms; the tour's slower half when
 * nothing is known.
 */
function speedOf(
  known: readonly { place: Place; carryM: number }[],
  stockCarryM: (place: Place, speedMps: number) => number,
): number {
  if (known.length === 0) return NOBODY_KNOWN_MPS;
  const off = (speedMps: number) =>
    known.reduce((sum, { place, carryM }) => sum + Math.log(stockCarryM(place, speedMps) / carryM), 0);
  let [low, high] = [12, 56];
  for (let i = 0; i < 24; i++) {
    const middle = (low + high) / 2;
    if (off(middle) < 0) low = middle;
    else high = middle;
  }
  return (low + high) / 2;
}
/** 82 mph: between an ambitious amateur and the tour. Our choice. */
const NOBODY_KNOWN_MPS = TOUR_SEVEN_IRON_MPS * 0.91;

/**
 * Mean offset of a player, drawn towards zero while there are few clubs, and the deviation of a new club from
 * the model.
 */
function shrunk(
  offsets: readonly (number | undefined)[],
  player: number,
  club: number,
): { mean: number; deviation: number } {
  const known = offsets.filter((one): one is number => one !== undefined);
  const weight = 1 / player ** 2 + known.length / club ** 2;
  return {
    mean: known.reduce((sum, one) => sum + one, 0) / club ** 2 / weight,
    deviation: Math.sqrt(1 / weight + club ** 2),
  };
}
