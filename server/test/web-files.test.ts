import { mkdirSync, mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { brotliCompressSync, gzipSync } from 'node:zlib';
import request from 'supertest';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { workbench } from './workbench.js';

const SCRIPT = `export const bag = '${'club '.repeat(800)}';\n`;
const folder = mkdtempSync(path.join(tmpdir(), 'tasche-web-'));
let http: ReturnType<typeof request>;

beforeAll(async () => {
  const assets = path.join(folder, 'assets');
  mkdirSync(assets);
  writeFileSync(path.join(folder, 'index.html'), '<!doctype html><title>Tasche</title>');
  writeFileSync(path.join(assets, 'bag-1.js'), SCRIPT);
  writeFileSync(path.join(assets, 'bag-1.js.br'), brotliCompressSync(SCRIPT));
  writeFileSync(path.join(assets, 'bag-1.js.gz'), gzipSync(SCRIPT));
  http = request((await workbench()).app({ webFolder: folder }));
});
afterAll(() => {
  rmSync(folder, { recursive: true });
});

describe('the files of the page', () => {
  it.each([
    ['gzip, deflate, br', 'br', brotliCompressSync(SCRIPT).length],
    ['gzip', 'gzip', gzipSync(SCRIPT).length],
    ['identity', undefined, SCRIPT.length],
  ])(
    'are sent to a browser that takes %s as they were packed at the build',
    async (takes, encoding, length) => {
      const { headers, text } = await http.get('/assets/bag-1.js').set('accept-encoding', takes).expect(200);
      expect(headers['content-encoding']).toBe(encoding);
      expect(Number(headers['content-length'])).toBe(length);
      expect(headers['content-type']).toMatch(/javascript/);
      expect(headers['cache-control']).toBe('public, max-age=31536000, immutable');
      // supertest unpacks what it is sent.
      expect(text).toBe(SCRIPT);
    },
  );

  it('that are not there are not the page itself', async () => {
    await http.get('/assets/gone.js').expect(404);
    const { text } = await http.get('/players/1/bag').expect(200);
    expect(text).toContain('<title>Tasche</title>');
  });
});
