import autocannon from 'autocannon';
import { MORNING_SIZE } from '../../server/src/database/fill-large.js';
import { atSize, readsOf, type LargeIds } from './bench-large.js';
import { report } from './figure.js';

const CLIENTS = 50;
const SECONDS = 20;
/** A page of somebody at work asks for about one thing a second. */
const READS_A_SECOND = CLIENTS;
const MAX_MS = 100;
/** So many of each kind, so that no answer is always the one that was just asked for. */
const OF_EACH = 40;

/** 200 players, 50 clients that read what pages read: by autocannon, which times from when a request was due. */
export const benchLoad = () => atSize(MORNING_SIZE, readAtOnce);

async function readAtOnce(address: string, ids: LargeIds): Promise<void> {
  const reads = await readsOf(address, ids);
  const requests = Array.from({ length: OF_EACH }, (_one, i) =>
    reads.map(({ path }) => ({ method: 'GET' as const, path: `/api${path(i)}` })),
  ).flat();
  const run = async (rate: number | undefined) =>
    autocannon({
      url: address.replace(/\/api$/, ''),
      connections: CLIENTS,
      duration: SECONDS,
      requests,
      headers: { 'accept-encoding': 'gzip' },
      ...(rate !== undefined && { overallRate: rate }),
    });
  await run(READS_A_SECOND);
  for (const rate of [READS_A_SECOND, 2 * READS_A_SECOND, 4 * READS_A_SECOND, undefined]) {
    const { latency, requests: done, non2xx, errors } = await run(rate);
    report(
      `${CLIENTS} clients, ${rate === undefined ? 'without a pause' : `${rate / CLIENTS} reads a second each`}`,
      `${Math.round(done.average)} reads a second, median ${latency.p50} ms, 97.5th percentile ${latency.p97_5} ms; ${non2xx + errors} not answered`,
      `95th under ${MAX_MS} ms`,
      latency.p97_5 < MAX_MS && non2xx + errors === 0,
    );
  }
}
