import fc from 'fast-check';
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
    ['tee shot 240', 'may go to a fairway or a green: write "drive" or "par 3" for "tee shot"'],
    ['155 x0', 'never comes up'],
    ['3 155', 'is not understood'],
    ['155 hold 165 run', '"165" is not understood'],
    ['carry 230 over water', '"carry over water" is not understood'],
    ['hole 25: 155', 'there is no hole 25'],
    ['160-150', 'ends before it begins'],
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
    for (const text of [
      ...[
        '155 x3',
        '155x3',
        '155 x 3',
        '3x 155',
        '3 x 155',
        '155 3 times',
        '3 times 155',
        '155 × 3',
        '3*155',
      ],
      ...['three 155s', '155 three times', '155 (3)', '155: 3', '3x about 155', '~155 thrice.'],
    ])
      expect(times(text), text).toEqual([[155, 3]]);
    for (const text of [
      '155 x2 165 x3',
      '2x 155 3x 165',
      '155 x2 / 165 x3',
      '155 x2. 165 x3',
      '155 x2 and 165 x3',
    ])
      expect(times(text), text).toEqual([
        [155, 2],
        [165, 3],
      ]);
    for (const text of ['80 100 120', '80/100/120', '80, 100 and 120', '80\n100\n120'])
      expect(times(text), text).toEqual([80, 100, 120].map((distance) => [distance, 1]));
    for (const text of [
      '150-156 x6',
      '150 to 156 x6',
      'between 150 and 156 x6',
      '150m or 156m x6',
      '6x 150 – 156',
    ])
      expect(times(text), text).toEqual([151, 153, 155].map((distance) => [distance, 2]));
    expect(times('150-156')).toEqual([151, 153, 155].map((distance) => [distance, 0.33]));
    expect([times('155,5'), times('1,5 x 155')]).toEqual([[[155.5, 1]], [[155, 1.5]]]);
    expect(times('30 x40')).toEqual([[30, 40]]);
    expect(times('155 twice')).toEqual([[155, 2]]);
    expect(times('155 hold once')).toEqual([[155, 1]]);
  });

  it.each([
    ['150 to hold twice', { name: '150 m, to hold', weight: 2, mustHold: true }],
    ['155 m from light rough, to hold ×3', { lie: 'light rough', mustHold: true, weight: 3 }],
    ['out of the deep rough 160', { lie: 'heavy rough', distanceM: 160 }],
    ['hardpan 90', { lie: 'tight' }],
    ['approach 150', { name: '150 m' }],
    ['par 5 second 235', { name: '235 m', lie: 'fairway' }],
    ['par 3 165', { name: '165 m from tee', to: 'green', lie: 'tee' }],
    ['driver 240, leaves 140 x4', { name: 'drive of 240 m', leftM: 140, weight: 4 }],
    ['drive 240 to the fairway', { name: 'drive of 240 m', lie: 'tee' }],
    ['tee shot 240 left 150', { name: 'drive of 240 m', leftM: 150 }],
    ['lay up 200 left 90', { name: 'lay-up of 200 m', to: 'fairway', lie: 'fairway', leftM: 90 }],
    ['hole 7: 155 hold', { name: '155 m, to hold, hole 7' }],
    ['7: 15', { name: '15 m, hole 7', distanceM: 15, weight: 1 }],
    ['155 halten x3', { mustHold: true, weight: 3 }],
    ['150 aus dem hohen Rough', { lie: 'heavy rough' }],
    ['Drive 240 übrig 140', { leftM: 140 }],
  ])('%s, as people write it', (text, need) => {
    expect(readNeeds(text, 'm')).toMatchObject({ ok: true, needs: [need] });
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

  it('none is lost or made up, whatever the order of its words and whatever parts them (property)', () => {
    const need = fc.record({
      distance: fc.integer({ min: 30, max: 290 }),
      times: fc.integer({ min: 1, max: 18 }),
      isHeld: fc.boolean(),
      lie: fc.constantFrom(
        ['fairway', ''],
        ['light rough', 'from the rough'],
        ['sand', 'bunker'],
        ['tee', 'par 3'],
      ),
      order: fc.constantFrom(0, 1, 2),
      written: fc.constantFrom('x', '×', 'times'),
    });
    fc.assert(
      fc.property(
        fc.array(need, { minLength: 1, maxLength: 6 }),
        fc.constantFrom(', ', '; ', '\n', ' / ', ' and '),
        (needs, between) => {
          const text = needs
            .map(({ distance, times, isHeld, lie, order, written }) => {
              const often = written === 'times' ? `${times} times` : `${written}${times}`;
              const parts = [`${distance} m`, isHeld ? 'to hold' : '', lie[1]!, often];
              const turned = [...parts.slice(order), ...parts.slice(0, order)];
              return turned.filter((part) => part !== '').join(' ');
            })
            .join(between);
          const read = readNeeds(text, 'm');
          expect(
            read.ok
              ? read.needs.map(({ distanceM, weight, mustHold, lie }) => [distanceM, weight, mustHold, lie])
              : read.reason,
            text,
          ).toEqual(needs.map(({ distance, times, isHeld, lie }) => [distance, times, isHeld, lie[0]]));
        },
      ),
    );
  });
});
