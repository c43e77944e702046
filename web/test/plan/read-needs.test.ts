import { describe, expect, it } from 'vitest';
import { readNeeds } from '../../src/plan/read-needs';

describe('the shots of a week, written down', () => {
  it('are greens that hold or may be run at, drives with what is left, lies and how often', () => {
    const read = readNeeds(
      '155 hold x3, 210 run; drive 285 left 140 x14\n160 heavy rough, 190 tee hold, 40 sand',
      'm',
    );
    expect(read.ok && read.needs).toEqual([
      { name: '155 m, to hold', to: 'green', distanceM: 155, lie: 'fairway', mustHold: true, weight: 3 },
      { name: '210 m', to: 'green', distanceM: 210, lie: 'fairway', mustHold: false, weight: 1 },
      {
        name: 'drive of 285 m',
        to: 'fairway',
        distanceM: 285,
        lie: 'tee',
        mustHold: false,
        weight: 14,
        leftM: 140,
      },
      {
        name: '160 m from heavy rough',
        to: 'green',
        distanceM: 160,
        lie: 'heavy rough',
        mustHold: false,
        weight: 1,
      },
      { name: '190 m from tee, to hold', to: 'green', distanceM: 190, lie: 'tee', mustHold: true, weight: 1 },
      { name: '40 m from sand', to: 'green', distanceM: 40, lie: 'sand', mustHold: false, weight: 1 },
    ]);
    expect(readNeeds('100', 'yd')).toMatchObject({ needs: [{ distanceM: 91.44, name: '100 yd' }] });
  });
  it.each([
    ['', 'nothing written'],
    ['hold x3', 'has no distance'],
    ['drive 200 m left 100 yd', 'has two units'],
    ['155 banana', '"banana" is not understood'],
    ['900', 'is not a shot'],
    ['155 x5000', 'too often'],
    ['drive 250 left 900', 'cannot be left over'],
  ])('%s is refused: %s', (text, reason) => {
    expect(readNeeds(text, 'yd')).toMatchObject({
      ok: false,
      reason: expect.stringContaining(reason) as string,
    });
  });

  it('says how often as people write it', () => {
    const times = (text: string) => {
      const read = readNeeds(text, 'm');
      return read.ok ? read.needs.map(({ distanceM, weight }) => [distanceM, weight]) : read.reason;
    };
    for (const text of ['155 x3', '155x3', '155 x 3', '3x 155', '3 x 155', '155 3 times', '3 times 155'])
      expect(times(text), text).toEqual([[155, 3]]);
    expect(times('30 x40')).toEqual([[30, 40]]);
    expect(times('155 twice')).toEqual([[155, 2]]);
    expect(times('155 hold once')).toEqual([[155, 1]]);
  });

  it('reads a distance in the unit it names, and says it in the reader’s', () => {
    const read = readNeeds('100 yds hold x2, drive 200 yards left 100 yards, 150m', 'm');
    expect(read).toMatchObject({
      ok: true,
      needs: [
        { distanceM: 91.44, name: '91 m, to hold', weight: 2 },
        { distanceM: 182.88, leftM: 91.44 },
        { distanceM: 150 },
      ],
    });
  });
});
