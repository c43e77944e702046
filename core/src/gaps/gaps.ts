import { carryErrors } from '../carry/index.js';
import { stepVariance } from './certainty.js';
import { carryStandardErrorM, isFullSwing } from '../clubs/index.js';
import type { LadderClub } from '../spec/index.js';
import { assessStep } from './assess-step.js';
import { tellOfBetween } from './bag-order.js';
import { isDriverStep, isModelled } from './judge-carry.js';
import { flightDifference } from './flight-difference.js';
import { headlineOf } from './headline.js';
import {
  carryLadder,
  loftLadder,
  ownedShots,
  stepsOf,
  widestGapOf,
  type LoftStep,
  type OwnedShot,
  type Rung,
  type Step,
} from './ladder.js';
import { mixedUpDeg, mixedUpPairs } from './mixed-up.js';
import type { Evenness, Flag, GapReport, RungReport, StepReport } from './report.js';
import { gappingStrategyOf, type GappingStrategy, type GappingStrategyId } from './gapping-strategies.js';
import { DEFAULT_GAP_SETTINGS, type GapSettings } from './settings.js';

export interface GapOptions {
  school?: GappingStrategyId;
  settings?: Partial<GapSettings>;
}

/**
 * Reads both ladders of a bag: steps, targets of the gapping strategy, flags, one evenness figure.
 * A pure function of the bag, so that taking a club out or putting one in is the same call with another list.
 * @param clubs the bag, in any order; putters and chippers are set aside
 */
export function gaps(clubs: readonly LadderClub[], options: GapOptions = {}): GapReport {
  const school = gappingStrategyOf(options.school ?? 'even-carries');
  const own = options.settings ?? {};
  const settings = { ...DEFAULT_GAP_SETTINGS, ...own };
  const rungs = carryLadder(clubs);
  const raw = stepsOf(rungs);
  tellOfModelled(raw, clubs);
  tellOfBetween(raw, clubs);
  const owned = ownedShots(clubs, settings.reliableShots);
  const targets = targetsOf(raw, owned, school, settings);
  const steps = raw.map((step, i) => assessStep(step, { owned, school, settings, own, ...targets[i]! }));
  const lofts = loftLadder(clubs);
  const flags = [
    ...steps.flatMap((step) => step.flags),
    ...mixedUpFlags(rungs, steps),
    ...sameLoftFlags(lofts.steps, steps),
    ...neverHitFlags(clubs),
  ];
  const evenness = evennessOf(steps, school, raw.map(stepVariance));
  return {
    school: school.id,
    settings,
    names: new Map(clubs.map(({ id, name }) => [id, name])),
    rungs: rungs.map(rungReport),
    steps,
    loftRungs: lofts.rungs.map(({ id, name, loftDeg }) => ({ clubId: id, name, loftDeg: loftDeg! })),
    loftSteps: lofts.steps.map(({ upper, lower, loftDeg }) => ({
      upperId: upper.id,
      lowerId: lower.id,
      loftDeg,
    })),
    unplaced: clubs
      .filter((club) => isFullSwing(club.kind) && !club.shots.full)
      .map(({ id, name }) => ({ clubId: id, name })),
    flags,
    ...(evenness && { evenness }),
    faults: countOfSeverity(flags, 'error'),
    looks: countOfSeverity(flags, 'warning'),
    headline: headlineOf(steps, flags, rungs.length),
  };
}

/**
 * Tells of each step with a modelled carry how closely its size is known. Two carries read off one player's
 * curve are wrong together, and so is one with the club it was learnt from.
 */
function tellOfModelled(steps: readonly Step[], clubs: readonly LadderClub[]): void {
  const modelled = steps.filter(isModelled);
  if (modelled.length === 0) return;
  const { share, correlation } = carryErrors(clubs);
  const error = ({ id, full }: Rung) =>
    (full.source === 'modelled' ? carryStandardErrorM(full) : undefined) ?? share(id) * full.carryM;
  for (const step of modelled) {
    const [a, b] = [error(step.upper), error(step.lower)];
    step.modelledVariance = a ** 2 + b ** 2 - 2 * correlation(step.upper.id, step.lower.id) * a * b;
  }
}

/** Set one by one: spreads of every rung of every bag that is tried are what makes it slow. */
function rungReport({ id, name, carryM, loftDeg, full }: Rung): RungReport {
  const report: RungReport = { clubId: id, name, carryM };
  if (loftDeg !== undefined) report.loftDeg = loftDeg;
  if (full.source === 'modelled' && full.plusMinusM !== undefined) report.plusMinusM = full.plusMinusM;
  return report;
}

/** A step that is wide in loft and in carry has two flags and is one fault. */
function countOfSeverity(flags: readonly Flag[], severity: Flag['severity']): number {
  return new Set(flags.filter((flag) => flag.severity === severity).map((flag) => flag.clubIds.join(' ')))
    .size;
}

/** With fewer steps a target is only what the steps happen to be. Our choice. */
const TARGET_STEPS_MIN = 3;

