import { fork } from 'node:child_process';
import { randomUUID } from 'node:crypto';
import { Agent, request as httpRequest } from 'node:http';
import pg from 'pg';
import type { Page, RosterEntry } from '@tasche/contract';
import { MORNING_SIZE, TOUR_SIZE, fillLarge } from '../../server/src/database/fill-large.js';
import { buildServer } from '../build.js';
import { throwAwayCluster } from '../cluster.js';
import { freePort } from '../ports.js';
import { percentile, report } from './figure.js';

const CLIENTS = 20;
const REQUESTS_EACH = 30;
const MAX_P95_MS = 100;

interface Endpoint {
  name: string;
  method?: 'POST';
  path: (i: number) => string;
  body?: (i: number) => object;
}

/** Every endpoint a page waits for, in a workspace of a tour's size, asked by 20 clients without a pause. */
export const benchLarge = () => benchAtSize(TOUR_SIZE);

/** The same at the size of a morning: 200 players, 10,000 readings, 500 events. */
export const benchMorning = () => benchAtSize(MORNING_SIZE);

const benchAtSize = (wanted: typeof TOUR_SIZE) => atSize(wanted, askAll);

export type LargeIds = Awaited<ReturnType<typeof fillLarge>>;

/** A server, as built, with a workspace of that size, for as long as the work on it takes. */
export async function atSize(
  wanted: typeof TOUR_SIZE,
  work: (address: string, ids: LargeIds) => Promise<void>,
): Promise<void> {
  const cluster = await throwAwayCluster(true);
  const port = await freePort();
  const built = await buildServer(process.cwd());
  const server = fork('command/fuzz/fuzz-server.ts', [cluster.url, cluster.ownerUrl, String(port), built], {
    execArgv: [...process.execArgv, '--expose-gc'],
    stdio: ['ignore', 'inherit', 'inherit', 'ipc'],
  });
  try {
    await new Promise((resolve) => {
      server.once('message', resolve);
    });
    const address = `http://127.0.0.1:${port}/api`;
    const { workspace } = (await (await fetch(`${address}/signed-in`)).json()) as {
      workspace: { id: string };
    };
    const client = new pg.Client({ connectionString: cluster.ownerUrl });
    await client.connect();
    const start = performance.now();
    // Checked row by row they would take minutes; nothing is deleted here.
    await client.query(
      'alter table reading drop constraint reading_workspace_id_club_id_fkey, drop constraint reading_workspace_id_change_id_fkey',
    );
    const ids = await fillLarge(client, workspace.id, wanted);
    await client.query('update workspace set schedule_revision = schedule_revision + 1');
    const {
      rows: [size],
    } = await client.query<{ readings: string; changes: string }>(
      `select (select count(*) from reading)::text as readings, (select count(*) from change)::text as changes`,
    );
    await client.end();
    console.log(
      `        ${wanted.players} players of ${wanted.clubsEach} clubs, ${wanted.events} events, ${Number(size!.readings).toLocaleString('en')} readings, ${Number(size!.changes).toLocaleString('en')} changes, made in ${((performance.now() - start) / 1000).toFixed(0)} s`,
    );
    await work(address, ids);
  } finally {
    server.kill('SIGTERM');
    cluster.stop();
  }
}

