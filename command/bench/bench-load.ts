import { setTimeout as wait } from 'node:timers/promises';
import autocannon from 'autocannon';
import { MORNING_SIZE } from '../../server/src/database/fill-large.js';
import { atSize, readsOf, type LargeIds } from './bench-large.js';
import { percentile, report } from './figure.js';

const CLIENTS = 50;
const SECONDS = 20;
const MAX_P95_MS = 100;
/** So many of each kind, so that no answer is always the one that was just asked for. */
const OF_EACH = 40;

/** 200 players, 50 clients that read what pages read: by autocannon. */
export const benchLoad = () => atSize(MORNING_SIZE, readAtOnce);

async function readAtOnce(address: string, ids: LargeIds): Promise<void> {
  const reads = await readsOf(address, ids);
  const requests = Array.from({ length: OF_EACH }, (_one, i) =>
    reads.map(({ path }) => ({ method: 'GET' as const, path: `/api${path(i)}` })),
  ).flat();
  /**
   * Each client is a run of its own, begun a little after the one before: together they would ask in step.
   */
  const run = async (perSecond: number | undefined) => {
    const times: number[] = [];
    let notAnswered = 0;
    const clients = Array.from({ length: CLIENTS }, async (_one, client) => {
      await wait(((perSecond === undefined ? 0 : 1000 / perSecond) * client) / CLIENTS);
      const from = Math.floor((requests.length * client) / CLIENTS);
      const settings = {
        url: address.replace(/\/api$/, ''),
        connections: 1,
        duration: SECONDS,
        requests: [...requests.slice(from), ...requests.slice(0, from)],
        headers: { 'accept-encoding': 'gzip' },
        ...(perSecond !== undefined && { overallRate: perSecond }),
      };
      notAnswered += await new Promise<number>((resolve, reject) => {
        autocannon(settings, (error, result) => {
          if (error) reject(error as Error);
          else resolve(result.errors);
        }).on('response', (_client, status, _bytes, ms) => {
          if (status === 200) times.push(ms);
          else notAnswered += 1;
        });
      });
    });
    await Promise.all(clients);
    return { times, notAnswered };
  };
  await run(1);
  for (const perSecond of [1, 2, 4, undefined]) {
    const { times, notAnswered } = await run(perSecond);
    const p95 = percentile(times, 0.95);
    report(
      `${CLIENTS} clients, ${perSecond === undefined ? 'without a pause' : `${perSecond} a second each`}`,
      `${Math.round(times.length / SECONDS)} reads a second, median ${percentile(times, 0.5).toFixed(0)} ms, 95th ${p95.toFixed(0)} ms; ${notAnswered} not answered`,
      `95th under ${MAX_P95_MS} ms`,
      p95 < MAX_P95_MS && notAnswered === 0,
    );
  }
}
