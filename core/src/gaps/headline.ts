import type { Flag, Headline, StepReport } from './report.js';

/** What matters most about a bag: its worst finding, else the steps nobody can judge yet. */
export function headlineOf(steps: readonly StepReport[], flags: readonly Flag[], rungs: number): Headline {
  if (rungs < 2) return { code: 'no ladder', severity: 'unknown', count: 0 };
  for (const severity of ['error', 'warning'] as const) {
    const [flag, ...others] = byWeight(flags, severity);
    if (!flag) continue;
    const count = new Set([flag, ...others].map(({ clubIds }) => clubIds.join(' '))).size;
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
