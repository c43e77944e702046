import { spawnSync } from 'node:child_process';
import jsQR from 'jsqr';
import { beforeAll, describe, expect, it } from 'vitest';
import { textOf } from './paper.js';
import { on, workbench, type Workbench } from './workbench.js';

/** What the code on a PDF's first page says: drawn by Debian's pdftoppm as a grey map, read by jsQR. */
function codeOn(pdf: Buffer): string | undefined {
  const map = spawnSync('pdftoppm', ['-gray', '-r', '150', '-singlefile', '-'], {
    input: pdf,
    maxBuffer: 64 * 1024 * 1024,
  }).stdout;
  const head = /^P5\s+(\d+)\s+(\d+)\s+(\d+)\s/.exec(map.subarray(0, 40).toString('latin1'))!;
  const [width, height] = [Number(head[1]), Number(head[2])];
  const grey = map.subarray(head[0].length);
  const pixels = new Uint8ClampedArray(width * height * 4);
  for (let i = 0; i < width * height; i++) pixels.set([grey[i]!, grey[i]!, grey[i]!, 255], i * 4);
  return jsQR(pixels, width, height)?.data;
}

describe('papers for a builder', () => {
  let bench: Workbench;
  let playerId: string;
  let clubId: string;

  beforeAll(async () => {
    bench = await workbench();
    playerId = await bench.player();
    clubId = await bench.club(playerId, '54', [
      on('head', 'Tessel W'),
      on('loftStampedDeg', 54),
      on('loftMeasuredDeg', 53.75),
      on('lieDeg', 63.5),
      on('shaft', 'Rohr 105'),
      on('stepping', 'soft-stepped'),
      on('gripWraps', 2),
      on('grip', 'Moos Slim'),
      on('serial', 'TW-5417'),
      on('leadG', 3),
      on('leadPlace', 'low on the toe'),
      on('swingWeight', 'D3.5'),
    ]);
  });

  it('a build sheet holds every part, says what is not known, and its code opens the club', async () => {
    const { body } = await bench.http
      .get(`/api/clubs/${clubId}/build.pdf`)
      .buffer(true)
      .expect('content-type', /pdf/)
      .expect(200);
    const text = textOf(body as Buffer);
    for (const part of [
      'Tessel W',
      '53.75°',
      '63.5°',
      'Rohr 105',
      'soft-stepped',
      'TW-5417',
      'low on the toe',
      'D3.5',
    ])
      expect(text).toContain(part);
    expect(text).toMatch(/Torque\s+not recorded/);
    expect(text).toContain('Eye protection');
    expect(codeOn(body as Buffer)).toMatch(new RegExp(`/players/${playerId}/clubs/${clubId}/build$`));
  });

  it('a spec sheet carries serial number, stepping and wraps where they are asked for', async () => {
    const bagId = await bench.bag(playerId, 'Gamer', [clubId]);
    const sheet = async (more: string) =>
      textOf(
        (
          await bench.http
            .get(`/api/players/${playerId}/sheet.pdf?bag=${bagId}${more}`)
            .buffer(true)
            .expect(200)
        ).body as Buffer,
      ).replace(/\s+/g, ' ');
    const plain = await sheet('');
    expect(plain).not.toContain('TW-5417');
    const built = await sheet('&builder=true');
    for (const part of ['TW-5417', 'soft-', '2 wraps']) expect(built).toContain(part);
  });

  it('a spec sheet says how even it is in the bag’s own way of spacing, and nothing unknown is called even', async () => {
    const lofts = [46, 52, 58, 64];
    const ids = await Promise.all(
      lofts.map((loft) => bench.club(playerId, `W${loft}`, [on('loftMeasuredDeg', loft)])),
    );
    const bagId = await bench.bag(playerId, 'Wedges', ids);
    const sheet = async () =>
      textOf(
        (await bench.http.get(`/api/players/${playerId}/sheet.pdf?bag=${bagId}`).buffer(true).expect(200))
          .body as Buffer,
      ).replace(/\s+/g, ' ');
    expect(await sheet()).not.toContain('Even carries: even');
    const { bags } = await bench.sheet(playerId);
    const { version } = bags.find(({ id }) => id === bagId)!;
    await bench.done([{ do: 'editBag', bagId, version, set: { strategy: 'even-lofts-6' } }]);
    expect(await sheet()).toContain('Even lofts, 6°: even.');
  });

  it('there is none of a club that is not here', async () => {
    await bench.http.get('/api/clubs/00000000-0000-4000-8000-000000000000/build.pdf').expect(404);
  });
});
