import { randomUUID } from 'node:crypto';
import { readFileSync } from 'node:fs';
import { Agent, request } from 'node:http';
import {
  BASELINE,
  MEDIUM_FAIRWAY,
  completeStrike,
  compareBuilds,
  normalFrom,
  airsOf,
  randomFrom,
  summariseStrikes,
  type CompleteStrike,
} from '@tasche/core';
import type { StrikeFileSpec, StrikeImportReport } from '@tasche/contract';
import type { Page } from '@playwright/test';
import { openBrowser } from '../browser.js';
import { percentile, report } from './figure.js';

const HEADS = [
  'Date',
  'Club',
  'Club Speed (mph)',
  'Ball Speed (mph)',
  'Launch Angle',
  'Launch Direction',
  'Spin Rate',
  'Spin Axis',
  'Carry (yd)',
  'Side (yd)',
  'Apex (ft)',
];

const twoDigits = (value: number) => String(value).padStart(2, '0');

/** A file of a launch monitor, its rows drawn at random from the same seed. */
function file(rows: number): Buffer {
  const normal = normalFrom(randomFrom(11));
  const lines = [HEADS.join(',')];
  for (let i = 0; i < rows; i++) {
    const day = `2026-${twoDigits(1 + (Math.floor(i / 2500) % 10))}-15`;
    const time = [8 + Math.floor((i % 2500) / 300), Math.floor((i % 300) / 5), (i % 5) * 12]
      .map(twoDigits)
      .join(':');
    lines.push(
      [
        `${day} ${time}`,
        i % 2 ? '7 iron' : '8 iron',
        (89 + normal()).toFixed(1),
        (118 + 1.5 * normal()).toFixed(1),
        (16.4 + normal()).toFixed(1),
        normal().toFixed(1),
        (7000 + 300 * normal()).toFixed(0),
        (2 * normal()).toFixed(1),
        (170 + 4 * normal()).toFixed(1),
        (4 * normal()).toFixed(1),
        (92 + 4 * normal()).toFixed(0),
      ].join(','),
    );
  }
  return Buffer.from(lines.join('\r\n'));
}

const ORDER: Omit<StrikeFileSpec, 'clubs'> = {
  source: 'bench.csv',
  encoding: 'utf-8',
  delimiter: ',',
  heads: HEADS,
  skipLines: 0,
  zoneMinutes: 0,
  mapping: {
    columns: [
      { column: 0, field: 'at' },
      { column: 1, field: 'club' },
      { column: 2, field: 'clubSpeedMps', unit: 'mph' },
      { column: 3, field: 'ballSpeedMps', unit: 'mph' },
      { column: 4, field: 'launchDeg', unit: 'deg' },
      { column: 5, field: 'azimuthDeg', unit: 'deg' },
      { column: 6, field: 'spinRpm', unit: 'rpm' },
      { column: 7, field: 'spinAxisDeg', unit: 'deg' },
      { column: 8, field: 'carryM', unit: 'yd' },
      { column: 9, field: 'offlineM', unit: 'yd' },
      { column: 10, field: 'apexM', unit: 'ft' },
    ],
    decimal: '.',
    dates: 'day first',
    unitRows: 0,
    leftIsPositive: false,
  },
  session: {
    name: 'Bench',
    heldOn: '2026-11-01',
    conditions: BASELINE,
    surface: MEDIUM_FAIRWAY,
    hitOff: 'grass',
    ball: '',
    notes: '',
  },
};

const agent = new Agent({ keepAlive: true });

async function call<T>(
  address: string,
  method: 'GET' | 'POST',
  path: string,
  type = '',
  body?: Buffer,
): Promise<{ answer: T; bytes: number }> {
  return new Promise((resolve, reject) => {
    const sending = request(
      `${address}/api${path}`,
      {
        method,
        agent,
        headers: {
          ...(type && { 'content-type': type }),
          ...(body && { 'content-length': String(body.length) }),
        },
      },
      (response) => {
        const pieces: Buffer[] = [];
        response.on('data', (piece: Buffer) => pieces.push(piece));
        response.on('end', () => {
          const text = Buffer.concat(pieces);
          if (response.statusCode === 200)
            resolve({ answer: JSON.parse(text.toString()) as T, bytes: text.length });
          else reject(new Error(`${path}: ${response.statusCode} ${text.toString().slice(0, 300)}`));
        });
      },
    );
    sending.on('error', reject);
    sending.end(body);
  });
}

