import { spawn } from 'node:child_process';
import { randomUUID } from 'node:crypto';
import { Agent, get as httpGet } from 'node:http';
import { cpus } from 'node:os';
import { gzipSync } from 'node:zlib';
import { gaps, type ClubKind, type LadderClub } from '@tasche/core';
import pg from 'pg';
import { openBrowser } from './browser.js';
import { freePort, throwAwayCluster } from './cluster.js';
import { stopServer } from './test.js';

/** `./tasche bench`: the speed figures, each with the size it was run at. */
export async function bench(): Promise<void> {
  console.log(`tasche bench on ${cpus().length} cores, ${cpus()[0]?.model ?? ''}, Node.js ${process.version}\n`);
  benchGaps();
  const cluster = await throwAwayCluster();
  const port = await freePort();
  const server = spawn(process.execPath, ['--import', 'tsx', 'command/main.ts', 'demo', '--port', String(port)], { stdio: ['ignore', 'pipe', 'inherit'], env: { ...process.env, DATABASE_URL: cluster.url } });
  try {
    await new Promise<void>((resolve) => { server.stdout.on('data', (chunk: Buffer) => { if (chunk.toString().includes('ready on')) resolve(); }); });
    const address = `http://127.0.0.1:${port}`;
    await benchSheet(address, await tenYears(cluster.url));
    await benchBrowser(address);
  } finally {
    await stopServer(server);
    cluster.stop();
  }
}

function report(what: string, figure: string, wanted: string, met: boolean): void {
  console.log(`${met ? 'met   ' : 'MISSED'}  ${what}: ${figure}  (wanted: ${wanted})`);
}

function percentile(values: readonly number[], share: number): number {
  const sorted = [...values].sort((a, b) => a - b);
  return sorted[Math.min(sorted.length - 1, Math.floor(share * sorted.length))]!;
}

function fortyClubs(): LadderClub[] {
  return Array.from({ length: 40 }, (_club, i) => ({
    id: `c${i}`, name: `club ${i}`, kind: (i < 10 ? 'fairway' : i < 30 ? 'iron' : 'wedge') as ClubKind, loftDeg: 9 + i * 1.3,
    shots: {
      full: { carryM: 260 - i * 5.2, source: 'measured' as const, shots: 8 + (i % 20), spreadM: 4 + (i % 3), apexM: 28, landDeg: 45 },
      soft: { carryM: 254 - i * 5.2, source: 'measured' as const, shots: 12, spreadM: 4 },
    },
  }));
}

function benchGaps(): void {
  const clubs = fortyClubs();
  for (let i = 0; i < 300; i++) gaps(clubs);
  const times = Array.from({ length: 1000 }, () => {
    const start = performance.now();
    gaps(clubs);
    return performance.now() - start;
  });
  const median = percentile(times, 0.5);
  report('gaps on 40 measured clubs', `median ${median.toFixed(3)} ms, 95th ${percentile(times, 0.95).toFixed(3)} ms of 1000`, 'under 1 ms', median < 1);
}

/** A player with 40 clubs, each on the gauge every week for ten years. */
async function tenYears(url: string): Promise<string> {
  const client = new pg.Client({ connectionString: url });
  await client.connect();
  const workspace = (await client.query<{ id: string }>('select id from workspace limit 1')).rows[0]!.id;
  await client.query(`select set_config('tasche.workspace', $1, false)`, [workspace]);
  const [player, change] = [randomUUID(), randomUUID()];
  await client.query('begin');
  await client.query(`insert into player (id, workspace_id, name, hand, distance_unit, notes, gap_settings, version) values ($1, $2, 'Ten years', 'right', 'm', '', '{}', 1)`, [player, workspace]);
  await client.query(`insert into change (id, workspace_id, player_id, at, who, why, summary, images) values ($1, $2, $3, now(), 'bench', '', '', '[]')`, [change, workspace, player]);
  await client.query(`insert into club (id, workspace_id, player_id, name, kind, spec, version) select gen_random_uuid(), $1, $2, 'club ' || n, 'iron', '{}', 1 from generate_series(1, 40) n`, [workspace, player]);
  await client.query(
    `insert into reading (id, workspace_id, club_id, change_id, key, value, taken_on)
     select gen_random_uuid(), $1, club.id, $3, fact.key, fact.value, date '2016-11-24' + week * 7
     from club, generate_series(0, 520) week, (values ('loftMeasuredDeg', '44.5'::jsonb), ('lieDeg', '63'::jsonb)) fact(key, value) where club.player_id = $2`, [workspace, player, change]);
  await client.query(
    `insert into reading (id, workspace_id, club_id, change_id, key, value, taken_on)
     select gen_random_uuid(), $1, club.id, $3, fact.key, fact.value, date '2020-01-01' + year * 365
     from club, generate_series(0, 6) year, (values ('loftStampedDeg', '44'::jsonb), ('lengthIn', '36.5'), ('head', '"Halm"'), ('shaft', '"Rohr 120"'), ('shaftWeightG', '120'), ('flex', '"S"'),
       ('grip', '"Moos"'), ('swingWeight', '"D3"'), ('state', '"gamer"'), ('bounceDeg', '8'), ('shot.full', '{"carryM":140,"source":"measured","shots":20,"spreadM":4}'), ('shot.soft', '{"carryM":130,"source":"stated"}')) fact(key, value)
     where club.player_id = $2`, [workspace, player, change]);
  await client.query(`update club set spec = spec_as_of(id, 'infinity') where player_id = $1`, [player]);
  await client.query('commit');
  await client.query('analyze');
  await client.end();
  return player;
}

