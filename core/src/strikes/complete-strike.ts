import { launchOfShot, USUAL_LOFT_DEG } from '../carry/index.js';
import { airOf, type Air } from '../conditions/index.js';
import type { PlayingConditions } from '../plays-like/index.js';
import { fly, type Flight, type Launch } from '../flight/index.js';
import { ballSpeedRatio, impact, stockDelivery, TOUR_SEVEN_IRON_MPS } from '../impact/index.js';
import { InvalidInputError } from '../invalid-input-error.js';
import { run, groundOf, type Ground } from '../run-out/index.js';
import { isEnough, type Strike, type StrikeClub, type StrikePart } from './strike.js';

/** A strike with everything in it: what was not given is worked out and named in `modelled`. */
export interface CompleteStrike extends Required<Omit<Strike, 'clubSpeedMps' | 'attackDeg'>> {
  clubSpeedMps: number | undefined;
  modelled: readonly StrikePart[];
  /**
   * Whether anything was said of where it went sideways: its side, or the direction it started in. Else its
   * side is the model's straight ball.
   */
  isSideKnown: boolean;
  /** The same ball in the air and on the ground of the player's baseline. */
  atBaseline: {
    carryM: number;
    totalM: number;
    offlineM: number;
    apexM: number;
    descentDeg: number;
    /** From where it pitches on a firm green to rest; below zero when it comes back. */
    firmGreenRunM: number;
  };
}

/** The air and ground of a session and of the baseline, worked out once for all its strikes. */
interface Places {
  here: Place;
  baseline: Place;
  same: boolean;
}
interface Place {
  air: Air;
  ground: Ground;
  temperatureC: number;
  elevationM: number;
}

export function airsOf(here: PlayingConditions, baseline: PlayingConditions): Places {
  const place = ({ conditions, surface }: PlayingConditions): Place => ({
    air: airOf(conditions),
    ground: groundOf(surface),
    temperatureC: conditions.temperatureC,
    elevationM: conditions.targetElevationM,
  });
  return {
    here: place(here),
    baseline: place(baseline),
    same: JSON.stringify(here) === JSON.stringify(baseline),
  };
}

const DEG = Math.PI / 180;
/** What it takes to hold a green is asked on a firm one. */
const FIRM_GREEN = groundOf({ area: 'green', firmness: 'firm', grass: 'bent' });
/** Rounds of taking the run off a total: each is an order nearer, and three are within inches. */
const TOTAL_ROUNDS = 3;

/**
 * Fills in what a device did not give and moves the ball to the player's baseline: what was measured, and the
 * model there less the model here.
 * @throws InvalidInputError when there is nothing to work a flight out from, or no flight does what was given
 */
export function completeStrike(
  strike: Strike,
  club: StrikeClub,
  { here, baseline, same }: Places,
): CompleteStrike {
  if (!isEnough(strike))
    throw new InvalidInputError(
      'carryM',
      'is missing, and so are total, ball speed and club speed: nothing to work a flight out from',
    );
  const launch = launchOfStrike(strike, club, here);
  const flown = fly(launch, here.air, here.elevationM);
  const rested = runOf(flown, here.ground);
  const carryM = strike.carryM ?? (strike.totalM === undefined ? flown.carryM : strike.totalM - rested);
  const totalM = strike.totalM ?? carryM + rested;
  const offlineM = strike.offlineM ?? flown.lateralM;
  const apexM = strike.apexM ?? flown.apexM;
  const descentDeg = strike.descentDeg ?? flown.descentDeg;
  let atBaseline = { carryM, totalM, offlineM, apexM, descentDeg, firmGreenRunM: runOf(flown, FIRM_GREEN) };
  if (!same) {
    const warmth = ballSpeedRatio(club.kind, baseline.temperatureC, here.temperatureC);
    const there = fly(
      { ...launch, ballSpeedMps: launch.ballSpeedMps * warmth },
      baseline.air,
      baseline.elevationM,
    );
    const moved = carryM + there.carryM - flown.carryM;
    atBaseline = {
      carryM: moved,
      totalM: moved + (totalM - carryM) + runOf(there, baseline.ground) - rested,
      offlineM: offlineM + there.lateralM - flown.lateralM,
      apexM: apexM + there.apexM - flown.apexM,
      descentDeg: descentDeg + there.descentDeg - flown.descentDeg,
      firmGreenRunM: runOf(there, FIRM_GREEN),
    };
  }
  const { ballSpeedMps, launchDeg, spinRpm } = launch;
  const azimuthDeg = launch.azimuthDeg ?? 0;
  const spinAxisDeg = launch.spinAxisDeg ?? 0;
  const whole = {
    ballSpeedMps,
    launchDeg,
    azimuthDeg,
    spinRpm,
    spinAxisDeg,
    carryM,
    totalM,
    offlineM,
    apexM,
    descentDeg,
  };
  return {
    ...whole,
    clubSpeedMps: strike.clubSpeedMps,
    isSideKnown: strike.offlineM !== undefined || strike.azimuthDeg !== undefined,
    modelled: (Object.keys(whole) as (keyof typeof whole)[]).filter((part) => strike[part] === undefined),
    atBaseline,
  };
}

