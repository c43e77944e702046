import { createServer, type Socket } from 'node:net';
import { MAX_LINE_CHARACTERS, readGaugeOrder, type GaugeLine, type GaugeOrder } from '@tasche/contract';
import { GAUGE_DEG, randomFrom } from '@tasche/core';
import split2 from 'split2';

/** What a gauge and its line do wrong, as chances for each reading. */
interface GaugeFaults {
  /** One of the two angles is missing. */
  dropout: number;
  twice: number;
  /** A line of nonsense before it. */
  garbage: number;
  /** The line breaks after it. */
  hangUp: number;
}
export const USUAL_GAUGE_FAULTS: GaugeFaults = { dropout: 0.08, twice: 0.15, garbage: 0.04, hangUp: 0.04 };
export const NO_GAUGE_FAULTS: GaugeFaults = { dropout: 0, twice: 0, garbage: 0, hangUp: 0 };

interface GaugeOptions {
  port: number;
  device: string;
  seed: number;
  faults: GaugeFaults;
  /** How long it takes to read a club. */
  readMs?: number;
}

export interface Gauge {
  port: number;
  close(): Promise<void>;
}

const BEAT_MS = 5000;
/** It shows tenths of a degree. */
const SHOWN = 10;

/**
 * A digital loft-and-lie gauge that makes its readings up, at the line a real one would be at: told what a
 * club is really at, it reads that to within what a gauge repeats to, and gets things wrong as real ones do.
 */
export async function startGauge({ port, device, seed, faults, readMs = 150 }: GaugeOptions): Promise<Gauge> {
  const uniform = randomFrom(seed);
  const sockets = new Set<Socket>();
  const timers = new Set<NodeJS.Timeout>();
  let number = 0;

  const all = (line: GaugeLine | string) => {
    const text = typeof line === 'string' ? line : JSON.stringify(line);
    for (const socket of sockets) socket.write(`${text}\n`);
  };
  /** The sum of four evens is near enough to a bell; its standard deviation is 1 / sqrt(3). */
  const scatter = () => (uniform() + uniform() + uniform() + uniform() - 2) * (GAUGE_DEG / 2) * Math.sqrt(3);
  const read = (deg: number) => Math.round((deg + scatter()) * SHOWN) / SHOWN;

  const measure = ({ loftDeg, lieDeg }: GaugeOrder) => {
    number += 1;
    const both = loftDeg !== undefined && lieDeg !== undefined && uniform() < faults.dropout;
    const line: GaugeLine = {
      type: 'reading',
      number,
      ...(loftDeg !== undefined && { loftDeg: read(loftDeg) }),
      ...(lieDeg !== undefined && !both && { lieDeg: read(lieDeg) }),
    };
    if (uniform() < faults.garbage) all('{"type":"reading","loftDeg":"4\u0007');
    all(line);
    if (uniform() < faults.twice) all(line);
    if (uniform() < faults.hangUp) for (const socket of sockets) socket.destroySoon();
  };

  const server = createServer((socket) => {
    sockets.add(socket);
    socket
      .pipe(split2({ maxLength: MAX_LINE_CHARACTERS }))
      .on('error', () => socket.destroy())
      .on('data', (text: string) => {
        try {
          const order = readGaugeOrder(text);
          const timer = setTimeout(() => {
            timers.delete(timer);
            measure(order);
          }, readMs);
          timers.add(timer);
        } catch {
          // A device does not argue.
        }
      });
    socket.on('error', () => undefined);
    socket.on('close', () => sockets.delete(socket));
    socket.write(`${JSON.stringify({ type: 'hello', device, simulated: true } satisfies GaugeLine)}\n`);
  });
  const beat = setInterval(() => {
    all({ type: 'beat' });
  }, BEAT_MS);
  await new Promise<void>((resolve, reject) => {
    server.once('error', reject).listen(port, '127.0.0.1', resolve);
  });
  return {
    port: (server.address() as { port: number }).port,
    async close() {
      clearInterval(beat);
      for (const timer of timers) clearTimeout(timer);
      for (const socket of sockets) socket.destroy();
      await new Promise((resolve) => {
        server.close(resolve);
      });
    },
  };
}
