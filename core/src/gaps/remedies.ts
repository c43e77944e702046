import { whatIf, type TweakEffect } from '../carry/index.js';
import { isWedge, type Shot } from '../clubs/index.js';
import type { LadderClub } from '../spec/index.js';
import { InvalidInputError } from '../invalid-input-error.js';
import { distanceNumber, type DistanceUnit } from '../units/index.js';
import { gaps, type GapOptions } from './gaps.js';
import { carryLadder } from './ladder.js';
import type { GapReport, StepReport } from './report.js';
import { DEFAULT_GAP_SETTINGS } from './settings.js';
import { formatDegrees, shotName, unevenWords } from './words.js';

/** A way to mend the worst step, with the bag it would give. Cheapest kind first. */
export interface Remedy {
  kind: 'partial' | 'bend' | 'take out' | 'swap';
  text: string;
  /** The bag it would give; for a partial shot the bag as it is. */
  bag: readonly LadderClub[];
  after: GapReport;
  /** For 'swap' and 'take out'. */
  outId?: string;
  inId?: string;
  /** For 'bend': the lofts the clubs would be bent to. */
  bends?: readonly { clubId: string; fromDeg: number; toDeg: number }[];
}

/** Half-degree steps are what a bench can hold; one degree is within what most heads allow. Common practice, no source. */
const BEND_STEP_DEG = 0.5;
const BEND_MAX_DEG = 1;

export const BENDING_CAUTION =
  'Bend only what the maker allows, with eye protection, and never in a hurry; a qualified club builder decides.';

/**
 * Remedies for the worst step of a bag, cheapest first: learn a partial shot, bend a loft, take a club out, swap in one that is owned.
 * Only remedies that leave the bag better are given: fewer faults, or as many faults and fewer looks, or a smaller evenness figure.
 * Carries after a bend are modelled (`whatIf`).
 */
export function remedies(
  bag: readonly LadderClub[],
  leftOut: readonly LadderClub[],
  options: GapOptions = {},
): Remedy[] {
  const before = gaps(bag, options);
  const worst = worstStep(before);
  const settings = { ...DEFAULT_GAP_SETTINGS, ...options.settings };
  const unit = options.unit ?? 'yd';
  const found: Remedy[] = [];
  if (worst) {
    const partial = learnPartial(bag, worst, before, unit);
    if (partial) found.push(partial);
    const bend = bestOf(bendsFor(bag, worst, options), before);
    if (bend) found.push(bend);
  }
  if (before.flags.some((flag) => flag.severity !== 'note')) {
    const out = bestOf(takeOuts(bag, before, options), before);
    if (out) found.push(out);
    const swap = bestOf(swapsFrom(bag, leftOut, settings.clubLimit, options), before);
    if (swap) found.push(swap);
  }
  return found;
}

/**
 * Which of two reports is the better bag, as a sort order: faults, then looks, then evenness; where the noise of the shots leaves no difference,
 * the bag whose widest step is the smaller.
 */
export function compareReports(a: GapReport, b: GapReport): number {
  return (
    a.faults - b.faults ||
    a.looks - b.looks ||
    (a.evenness?.rms ?? 0) - (b.evenness?.rms ?? 0) ||
    widestStepM(a) - widestStepM(b)
  );
}

function widestStepM({ steps }: GapReport): number {
  return Math.max(0, ...steps.map(({ carryM }) => carryM));
}

/** The longest and the shortest club: a ladder without them is more even only because it is shorter. */
export function ladderEnds(bag: readonly LadderClub[]): ReadonlySet<string> {
  const rungs = carryLadder(bag);
  return new Set([rungs[0], rungs.at(-1)].flatMap((rung) => rung?.id ?? []));
}

function bestOf(candidates: readonly Remedy[], before: GapReport): Remedy | undefined {
  const best = [...candidates].sort((a, b) => compareReports(a.after, b.after))[0];
  return best && compareReports(best.after, before) < 0 ? best : undefined;
}

function worstStep(report: GapReport): StepReport | undefined {
  const wide = report.steps.filter(
    (step) => step.word === 'wide' && (step.severity === 'fault' || step.severity === 'look'),
  );
  const weight = (step: StepReport) => (step.severity === 'fault' ? 1000 : 0) + step.carryM;
  return [...wide].sort((a, b) => weight(b) - weight(a))[0];
}

function learnPartial(
  bag: readonly LadderClub[],
  worst: StepReport,
  before: GapReport,
  unit: DistanceUnit,
): Remedy | undefined {
  const upper = bag.find((club) => club.id === worst.upperId);
  if (!upper || worst.cover) return undefined;
  const middleM = (upper.shots.full!.carryM * 2 - worst.carryM) / 2;
  const shotKind = isWedge(upper) ? 'three-quarter' : 'soft';
  return {
    kind: 'partial',
    text: `Learn a ${shotName(shotKind, upper.name)} at ${distanceNumber(middleM, unit)}: it would cover the middle.`,
    bag,
    after: before,
  };
}