function runOf({ landSpeedMps, descentDeg, landSpinRpm }: Flight, ground: Ground): number {
  return run(landSpeedMps, descentDeg, landSpinRpm, ground).runM;
}

/**
 * The launch that was measured, its missing parts the stock delivery's at that speed; or the launch that
 * makes the carry.
 */
function launchOfStrike(strike: Strike, club: StrikeClub, here: Place): Launch {
  const straight = launchAhead(strike, club, here);
  if (strike.azimuthDeg !== undefined || strike.offlineM === undefined) {
    return { ...straight, azimuthDeg: strike.azimuthDeg ?? 0, spinAxisDeg: strike.spinAxisDeg ?? 0 };
  }
  // Where only the side is known, the ball is taken to have started there, but for what the wind and the axis
  // do to it.
  const flown = fly({ ...straight, spinAxisDeg: strike.spinAxisDeg ?? 0 }, here.air, here.elevationM);
  const azimuthDeg = Math.atan2(strike.offlineM - flown.lateralM, flown.carryM) / DEG;
  return {
    ...straight,
    azimuthDeg: Math.min(60, Math.max(-60, azimuthDeg)),
    spinAxisDeg: strike.spinAxisDeg ?? 0,
  };
}

function launchAhead(strike: Strike, { kind, loftDeg }: StrikeClub, here: Place): Launch {
  const loft = loftDeg ?? USUAL_LOFT_DEG[kind];
  const ballSpeedMps =
    strike.ballSpeedMps ??
    (strike.carryM === undefined && strike.totalM === undefined
      ? strike.clubSpeedMps! * stockOf(kind, loft).smash
      : undefined);
  if (ballSpeedMps !== undefined) {
    // Launch and spin of an impact do not, and do in proportion, depend on its speed.
    const stock = stockOf(kind, loft);
    return {
      ballSpeedMps,
      launchDeg: strike.launchDeg ?? stock.launchDeg,
      spinRpm: strike.spinRpm ?? Math.min(15_000, stock.rpmPerMps * ballSpeedMps),
    };
  }
  let carryM = strike.carryM ?? strike.totalM!;
  for (let round = 0; ; round++) {
    const { launch, flight } = launchOfShot(kind, loft, carryM, here.air, strike.apexM);
    if (strike.carryM !== undefined || round === TOTAL_ROUNDS)
      return {
        ...launch,
        ...(strike.launchDeg !== undefined && { launchDeg: strike.launchDeg }),
        ...(strike.spinRpm !== undefined && { spinRpm: strike.spinRpm }),
      };
    carryM = Math.max(1, strike.totalM! - runOf(flight, here.ground));
  }
}

interface Stock {
  smash: number;
  launchDeg: number;
  rpmPerMps: number;
}
const stocks = new Map<string, Stock>();

function stockOf(kind: StrikeClub['kind'], loft: number): Stock {
  const key = `${kind} ${loft}`;
  let stock = stocks.get(key);
  if (!stock) {
    const delivery = stockDelivery(kind, loft, TOUR_SEVEN_IRON_MPS);
    const { ballSpeedMps, launchDeg, spinRpm } = impact(delivery);
    stocks.set(
      key,
      (stock = { smash: ballSpeedMps / delivery.clubSpeedMps, launchDeg, rpmPerMps: spinRpm / ballSpeedMps }),
    );
  }
  return stock;
}
