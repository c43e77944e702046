import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import {
  USUAL_GROUND,
  lineOfHole,
  placeFrom,
  requireCourse,
  requireGround,
  roughLie,
  usualHole,
  usualPar,
  type CourseGround,
  type Hole,
} from '../../src/index.js';

describe('a hole from its line', () => {
  it('a degree along a meridian is 111.195 km on a sphere of the mean radius, to the north; on the equator to the east as much', () => {
    // R = 6,371,008.8 m times pi / 180.
    expect(
      lineOfHole([
        [0, 50],
        [0, 51],
      ]).lengthM,
    ).toBeCloseTo(111_195.08, 1);
    expect(
      lineOfHole([
        [0, 50],
        [0, 51],
      ]).bearingDeg,
    ).toBeCloseTo(0, 9);
    expect(
      lineOfHole([
        [0, 0],
        [1, 0],
      ]),
    ).toMatchObject({ bearingDeg: 90 });
    expect(
      lineOfHole([
        [0, 0],
        [1, 0],
      ]).lengthM,
    ).toBeCloseTo(111_195.08, 1);
  });

  it('a bend makes it longer and not otherwise turned', () => {
    const straight = lineOfHole([
      [-8.9, 63.1],
      [-8.895, 63.1],
    ]);
    const bent = lineOfHole([
      [-8.9, 63.1],
      [-8.8975, 63.101],
      [-8.895, 63.1],
    ]);
    expect(bent.bearingDeg).toBeCloseTo(straight.bearingDeg, 9);
    expect(bent.lengthM).toBeGreaterThan(straight.lengthM + 30);
  });

  it('whatever length and bearing, anywhere: a line drawn from them gives them back', () => {
    fc.assert(
      fc.property(
        fc.double({ min: -179, max: 179, noNaN: true }),
        fc.double({ min: -80, max: 80, noNaN: true }),
        fc.double({ min: 60, max: 650, noNaN: true }),
        fc.double({ min: 0, max: 359.9, noNaN: true }),
        (lon, lat, lengthM, towards) => {
          const line = lineOfHole([[lon, lat], placeFrom([lon, lat], lengthM, towards)]);
          expect(line.lengthM).toBeCloseTo(lengthM, 2);
          expect(Math.abs(((line.bearingDeg - towards + 540) % 360) - 180)).toBeLessThan(0.01);
        },
      ),
    );
  });

  it.each([
    [[[0, 0]]],
    [
      [
        [0, 0],
        [200, 0],
      ],
    ],
    [
      [
        [0, 95],
        [0, 0],
      ],
    ],
  ] as const)('refuses %j by name', (line) => {
    expect(() => lineOfHole(line)).toThrow(/^line /);
  });
});

describe('a course', () => {
  const of = (holes: readonly Hole[]) => ({ tees: ['Back'], holes });
  const hole = (more: Partial<Hole> = {}): Hole => ({ ...usualHole(4, [370]), ...more });
  it('is nine holes or eighteen, each with its lengths and nothing that contradicts itself', () => {
    expect(() => {
      requireCourse(of(Array.from({ length: 9 }, () => hole())));
    }).not.toThrow();
    for (const count of [0, 7, 19])
      expect(() => {
        requireCourse(of(Array.from({ length: count }, () => hole())));
      }).toThrow(`holes must be 9 or 18, not ${count}`);
    const bad = (more: Partial<Hole>) => () => {
      requireCourse(of(Array.from({ length: 9 }, (_one, i) => (i === 4 ? hole(more) : hole()))));
    };
    expect(bad({ lengthsM: [0] })).toThrow('hole 5: lengthM must be between 40 and 700, not 0');
    expect(bad({ lengthsM: [370, 340] })).toThrow('hole 5: length must be given for each of the 1 tees');
    expect(bad({ par: 4.5 })).toThrow('hole 5: par must be a whole number');
    expect(bad({ bearingDeg: 400 })).toThrow('hole 5: bearingDeg');
    expect(bad({ hazards: [{ kind: 'water', side: 'left', fromM: 200, toM: 190 }] })).toThrow(
      'hole 5: hazards must end after they begin, not go from 200 to 190 m',
    );
  });

  it('a length has its usual par, and rough its lie', () => {
    expect([150, 229, 230, 434, 435, 600].map(usualPar)).toEqual([3, 3, 4, 4, 5, 5]);
    expect(roughLie({ rough: 'long', wet: true })).toBe('heavy rough, wet');
    expect(roughLie({ rough: 'short', wet: false })).toBe('light rough');
    expect(() => {
      requireGround({ ...USUAL_GROUND, sand: 'pink' as CourseGround['sand'] });
    }).toThrow('ground.sand must be one of hard, medium, fluffy');
    expect(() => {
      requireGround({ ...USUAL_GROUND, greenSpeedM: 9 });
    }).toThrow('ground.greenSpeedM must be between');
  });
});
