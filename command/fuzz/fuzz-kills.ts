import { spawn, type ChildProcess } from 'node:child_process';
import { randomUUID } from 'node:crypto';
import { readFileSync, rmSync } from 'node:fs';
import path from 'node:path';
import { setTimeout as wait } from 'node:timers/promises';
import type { Page, ReadingView } from '@tasche/contract';
import { resetCluster } from '../cluster.js';
import { throwAwayFolder } from '../data-folder.js';
import { freePort } from '../ports.js';
import { chanceFrom } from './chance.js';

interface KillResult {
  rounds: number;
  acknowledged: number;
  lost: number;
  doubled: number;
  half: number;
}

const WRITERS = 4;

/**
 * Ends the server, its PostgreSQL, or both at once, without warning and at random moments, while clients
 * write; starts it again as a person would, and counts what was acknowledged and is not there once.
 */
export async function fuzzKills(
  rounds: number,
  seed: number,
  onLine: (line: string) => void,
): Promise<KillResult> {
  const chance = chanceFrom(seed);
  const data = throwAwayFolder();
  const port = await freePort();
  const address = `http://127.0.0.1:${port}/api`;
  const result: KillResult = { rounds: 0, acknowledged: 0, lost: 0, doubled: 0, half: 0 };
  let server = await start(port, data);
  try {
    const playerId = randomUUID();
    const clubIds = Array.from({ length: WRITERS }, () => randomUUID());
    await post(`${address}/changes`, {
      id: randomUUID(),
      commands: [
        { do: 'addPlayer', player: { id: playerId, name: 'Kills', hand: 'right', distanceUnit: 'm' } },
        ...clubIds.map((id) => ({
          do: 'addClub',
          club: { id, playerId, name: 'club', kind: 'iron' },
          readings: [],
        })),
      ],
    });
    const acknowledged: { clubId: string; serial: string }[] = [];
    for (let round = 0; round < rounds; round++) {
      let isWriting = true;
      const writers = clubIds.map(async (clubId) => {
        while (isWriting) {
          const serial = randomUUID();
          // Two readings of one change: half a change would show.
          if (await writeOnce(address, clubId, serial)) acknowledged.push({ clubId, serial });
        }
      });
      await wait(300 + chance.below(1500));
      const victim = chance.one(['server', 'database', 'both'] as const);
      if (victim !== 'database') kill(server.pid);
      if (victim !== 'server') kill(postmasterOf(data));
      await wait(100);
      isWriting = false;
      await Promise.all(writers);
      if (victim === 'database') {
        kill(server.pid);
      }
      await gone(server);
      server = await start(port, data);
      const counted = await countThem(address, clubIds);
      const missing = acknowledged.filter(({ serial }) => counted.get(serial) === undefined).length;
      const doubled = [...counted.values()].filter(({ serials, heads }) => serials > 1 || heads > 1).length;
      const half = [...counted.values()].filter(({ serials, heads }) => serials !== heads).length;
      Object.assign(result, {
        rounds: round + 1,
        acknowledged: acknowledged.length,
        lost: missing,
        doubled,
        half,
      });
      onLine(
        `round ${round + 1}: ${victim} killed; ${acknowledged.length} acknowledged so far, ${missing} lost, ${doubled} doubled, ${half} half done`,
      );
    }
    return result;
  } finally {
    kill(server.pid);
    await gone(server);
    resetCluster(data);
    rmSync(data, { recursive: true, force: true });
  }
}

async function start(port: number, data: string): Promise<ChildProcess> {
  const server = spawn(
    process.execPath,
    [...process.execArgv, 'command/main.ts', 'demo', '--port', String(port), '--data', data],
    {
      stdio: ['ignore', 'pipe', 'pipe'],
      env: { ...process.env, DATABASE_URL: '' },
    },
  );
  let said = '';
  server.stderr.on('data', (chunk: Buffer) => {
    said += chunk.toString();
  });
  await new Promise<void>((resolve, reject) => {
    server.stdout.on('data', (chunk: Buffer) => {
      if (chunk.toString().includes('ready on')) resolve();
    });
    server.once('exit', (code) => {
      reject(new Error(`it did not start again (exit ${code}): ${said}`));
    });
  });
  return server;
}

function kill(pid: number | undefined): void {
  try {
    if (pid !== undefined) process.kill(pid, 'SIGKILL');
  } catch {
    // It is gone already.
  }
}

function gone(server: ChildProcess): Promise<void> {
  return server.exitCode !== null || server.signalCode !== null
    ? Promise.resolve()
    : new Promise((resolve) => {
        server.once('exit', () => {
          resolve();
        });
      });
}

function postmasterOf(data: string): number {
  return Number(readFileSync(path.join(data, 'postgres', 'postmaster.pid'), 'utf8').split('\n')[0]);
}

async function post(address: string, body: object): Promise<boolean> {
  const response = await fetch(address, {
    method: 'POST',
    headers: { 'content-type': 'application/json' },
    body: JSON.stringify(body),
    signal: AbortSignal.timeout(10_000),
  });
  await response.arrayBuffer();
  return response.status === 200;
}

/** Writes a serial number and a head in one change, sent twice as an impatient browser would. */
async function writeOnce(address: string, clubId: string, serial: string): Promise<boolean> {
  const id = randomUUID();
  for (let version = 1; ; version++) {
    try {
      const sheetVersion = await versionOf(address, clubId);
      const change = {
        id,
        commands: [
          {
            do: 'editClub',
            clubId,
            version: sheetVersion,
            readings: [
              { key: 'serial', value: serial, takenOn: '2026-11-01' },
              { key: 'head', value: serial, takenOn: '2026-11-01' },
            ],
          },
        ],
      };
      const done = await post(`${address}/changes`, change);
      if (done) await post(`${address}/changes`, change).catch(() => false);
      return done;
    } catch {
      await wait(50);
      if (version > 3) return false;
    }
  }
}

async function versionOf(address: string, clubId: string): Promise<number> {
  const response = await fetch(`${address}/clubs/${clubId}/readings?limit=1`, {
    signal: AbortSignal.timeout(10_000),
  });
  const { total } = (await response.json()) as Page<ReadingView>;
  // A club's version counts its changes, two readings each.
  return 1 + total / 2;
}

interface Counted {
  serials: number;
  heads: number;
}

async function countThem(address: string, clubIds: readonly string[]): Promise<Map<string, Counted>> {
  const counted = new Map<string, Counted>();
  for (const clubId of clubIds) {
    for (let next: string | null = ''; next !== null;) {
      const page = (await (
        await fetch(`${address}/clubs/${clubId}/readings?limit=200${next && `&before=${next}`}`)
      ).json()) as Page<ReadingView>;
      for (const { key, value } of page.rows) {
        const one = counted.get(String(value)) ?? { serials: 0, heads: 0 };
        if (key === 'serial') one.serials += 1;
        else one.heads += 1;
        counted.set(String(value), one);
      }
      next = page.next;
    }
  }
  return counted;
}
