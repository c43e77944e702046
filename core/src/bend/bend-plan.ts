import {
  bentClub,
  carryLadder,
  gaps,
  stepsOf,
  type GapOptions,
  type GapReport,
  type Rung,
  type StepReport,
} from '../gaps/index.js';
import type { LadderClub } from '../spec/index.js';
import { bestTwoByEffort, type ChainWay } from './best-two.js';
import { BEND_STEP_DEG } from './bend-range.js';

/**
 * One thing that may be done to a club's loft: degrees from now (positive is weaker), and its effort in half
 * degrees of bending.
 */
export interface LoftChoice {
  byDeg: number;
  effort: number;
}

/** One club of a plan that is changed. Bounce and carry where they are known; metres and degrees. */
export interface PlannedBend {
  clubId: string;
  byDeg: number;
  fromDeg: number;
  toDeg: number;
  bounceFromDeg?: number;
  bounceToDeg?: number;
  carryFromM: number;
  carryToM: number;
}

/** Bends that make a ladder even, or no bends at all. */
export interface BendPlan {
  bends: readonly PlannedBend[];
  /** Half degrees bent in all; a turned sleeve counts as one. */
  effort: number;
  /**
   * Root mean square of step less target over the steps the strategy judges; metres, or degrees for a strategy
   * that spaces lofts.
   */
  offTarget: number;
  /** The same at worst, with every changed club half a degree off what was asked, either way. */
  offTargetAtWorst: number;
  report: GapReport;
}

export interface BendAnswer {
  unit: 'm' | 'deg';
  /** As the bag is: no bends. */
  now: BendPlan;
  /**
   * The best plan of every effort that is better than all of less effort, the least effort first; `now` leads
   * it. Each is proved best.
   */
  plans: readonly BendPlan[];
  /**
   * The one to take: the least bending that comes as near to the targets as can be told, with as few faults
   * as any that near. `now` where no bend is worth it.
   */
  chosen: BendPlan;
  /** Clubs that could be bent, but whose carry is neither stated nor measured: they are left as they are. */
  unmeasured: number;
  /** The best other plan of no more bending than the chosen one. */
  nextBest?: BendPlan;
}

interface BendRequest {
  /** The bag, with a modelled place for clubs whose carry is not known (`placedClubs`). */
  clubs: readonly LadderClub[];
  /** What may be done, by club id; clubs that are not named stay as they are. */
  choices: ReadonlyMap<string, readonly LoftChoice[]>;
  options?: GapOptions;
}

/** No more is bent in one go: 12 degrees over all clubs. Our choice. */
const MAX_EFFORT = 24;
/**
 * A plan nearer to its targets than another by less is not worth more bending: what the bench itself cannot
 * hold. Our choice.
 */
const SAME_M = 0.5;
const SAME_DEG = 0.15;

/**
 * The bends that bring a bag's steps nearest to what its gapping strategy wants, for every amount of bending,
 * and the least that will do. The targets are those of the bag as it is; every plan is proved best of its
 * effort (an exact search over all choices of all clubs), and none that makes the bag's report worse is chosen.
 * A carry that is only modelled is not bent for, unless the strategy spaces lofts; and nothing is bent for a
 * minimal bag, whose steps partial shots bridge.
 * @throws InvalidInputError naming a setting out of its bounds
 */
