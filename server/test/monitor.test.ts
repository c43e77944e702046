import { createServer, type AddressInfo, type Server, type Socket } from 'node:net';
import type { SetAsideView, StrikeView, StrikesView } from '@tasche/contract';
import { readServerLine, writeLine, type MonitorLine, type ServerLine } from '@tasche/contract';
import { BASELINE, MEDIUM_FAIRWAY } from '@tasche/core';
import { pino } from 'pino';
import { v4 as newId } from 'uuid';
import { afterEach, beforeEach, describe, expect, inject, it } from 'vitest';
import { NO_FAULTS, USUAL_FAULTS, startLaunchMonitor } from '../../standins/launch-monitor/launch-monitor.js';
import { openDatabase } from '../src/database/database.js';
import { linkMonitor, type MonitorLink } from '../src/monitor/monitor-link.js';
import { listenForNews } from '../src/news/listen-for-news.js';
import { lockStrikes } from '../src/strikes/insert-strikes.js';
import { inWorkspace } from '../src/workspaces/in-workspace.js';
import { carry, workbench, type Workbench } from './workbench.js';

const log = pino({ level: 'silent' });
const closing: (() => Promise<unknown>)[] = [];
let bench: Workbench;
let playerId: string;
let clubId: string;
let sessionId: string;

beforeEach(async () => {
  bench = await workbench();
  playerId = await bench.player();
  clubId = await bench.club(playerId, '7 iron', [carry(157)]);
  sessionId = newId();
  await bench.done([
    {
      do: 'addSession',
      session: {
        id: sessionId,
        playerId,
        name: 'Range',
        heldOn: '2026-11-20',
        conditions: BASELINE,
        surface: MEDIUM_FAIRWAY,
        hitOff: 'grass',
        ball: '',
        notes: '',
      },
    },
    { do: 'editSession', sessionId, version: 1, set: { live: true, aim: { clubId, shot: 'soft' } } },
  ]);
});
afterEach(async () => {
  while (closing.length > 0) await closing.pop()!();
});

const link = (port: number, silenceMs?: number): MonitorLink => {
  const linked = linkMonitor({
    orm: bench.orm,
    workspaceId: bench.workspaceId,
    host: '127.0.0.1',
    port,
    log,
    ...(silenceMs && { silenceMs }),
  });
  closing.push(() => linked.close());
  return linked;
};
const strikes = async () =>
  ((await bench.http.get(`/api/players/${playerId}/strikes`).expect(200)).body as StrikesView).strikes;
const setAside = async () =>
  (await bench.http.get(`/api/sessions/${sessionId}/set-aside`).expect(200)).body.rows as SetAsideView[];
async function until<T>(what: () => Promise<T>, done: (value: T) => boolean, ms = 60_000): Promise<T> {
  for (const start = Date.now(); ;) {
    const value = await what();
    if (done(value)) return value;
    if (Date.now() - start > ms) throw new Error(`still ${JSON.stringify(value).slice(0, 300)}`);
    await new Promise((resolve) => {
      setTimeout(resolve, 50);
    });
  }
}

/** A device under the test's own hand. */
async function device(): Promise<{
  port: number;
  lines: ServerLine[];
  say: (text: string) => void;
  drop: () => void;
  sockets: Socket[];
}> {
  const lines: ServerLine[] = [];
  const sockets: Socket[] = [];
  const server: Server = createServer((socket) => {
    sockets.push(socket);
    socket.on('error', () => undefined);
    let rest = '';
    socket.on('data', (piece) => {
      const parts = (rest + piece.toString()).split('\n');
      rest = parts.pop()!;
      for (const part of parts) lines.push(readServerLine(part));
    });
    socket.write(writeLine({ type: 'hello', device: 'test', simulated: false }));
  });
  await new Promise<void>((resolve) => {
    server.listen(0, '127.0.0.1', resolve);
  });
  closing.push(
    () =>
      new Promise((resolve) => {
        sockets.forEach((socket) => socket.destroy());
        server.close(resolve);
      }),
  );
  return {
    port: (server.address() as AddressInfo).port,
    lines,
    sockets,
    say: (text) => {
      sockets.at(-1)!.write(text);
    },
    drop: () => {
      sockets.at(-1)!.destroy();
    },
  };
}
const ball = (
  number: number,
  club: string | null = null,
  carryM = 150 + number,
): Extract<MonitorLine, { type: 'strike' }> => ({
  type: 'strike',
  number,
  at: '2026-11-20T10:00:00Z',
  club,
  strike: { carryM },
});

