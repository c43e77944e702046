import { fork, type ChildProcess } from 'node:child_process';
import { randomUUID } from 'node:crypto';
import { Agent, request as httpRequest } from 'node:http';
import { throwAwayCluster } from '../cluster.js';
import { freePort } from '../ports.js';
import { chanceFrom } from './chance.js';
import { fuzzRequest, type FuzzRequest } from './grammar.js';
import {
  clubDocument,
  courseDocument,
  eventDocument,
  newIds,
  planDocument,
  roundPlayedDocument,
  seasonDocument,
  sessionDocument,
  ticketDocument,
  wishDocument,
  type KnownIds,
} from './known-rows.js';

export interface FuzzResult {
  requests: number;
  byStatus: ReadonlyMap<number, number>;
  slowestMs: number;
  /** Bytes of live objects at the end against those after the first fifth. */
  memoryGrowth: number;
  /** What went wrong, with the request that did it. */
  failures: readonly string[];
}

/** No answer may take longer, alone on the machine. */
const MAX_MS = 2000;
const MAX_GROWTH = 0.2;
/** Growth below this is caches filling. */
const FREE_GROWTH_BYTES = 12e6;
const CLIENTS = 4;
const MAX_FAILURES = 10;
const TELLTALE = /node_modules|\/server\/src|\bat \S+ \(|postgresql:\/\//;

interface FuzzOptions {
  /** Whether time and memory are judged too: not in a test, which a slow machine must not fail. */
  isMeasured?: boolean;
  onProgress?: (done: number) => void;
}

/**
 * Sends requests made by chance to a server of its own, and holds every answer to: no fault of the server
 * (5xx), JSON where it is an error, no path or stack in it; and, unless told not to, that it comes within two
 * seconds and that the memory comes back.
 * @param seed the same requests for the same seed, but for fresh ids
 */
export async function fuzzRequests(
  count: number,
  seed: number,
  { isMeasured = true, onProgress = () => undefined }: FuzzOptions = {},
): Promise<FuzzResult> {
  const cluster = await throwAwayCluster();
  const port = await freePort();
  const server = fork('command/fuzz/fuzz-server.ts', [cluster.url, cluster.ownerUrl, String(port)], {
    execArgv: ['--import', 'tsx', '--expose-gc'],
    stdio: ['ignore', 'inherit', 'ignore', 'ipc'],
    env: { ...process.env, TASCHE_LOG: 'silent' },
  });
  try {
    await new Promise<void>((resolve, reject) => {
      server.once('message', () => {
        resolve();
      });
      server.once('exit', (code) => {
        reject(new Error(`the server ended (${code})`));
      });
    });
    return await run(server, port, count, seed, { isMeasured, onProgress });
  } finally {
    server.kill('SIGKILL');
    cluster.stop();
  }
}

async function run(
  server: ChildProcess,
  port: number,
  count: number,
  seed: number,
  { isMeasured, onProgress }: Required<FuzzOptions>,
): Promise<FuzzResult> {
  const maxMs = isMeasured ? MAX_MS : Infinity;
  const agent = new Agent({ keepAlive: true, maxSockets: CLIENTS });
  const ids = await makeRows(port, agent);
  const chance = chanceFrom(seed);
  const byStatus = new Map<number, number>();
  const failures: string[] = [];
  let slowestMs = 0;
  let sent = 0;
  let isGone = false;
  server.once('exit', () => {
    isGone = true;
  });

  const one = async () => {
    const request = fuzzRequest(chance, ids);
    const answer = await send(port, agent, request);
    // A machine that stood still is no fault of the server: once more, alone, decides.
    const ms = answer.ms > maxMs ? (await send(port, agent, request)).ms : answer.ms;
    byStatus.set(answer.status, (byStatus.get(answer.status) ?? 0) + 1);
    slowestMs = Math.max(slowestMs, ms);
    const fault = faultOf(answer, ms > maxMs ? ms : undefined);
    if (fault && failures.length < MAX_FAILURES)
      failures.push(
        `${fault}: ${request.method} ${request.path.slice(0, 200)} ${String(request.body ?? '').slice(0, 400)} -> ${answer.text.slice(0, 200)}`,
      );
  };
  const some = async (until: number) => {
    await Promise.all(
      Array.from({ length: CLIENTS }, async () => {
        while (sent < until && !isGone) {
          sent += 1;
          if (sent % 500 === 0) onProgress(sent);
          await one();
        }
      }),
    );
  };
  await some(Math.ceil(count / 5));
  const before = await memoryOf(server);
  await some(count);
  const after = isGone ? before : await memoryOf(server);
  if (isGone) failures.push('the server ended');
  const memoryGrowth = (after - before) / before;
  if (isMeasured && memoryGrowth > MAX_GROWTH && after - before > FREE_GROWTH_BYTES)
    failures.push(`memory grew by ${Math.round(memoryGrowth * 100)} %, to ${Math.round(after / 1e6)} MB`);
  agent.destroy();
  return { requests: sent, byStatus, slowestMs, memoryGrowth, failures };
}

interface Answer {
  status: number;
  text: string;
  type: string;
  ms: number;
}

function faultOf({ status, text, type }: Answer, tooSlowMs: number | undefined): string | undefined {
  if (status === 0) return 'no answer';
  if (status >= 500) return `status ${status}`;
  if (tooSlowMs !== undefined) return `took ${Math.round(tooSlowMs)} ms`;
  if (status >= 400 && text !== '' && !type.includes('json')) return `an error as ${type}`;
  if (status >= 400 && TELLTALE.test(text)) return 'an error that tells of the inside';
  return undefined;
}

function send(port: number, agent: Agent, { method, path, headers, body }: FuzzRequest): Promise<Answer> {
  const start = performance.now();
  return new Promise((resolve) => {
    const done = (status: number, text: string, type: string) => {
      resolve({ status, text, type, ms: performance.now() - start });
    };
    try {
      const request = httpRequest(
        {
          host: '127.0.0.1',
          port,
          agent,
          method,
          path,
          headers: {
            ...headers,
            ...(body !== undefined && { 'content-length': String(Buffer.byteLength(body)) }),
          },
        },
        (response) => {
          const chunks: Buffer[] = [];
          response.on('data', (chunk: Buffer) => {
            chunks.push(chunk);
          });
          response.on('end', () => {
            done(
              response.statusCode ?? 0,
              Buffer.concat(chunks).toString('utf8').slice(0, 5000),
              response.headers['content-type'] ?? '',
            );
          });
          response.on('error', () => {
            done(response.statusCode ?? 0, '', '');
          });
        },
      );
      request.setTimeout(60_000, () => {
        request.destroy();
      });
      request.on('error', (error) => {
        done(0, error.message, '');
      });
      request.end(body);
    } catch {
      // What Node.js itself will not send is nothing to ask of the server.
      done(400, '', '');
    }
  });
}

function memoryOf(server: ChildProcess): Promise<number> {
  return new Promise((resolve) => {
    server.once('message', (message) => {
      resolve((message as { heapUsed: number }).heapUsed);
    });
    server.send('memory');
  });
}

/** A player with something of everything, for the requests to name. */
async function makeRows(port: number, agent: Agent): Promise<KnownIds> {
  const ids = newIds();
  const { playerId, clubId, bagId, sessionId, strikeId } = ids;
  const schedule: object[] = [
    { do: 'addCourse', course: courseDocument(ids.courseId) },
    { do: 'addSeason', season: seasonDocument(ids.seasonId) },
    { do: 'addEvent', event: eventDocument(ids.eventId, ids.roundId, ids) },
  ];
  const sheet: object[] = [
    { do: 'addPlayer', player: { id: playerId, name: 'Fuzz', hand: 'right', distanceUnit: 'yd' } },
    { do: 'addClub', club: clubDocument(clubId, ids), readings: [] },
    { do: 'addBag', bag: { id: bagId, playerId, name: 'Gamer' }, clubIds: [clubId] },
    { do: 'addSession', session: sessionDocument(sessionId, ids) },
    {
      do: 'addStrikes',
      sessionId,
      strikes: [{ id: strikeId, clubId, shot: 'full', given: { carryM: 150 } }],
    },
    { do: 'addPlan', plan: planDocument(ids.planId, ids) },
    { do: 'addTicket', ticket: ticketDocument(ids.ticketId, ids) },
    { do: 'addWish', wish: wishDocument(ids.wishId, ids) },
    { do: 'addRoundPlayed', round: roundPlayedDocument(ids.roundPlayedId, ids) },
  ];
  const post = async (id: string, list: object[]) => {
    const answer = await send(port, agent, {
      method: 'POST',
      path: '/api/changes',
      headers: { 'content-type': 'application/json' },
      body: JSON.stringify({ id, commands: list }),
    });
    if (answer.status !== 200) throw new Error(`the fuzzer's own rows were refused: ${answer.text}`);
  };
  await post(randomUUID(), schedule);
  await post(ids.changeId, sheet);
  return ids;
}
