import { spawn } from 'node:child_process';
import { cpus } from 'node:os';
import { benchBrowser } from './bench/bench-browser.js';
import { benchChoosing, benchTravel } from './bench/bench-choosing.js';
import { benchFlight } from './bench/bench-flight.js';
import { benchGaps } from './bench/bench-gaps.js';
import { benchRange } from './bench/bench-range.js';
import { benchSheet, tenYears } from './bench/bench-sheet.js';
import { freePort, throwAwayCluster } from './cluster.js';
import { stopServer } from './test.js';

/** `./tasche bench`: the speed figures, each with the size it was run at. */
export async function bench(): Promise<void> {
  console.log(`tasche bench on ${cpus().length} cores, ${cpus()[0]?.model ?? ''}, Node.js ${process.version}\n`);
  benchGaps();
  benchFlight();
  await benchChoosing();
  benchTravel();
  const cluster = await throwAwayCluster();
  const port = await freePort();
  const server = spawn(process.execPath, [...process.execArgv, 'command/main.ts', 'demo', '--port', String(port)], { stdio: ['ignore', 'pipe', 'inherit'], env: { ...process.env, DATABASE_URL: cluster.url } });
  try {
    await new Promise<void>((resolve) => { server.stdout.on('data', (chunk: Buffer) => { if (chunk.toString().includes('ready on')) resolve(); }); });
    const address = `http://127.0.0.1:${port}`;
    await benchSheet(address, await tenYears(cluster.url));
    await benchBrowser(address);
    await benchRange(address, server.pid!);
  } finally {
    await stopServer(server);
    cluster.stop();
  }
}
