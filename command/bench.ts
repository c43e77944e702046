import { spawn } from 'node:child_process';
import { cpus } from 'node:os';
import { benchBaskets } from './bench/bench-baskets.js';
import { benchBends } from './bench/bench-bends.js';
import { benchBrowser } from './bench/bench-browser.js';
import { benchChoosing, benchTravel } from './bench/bench-choosing.js';
import { benchFlight } from './bench/bench-flight.js';
import { benchGaps } from './bench/bench-gaps.js';
import { benchLarge, benchMorning } from './bench/bench-large.js';
import { benchLoad } from './bench/bench-load.js';
import { benchRange } from './bench/bench-range.js';
import { benchRounds } from './bench/bench-rounds.js';
import { benchSheet, tenYears } from './bench/bench-sheet.js';
import { throwAwayCluster } from './cluster.js';
import { freePort } from './ports.js';
import { CliError } from './stop.js';
import { stopServer } from './test.js';

const ALONE: Record<string, () => void | Promise<void>> = {
  gaps: benchGaps,
  bends: benchBends,
  flight: benchFlight,
  choosing: benchChoosing,
  rounds: benchRounds,
  travel: benchTravel,
  morning: benchMorning,
  load: benchLoad,
  large: benchLarge,
};
/** Too long to be run with the others. */
const ASKED_FOR: Record<string, () => void> = { baskets: benchBaskets };
const SERVED = ['sheet', 'browser', 'range'];

/** `./tasche bench`: the speed figures, each with the size it was run at. @param only one part of them */
export async function bench(only: string | undefined): Promise<void> {
  const parts = [...Object.keys(ALONE), ...Object.keys(ASKED_FOR), ...SERVED];
  if (only !== undefined && !parts.includes(only))
    throw new CliError(`--only takes one of: ${parts.join(', ')}.`, 2);
  const asked = (part: string) => only === undefined || only === part;
  console.log(
    `tasche bench on ${cpus().length} cores, ${cpus()[0]?.model ?? ''}, Node.js ${process.version}\n`,
  );
  for (const [part, run] of Object.entries(ALONE)) if (asked(part)) await run();
  if (only !== undefined) ASKED_FOR[only]?.();
  if (SERVED.some(asked)) await benchServed(asked);
}

async function benchServed(asked: (part: string) => boolean): Promise<void> {
  const cluster = await throwAwayCluster(true);
  const port = await freePort();
  const server = spawn(
    process.execPath,
    [...process.execArgv, 'command/main.ts', 'demo', '--port', String(port)],
    {
      stdio: ['ignore', 'pipe', 'inherit'],
      env: { ...process.env, DATABASE_URL: cluster.url, DATABASE_OWNER_URL: cluster.ownerUrl },
    },
  );
  try {
    await new Promise<void>((resolve) => {
      server.stdout.on('data', (chunk: Buffer) => {
        if (chunk.toString().includes('ready on')) resolve();
      });
    });
    const address = `http://127.0.0.1:${port}`;
    if (asked('sheet')) await benchSheet(address, await tenYears(cluster.ownerUrl));
    if (asked('browser')) await benchBrowser(address);
    if (asked('range')) await benchRange(address, server.pid!);
  } finally {
    await stopServer(server);
    cluster.stop();
  }
}
