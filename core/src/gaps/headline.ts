import type { Flag, GapReport, Headline, StepReport } from './report.js';

/** Fewer clubs on the ladder are a bag that is still being entered: it is not judged as a whole. Our choice. */
export const JUDGED_FROM_CLUBS = 5;

/** Whether a bag is still being entered, and none of its numbers must be wrong. */
export function isBeingEntered({ rungs, flags }: Pick<GapReport, 'rungs' | 'flags'>): boolean {
  return rungs.length < JUDGED_FROM_CLUBS && !flags.some(({ code }) => code === 'mixed-up');
}

/** What matters most about a bag: its worst finding, else the steps that cannot be judged yet. */
export function headlineOf(steps: readonly StepReport[], flags: readonly Flag[], rungs: number): Headline {
  if (rungs < 2) return { code: 'no ladder', severity: 'unknown', count: 0 };
  for (const severity of ['error', 'warning'] as const) {
    const found = byWeight(flags, severity);
    if (!found[0]) continue;
    // Where a number is wrong, nothing else can be relied on before it is put right.
    const mixedUp = found.filter(({ code }) => code === 'mixed-up');
    const flag = mixedUp[0] ?? byItsLofts(found, steps) ?? found[0];
    const shown = mixedUp.length > 0 ? mixedUp : found;
    const count = new Set(shown.map(({ clubIds }) => clubIds.join(' '))).size;
    return { code: 'flag', severity, clubIds: flag.clubIds, flag, count };
  }
  const unknown = steps.filter((step) => step.severity === 'unknown').length;
  return unknown > 0
    ? { code: 'steps not known', severity: 'unknown', count: unknown }
    : { code: 'even', severity: 'fine', count: 0 };
}

function byWeight(flags: readonly Flag[], severity: Flag['severity']): Flag[] {
  const excess = (flag: Flag) => (flag.limit > 0 ? Math.abs(flag.value - flag.limit) / flag.limit : 0);
  return flags.filter((flag) => flag.severity === severity).sort((a, b) => excess(b) - excess(a));
}

/** Between two carries that are not known, the worst finding goes by the lofts, where they say it too. */
function byItsLofts([worst, ...others]: readonly Flag[], steps: readonly StepReport[]): Flag | undefined {
  const pair = worst!.clubIds.join(' ');
  const step = steps.find(({ upperId, lowerId }) => `${upperId} ${lowerId}` === pair);
  return step?.modelledIds.length === 2
    ? others.find(({ clubIds, unit }) => unit === 'deg' && clubIds.join(' ') === pair)
    : undefined;
}
