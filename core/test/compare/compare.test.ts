import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import {
  BASELINE,
  MEDIUM_FAIRWAY,
  compareBuilds,
  completeStrike,
  coverage,
  expectedStrokes,
  mixedWarning,
  normalFrom,
  pairSentence,
  airsOf,
  randomFrom,
  strokesAfterApproach,
  strokesAfterDrive,
  testOrder,
  type BuildParts,
} from '../../src/index.js';
import { factorsMixed, partsChanged, type Build } from '../../src/compare/build.js';

const HERE = { conditions: BASELINE, surface: MEDIUM_FAIRWAY };
const PLACES = airsOf(HERE, HERE);

function build(
  id: string,
  seed: number,
  n: number,
  carryM: number,
  { spread = 4, spinRpm = 7000, parts = {} }: { spread?: number; spinRpm?: number; parts?: BuildParts } = {},
): Build {
  const normal = normalFrom(randomFrom(seed));
  const base = completeStrike(
    { carryM, sideM: 0 },
    carryM > 190 ? { kind: 'driver', loftDeg: 10 } : { kind: 'iron', loftDeg: 34 },
    PLACES,
  );
  const strikes = Array.from({ length: n }, () => ({
    ...base,
    spinRpm: spinRpm + 250 * normal(),
    atBaseline: {
      ...base.atBaseline,
      carryM: carryM + spread * normal(),
      apexM: 28 + normal(),
      sideM: 4 * normal(),
    },
  }));
  return { id, name: id, parts, strikes };
}

const wordOf = (builds: readonly Build[], question: 'longer' | 'matches') =>
  compareBuilds(builds, question).pairs[0]!;

describe('longer wins', () => {
  it('a longer one is, with enough shots; with few it says how many more', () => {
    expect(wordOf([build('old', 1, 30, 240), build('new', 2, 30, 247)], 'longer').word).toBe('longer');
    const unsure = wordOf([build('old', 1, 6, 240), build('new', 2, 6, 243)], 'longer');
    expect(unsure.word).toBe('not known yet');
    expect(unsure.moreShots).toBeGreaterThan(0);
    expect(pairSentence(unsure, 'new', 'old', 'yd')).toMatch(/No verdict yet .* more shots? with each/);
  });
  it('two alike, hit often, are no longer than each other', () => {
    expect(wordOf([build('old', 1, 120, 240), build('new', 2, 120, 240)], 'longer').word).toBe('no longer');
  });
  it('is fair: turned round, longer is shorter', () => {
    const [a, b] = [build('a', 1, 20, 240), build('b', 2, 20, 250)];
    expect(wordOf([a, b], 'longer').word).toBe('longer');
    expect(wordOf([b, a], 'longer').word).toBe('shorter');
  });
});

describe('matches the old one', () => {
  it('asks carry, apex and spin, and is no race', () => {
    expect(wordOf([build('old', 1, 60, 157), build('new', 2, 60, 157.4)], 'matches').word).toBe('matches');
    const longer = wordOf([build('old', 1, 40, 157), build('new', 2, 40, 168)], 'matches');
    expect(longer).toMatchObject({ word: 'does not match', open: ['carryM'] });
    const spinny = wordOf([build('old', 1, 40, 157), build('new', 2, 40, 157, { spinRpm: 7900 })], 'matches');
    expect(spinny).toMatchObject({ word: 'does not match', open: ['spinRpm'] });
    expect(pairSentence(spinny, 'new', 'old', 'm')).toMatch(/does not match old: spin \+\d+ rpm/);
  });
  it('ten shots are no proof', () => {
    const pair = wordOf(
      [build('old', 1, 10, 157, { spread: 5 }), build('new', 2, 10, 158, { spread: 5 })],
      'matches',
    );
    expect(pair.word).toBe('not known yet');
    expect(pair.open).toContain('carryM');
  });
  it('is wrong no oftener than it says, with three pairs at once', () => {
    let wrong = 0;
    for (let seed = 0; seed < 300; seed++) {
      const builds = Array.from({ length: 4 }, (_one, i) => build(`b${i}`, 1000 + seed * 4 + i, 8, 200));
      if (compareBuilds(builds, 'longer').pairs.some(({ word }) => word === 'longer' || word === 'shorter'))
        wrong++;
    }
    expect(wrong / 300).toBeLessThan(0.08);
  });
});

describe('builds', () => {
  it('two things changed at once are warned of; a shaft and its length are one', () => {
    const [old, both, shaft] = [
      { head: 'Kvarn', shaft: 'Siv', lengthIn: 45 },
      { head: 'Halm', shaft: 'Rohr', lengthIn: 45.5 },
      { head: 'Kvarn', shaft: 'Rohr', lengthIn: 45.5 },
    ];
    expect(factorsMixed(old, both)).toEqual(['head', 'shaft']);
    expect(factorsMixed(old, shaft)).toEqual([]);
    expect(partsChanged(old, shaft)).toEqual(['shaft', 'lengthIn']);
    const [pair] = compareBuilds(
      [build('old', 1, 5, 200, { parts: old }), build('new', 2, 5, 200, { parts: both })],
      'longer',
    ).pairs;
    expect(mixedWarning(pair!, 'new')).toMatch(/head and shaft together/);
  });
  it('one alone, seven, or one hit twice are refused', () => {
    const many = Array.from({ length: 7 }, (_one, i) => build(`b${i}`, i, 5, 200));
    expect(() => compareBuilds(many.slice(0, 1), 'longer')).toThrow(/builds must be 2 to 6/);
    expect(() => compareBuilds(many, 'longer')).toThrow(/builds must be 2 to 6/);
    expect(() => compareBuilds([many[0]!, build('few', 9, 2, 200)], 'longer')).toThrow(
      /strikes of few are 2/,
    );
  });
});