const CLIENTS = 20;
const REQUESTS_EACH = 200;

async function benchSheet(address: string, player: string): Promise<void> {
  const agent = new Agent({ keepAlive: true, maxSockets: CLIENTS });
  const hit = async (query: string, clients: number, each: number) => {
    const times: number[] = [];
    await Promise.all(Array.from({ length: clients }, async () => {
      for (let i = 0; i < each; i++) {
        const start = performance.now();
        await get(`${address}/api/players/${player}/sheet${query}`, agent);
        times.push(performance.now() - start);
      }
    }));
    return times;
  };
  await hit('', CLIENTS, 100);
  const now = await hit('', CLIENTS, REQUESTS_EACH);
  const p95 = percentile(now, 0.95);
  report(`sheet of 40 clubs, 45,000 readings over 10 years, ${CLIENTS} clients without a pause`, `median ${percentile(now, 0.5).toFixed(1)} ms, 95th ${p95.toFixed(1)} ms of ${now.length}`, '95th under 30 ms', p95 < 30);
  const nothing: number[] = [];
  await Promise.all(Array.from({ length: CLIENTS }, async () => {
    for (let i = 0; i < REQUESTS_EACH; i++) {
      const start = performance.now();
      await get(`${address}/api/session`, agent);
      nothing.push(performance.now() - start);
    }
  }));
  console.log(`        the same ${CLIENTS} clients asking for 100 bytes that need no database (what this machine's sockets cost): median ${percentile(nothing, 0.5).toFixed(1)} ms, 95th ${percentile(nothing, 0.95).toFixed(1)} ms`);
  const alone = await hit('', 1, 100);
  console.log(`        the same, one client: median ${percentile(alone, 0.5).toFixed(1)} ms, 95th ${percentile(alone, 0.95).toFixed(1)} ms`);
  const then = await hit('?asOf=2021-06-01', 1, 20);
  console.log(`        the same as of a day five years ago, one client: median ${percentile(then, 0.5).toFixed(1)} ms`);
}

/** A plain client with a kept connection, so that what is measured is the server. */
function get(address: string, agent: Agent): Promise<number> {
  return new Promise((resolve, reject) => {
    httpGet(address, { agent, headers: { 'accept-encoding': 'gzip' } }, (response) => {
      let bytes = 0;
      response.on('data', (chunk: Buffer) => { bytes += chunk.length; });
      response.on('end', () => {
        if (response.statusCode === 200) resolve(bytes);
        else reject(new Error(`${address} answered ${response.statusCode}`));
      });
    }).on('error', reject);
  });
}

async function benchBrowser(address: string): Promise<void> {
  const browser = await openBrowser();
  try {
    const cold: number[] = [];
    let scriptBytes = 0;
    for (let i = 0; i < 3; i++) {
      const page = await (await browser.newContext({ viewport: { width: 1280, height: 800 } })).newPage();
      const scripts: Promise<Buffer>[] = [];
      page.on('response', (response) => { if (response.url().endsWith('.js')) scripts.push(response.body()); });
      const start = performance.now();
      await page.goto(`${address}/roster`);
      await page.getByRole('link', { name: 'Davor Kolar' }).first().waitFor();
      cold.push(performance.now() - start);
      scriptBytes = (await Promise.all(scripts)).reduce((sum, body) => sum + gzipSync(body).length, 0);
      await page.context().close();
    }
    report('first view usable, cold, from loopback', `${Math.round(percentile(cold, 0.5))} ms, median of 3`, 'under 1500 ms', percentile(cold, 0.5) < 1500);
    report('initial script', `${Math.round(scriptBytes / 1000)} kB gzipped`, 'under 300 kB', scriptBytes < 300_000);

    const page = await browser.newPage({ viewport: { width: 1280, height: 800 } });
    await page.goto(`${address}/players/7a5c4e00-0001-4000-8000-000000000000/bag`);
    await page.locator('.rib').first().waitFor();
    const times: number[] = [];
    for (const club of ['7 iron', '8 iron', '9 iron', '6 iron', '5 iron']) {
      await page.locator(`tr[data-name="${club}"] td`).first().focus();
      times.push(await page.evaluate<number>(TAKE_OUT_AND_TIME));
      await page.waitForTimeout(150);
    }
    const worst = Math.max(...times);
    report('ladder on screen after a club goes out', `worst ${worst.toFixed(0)} ms of ${times.length}`, 'within 100 ms', worst <= 100);
  } finally {
    await browser.close();
  }
}

/** In the page: presses Alt O and waits until another number of steps has been painted. Text, so that nothing is compiled into it. */
const TAKE_OUT_AND_TIME = `new Promise((resolve) => {
  const ribs = document.querySelector('.ribs svg');
  const count = ribs.querySelectorAll('.rib').length;
  const start = performance.now();
  const watch = () => {
    if (ribs.querySelectorAll('.rib').length === count) setTimeout(watch);
    else requestAnimationFrame(() => setTimeout(() => resolve(performance.now() - start)));
  };
  document.activeElement.dispatchEvent(new KeyboardEvent('keydown', { key: 'o', altKey: true, bubbles: true, cancelable: true }));
  watch();
})`;
