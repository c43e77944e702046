import { describe, expect, it } from 'vitest';
import { newestOnly } from '../../src/app/newest-only';
import { until } from '../until';

describe('of many questions in a row', () => {
  it('the first and the last are answered, one at a time, and only the last is the newest', async () => {
    const begun: number[] = [];
    const told: [number, boolean][] = [];
    const ends: (() => void)[] = [];
    const ask = newestOnly<number>(async (question, isNewest) => {
      begun.push(question);
      await new Promise<void>((resolve) => ends.push(resolve));
      told.push([question, isNewest()]);
    });
    for (const question of [1, 2, 3, 4]) ask(question);
    expect(begun).toEqual([1]);
    ends[0]!();
    await until(() => expect(begun).toHaveLength(2));
    expect(begun).toEqual([1, 4]);
    ends[1]!();
    await until(() => expect(told).toHaveLength(2));
    expect(told).toEqual([
      [1, false],
      [4, true],
    ]);
  });

  it('one that comes when all is answered is answered at once', async () => {
    const told: string[] = [];
    const ask = newestOnly<string>((question, isNewest) => {
      told.push(`${question} ${isNewest()}`);
      return Promise.resolve();
    });
    ask('a');
    await until(() => expect(told).toHaveLength(1));
    await Promise.resolve();
    ask('b');
    await until(() => expect(told).toHaveLength(2));
    expect(told).toEqual(['a true', 'b true']);
  });
});
