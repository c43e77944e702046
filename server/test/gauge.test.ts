import { once } from 'node:events';
import { createServer, type AddressInfo, type Socket } from 'node:net';
import type { GaugeReading } from '@tasche/contract';
import { pino } from 'pino';
import { afterEach, beforeAll, describe, expect, it } from 'vitest';
import { NO_GAUGE_FAULTS, USUAL_GAUGE_FAULTS, startGauge } from '../../standins/gauge/gauge.js';
import { linkGauge, type GaugeLink } from '../src/gauge/gauge-link.js';
import { workbench, type Workbench } from './workbench.js';

const log = pino({ level: 'silent' });
const closing: (() => unknown)[] = [];
afterEach(async () => {
  while (closing.length > 0) await closing.pop()!();
});

/** A link to a gauge, and everything it reads. */
function listen(port: number, silenceMs?: number) {
  const link = linkGauge({ host: '127.0.0.1', port, log, ...(silenceMs && { silenceMs }) });
  const readings: GaugeReading[] = [];
  closing.push(() => {
    link.close();
  });
  link.on((reading) => {
    if (reading) readings.push(reading);
  });
  return { link, readings };
}

/** A gauge that says what it is told to. */
async function scripted() {
  const sockets: Socket[] = [];
  const server = createServer((socket) => {
    sockets.push(socket);
    socket.on('error', () => undefined);
  });
  await new Promise<void>((resolve) => server.listen(0, '127.0.0.1', resolve));
  closing.push(
    () =>
      new Promise((resolve) => {
        for (const socket of sockets) socket.destroy();
        server.close(resolve);
      }),
  );
  const say = (text: string) => sockets.at(-1)!.write(text);
  return { port: (server.address() as AddressInfo).port, sockets, say };
}

const isHere = (link: GaugeLink) => expect.poll(() => link.view().state).toBe('here');

describe('the line to a gauge', () => {
  it('reads what a gauge sends, once however often it is sent, and survives nonsense', async () => {
    const gauge = await scripted();
    const { link, readings } = listen(gauge.port);
    await expect.poll(() => gauge.sockets.length).toBe(1);
    gauge.say('{"type":"hello","device":"g","simulated":false}\n');
    await isHere(link);
    gauge.say('{"type":"reading","number":1,"loftDeg":44.25,"lieDeg":63.5}\n');
    gauge.say('{"type":"reading","number":1,"loftDeg":44.25,"lieDeg":63.5}\n');
    gauge.say('not json\n{"type":"reading","number":2}\n{"type":"reading","number":2,"loftDeg":400}\n');
    gauge.say('{"type":"reading","number":2,"loftDeg":null,"lieDeg":64}\n');
    await expect.poll(() => readings).toEqual([{ loftDeg: 44.25, lieDeg: 63.5 }, { lieDeg: 64 }]);
    expect(link.measure({ loftDeg: 44 })).toBe(false);
  });

  it('takes a broken line up again, and does not tell a reading twice over it', async () => {
    const gauge = await scripted();
    const { link, readings } = listen(gauge.port);
    await expect.poll(() => gauge.sockets.length).toBe(1);
    gauge.say(
      '{"type":"hello","device":"g","simulated":false}\n{"type":"reading","number":7,"loftDeg":50}\n',
    );
    await expect.poll(() => readings.length).toBe(1);
    gauge.sockets[0]!.destroy();
    await expect.poll(() => link.view().state).toBe('away');
    await expect.poll(() => gauge.sockets.length).toBe(2);
    gauge.say(
      '{"type":"hello","device":"g","simulated":false}\n{"type":"reading","number":7,"loftDeg":50}\n',
    );
    gauge.say('{"type":"reading","number":8,"loftDeg":51}\n');
    await expect.poll(() => readings).toEqual([{ loftDeg: 50 }, { loftDeg: 51 }]);
  });

  it('takes up a line that fell silent', async () => {
    const gauge = await scripted();
    listen(gauge.port, 100);
    await expect.poll(() => gauge.sockets.length).toBeGreaterThan(1);
  });

  it('gets every club from the stand-in, within what a gauge repeats to, whatever goes wrong on the way', async () => {
    const faults = { ...USUAL_GAUGE_FAULTS, twice: 0.5, garbage: 0.3, dropout: 0.3, hangUp: 0 };
    const gauge = await startGauge({ port: 0, device: 'stand-in', seed: 3, faults, readMs: 1 });
    closing.push(() => gauge.close());
    const { link, readings } = listen(gauge.port);
    await isHere(link);
    expect(link.view()).toMatchObject({ simulated: true, device: 'stand-in' });
    for (let i = 0; i < 40; i++) expect(link.measure({ loftDeg: 45, lieDeg: 63 })).toBe(true);
    await expect.poll(() => readings.length).toBe(40);
    expect(readings.some(({ lieDeg }) => lieDeg === undefined)).toBe(true);
    const off = readings.map(({ loftDeg }) => loftDeg! - 45);
    expect(Math.max(...off.map(Math.abs))).toBeLessThan(0.6);
    const mean = off.reduce((sum, one) => sum + one, 0) / off.length;
    const sd = Math.sqrt(off.reduce((sum, one) => sum + (one - mean) ** 2, 0) / (off.length - 1));
    expect(sd).toBeGreaterThan(0.06);
    expect(sd).toBeLessThan(0.25);
  });
});

describe('a gauge over HTTP', () => {
  let bench: Workbench;
  beforeAll(async () => {
    bench = await workbench();
  });

  it('is told what is in it only if it is simulated', async () => {
    const { body } = await bench.http.post('/api/gauge/measure').send({ loftDeg: 45 }).expect(422);
    expect(JSON.stringify(body)).toContain('No simulated gauge');
    await bench.http.post('/api/gauge/measure').send({ loftDeg: 'steep' }).expect(400);
    await bench.http.post('/api/gauge/measure').send({ loftDeg: 45, more: 1 }).expect(400);
  });

  it('streams what it reads to a page that listens', async () => {
    const gauge = await startGauge({ port: 0, device: 'g', seed: 1, faults: NO_GAUGE_FAULTS, readMs: 1 });
    closing.push(() => gauge.close());
    const { link } = listen(gauge.port);
    await isHere(link);
    const server = bench.app({ gauge: link }).listen(0, '127.0.0.1');
    await once(server, 'listening');
    closing.push(
      () =>
        new Promise((resolve) => {
          server.closeAllConnections();
          server.close(resolve);
        }),
    );
    const { port } = server.address() as AddressInfo;
    const response = await fetch(`http://127.0.0.1:${port}/api/gauge/live`);
    const reader = response.body!.pipeThrough(new TextDecoderStream()).getReader();
    let text = '';
    const readUntil = async (wanted: string) => {
      while (!text.includes(wanted)) text += (await reader.read()).value ?? '';
    };
    await readUntil('event: gauge');
    expect(link.measure({ loftDeg: 56 })).toBe(true);
    await readUntil('event: reading');
    await readUntil('loftDeg');
    await reader.cancel();
  });
});