/** Memory a process holds, MB, from the kernel's own account; `peak` is the most it ever held. */
function memoryMb(pid: number, what: 'VmRSS' | 'VmHWM'): number {
  const match = new RegExp(`${what}:\\s+(\\d+) kB`).exec(readFileSync(`/proc/${pid}/status`, 'utf8'));
  return Number(match?.[1] ?? 0) / 1024;
}

async function playerWith(
  address: string,
  clubs: readonly string[],
): Promise<{ playerId: string; ids: string[] }> {
  const playerId = randomUUID();
  const ids = clubs.map(() => randomUUID());
  await call(
    address,
    'POST',
    '/changes',
    'application/json',
    Buffer.from(
      JSON.stringify({
        id: randomUUID(),
        commands: [
          { do: 'addPlayer', player: { id: playerId, name: 'Bench', hand: 'right', distanceUnit: 'yd' } },
          ...clubs.map((name, i) => ({
            do: 'addClub',
            club: { id: ids[i], playerId, name, kind: 'iron' },
            readings: [],
          })),
        ],
      }),
    ),
  );
  return { playerId, ids };
}

/** Files in, strikes out, and what is computed from them. @param serverPid whose memory is watched */
export async function benchRange(address: string, serverPid: number): Promise<void> {
  const importing = async (rows: number, playerId: string, ids: readonly string[]) => {
    const order: StrikeFileSpec = {
      ...ORDER,
      clubs: { '7 iron': { clubId: ids[0]!, shot: 'full' }, '8 iron': { clubId: ids[1]!, shot: 'full' } },
    };
    const body = Buffer.concat([Buffer.from(`${JSON.stringify(order)}\n`), file(rows)]);
    const start = performance.now();
    const { answer } = await call<StrikeImportReport>(
      address,
      'POST',
      `/players/${playerId}/strikes/import?take=good&changeId=${randomUUID()}`,
      'application/octet-stream',
      body,
    );
    return { ms: performance.now() - start, answer, megabytes: body.length / 1e6 };
  };
  const before = memoryMb(serverPid, 'VmRSS');
  const big = await playerWith(address, ['7 iron', '8 iron']);
  const { ms, answer, megabytes } = await importing(100_000, big.playerId, big.ids);
  report(
    `file of 100,000 shots, ${megabytes.toFixed(1)} MB, taken in (${answer.taken.toLocaleString('en')} taken, ${answer.days.length} sessions)`,
    `${(ms / 1000).toFixed(2)} s`,
    'under 5 s',
    ms < 5000,
  );
  const afterFirst = memoryMb(serverPid, 'VmHWM');
  const again = await importing(100_000, big.playerId, big.ids);
  console.log(
    `        the same file again (${again.answer.duplicates.toLocaleString('en')} recognised as known): ${(again.ms / 1000).toFixed(2)} s`,
  );
  const peak = memoryMb(serverPid, 'VmHWM');
  report(
    `memory of the server while importing, all of it (before: ${before.toFixed(0)} MB)`,
    `at most ${afterFirst.toFixed(0)} MB with the first, ${peak.toFixed(0)} MB with both`,
    'under 300 MB',
    peak < 300,
  );

  const player = await playerWith(address, ['7 iron', '8 iron']);
  await importing(10_000, player.playerId, player.ids);
  const times: number[] = [];
  let bytes = 0;
  for (let i = 0; i < 15; i++) {
    const start = performance.now();
    ({ bytes } = await call(address, 'GET', `/players/${player.playerId}/strikes`));
    times.push(performance.now() - start);
  }
  console.log(
    `        10,000 shots of a player answered (${(bytes / 1e6).toFixed(1)} MB): median ${percentile(times, 0.5).toFixed(0)} ms`,
  );
  await benchPage(`${address}/players/${player.playerId}`);
  benchStatistics();
}

