import { fuzzKills } from './fuzz/fuzz-kills.js';
import { fuzzRequests, type FuzzResult } from './fuzz/fuzz-requests.js';

const MANY = 20_000;
const KILL_ROUNDS = 20;

/**
 * `./tasche fuzz`: 20,000 requests made by chance; `--kills`: twenty rounds of ending the server, its
 * database, or both.
 */
export async function fuzz({ kills, seed }: { kills: boolean; seed: number }): Promise<void> {
  if (kills) {
    const { rounds, acknowledged, lost, doubled, half } = await fuzzKills(KILL_ROUNDS, seed, (line) => {
      console.log(line);
    });
    console.log(
      `\ntasche fuzz --kills: ${rounds} rounds, ${acknowledged} changes acknowledged, ${lost} lost, ${doubled} doubled, ${half} half done`,
    );
    process.exitCode = lost + doubled + half > 0 ? 1 : 0;
    return;
  }
  console.log(`tasche fuzz: ${MANY} requests, seed ${seed}`);
  const result = await fuzzRequests(MANY, seed, {
    onProgress: (done) => {
      if (done % 2000 === 0) console.log(`  ${done} sent`);
    },
  });
  console.log(fuzzWords(result));
  process.exitCode = result.failures.length > 0 ? 1 : 0;
}

/** What came of it, for people. */
export function fuzzWords({ requests, byStatus, slowestMs, memoryGrowth, failures }: FuzzResult): string {
  const statuses = [...byStatus]
    .sort(([a], [b]) => a - b)
    .map(([status, n]) => `${status}: ${n}`)
    .join(', ');
  return [
    `${requests} requests (${statuses}); slowest ${Math.round(slowestMs)} ms; memory ${memoryGrowth >= 0 ? '+' : ''}${Math.round(memoryGrowth * 100)} %`,
    ...failures.map((failure) => `FAILED  ${failure}`),
  ].join('\n');
}
