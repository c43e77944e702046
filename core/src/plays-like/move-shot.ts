import { launchOfShot } from '../carry/index.js';
import { carryErrorM, loftOrUsual, type ClubKind, type LoftedClub, type Shot } from '../clubs/index.js';
import { fly, type Flight, type Launch } from '../flight/index.js';
import { ballSpeedRatio, isSlowerThanTables } from '../impact/index.js';
import { run, groundOf, type Surface } from '../run-out/index.js';
import { airOf, type Conditions } from '../conditions/index.js';
import { NORMAL_95 } from '../statistics/index.js';
import { fromLie, type Lie } from './lies.js';

/** Air and ground a shot is read in. */
export interface PlayingConditions {
  conditions: Conditions;
  surface: Surface;
}

/** A shot as it is expected elsewhere, and what that moved. Metres and degrees. */
export interface MovedShot {
  carryM: number;
  totalM: number;
  apexM: number;
  descentDeg: number;
  /** Sideways drift by the wind; right is positive. */
  lateralM: number;
  /** From carry to total: the model's, and what this ball is known to run beyond it. */
  runM: number;
  runWord: string;
  /** Against where it was known: there less here. */
  shiftCarryM: number;
  shiftTotalM: number;
  /** Half the 95 % interval of the carry there: of the mean it was known by, and of the model's shift. */
  plusMinusM: number;
  /**
   * The same without what the model may be off for every club alike: that moves neighbours together, and no
   * step knows of it.
   */
  ownPlusMinusM: number;
  /** What is flown there. */
  launch: Launch;
  /** A full swing like it is slower than the tables the model is held to (see `isSlowerThanTables`). */
  isSlow: boolean;
}

/**
 * The model's shift is good to about this share of itself (the rules of thumb it is held to are no closer),
 * one standard deviation. Our choice.
 */
const SHIFT_ERROR = 0.15;
/** The part of it that is a club's own. Our choice. */
const OWN_SHIFT_ERROR = 0.04;

/** A shot whose swing has been found in the air it is known from, ready to be flown anywhere. */
export interface SwungShot {
  kind: ClubKind;
  shot: Shot;
  launch: Launch;
  here: Flight;
  /** Bounce and roll here, as modelled. */
  hereRunM: number;
  from: PlayingConditions;
  isSlow: boolean;
}

/** Finds the swing behind a shot; done once, for many places. */
export function swingOf(club: LoftedClub, shot: Shot, from: PlayingConditions): SwungShot {
  const known = launchOfShot(club.kind, loftOrUsual(club), shot.carryM, airOf(from.conditions), shot.apexM);
  const { landSpeedMps, descentDeg, landSpinRpm } = known.flight;
  return {
    kind: club.kind,
    shot,
    launch: known.launch,
    here: known.flight,
    from,
    isSlow: isSlowerThanTables(known.delivery),
    hereRunM: run(landSpeedMps, descentDeg, landSpinRpm, groundOf(from.surface)).runM,
  };
}

/**
 * A known shot in other air and on other ground: what it was known to do, and the model there less the model
 * here. The ball is taken to be as warm as the air.
 * @param lie what it is hit off there; it is known from a good lie on the fairway
 */
export function moveShot(swung: SwungShot, to: PlayingConditions, lie: Lie = 'fairway'): MovedShot {
  const { launch, here, shot, kind } = swung;
  const air = airOf(to.conditions);
  const warmth = ballSpeedRatio(kind, to.conditions.temperatureC, swung.from.conditions.temperatureC);
  const warm = fromLie({ ...launch, ballSpeedMps: launch.ballSpeedMps * warmth }, kind, lie);
  const there = fly(warm, air, to.conditions.targetElevationM);
  const rest = run(there.landSpeedMps, there.descentDeg, there.landSpinRpm, groundOf(to.surface));
  const shiftCarryM = there.carryM - here.carryM;
  const error = carryErrorM(shot);
  const carryM = shot.carryM + shiftCarryM;
  const knownTotalM = shot.totalM ?? shot.carryM + swung.hereRunM;
  const runM = runThere(knownTotalM - shot.carryM, swung.hereRunM, rest.runM);
  const totalM = carryM + runM;
  return {
    carryM,
    totalM,
    apexM: (shot.apexM ?? here.apexM) + there.apexM - here.apexM,
    descentDeg: (shot.descentDeg ?? here.descentDeg) + there.descentDeg - here.descentDeg,
    lateralM: there.lateralM,
    runM,
    runWord: rest.word,
    shiftCarryM,
    shiftTotalM: totalM - knownTotalM,
    plusMinusM: NORMAL_95 * Math.hypot(error, SHIFT_ERROR * shiftCarryM),
    ownPlusMinusM: NORMAL_95 * Math.hypot(error, OWN_SHIFT_ERROR * shiftCarryM),
    launch: warm,
    isSlow: swung.isSlow,
  };
}

/** A ball may make more of its own habit on ground that runs more, but not without end. */
const MAX_SHARE = 1.5;

/**
 * The run there: the model's, and what this ball is known to run beyond the model, in proportion to how much
 * there is to run on. Where the ball comes back, the model stands alone.
 */
function runThere(knownM: number, modelM: number, thereM: number): number {
  const share = modelM > 0 ? Math.min(MAX_SHARE, Math.max(0, thereM / modelM)) : 1;
  return thereM + (knownM - modelM) * share;
}

/**
 * A club's shot as its ladder shows it there: where it came from stays, and so do its spread and number of
 * shots.
 */
export function movedShot(
  shot: Shot,
  moved: Pick<MovedShot, 'carryM' | 'totalM' | 'apexM' | 'descentDeg' | 'ownPlusMinusM'>,
): Shot {
  const { carryM, totalM, apexM, descentDeg, ownPlusMinusM } = moved;
  return {
    ...shot,
    carryM: Math.max(1, carryM),
    totalM,
    apexM,
    descentDeg,
    ...(shot.source !== 'stated' && { plusMinusM: ownPlusMinusM }),
  };
}
