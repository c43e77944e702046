import { usualHole, type Hole } from '@tasche/core';
import { describe, expect, it } from 'vitest';
import { compassPoint, groundWords, roundAirWords } from '../../src/courses/ground-words';
import { holeColumns, readHazards, hazardWords } from '../../src/courses/hole-columns';

const hole: Hole = {
  ...usualHole(4, [370, 340]),
  bearingDeg: 265,
  line: [
    [0, 0],
    [0.01, 0],
  ],
};
const column = (id: string, unit: 'yd' | 'm' = 'm') =>
  holeColumns(['Back', 'Middle'], unit).find((one) => one.id === id)!;

describe('the columns of a hole', () => {
  it("what is typed is what is kept, in the unit it is typed in; a typed length is no longer the map's line", () => {
    expect(column('length 1', 'yd').read(hole, '400')).toMatchObject({ lengthsM: [370, 365.8] });
    expect(column('length 1', 'yd').read(hole, '400')).not.toHaveProperty('line');
    expect(column('elevationChangeM').read(hole, '-3,5')).toMatchObject({
      elevationChangeM: -3.5,
      line: hole.line,
    });
    expect(column('bearing').read(hole, '')).toMatchObject({ bearingDeg: null });
    expect(column('front').read(hole, ' Water ')).toMatchObject({ front: 'water' });
  });
  it.each([
    ['par', 'five', /Par must be between 3 and 6, not “five”/],
    ['par', '4.5', /whole number/],
    ['length 0', '0', /Length from Back must be between 40 and 700 m, not “0”/],
    ['length 0', '', /Length from Back/],
    ['greenM', '300', /Green must be between 6 and 70 m/],
    ['front', 'lava', /Front must be one of open, sand, water/],
    ['bearing', '400', /Bearing must be between 0 and 360/],
    ['hazards', 'swamp', /“swamp” is not understood/],
  ])('%s “%s” is refused by name', (id, text, message) => {
    const read = column(id).read(hole, text);
    expect('problem' in read ? read.problem : '').toMatch(message);
  });
});

describe('hazards in words', () => {
  it('is read as it is written, short or long, and written as it is read', () => {
    const hazards = readHazards('Bunker left 225-260; w x 300 - 320; OB right 150–330', 'm');
    expect(hazards).toEqual([
      { kind: 'bunker', side: 'left', fromM: 225, toM: 260 },
      { kind: 'water', side: 'across', fromM: 300, toM: 320 },
      { kind: 'out of bounds', side: 'right', fromM: 150, toM: 330 },
    ]);
    expect(readHazards(hazardWords(hazards as never, 'm'), 'm')).toEqual(hazards);
    expect(readHazards('', 'm')).toEqual([]);
  });
  it.each([
    ['bunker left 260-225', /ends before it begins/],
    ['bunker left 500-900', /lies beyond 600 m/],
    ['bunker 200-220', /not understood/],
  ])('“%s” is refused', (text, message) => {
    const read = readHazards(text, 'm');
    expect('problem' in read ? read.problem : '').toMatch(message);
  });
});

it('air and ground in words', () => {
  expect([0, 44, 180, 265, 359].map(compassPoint)).toEqual(['N', 'NE', 'S', 'W', 'N']);
  expect(roundAirWords({ temperatureC: 8, humidityPct: 80, windMps: 8, windFromDeg: 265 }, 'm')).toBe(
    '8 °C, 8 m/s from the W',
  );
  expect(
    groundWords({
      grass: 'bent',
      fairways: 'firm',
      greens: 'soft',
      rough: 'long',
      wet: true,
      sand: 'hard',
      greenSpeedM: 3,
    }),
  ).toBe('firm fairways, soft greens, long wet rough, hard sand');
});