describe('the order of a test day', () => {
  it('holds every build in every block, the asked number of shots each, in an order that changes', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 2, max: 6 }),
        fc.integer({ min: 1, max: 40 }),
        fc.integer({ min: 1, max: 10 }),
        fc.integer(),
        (builds, each, aTurn, seed) => {
          const ids = Array.from({ length: builds }, (_one, i) => `b${i}`);
          const turns = testOrder(ids, each, aTurn, seed);
          for (const id of ids)
            expect(turns.filter((turn) => turn.id === id).reduce((sum, turn) => sum + turn.shots, 0)).toBe(
              each,
            );
          for (let block = 1; block <= Math.ceil(each / aTurn); block++)
            expect(
              turns
                .filter((turn) => turn.block === block)
                .map(({ id }) => id)
                .sort(),
            ).toEqual(ids);
        },
      ),
    );
    const firsts = Array.from({ length: 200 }, (_one, seed) => testOrder(['a', 'b'], 5, 5, seed)[0]!.id);
    const share = firsts.filter((id) => id === 'a').length / 200;
    expect(share).toBeGreaterThan(0.38);
    expect(share).toBeLessThan(0.62);
  });
  it('refuses no shots', () => {
    expect(() => testOrder(['a', 'b'], 0, 5, 1)).toThrow(/shotsEach/);
  });
});

describe('strokes (Broadie, Interfaces 42(2), 2012; values from memory)', () => {
  it('the table at its rows and between them', () => {
    expect(expectedStrokes('tee', 400 * 0.9144)).toBeCloseTo(3.99, 9);
    expect(expectedStrokes('fairway', 150 * 0.9144)).toBeCloseTo((2.91 + 2.98) / 2, 9);
    expect(expectedStrokes('green', 8 * 0.3048)).toBeCloseTo(1.5, 9);
    expect(expectedStrokes('sand', 5000)).toBe(5.52);
    expect(() => expectedStrokes('green', -1)).toThrow(/distanceM/);
  });
  it('more is to be done from farther off, but for the tees and bunkers where the table itself says less', () => {
    for (const lie of ['fairway', 'rough', 'green'] as const)
      for (let m = 1; m < 500; m++)
        expect(expectedStrokes(lie, m + 1)).toBeGreaterThanOrEqual(expectedStrokes(lie, m));
  });
  it('rough costs more than fairway everywhere', () => {
    for (let m = 10; m < 540; m += 7)
      expect(expectedStrokes('rough', m)).toBeGreaterThan(expectedStrokes('fairway', m));
  });
  it('a tighter ellipse is worth strokes, so is a longer drive', () => {
    expect(strokesAfterApproach({ alongM: 4, acrossM: 4 })).toBeLessThan(
      strokesAfterApproach({ alongM: 8, acrossM: 6 }),
    );
    expect(strokesAfterApproach({ alongM: 0, acrossM: 0 })).toBeCloseTo(1, 6);
    expect(strokesAfterDrive(260, { alongM: 8, acrossM: 12 })).toBeLessThan(
      strokesAfterDrive(245, { alongM: 8, acrossM: 12 }),
    );
    expect(strokesAfterDrive(260, { alongM: 8, acrossM: 9 })).toBeLessThan(
      strokesAfterDrive(260, { alongM: 8, acrossM: 20 }),
    );
  });
});

describe('what distances a bag covers', () => {
  const bag = [
    {
      id: '7',
      name: '7 iron',
      kind: 'iron' as const,
      shots: {
        full: { carryM: 150, spreadM: 4, source: 'measured' as const },
        soft: { carryM: 142, spreadM: 5, source: 'measured' as const },
      },
    },
    {
      id: '9',
      name: '9 iron',
      kind: 'iron' as const,
      shots: { full: { carryM: 125, spreadM: 3, source: 'measured' as const } },
    },
  ];
  it('is sure at a club’s own carry and not in a hole; a soft shot fills one', () => {
    const at = (carryM: number, clubs: typeof bag | (typeof bag)[number][] = bag) =>
      coverage(clubs, carryM, carryM, 1)[0]!;
    expect(at(150)).toMatchObject({ best: { clubId: '7', shot: 'full' } });
    // Chance of a normal shot of deviation 4 within 4.572: 0.747 by the table.
    expect(at(150).reliability).toBeCloseTo(0.747, 3);
    expect(at(135).reliability).toBeLessThan(0.35);
    expect(at(141).best).toEqual({ clubId: '7', shot: 'soft' });
    expect(at(141).reliability).toBeGreaterThan(at(141, [bag[1]!]).reliability);
  });
  it('a shot without a spread covers nothing', () => {
    expect(
      coverage(
        [{ id: 'x', name: 'x', kind: 'iron', shots: { full: { carryM: 150, source: 'stated' } } }],
        150,
        150,
        1,
      )[0],
    ).toEqual({ carryM: 150, reliability: 0, best: undefined });
  });
});