export function bendPlan({ clubs, choices, options = {} }: BendRequest): BendAnswer {
  const report = gaps(clubs, options);
  const rungs = carryLadder(clubs);
  const byId = new Map(clubs.map((club) => [club.id, club]));
  const ofLofts = report.steps.some(({ targetDeg }) => targetDeg !== undefined);
  const unit = ofLofts ? 'deg' : 'm';
  // What partial shots leave open is not what a bend moves.
  const isBridged = report.school === 'minimal';
  const bent = new Map<string, LadderClub>();
  const bentTo = (club: LadderClub, byDeg: number): LadderClub => {
    const key = `${club.id} ${byDeg}`;
    const known = bent.get(key) ?? bentClub(club, byDeg);
    bent.set(key, known);
    return known;
  };

  const ways = rungs.map((rung): readonly LoftChoice[] => {
    const mayChange = ofLofts || rung.full.source !== 'modelled';
    const given = mayChange && rung.loftDeg !== undefined ? (choices.get(rung.id) ?? []) : [];
    return [{ byDeg: 0, effort: 0 }, ...given.filter(({ byDeg }) => byDeg !== 0)];
  });
  const clubAt = (place: number, byDeg: number) => bentTo(byId.get(rungs[place]!.id)!, byDeg);
  const unmeasured = rungs.filter(
    (rung) => !ofLofts && rung.full.source === 'modelled' && (choices.get(rung.id)?.length ?? 0) > 1,
  ).length;
  const counted = isBridged ? 0 : report.steps.filter(isCounted).length;
  const rmsOf = (cost: number) => (counted > 0 ? Math.sqrt(cost / counted) : 0);
  const stepCost = (place: number, upperDeg: number, lowerDeg: number): number =>
    costOfStep(report.steps[place]!, clubAt(place, upperDeg), clubAt(place + 1, lowerDeg));

  const found = bestTwoByEffort({
    efforts: ways.map((way) => way.map(({ effort }) => effort)),
    costOf: (place, upper, lower) =>
      stepCost(place, ways[place]![upper]!.byDeg, ways[place + 1]![lower]!.byDeg),
    maxEffort: counted > 0 ? MAX_EFFORT : 0,
  });
  const now = planOf({ picks: ways.map(() => 0), effort: 0, cost: chainCost(ways.map(() => 0)) });
  const plans = [now];
  for (const [way] of found) {
    if (way && rmsOf(way.cost) < plans.at(-1)!.offTarget - 1e-9) plans.push(planOf(way));
  }
  const best = plans.at(-1)!;
  const nearEnough = best.offTarget + (ofLofts ? SAME_DEG : SAME_M);
  const near = plans.filter((plan) => plan.offTarget <= nearEnough && isNoWorse(now.report, plan.report));
  const fewestFaults = Math.min(...near.map((plan) => plan.report.faults));
  const chosen = near.find((plan) => plan.report.faults === fewestFaults) ?? now;
  const other = found
    .slice(0, chosen.effort + 1)
    .flatMap((two) => (two[0]?.effort === chosen.effort ? two.slice(1) : two))
    .filter(({ effort }) => effort > 0)
    .sort((a, b) => a.cost - b.cost || a.effort - b.effort)[0];
  return {
    unit,
    now,
    plans,
    chosen,
    unmeasured,
    ...(chosen !== now && other && { nextBest: planOf(other) }),
  };

  function chainCost(picks: readonly number[]): number {
    return report.steps.reduce(
      (sum, _step, place) =>
        sum + stepCost(place, ways[place]![picks[place]!]!.byDeg, ways[place + 1]![picks[place + 1]!]!.byDeg),
      0,
    );
  }

  function planOf({ picks, cost, effort }: ChainWay): BendPlan {
    const degrees = picks.map((pick, place) => ways[place]![pick]!.byDeg);
    const changed = new Map(rungs.map(({ id }, place) => [id, degrees[place]!]));
    return {
      bends: rungs.flatMap((rung, place) => (degrees[place] === 0 ? [] : [bendOf(rung, degrees[place]!)])),
      effort,
      offTarget: rmsOf(cost),
      offTargetAtWorst: rmsOf(costAtWorst(degrees)),
      report: gaps(
        clubs.map((club) => bentTo(club, changed.get(club.id) ?? 0)),
        options,
      ),
    };
  }

  /**
   * The worst the plan can turn out with every changed club half a degree off, either way. Exact, by the
   * same search upside down.
   */
  function costAtWorst(degrees: readonly number[]): number {
    const errors = degrees.map((deg) => (deg === 0 ? [0] : [-BEND_STEP_DEG, 0, BEND_STEP_DEG]));
    const [worst] = bestTwoByEffort({
      efforts: errors.map((each) => each.map(() => 0)),
      costOf: (place, upper, lower) =>
        -freeStepCost(
          place,
          degrees[place]! + errors[place]![upper]!,
          degrees[place + 1]! + errors[place + 1]![lower]!,
        ),
      maxEffort: 0,
    });
    return -(worst?.[0]?.cost ?? 0);
  }

  /** The same where neighbours may change places: what is off is off. */
  function freeStepCost(place: number, upperDeg: number, lowerDeg: number): number {
    return squareOff(report.steps[place]!, clubAt(place, upperDeg), clubAt(place + 1, lowerDeg));
  }

  function bendOf(rung: Rung, byDeg: number): PlannedBend {
    const club = byId.get(rung.id)!;
    const after = bentTo(club, byDeg);
    return {
      clubId: rung.id,
      byDeg,
      fromDeg: club.loftDeg!,
      toDeg: after.loftDeg!,
      carryFromM: rung.carryM,
      carryToM: after.shots.full!.carryM,
      ...(club.bounceDeg !== undefined && { bounceFromDeg: club.bounceDeg, bounceToDeg: after.bounceDeg! }),
    };
  }
}

/** The strategy judges this step. */
function isCounted({ targetM, targetDeg, loftDeg }: StepReport): boolean {
  return targetM !== undefined || (targetDeg !== undefined && loftDeg !== undefined);
}

/** Neighbours that would change places are no plan. */
function costOfStep(step: StepReport, upper: LadderClub, lower: LadderClub): number {
  const [pair] = stepsOf(carryLadder([upper, lower]));
  const reversed = pair && pair.upper.id !== upper.id && step.carryM > 0;
  return reversed ? Infinity : squareOff(step, upper, lower);
}

function squareOff(step: StepReport, upper: LadderClub, lower: LadderClub): number {
  if (!isCounted(step)) return 0;
  return step.targetM !== undefined
    ? (upper.shots.full!.carryM - lower.shots.full!.carryM - step.targetM) ** 2
    : (lower.loftDeg! - upper.loftDeg! - step.targetDeg!) ** 2;
}

function isNoWorse(before: GapReport, after: GapReport): boolean {
  return after.faults !== before.faults ? after.faults < before.faults : after.looks <= before.looks;
}