/** What a page reads, and how. */
export async function readsOf(address: string, ids: LargeIds): Promise<Endpoint[]> {
  const players: string[] = [];
  let after = '';
  for (let page = 0; page < 4; page++) {
    const { rows, next } = (await (
      await fetch(`${address}/players?limit=50${after}`)
    ).json()) as Page<RosterEntry>;
    players.push(...rows.map(({ player }) => player.id));
    if (next) after = `&after=${encodeURIComponent(next)}`;
  }
  const player = (i: number) => players[i % players.length]!;
  return [
    { name: 'roster, a page of 50', path: () => '/players?today=2026-11-25' },
    { name: 'sheet', path: (i) => `/players/${player(i)}/sheet` },
    { name: 'sheet of another day', path: (i) => `/players/${player(i)}/sheet?asOf=2026-01-01` },
    { name: 'courses and events', path: () => '/schedule' },
    { name: 'changes, a page', path: (i) => `/players/${player(i)}/changes` },
    {
      name: 'what differs between two days',
      path: (i) => `/players/${player(i)}/differences?from=2026-01-01&to=2026-06-01`,
    },
    { name: 'the gamer and its clubs on a day', path: (i) => `/players/${player(i)}/day?day=2026-01-01` },
    { name: 'a club’s life', path: () => `/clubs/${ids.clubId}/life` },
    { name: 'readings of a club, a page', path: () => `/clubs/${ids.clubId}/readings` },
    { name: 'plans, a page', path: (i) => `/players/${player(i)}/plans` },
    { name: 'sessions, a page', path: (i) => `/players/${player(i)}/sessions` },
    { name: 'shots of a session', path: () => `/players/${ids.playerId}/strikes?session=${ids.sessionId}` },
  ];
}

async function askAll(address: string, ids: LargeIds): Promise<void> {
  const endpoints: Endpoint[] = [
    ...(await readsOf(address, ids)),
    {
      name: 'a new player, written',
      method: 'POST',
      path: () => '/changes',
      body: (i) => ({
        id: randomUUID(),
        commands: [
          {
            do: 'addPlayer',
            player: { id: randomUUID(), name: `New ${i}`, hand: 'right', distanceUnit: 'm' },
          },
        ],
      }),
    },
    {
      name: 'an old plan, edited',
      method: 'POST',
      path: () => '/changes',
      body: (i) => ({
        id: randomUUID(),
        commands: [
          {
            do: 'editPlan',
            planId: ids.planIds[i % ids.planIds.length],
            version: 1,
            set: { weather: `wind ${i}` },
          },
        ],
      }),
    },
  ];
  for (const endpoint of endpoints) {
    const { times, bytes } = await ask(address, endpoint);
    const p95 = percentile(times, 0.95);
    report(
      `${endpoint.name} (${(bytes / 1000).toFixed(1)} kB packed)`,
      `median ${percentile(times, 0.5).toFixed(0)} ms, 95th ${p95.toFixed(0)} ms of ${times.length}`,
      `95th under ${MAX_P95_MS} ms with ${CLIENTS} clients`,
      p95 < MAX_P95_MS,
    );
  }
}

async function ask(
  address: string,
  { method, path, body }: Endpoint,
): Promise<{ times: number[]; bytes: number }> {
  const agent = new Agent({ keepAlive: true, maxSockets: CLIENTS });
  const times: number[] = [];
  let bytes = 0;
  const clientsAsk = async (each: number, keep: boolean) => {
    await Promise.all(
      Array.from({ length: CLIENTS }, async (_one, c) => {
        for (let i = 0; i < each; i++) {
          const n = c * each + i;
          const start = performance.now();
          bytes = await send(`${address}${path(n)}`, method ?? 'GET', agent, body && JSON.stringify(body(n)));
          if (keep) times.push(performance.now() - start);
        }
      }),
    );
  };
  await clientsAsk(10, false);
  await clientsAsk(REQUESTS_EACH, true);
  agent.destroy();
  return { times, bytes };
}

function send(address: string, method: string, agent: Agent, body?: string): Promise<number> {
  return new Promise((resolve, reject) => {
    const headers = {
      'accept-encoding': 'gzip',
      ...(body !== undefined && {
        'content-type': 'application/json',
        'content-length': String(Buffer.byteLength(body)),
      }),
    };
    httpRequest(address, { method, agent, headers }, (response) => {
      let bytes = 0;
      response.on('data', (chunk: Buffer) => {
        bytes += chunk.length;
      });
      response.on('end', () => {
        if ((response.statusCode ?? 500) < 500) resolve(bytes);
        else reject(new Error(`${address} answered ${response.statusCode}`));
      });
    })
      .on('error', reject)
      .end(body);
  });
}