describe('the line to a launch monitor', () => {
  it('keeps each ball once, in the order they were hit, however they are sent, and acknowledges it after', async () => {
    const one = await device();
    link(one.port);
    await until(
      () => Promise.resolve(one.lines),
      (lines) => lines.some(({ type }) => type === 'resume'),
    );
    one.say(writeLine(ball(2)) + writeLine(ball(1)) + writeLine(ball(2)) + writeLine(ball(3)));
    await until(
      () => Promise.resolve(one.lines.filter(({ type }) => type === 'ack')),
      (acks) => acks.length === 4,
    );
    one.drop();
    await until(
      () => Promise.resolve(one.sockets.length),
      (count) => count === 2,
    );
    await until(
      () => Promise.resolve(one.lines.filter(({ type }) => type === 'resume')),
      (resumes) => resumes.length === 2,
    );
    one.say(writeLine(ball(3)) + writeLine(ball(4)));
    const kept = await until(strikes, (list) => list.length >= 4);
    expect(kept.map(({ number, given, shot }) => [number, given.carryM, shot])).toEqual([
      [1, 151, 'soft'],
      [2, 152, 'soft'],
      [3, 153, 'soft'],
      [4, 154, 'soft'],
    ]);
  });

  it('puts its balls after those written down before, in the order they were hit, wherever it counts from', async () => {
    const addByHand = (id: string) =>
      bench.change([
        {
          do: 'addStrikes',
          sessionId,
          strikes: [{ id, clubId, shot: 'full', given: { carryM: 140 } }],
        },
      ]);
    await addByHand(newId());
    await addByHand(newId());
    const one = await device();
    link(one.port);
    await until(
      () => Promise.resolve(one.lines),
      (lines) => lines.some(({ type }) => type === 'resume'),
    );
    const hit = (number: number, second: number) =>
      writeLine({ ...ball(number), at: `2026-11-20T10:00:${String(second).padStart(2, '0')}Z` });
    // It counts on from the day before; the second comes late.
    one.say(hit(61, 1) + hit(63, 3) + hit(62, 2));
    await until(strikes, (list) => list.length === 5);
    await addByHand(newId());
    one.say(hit(64, 4));
    const kept = await until(strikes, (list) => list.length === 7);
    expect(kept.map(({ given }) => given.carryM)).toEqual([140, 140, 211, 212, 213, 140, 214]);
  });

  it('is asked to send again from the first ball that is not here, however high a later number is', async () => {
    const one = await device();
    const first = link(one.port);
    await until(
      () => Promise.resolve(one.lines),
      (lines) => lines.length > 0,
    );
    for (const number of [1, 2, 4, 2_147_483_647]) one.say(writeLine(ball(number, null, 150)));
    await until(strikes, (list) => list.length === 4);
    await first.close();
    link(one.port);
    const resumed = await until(
      () => Promise.resolve(one.lines.filter((line) => line.type === 'resume')),
      (lines) => lines.length === 2,
    );
    expect(resumed[1]).toEqual({ type: 'resume', after: 2 });
    one.say(writeLine(ball(4, null, 150)) + writeLine(ball(3, null, 151)));
    await until(strikes, (list) => list.length === 5);
  });

  it('takes the balls of a device that counts from 1 again, in a new session of its own or in none', async () => {
    const one = await device();
    link(one.port);
    await until(
      () => Promise.resolve(one.lines),
      (lines) => lines.length > 0,
    );
    const numbers = Array.from({ length: 20 }, (_one, i) => i + 1);
    const at = (minute: number, second: number) =>
      `2026-11-20T10:${String(minute).padStart(2, '0')}:${String(second).padStart(2, '0')}Z`;
    const say = (minute: number) => {
      for (const number of numbers)
        one.say(writeLine({ ...ball(number, null, 150), at: at(minute, number) }));
    };
    say(1);
    await until(strikes, (list) => list.length === 20);
    // The same numbers at other moments, without a word of a new session.
    say(2);
    say(2);
    await until(strikes, (list) => list.length === 40);
    one.say(
      writeLine({
        type: 'hello',
        device: 'test',
        simulated: false,
        session: { id: 'after lunch', startedAt: at(3, 0) },
      }),
    );
    await until(
      () => Promise.resolve(one.lines.filter((line) => line.type === 'resume')),
      (lines) => lines.length === 2,
    );
    expect(one.lines.filter((line) => line.type === 'resume')[1]).toEqual({ type: 'resume', after: 0 });
    // Even at the very same moments: another session's balls are others.
    say(2);
    await until(strikes, (list) => list.length === 60);
    expect(await setAside()).toEqual([]);
  });

  it('loses no ball while the database cannot be reached, however many wait', async () => {
    const impatient = await openDatabase(inject('databaseUrl'), {}, { lock_timeout: 200 });
    closing.push(() => impatient.close(true));
    const monitor = await startLaunchMonitor({
      port: 0,
      device: 'stand-in',
      seed: 5,
      everyMs: 1,
      faults: NO_FAULTS,
    });
    closing.push(() => monitor.close());
    const linked = linkMonitor({
      orm: impatient,
      workspaceId: bench.workspaceId,
      host: '127.0.0.1',
      port: monitor.port,
      log,
    });
    closing.push(() => linked.close());
    await until(
      () => Promise.resolve(linked.view().state),
      (state) => state === 'here',
    );
    let release = () => undefined as void;
    const held = new Promise<void>((resolve) => {
      release = resolve;
    });
    const holding = inWorkspace(bench.orm, { workspaceId: bench.workspaceId }, async (em) => {
      await lockStrikes(em, sessionId);
      await held;
    });
    const orders = 7;
    for (let i = 0; i < orders; i++)
      linked.hit({ count: 50, club: clubId, kind: 'iron', loftDeg: 34, carryM: 150 });
    // Long enough for the line to break on the first ball that cannot be kept.
    await until(
      () => Promise.resolve(linked.view().state),
      (state) => state === 'away',
    );
    release();
    await holding;
    const kept = await until(strikes, (list) => list.length === orders * 50);
    expect(new Set(kept.map(({ number }) => number)).size).toBe(orders * 50);
  });

  it('sets aside what it cannot take, by name, and keeps the rest', async () => {
    const one = await device();
    link(one.port);
    await until(
      () => Promise.resolve(one.lines),
      (lines) => lines.length > 0,
    );
    one.say(
      `garbage\u0001\n{"type":"strike","number":1,"at":"2026-11-20T10:00:00Z","club":null,"carryM":823}\n{"type":"strike","number":2,"at":"yesterday","club":null,"carryM":150}\n${'x'.repeat(20_000)}\n`,
    );
    one.say(writeLine(ball(3, 'banana')) + writeLine(ball(4)));
    const kept = await until(strikes, (list) => list.length === 1);
    expect(kept[0]!.given.carryM).toBe(154);
    const aside = await until(setAside, (list) => list.length === 5);
    const reasons = aside.map(({ reason }) => reason).join(' | ');
    for (const told of [
      /not JSON/,
      /carryM must be between 1 and 411/,
      /at must be a moment/,
      /more than 8192 characters/,
      /no club of the locker is "banana"/,
    ])
      expect(reasons).toMatch(told);
  });

  it('a monitor that falls silent is taken up again, and a line that never ends costs no memory', async () => {
    const one = await device();
    link(one.port, 300);
    await until(
      () => Promise.resolve(one.sockets.length),
      (count) => count >= 3,
    );
    await until(
      () => Promise.resolve(one.lines),
      (lines) => lines.length > 0,
    );
    const before = process.memoryUsage().heapUsed;
    for (let i = 0; i < 200; i++) one.say('x'.repeat(100_000));
    one.say(`\n${writeLine(ball(1))}`);
    await until(strikes, (list) => list.length === 1);
    expect(process.memoryUsage().heapUsed - before).toBeLessThan(60e6);
    expect((await setAside()).map(({ reason }) => reason)).toEqual(['a line of more than 8192 characters']);
  });

  it('with no session open sets balls aside rather than lose or misplace them', async () => {
    await bench.done([{ do: 'editSession', sessionId, version: 1, set: { live: false } }]);
    const one = await device();
    link(one.port);
    await until(
      () => Promise.resolve(one.lines),
      (lines) => lines.length > 0,
    );
    one.say(writeLine(ball(9)));
    await until(
      () => Promise.resolve(one.lines),
      (lines) => lines.some(({ type }) => type === 'ack'),
    );
    expect(await strikes()).toHaveLength(0);
    // It was acknowledged, so it is kept here and nowhere else.
    expect((await setAside()).map(({ reason }) => reason)).toEqual(['no session was open for it']);
  });
});

