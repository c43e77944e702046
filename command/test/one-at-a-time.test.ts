import { spawnSync } from 'node:child_process';
import { existsSync, mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import os from 'node:os';
import path from 'node:path';
import { setImmediate as turn } from 'node:timers/promises';
import { afterAll, describe, expect, it } from 'vitest';
import { oneAtATime } from '../one-at-a-time.js';

const folder = mkdtempSync(path.join(os.tmpdir(), 'tasche-lock-'));
afterAll(() => {
  rmSync(folder, { recursive: true, force: true });
});

describe('one at a time', () => {
  it('the second begins when the first has ended, well or not', async () => {
    const lock = path.join(folder, 'two');
    const said: string[] = [];
    const work = (name: string, isWell = true) =>
      oneAtATime(lock, async () => {
        said.push(`${name} begins`);
        for (let i = 0; i < 50; i++) await turn();
        said.push(`${name} ends`);
        if (!isWell) throw new Error(name);
        return name;
      });
    const results = await Promise.allSettled([work('a', false), work('b'), work('c')]);
    expect(results.map(({ status }) => status)).toEqual(['rejected', 'fulfilled', 'fulfilled']);
    for (let i = 0; i < said.length; i += 2) expect(said[i + 1]).toBe(said[i]!.replace('begins', 'ends'));
    expect(said).toHaveLength(6);
    expect(existsSync(lock)).toBe(false);
  });

  it('what a killed process held is taken over', async () => {
    const lock = path.join(folder, 'left');
    const { pid } = spawnSync(process.execPath, ['-e', '']);
    writeFileSync(lock, String(pid));
    expect(await oneAtATime(lock, () => Promise.resolve('done'))).toBe('done');
  });

  it('a folder that is not there is said, not waited for', async () => {
    await expect(oneAtATime(path.join(folder, 'no/where'), () => Promise.resolve())).rejects.toThrow(
      'ENOENT',
    );
  });
});