/** The target of every step. Either-or pairs count as one rung, so they get none. */
function targetsOf(
  steps: readonly Step[],
  owned: readonly OwnedShot[],
  school: GappingStrategy,
  settings: GapSettings,
): { targetM?: number; targetDeg?: number }[] {
  if (school.measure === 'loft') {
    return steps.map((step) =>
      isIronOrWedge(step.upper) && isIronOrWedge(step.lower) && !step.betweenIds
        ? { targetDeg: school.targetDeg! }
        : {},
    );
  }
  // The step below a driver is judged apart, so it has no share in what the others should be.
  const counted = steps.filter((step) => !isDriverStep(step));
  if (counted.reduce((sum, step) => sum + stepsIn(step), 0) < TARGET_STEPS_MIN) return steps.map(() => ({}));
  const spanM = counted.reduce((sum, step) => sum + step.carryM, 0);
  const regular = steps.map(
    (step) =>
      !isDriverStep(step) &&
      !(step.carryM < settings.overlapBelowM && flightDifference(step, settings).verdict === 'differ'),
  );
  if (school.measure === 'widest-gap') {
    // Partial shots divide a step, so the even gap is smaller than the even step.
    const holes = steps.reduce((sum, step, i) => (regular[i] ? sum + dividedInto(step, owned) : sum), 0);
    return steps.map((step, i) =>
      regular[i] && holes > 0 && !step.betweenIds ? { targetM: spanM / holes } : {},
    );
  }
  const shares = steps.map((step, i) => (regular[i] ? school.share(step, settings) : 0));
  const whole = steps.reduce((sum, step, i) => sum + shares[i]! * stepsIn(step), 0);
  const shareM = settings.targetStepM > 0 ? settings.targetStepM : spanM / whole;
  return steps.map((step, i) => (shares[i]! > 0 && !step.betweenIds ? { targetM: shareM * shares[i]! } : {}));
}

/** A step in which clubs without a carry stand is really so many. */
const stepsIn = ({ betweenIds = [] }: Step) => betweenIds.length + 1;

function dividedInto(step: Step, owned: readonly OwnedShot[]): number {
  const widestGapM = widestGapOf(step, owned);
  return Math.max(stepsIn(step), widestGapM > 0 ? Math.round(step.carryM / widestGapM) : 1);
}

function isIronOrWedge(club: LadderClub): boolean {
  return club.kind === 'iron' || club.kind === 'wedge';
}

/** How far the steps are off their targets; what the shots themselves scatter is taken out of it. */
function evennessOf(
  steps: readonly StepReport[],
  school: GappingStrategy,
  variances: readonly number[],
): Evenness | undefined {
  let noise = 0;
  const off = steps.flatMap((step, i) => {
    if (step.word === 'mixed up') return [];
    if (school.measure === 'loft') {
      return step.targetDeg === undefined || step.loftDeg === undefined
        ? []
        : [step.loftDeg - step.targetDeg];
    }
    if (step.targetM === undefined) return [];
    noise += variances[i]!;
    return [(school.measure === 'widest-gap' ? step.widestGapM : step.carryM) - step.targetM];
  });
  if (off.length === 0) return undefined;
  const rms = Math.sqrt(Math.max(0, off.reduce((sum, d) => sum + d * d, 0) - noise) / off.length);
  return { school: school.id, rms, unit: school.measure === 'loft' ? 'deg' : 'm', steps: off.length };
}

/** Half a degree is the smallest step a bench can hold. Common practice, no source. */
const SAME_LOFT_DEG = 0.5;

/**
 * Two clubs at one loft that carry apart are worth knowing of, not a fault; where they carry alike the
 * overlap says so.
 */
function sameLoftFlags(loftSteps: readonly LoftStep[], steps: readonly StepReport[]): Flag[] {
  const alreadySaid = (a: string, b: string) =>
    steps.some(
      (step) =>
        (step.word === 'overlap' || step.word === 'either-or') &&
        [step.upperId, step.lowerId].every((id) => id === a || id === b),
    );
  return loftSteps
    .filter(({ upper, lower, loftDeg }) => loftDeg < SAME_LOFT_DEG && !alreadySaid(upper.id, lower.id))
    .map(({ upper, lower, loftDeg }) => ({
      code: 'same-loft',
      severity: 'note',
      clubIds: [upper.id, lower.id],
      value: loftDeg,
      limit: SAME_LOFT_DEG,
      unit: 'deg',
    }));
}

/** Those that are no neighbours; the steps say it of the others. */
function mixedUpFlags(rungs: readonly Rung[], steps: readonly StepReport[]): Flag[] {
  return mixedUpPairs(rungs)
    .filter(
      ([farther, nearer]) =>
        !steps.some(({ upperId, lowerId }) => upperId === farther.id && lowerId === nearer.id),
    )
    .map(([farther, nearer]) => ({
      code: 'mixed-up',
      severity: 'error',
      clubIds: [farther.id, nearer.id],
      value: nearer.loftOrUsualDeg! - farther.loftOrUsualDeg!,
      limit: mixedUpDeg(farther, nearer),
      unit: 'deg',
    }));
}

function neverHitFlags(clubs: readonly LadderClub[]): Flag[] {
  return clubs
    .filter((club) => club.hitsPerRound === 0)
    .map(({ id }) => ({
      code: 'never-hit',
      severity: 'warning',
      clubIds: [id],
      value: 0,
      limit: 0,
      unit: 'per round',
    }));
}