function bendsFor(bag: readonly LadderClub[], worst: StepReport, options: GapOptions): Remedy[] {
  const upper = bag.find((club) => club.id === worst.upperId)!;
  const lower = bag.find((club) => club.id === worst.lowerId)!;
  const remedies: Remedy[] = [];
  const bentBy = new Map<string, LadderClub>();
  const bend = (club: LadderClub, byDeg: number): LadderClub => {
    const key = `${club.id} ${byDeg}`;
    const bent = bentBy.get(key) ?? bentClub(club, byDeg);
    bentBy.set(key, bent);
    return bent;
  };
  for (let weaker = 0; weaker <= BEND_MAX_DEG; weaker += BEND_STEP_DEG) {
    for (let stronger = 0; stronger <= BEND_MAX_DEG; stronger += BEND_STEP_DEG) {
      const bent = [
        { club: upper, byDeg: weaker },
        { club: lower, byDeg: -stronger },
      ].filter(({ byDeg }) => byDeg !== 0);
      if (bent.length === 0 || !bent.every(({ club }) => isBendable(club))) continue;
      const bentBag = bag.map((club) => bend(club, bent.find((one) => one.club.id === club.id)?.byDeg ?? 0));
      const after = gaps(bentBag, options);
      remedies.push({
        kind: 'bend',
        bag: bentBag,
        after,
        bends: bent.map(({ club, byDeg }) => ({
          clubId: club.id,
          fromDeg: club.loftDeg!,
          toDeg: club.loftDeg! + byDeg,
        })),
        text:
          `Bend ${bent.map(({ club, byDeg }) => `${club.name} to ${formatDegrees(club.loftDeg! + byDeg)}`).join(' and ')}` +
          `${evennessChange(after, options)}.`,
      });
    }
  }
  return remedies;
}

/** Woods and driving irons have sleeves or hollow heads: not bent. */
export function isBendable(club: LadderClub): boolean {
  return (club.kind === 'iron' || club.kind === 'wedge') && club.loftDeg !== undefined;
}

/** The club bent by some degrees (positive is weaker), its full shot as the model expects it and marked as modelled. */
export function bentClub(club: LadderClub, byDeg: number): LadderClub {
  if (byDeg === 0) return club;
  const {
    loftDeg,
    shots: { full },
  } = club;
  if (loftDeg === undefined) return club;
  const bent = {
    ...club,
    loftDeg: loftDeg + byDeg,
    ...(club.bounceDeg !== undefined && { bounceDeg: club.bounceDeg + byDeg }),
  };
  if (!full) return bent;
  const effect = bendEffect(club.kind, loftDeg, full, byDeg);
  if (!effect) return bent;
  const { carryM, totalM, apexM, landDeg, conditions, spreadM } = full;
  return {
    ...bent,
    shots: {
      ...club.shots,
      full: {
        carryM: carryM + effect.carryM,
        source: 'modelled',
        ...(totalM !== undefined && { totalM: totalM + effect.totalM }),
        ...(apexM !== undefined && { apexM: apexM + effect.apexM }),
        ...(landDeg !== undefined && { landDeg: landDeg + effect.landDeg }),
        ...(spreadM !== undefined && { spreadM }),
        ...(conditions !== undefined && { conditions }),
      },
    },
  };
}

/** The model's word on a bend; none for a carry that no swing of such a club makes. */
function bendEffect(
  kind: LadderClub['kind'],
  loftDeg: number,
  shot: Shot,
  bendDeg: number,
): TweakEffect | undefined {
  try {
    return whatIf({ kind, loftDeg }, shot, { bendDeg });
  } catch (error) {
    if (error instanceof InvalidInputError) return undefined;
    throw error;
  }
}

function takeOuts(bag: readonly LadderClub[], before: GapReport, options: GapOptions): Remedy[] {
  const suspects = new Set(
    before.flags
      .filter((flag) => flag.code === 'overlap' || flag.code === 'never-hit')
      .flatMap((flag) => flag.clubIds),
  );
  return bag
    .filter((club) => suspects.has(club.id))
    .map((club) => {
      const without = bag.filter((other) => other.id !== club.id);
      const after = gaps(without, options);
      return {
        kind: 'take out',
        bag: without,
        outId: club.id,
        after,
        text: `Take ${club.name} out${evennessChange(after, options)}.`,
      };
    });
}

function swapsFrom(
  bag: readonly LadderClub[],
  leftOut: readonly LadderClub[],
  clubLimit: number,
  options: GapOptions,
): Remedy[] {
  const full = bag.length >= clubLimit;
  const ends = ladderEnds(bag);
  return leftOut
    .filter((club) => club.shots.full)
    .flatMap((incoming) => {
      const outgoing = full ? bag.filter((club) => club.shots.full && !ends.has(club.id)) : [undefined];
      return outgoing.map((out): Remedy => {
        const swapped = [...bag.filter((club) => club !== out), incoming];
        const after = gaps(swapped, options);
        return {
          kind: 'swap',
          bag: swapped,
          inId: incoming.id,
          after,
          ...(out && { outId: out.id }),
          text: `Put ${incoming.name} in${out ? ` for ${out.name}` : ''}${evennessChange(after, options)}.`,
        };
      });
    });
}

function evennessChange(after: GapReport, options: GapOptions): string {
  return after.evenness ? `: ${unevenWords(after.evenness, options.unit ?? 'yd')}` : '';
}