describe('the simulated launch monitor', () => {
  it.each([
    ['a clean line', NO_FAULTS],
    ['every fault there is', { ...USUAL_FAULTS, twice: 0.3, late: 0.3, garbage: 0.1, hangUp: 0.12 }],
  ])('has thirty balls hit over %s, and each arrives once', async (_name, faults) => {
    const monitor = await startLaunchMonitor({ port: 0, device: 'stand-in', seed: 3, everyMs: 15, faults });
    closing.push(() => monitor.close());
    const linked = link(monitor.port);
    await until(
      () => Promise.resolve(linked.view()),
      ({ state }) => state === 'here',
    );
    const app = bench.app({ monitor: linked });
    const { default: request } = await import('supertest');
    await request(app)
      .post(`/api/sessions/${sessionId}/hit`)
      .send({ clubId, shot: 'soft', count: 30 })
      .expect(200);
    const kept = await until(strikes, (list) => list.length >= 30);
    // What is still on its way is done with once the line is closed.
    await linked.close();
    expect((await strikes()).length).toBe(30);
    expect(kept.map(({ number }) => number)).toEqual(kept.map((_one, i) => kept[0]!.number + i));
    expect(kept.every((strike) => strike.clubId === clubId && strike.shot === 'soft')).toBe(true);
    await request(app)
      .post(`/api/sessions/${sessionId}/hit`)
      .send({ clubId, shot: 'soft', count: 0 })
      .expect(400);
  });
});

