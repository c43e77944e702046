import { TIE_STROKES } from '../choosing/index.js';
import { BASELINE, type Conditions } from '../conditions/index.js';
import { carryLadder, gaps, type GapOptions, type GapReport, type StepReport } from '../gaps/index.js';
import type { LadderClub } from '../spec/index.js';
import { isFixed, isMovedTo, isNoWorse, isSame, namedStep, stepsAtFault } from './fixed-step.js';
import { noRemediesFor } from './no-remedies.js';
import { REMEDY_KINDS, remedyWays, type RemedyKind, type RemedyWay } from './remedy-ways.js';

/** The best of its kind, the bag it makes, and what that is worth; `remedyWords` says it. */
export interface Remedy extends RemedyWay {
  kind: RemedyKind;
  /** Strokes a round. */
  gain: number;
  after: GapReport;
  /** The step at fault that is none afterwards, or one to look at in place of a fault. */
  fixes: StepReport | undefined;
  /** Steps at fault afterwards that were not before; none of them worse than what was fixed. */
  opens: readonly StepReport[];
}

interface RemedyRequest {
  bag: readonly LadderClub[];
  /** Owned, and not in it. */
  leftOut: readonly LadderClub[];
  /** Strokes a round of a bag, what a change has to be worth left out (see `costOfBag`). */
  costOf: (clubs: readonly LadderClub[]) => number;
  /**
   * Strokes a round that a club put in must be worth where no step is at fault; what tells two bags apart
   * where it is not given.
   */
  changeStrokes?: number;
  /** How the bag is judged. */
  options?: GapOptions;
  /** Clubs there may be; while there is room nothing has to go for what comes in. */
  limit: number;
  /** Clubs that are not to go, by id. */
  keep?: readonly string[];
  /** What the bag must go on keeping; a bag that does not keep it now may be fixed anyhow. */
  isAllowed?: (bag: readonly LadderClub[]) => boolean;
  /** The air the carries are known in. */
  conditions?: Conditions;
  /** Kinds that are of use here; all of them where it is not given. */
  kinds?: readonly RemedyKind[];
}

/** Ways of one kind that are looked at, those of the most gain first. */
const MAX_JUDGED = 25;

/**
 * Where no step is at fault, a new shot or another setting of a sleeve is worth its trouble from here on,
 * strokes a round. Our choice.
 */
const TROUBLE_STROKES = 0.1;

/**
 * The best remedy of each kind for a bag, cheapest kind first. One is given only where it costs no stroke,
 * leaves the bag no worse by its own report (faults, looks, then evenness), and fixes the widest step at
 * fault; where none is, it must gain more than a tie. The two ends of the ladder stay: a bag without them is
 * more even only because it is shorter. What is bent, turned or bought carries what the model says; what is
 * done to a club whose carry is not known, see `remedyWays`. Nothing at all is an answer too.
 * @throws InvalidInputError
 */
export function remedies({
  bag,
  leftOut,
  costOf,
  changeStrokes = TIE_STROKES,
  options = {},
  limit,
  keep = [],
  isAllowed = () => true,
  conditions = BASELINE,
  kinds = REMEDY_KINDS,
}: RemedyRequest): Remedy[] {
  const before = gaps(bag, options);
  // A number is wrong: it is put right first.
  if (noRemediesFor(before) === 'mixed up') return [];
  const worst = namedStep(before);
  const now = costOf(bag);
  const rungs = carryLadder(bag);
  const stays = new Set([...keep, rungs[0]?.id, rungs.at(-1)?.id]);
  const ways = remedyWays({ bag, leftOut, worst, stays, limit, costOf, conditions });
  return kinds.flatMap((kind) => best(kind, ways[kind]()));

  function leastGain(kind: RemedyKind): number {
    // A club that is not carried now comes in.
    if (kind === 'swap' || kind === 'buy') return Math.max(changeStrokes, TIE_STROKES);
    return kind === 'learn a shot' || kind === 'turn a sleeve' ? TROUBLE_STROKES : TIE_STROKES;
  }

  function best(kind: RemedyKind, all: readonly RemedyWay[]): Remedy[] {
    const costed = all
      .filter((way) => isAllowed(way.bag) || !isAllowed(bag))
      .map((way) => ({ way, gain: now - costOf(way.bag) }))
      .filter(({ gain }) => gain >= 0)
      .sort((a, b) => b.gain - a.gain);
    for (const { way, gain } of costed.slice(0, MAX_JUDGED)) {
      const after = gaps(way.bag, options);
      if (!isNoWorse(before, after)) continue;
      const left = stepsAtFault(after);
      if (
        worst &&
        (after.steps.some((step) => isSame(step, worst) && !isFixed(step, worst)) || left.some(isOpened))
      )
        continue;
      if (!worst && gain < leastGain(kind)) continue;
      const opens = left.filter((step) => !stepsAtFault(before).some((one) => isSame(one, step)));
      return [{ kind, ...way, gain, after, fixes: worst, opens }];
    }
    return [];
  }

  /** A step nearly as wide as the one that was to be fixed, where there was none. */
  function isOpened(step: StepReport): boolean {
    return (
      !isSame(step, worst!) &&
      isMovedTo(step, worst!) &&
      !stepsAtFault(before).some((one) => isSame(one, step))
    );
  }
}
