import { describe, expect, it } from 'vitest';
import {
  builtOtherwise,
  nearestShafts,
  setTrends,
  shaftTradition,
  builtOtherwiseWords,
  shaftDifferenceWords,
  shaftTraditionSentence,
  type ClubKind,
  type Spec,
} from '../../src/index.js';

const on = (values: Record<string, number | string>, takenOn = '2026-03-01'): Spec =>
  Object.fromEntries(Object.entries(values).map(([key, value]) => [key, { value, takenOn }]));

const irons = ['4', '5', '6', '7', '8', '9'].map((name, i) => ({
  id: name,
  name,
  kind: 'iron' as ClubKind,
  spec: on({
    loftStampedDeg: 22 + 4 * i,
    lengthIn: 38.5 - 0.5 * i,
    lieDeg: 60.5 + 0.5 * i,
    swingWeight: 'D2',
    totalWeightG: 420 + 6 * i,
    shaft: 'Rohr 105',
    shaftWeightG: 105,
    flex: 'S',
  }),
}));
const changed = (name: string, values: Record<string, number | string>, takenOn?: string) =>
  irons.map((one) => (one.name === name ? { ...one, spec: { ...one.spec, ...on(values, takenOn) } } : one));

describe('down the set', () => {
  it('finds nothing in a set that runs along its line', () => {
    for (const { points } of setTrends(irons)) {
      expect(points).toHaveLength(6);
      expect(points.every(({ leaves }) => !leaves)).toBe(true);
    }
  });

  it.each([
    ['lengthIn', 39],
    ['lieDeg', 58],
    ['swingWeight', 'D6'],
    ['totalWeightG', 444],
  ] as const)('names the club whose %s leaves the line, and no other', (key, value) => {
    const trend = setTrends(changed('5', { [key]: value })).find((one) => one.key === key)!;
    expect(trend.points.filter(({ leaves }) => leaves).map(({ clubId }) => clubId)).toEqual(['5']);
  });

  it('has no line for three clubs, and leaves woods and putters out', () => {
    expect(setTrends(irons.slice(0, 3)).every(({ points }) => points.length === 0)).toBe(true);
    const wood = {
      id: 'd',
      name: 'Driver',
      kind: 'driver' as ClubKind,
      spec: on({ loftStampedDeg: 9, lengthIn: 45 }),
    };
    const [length] = setTrends([wood, ...irons]);
    expect(length!.points.map(({ clubId }) => clubId)).not.toContain('d');
    expect(length!.points.every(({ leaves }) => !leaves)).toBe(true);
  });

  it('says how a club is built differently from its set, and since when', () => {
    const set = changed('5', { shaft: 'Siv 107', shaftWeightG: 107 }, '2026-05-03');
    const found = builtOtherwise(set[1]!, set);
    expect(found.map(({ key, since }) => [key, since])).toEqual([
      ['shaft', '2026-05-03'],
      ['shaftWeightG', '2026-05-03'],
    ]);
    expect(found.map(builtOtherwiseWords)).toEqual([
      'another shaft (Siv 107, where the others have Rohr 105)',
      'a shaft of another weight (107, where the others have 105)',
    ]);
    expect(builtOtherwise(set[2]!, set)).toEqual([]);
    expect(builtOtherwise(irons[0]!, irons.slice(0, 2))).toEqual([]);
  });
});

describe('the nearest shaft', () => {
  const wanted = on({ shaft: 'Rohr 105', shaftWeightG: 105, flex: 'S', torqueDeg: 1.8, tipTrimIn: 0.5 });
  const shelf = [
    { id: 'same', spec: wanted },
    {
      id: 'near',
      spec: on({ shaft: 'Siv 107', shaftWeightG: 107, flex: 'S', torqueDeg: 1.9, tipTrimIn: 0.5 }),
    },
    { id: 'far', spec: on({ shaft: 'Siv 65', shaftWeightG: 65, flex: 'R', torqueDeg: 4 }) },
    { id: 'unknown', spec: on({ shaft: 'Rohr 105' }) },
    { id: 'no shaft', spec: on({ head: 'Halm' }) },
  ];

  it('orders them, says every difference, and counts what is not known as no small thing', () => {
    const found = nearestShafts(wanted, shelf);
    expect(found.map(({ clubId }) => clubId)).toEqual(['same', 'near', 'unknown', 'far']);
    expect(found[0]).toMatchObject({ distance: 0, differences: [] });
    expect(found[1]!.differences.map(shaftDifferenceWords)).toEqual([
      'Siv 107 for Rohr 105',
      '2 g heavier',
      'torque 0.1° more',
    ]);
    expect(found[2]!.unknown).toEqual(['weight', 'flex', 'torque', 'tip']);
    expect(found[3]!.differences.map(shaftDifferenceWords)).toContain('softer (R for S)');
    expect(found[3]!.unknown).toEqual(['tip']);
  });

  it('knows a half flex from a whole one, and a step from none', () => {
    const [plus, step] = [
      on({ flex: 'S+', shaft: 'a' }),
      on({ flex: 'S', shaft: 'a', stepping: 'hard-stepped' }),
    ].map((spec) => nearestShafts(on({ flex: 'S', shaft: 'a' }), [{ id: 'x', spec }])[0]!);
    expect(plus!.distance).toBeCloseTo(0.5, 9);
    expect(plus!.differences.map(shaftDifferenceWords)).toEqual(['stiffer (S+ for S)']);
    expect(step!.differences.map(shaftDifferenceWords)).toEqual(['stepped harder']);
  });
});

it('reminds of what tradition says of shafts, and is silent where it is kept', () => {
  const wood = (kind: string, shaftWeightG: number) => ({ name: kind, kind, spec: on({ shaftWeightG }) });
  expect(shaftTradition([wood('driver', 60), wood('fairway', 70), wood('hybrid', 85)])).toEqual([]);
  expect(shaftTradition([wood('driver', 60), wood('fairway', 58)]).map(shaftTraditionSentence)).toEqual([
    'fairway: its shaft is 2 g lighter than the driver’s; tradition is 5 to 15 g heavier than the driver’s.',
  ]);
  expect(shaftTradition([wood('fairway', 70), wood('hybrid', 75)])).toMatchObject([{ heavierG: 5 }]);
  expect(shaftTradition([wood('driver', 60)])).toEqual([]);
});