describe('the live board', () => {
  it('gets shots as they come, and after it was closed those it missed', async () => {
    const news = listenForNews(inject('databaseUrl'), log);
    closing.push(() => news.close());
    const one = await device();
    const linked = link(one.port);
    const server = bench.app({ news, monitor: linked }).listen(0, '127.0.0.1');
    closing.push(
      () =>
        new Promise((resolve) => {
          server.closeAllConnections();
          server.close(resolve);
        }),
    );
    await new Promise((resolve) => {
      server.once('listening', resolve);
    });
    await until(
      () => Promise.resolve(one.lines),
      (lines) => lines.length > 0,
    );
    const address = `http://127.0.0.1:${(server.address() as AddressInfo).port}/api/sessions/${sessionId}/live`;
    const watch = async (
      lastId: string | undefined,
      wanted: number,
      onOpen: () => void = () => undefined,
    ) => {
      const gone = new AbortController();
      const response = await fetch(address, {
        signal: gone.signal,
        headers: lastId === undefined ? {} : { 'last-event-id': lastId },
      });
      onOpen();
      let text = '';
      const seen: { id: string; strike: StrikeView }[] = [];
      const started = Date.now();
      const decoder = new TextDecoder();
      for await (const piece of response.body as unknown as AsyncIterable<Uint8Array>) {
        text += decoder.decode(piece, { stream: true });
        seen.splice(
          0,
          seen.length,
          ...[...text.matchAll(/id: (\d+)\nevent: strike\ndata: (.*)\n\n/g)].map((match) => ({
            id: match[1]!,
            strike: JSON.parse(match[2]!) as StrikeView,
          })),
        );
        if (seen.length >= wanted || Date.now() - started > 60_000) break;
      }
      gone.abort();
      return { seen, text };
    };
    let first!: ReturnType<typeof watch>;
    await new Promise<void>((resolve) => {
      first = watch(undefined, 2, resolve);
    });
    one.say(writeLine(ball(1)) + writeLine(ball(2)));
    const { seen, text } = await first;
    expect(seen.map(({ strike }) => strike.number)).toEqual([1, 2]);
    expect(text).toContain('"state":"here"');
    // Closed. Two more are hit meanwhile.
    one.say(writeLine(ball(3)) + writeLine(ball(4)));
    await until(strikes, (list) => list.length === 4);
    expect((await watch(seen.at(-1)!.id, 2)).seen.map(({ strike }) => strike.number)).toEqual([3, 4]);
    await bench.http.get(`/api/sessions/${newId()}/live`).expect(404);
  });
});
