import type { LadderClub } from '../spec/index.js';
import { gaps, stepBetween, type GapOptions, type GapReport, type StepReport } from '../gaps/index.js';
import { applySwaps, type Swap } from './swaps.js';

/** What one swap does to the ladder, given the swaps before it. */
export interface SwapEffect {
  before: GapReport;
  after: GapReport;
  /** Steps that stand after the swap and not before, by their verdict. */
  opened: readonly StepReport[];
  /** Steps that stood before and are gone. */
  closed: readonly StepReport[];
}

/**
 * The effect of each swap in turn.
 * @param lockerClubs every club a swap may name
 * @throws SwapError as `applySwaps`
 */
export function swapEffects(
  bagIds: readonly string[],
  swaps: readonly Swap[],
  lockerClubs: readonly LadderClub[],
  options: GapOptions,
): SwapEffect[] {
  const byId = new Map(lockerClubs.map((club) => [club.id, club]));
  const report = (ids: readonly string[]) =>
    gaps(
      ids.flatMap((id) => byId.get(id) ?? []),
      options,
    );
  let ids = [...bagIds];
  let before = report(ids);
  return swaps.map((swap) => {
    ids = applySwaps(ids, [swap]);
    const after = report(ids);
    const effect = { before, after, ...changedSteps(before, after) };
    before = after;
    return effect;
  });
}

/** Steps that came and went between two reports of one player's clubs. */
export function changedSteps(before: GapReport, after: GapReport): Pick<SwapEffect, 'opened' | 'closed'> {
  return { opened: stepsOnlyIn(after, before), closed: stepsOnlyIn(before, after) };
}

/**
 * Steps between the same neighbours whose verdict is another now: what opened and what closed without a club
 * moving.
 */
export function turnedSteps(
  before: GapReport,
  after: GapReport,
): { before: StepReport; after: StepReport }[] {
  return after.steps.flatMap((step) => {
    const was = stepBetween(before, step);
    return was && (was.word !== step.word || was.severity !== step.severity)
      ? [{ before: was, after: step }]
      : [];
  });
}

function stepsOnlyIn(these: GapReport, those: GapReport): StepReport[] {
  return these.steps.filter((step) => !stepBetween(those, step));
}
