import { percentile } from '../bench/figure.js';
import type { ClientAsks } from './clients.js';
import { FAULTS } from './faults.js';

/** What one fault came to. */
export interface Outcome {
  name: string;
  /** The longest time without an acknowledged write. */
  pauseMs: number;
}

export type DrillStanding = Awaited<ReturnType<ClientAsks['standing']>>;

/** The worst of every count: what was once wrong is not made good by a later look. */
export function worseOf(a: DrillStanding, b: DrillStanding): DrillStanding {
  const worse = (key: 'lost' | 'half' | 'doubled' | 'ballsLost' | 'eventsMissed' | 'staleCells') =>
    Math.max(a[key], b[key]);
  return {
    ...b,
    lost: worse('lost'),
    half: worse('half'),
    doubled: worse('doubled'),
    ballsLost: worse('ballsLost'),
    eventsMissed: worse('eventsMissed'),
    staleCells: worse('staleCells'),
  };
}

/** The table of the docs. */
export function drillTable(outcomes: readonly Outcome[], standing: DrillStanding): string {
  const seconds = (ms: number) => (ms / 1000).toFixed(1);
  const all = outcomes.map(({ pauseMs }) => pauseMs);
  const rows = FAULTS.flatMap(({ name }) => {
    const pauses = outcomes.filter((one) => one.name === name).map(({ pauseMs }) => pauseMs);
    if (pauses.length === 0) return [];
    return `| ${name} | ${pauses.length} | ${seconds(percentile(pauses, 0.5))} | ${seconds(Math.max(...pauses))} |`;
  });
  const count = (what: string, found: number, of: string) => `| ${what} | ${found} | ${of} |`;
  return [
    '| fault | times | median, s without writes | longest |',
    '|---|---|---|---|',
    ...rows,
    `| all | ${all.length} | ${seconds(percentile(all, 0.5))} | ${seconds(Math.max(...all))}; 95th percentile ${seconds(percentile(all, 0.95))} |`,
    '',
    '| counted | found | of |',
    '|---|---|---|',
    count('acknowledged changes lost', standing.lost, `${standing.acknowledged} changes`),
    count('half changes', standing.half, 'the same'),
    count('doubled', standing.doubled, 'the same, and the balls'),
    count('balls lost', standing.ballsLost, `${standing.balls} balls`),
    count(
      'events missed by an open page',
      standing.eventsMissed,
      `3 pages, which reloaded ${standing.reread} times`,
    ),
    count('cells of a real browser left stale', standing.staleCells, 'one page without input'),
    count(
      'bags chosen otherwise',
      standing.wrongChoices,
      `${standing.choices} choices; ${standing.sentAway} sent away to ask again`,
    ),
    count('refused without a reason', standing.refused.length, 'everything sent'),
  ].join('\n');
}
