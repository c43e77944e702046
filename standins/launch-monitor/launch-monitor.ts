import { randomUUID } from 'node:crypto';
import { createServer, type Socket } from 'node:net';
import {
  MAX_LINE_CHARACTERS,
  readServerLine,
  writeLine,
  type DeviceSession,
  type HitRequest,
  type MonitorLine,
} from '@tasche/contract';
import { randomFrom, type StrikePart } from '@tasche/core';
import split2 from 'split2';
import { simulatedPlayer } from './simulated-player.js';

/** What a device and its line do wrong, as chances for each ball. */
export interface Faults {
  /** A quantity is missing. */
  dropout: number;
  twice: number;
  /** Sent after the ball that follows it. */
  late: number;
  /** A line of nonsense before it. */
  garbage: number;
  /** The line breaks after it. */
  hangUp: number;
}

export const USUAL_FAULTS: Faults = { dropout: 0.08, twice: 0.08, late: 0.06, garbage: 0.02, hangUp: 0.02 };
export const NO_FAULTS: Faults = { dropout: 0, twice: 0, late: 0, garbage: 0, hangUp: 0 };

export interface LaunchMonitorOptions {
  port: number;
  /** The address it listens on; loopback where none is said. */
  host?: string;
  device: string;
  seed: number;
  everyMs: number;
  faults: Faults;
}

type StrikeLine = Extract<MonitorLine, { type: 'strike' }>;

const BEAT_MS = 5000;
const DROPPED: readonly StrikePart[] = ['spinRpm', 'spinAxisDeg', 'clubSpeedMps', 'azimuthDeg'];

export interface LaunchMonitor {
  port: number;
  /** How many balls were hit, numbered from 1, and which of them are not acknowledged yet. */
  balls(): { hit: number; waiting: readonly number[] };
  close(): Promise<void>;
}

/**
 * A launch monitor that makes its balls up, at the same line a real one would be at: keeps every ball until
 * it is acknowledged, sends what is
 * not when it is asked to resume, and gets things wrong as real ones do. It counts from 1 within a session
 * of its own each time it is started.
 */
export async function startLaunchMonitor({
  port,
  host = '127.0.0.1',
  device,
  seed,
  everyMs,
  faults,
}: LaunchMonitorOptions): Promise<LaunchMonitor> {
  const uniform = randomFrom(seed ^ 0x5eed);
  const play = simulatedPlayer(seed);
  const kept = new Map<number, StrikeLine>();
  const orders: HitRequest[] = [];
  const sockets = new Set<Socket>();
  const session: DeviceSession = { id: randomUUID(), startedAt: new Date().toISOString() };
  let number = 0;
  let held: StrikeLine | undefined;
  let timer: NodeJS.Timeout | undefined;

  const all = (text: string) => {
    for (const socket of sockets) socket.write(text);
  };
  const send = (line: StrikeLine) => {
    if (uniform() < faults.garbage) all('{"type":"strike","number":"abc\u0007\n');
    all(writeLine(line));
    if (uniform() < faults.twice) all(writeLine(line));
    if (uniform() < faults.hangUp) for (const socket of sockets) socket.destroy();
  };

  const hitOne = () => {
    timer = undefined;
    const order = orders[0];
    if (!order) return;
    number += 1;
    const strike = play(order);
    if (uniform() < faults.dropout) delete strike[DROPPED[Math.floor(uniform() * DROPPED.length)]!];
    const line: StrikeLine = {
      type: 'strike',
      number,
      at: new Date().toISOString(),
      club: order.club,
      strike,
    };
    kept.set(number, line);
    orders[0] = { ...order, count: order.count - 1 };
    if (orders[0].count <= 0) orders.shift();
    if (held === undefined && orders.length > 0 && uniform() < faults.late) held = line;
    else {
      send(line);
      if (held) send(held);
      held = undefined;
    }
    if (orders.length > 0) timer = setTimeout(hitOne, everyMs);
  };

  const onLine = (socket: Socket, text: string) => {
    let line;
    try {
      line = readServerLine(text);
    } catch {
      return; // A device does not argue.
    }
    if (line.type === 'ack') kept.delete(line.number);
    else if (line.type === 'resume') {
      const { after } = line;
      for (const one of [...kept.values()].sort((a, b) => a.number - b.number))
        if (one.number > after && one !== held) socket.write(writeLine(one));
    } else {
      orders.push(line);
      timer ??= setTimeout(hitOne, everyMs);
    }
  };

  const server = createServer((socket) => {
    sockets.add(socket);
    socket
      .pipe(split2({ maxLength: MAX_LINE_CHARACTERS }))
      .on('error', () => socket.destroy())
      .on('data', (text: string) => onLine(socket, text));
    socket.on('error', () => undefined);
    socket.on('close', () => sockets.delete(socket));
    socket.write(writeLine({ type: 'hello', device, simulated: true, session }));
  });
  const beat = setInterval(() => {
    all(writeLine({ type: 'beat' }));
  }, BEAT_MS);
  await new Promise<void>((resolve, reject) => {
    server.once('error', reject).listen(port, host, resolve);
  });
  return {
    port: (server.address() as { port: number }).port,
    balls: () => ({ hit: number, waiting: [...kept.keys()] }),
    async close() {
      clearInterval(beat);
      clearTimeout(timer);
      for (const socket of sockets) socket.destroy();
      await new Promise((resolve) => {
        server.close(resolve);
      });
    },
  };
}