/** Times it, seen from within the page: until the table of what each club did is there and was painted. */
const UNTIL_SUMMED_UP = `new Promise((resolve) => {
  const start = START;
  const look = () =>
    document.querySelector('.main table tbody tr') ? setTimeout(() => resolve(performance.now() - start)) : requestAnimationFrame(look);
  look();
})`;
const LONG_TASKS =
  'window.blocked = []; new PerformanceObserver((list) => list.getEntries().forEach((entry) => window.blocked.push(Math.round(entry.duration)))).observe({ type: "longtask", buffered: true });';
const OPENED = 5;

/** The range of a player who hit ten thousand, a quarter of them in the session that is shown. */
async function benchPage(player: string): Promise<void> {
  const browser = await openBrowser();
  const opened = async (open: (page: Page) => Promise<number>) => {
    const times: number[] = [];
    const longest: number[] = [];
    for (let i = 0; i < OPENED; i++) {
      const page = await (await browser.newContext({ viewport: { width: 1280, height: 800 } })).newPage();
      await page.addInitScript(LONG_TASKS);
      times.push(await open(page));
      await page.waitForTimeout(2000);
      longest.push(Math.max(0, ...(await page.evaluate<number[]>('window.blocked'))));
      await page.context().close();
    }
    return {
      median: percentile(times, 0.5),
      words: `median ${percentile(times, 0.5).toFixed(0)} ms, worst ${Math.max(...times).toFixed(0)} ms of ${OPENED}`,
      blocked: percentile(longest, 0.5),
      blockedWords: `median ${percentile(longest, 0.5)} ms, worst ${Math.max(...longest)} ms`,
    };
  };
  try {
    const fromBag = await opened(async (page) => {
      await page.goto(`${player}/bag`);
      await page.locator('nav a[href$="/range"]').waitFor();
      await page.waitForTimeout(2500);
      await page.evaluate('window.blocked.length = 0');
      return page.evaluate<number>(
        UNTIL_SUMMED_UP.replace(
          'START',
          `(document.querySelector('nav a[href$="/range"]').click(), performance.now())`,
        ),
      );
    });
    report(
      'the range of a player with 10,000 shots, from the bag, until the clubs are summed up',
      fromBag.words,
      'within 1000 ms',
      fromBag.median <= 1000,
    );
    report('the longest it held the page up', fromBag.blockedWords, 'within 50 ms', fromBag.blocked <= 50);
    const cold = await opened(async (page) => {
      await page.goto(`${player}/range`, { waitUntil: 'commit' });
      return page.evaluate<number>(UNTIL_SUMMED_UP.replace('START', '0'));
    });
    console.log(
      `        the same at its address, in a browser that knows nothing: ${cold.words}; held up, the start of the application with it, ${cold.blockedWords}`,
    );
  } finally {
    await browser.close();
  }
}

function benchStatistics(): void {
  const normal = normalFrom(randomFrom(5));
  const here = airsOf(
    { conditions: { ...BASELINE, temperatureC: 9, windMps: 4 }, surface: MEDIUM_FAIRWAY },
    { conditions: BASELINE, surface: MEDIUM_FAIRWAY },
  );
  const given = Array.from({ length: 10_000 }, () => ({
    ballSpeedMps: 53 + normal() * 0.7,
    launchDeg: 16 + normal(),
    spinRpm: 7000 + normal() * 300,
    azimuthDeg: normal(),
    spinAxisDeg: 2 * normal(),
  }));
  const once = () => {
    const start = performance.now();
    const complete = given.map((strike) => completeStrike(strike, { kind: 'iron', loftDeg: 34 }, here));
    return { complete, ms: performance.now() - start };
  };
  once();
  const { complete, ms } = once();
  console.log(
    `        10,000 shots filled in and moved to the baseline's air, two flights each: ${ms.toFixed(0)} ms`,
  );
  const time = (what: () => unknown) => {
    what();
    const start = performance.now();
    what();
    return performance.now() - start;
  };
  console.log(`        10,000 shots summarised: ${time(() => summariseStrikes(complete)).toFixed(1)} ms`);
  const build = (id: string, strikes: readonly CompleteStrike[]) => ({ id, name: id, parts: {}, strikes });
  const six = Array.from({ length: 6 }, (_one, i) => build(`b${i}`, complete.slice(i * 200, i * 200 + 200)));
  console.log(
    `        six builds of 200 shots compared: ${time(() => compareBuilds(six, 'matches')).toFixed(1)} ms`,
  );
}
