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
  tooFewWords,
  QUESTIONS,
  crossingOf,
  wishOf,
  type BuildParts,
  type Question,
  type Strike,
} from '../../src/index.js';
import { factorsMixed, partsChanged, type Build } from '../../src/compare/build.js';

const HERE = { conditions: BASELINE, surface: MEDIUM_FAIRWAY };
const PLACES = airsOf(HERE, HERE);

function build(
  id: string,
  seed: number,
  n: number,
  carryM: number,
  {
    spread = 4,
    spinRpm = 7000,
    parts = {},
    given = { totalM: carryM + 12, apexM: 28, spinRpm },
  }: { spread?: number; spinRpm?: number; parts?: BuildParts; given?: Strike } = {},
): Build {
  const normal = normalFrom(randomFrom(seed));
  const base = completeStrike(
    { carryM, offlineM: 0, ...given },
    carryM > 190 ? { kind: 'driver', loftDeg: 10 } : { kind: 'iron', loftDeg: 34 },
    PLACES,
  );
  const strikes = Array.from({ length: n }, () => ({
    ...base,
    spinRpm: spinRpm + 250 * normal(),
    atBaseline: {
      ...base.atBaseline,
      ...farther(carryM, spread * normal()),
      apexM: 28 + normal(),
      offlineM: 4 * normal(),
    },
  }));
  return { id, name: id, parts, strikes };
}

const farther = (carryM: number, by: number) => ({ carryM: carryM + by, totalM: carryM + 12 + by });

const wordOf = (builds: readonly Build[], question: Question) => compareBuilds(builds, question).pairs[0]!;

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
  it('asks carry, apex and spin, and is not a race', () => {
    expect(wordOf([build('old', 1, 60, 157), build('new', 2, 60, 157.4)], 'matches').word).toBe('matches');
    const longer = wordOf([build('old', 1, 40, 157), build('new', 2, 40, 168)], 'matches');
    expect(longer).toMatchObject({ word: 'does not match', open: ['carryM'] });
    const spinny = wordOf([build('old', 1, 40, 157), build('new', 2, 40, 157, { spinRpm: 7900 })], 'matches');
    expect(spinny).toMatchObject({ word: 'does not match', open: ['spinRpm'] });
    expect(pairSentence(spinny, 'new', 'old', 'm')).toMatch(/does not match old: spin \+\d+ rpm/);
  });
  it('ten shots prove nothing', () => {
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

/** Balls of a launch, all of it measured. */
function launched(
  id: string,
  { n = 30, seed = 1, ball = 62, launch = 14, spin = 5000, wide = 1, parts = {} as BuildParts } = {},
): Build {
  const normal = normalFrom(randomFrom(seed));
  const strikes = Array.from({ length: n }, () =>
    completeStrike(
      {
        ballSpeedMps: ball + wide * 0.6 * normal(),
        launchDeg: launch + wide * 0.5 * normal(),
        spinRpm: spin + 200 * normal(),
        azimuthDeg: wide * 1.2 * normal(),
        spinAxisDeg: 0,
      },
      { kind: 'fairway', loftDeg: 18 },
      PLACES,
    ),
  );
  return { id, name: id, parts, strikes };
}

describe('each task has its own measure', () => {
  it('a low runner is longer off the tee and does not win where a green is to be held', () => {
    const high = launched('high', { launch: 16, spin: 5200 });
    const low = launched('low', { launch: 10.5, spin: 2900, seed: 2 });
    expect(wordOf([high, low], 'longer').word).toBe('longer');
    const holds = wordOf([high, low], 'holds');
    expect(holds.word).toBe('runs farther');
    expect(holds.holds).toBe(false);
    expect(wishOf(holds)).toBe('not met');
    expect(pairSentence(holds, 'low', 'high', 'yd')).toMatch(
      /^low runs farther than high: run on a firm green \+\d+\.\d yd .*, descent −/,
    );
    expect(wishOf(wordOf([low, high], 'holds'))).toBe('met');
  });

  it('one that runs a little farther and holds the green is not an error; one that stops sooner and does not hold it is not a success', () => {
    const [steep, steeper] = [
      launched('a', { launch: 17, spin: 5600 }),
      launched('b', { launch: 19, spin: 6400, seed: 2 }),
    ];
    const farther = wordOf([steeper, steep], 'holds');
    expect(farther).toMatchObject({ word: 'runs farther', holds: true });
    expect(wishOf(farther)).toBe('even');
    expect(pairSentence(farther, 'a', 'b', 'yd')).toMatch(/It holds a firm green: under 8 yd\.$/);
    const [flat, flatter] = [
      launched('c', { launch: 10.5, spin: 2900 }),
      launched('d', { launch: 8, spin: 2300, seed: 2 }),
    ];
    const sooner = wordOf([flatter, flat], 'holds');
    expect(sooner).toMatchObject({ word: 'stops sooner', holds: false });
    expect(wishOf(sooner)).toBe('even');
  });

  it('more spin wins only where no carry is lost for it', () => {
    const old = launched('old', { ball: 50, launch: 18, spin: 7000 });
    const spinny = launched('new', { ball: 50.6, launch: 18, spin: 8000, seed: 2 });
    const short = launched('new', { ball: 45, launch: 18, spin: 8000, seed: 2 });
    expect(wordOf([old, spinny], 'more-spin').word).toBe('more spin');
    expect(wordOf([old, short], 'more-spin').word).toBe('carry lost');
    expect(wordOf([spinny, old], 'more-spin').word).toBe('less spin');
    expect(
      wordOf([old, launched('same', { ball: 50, launch: 18, spin: 7000, n: 200, seed: 3 })], 'more-spin')
        .word,
    ).toBe('no more spin');
  });

  it('the tighter one is, whichever way it misses on average', () => {
    const [wide, tight] = [
      launched('wide', { wide: 3, n: 40 }),
      launched('tight', { n: 40, seed: 4, ball: 60 }),
    ];
    expect(wordOf([wide, tight], 'tighter').word).toBe('tighter');
    expect(wordOf([tight, wide], 'tighter').word).toBe('wider');
    expect(wordOf([wide, launched('alike', { n: 6, wide: 3, seed: 9 })], 'tighter').word).toBe(
      'not known yet',
    );
  });

  it('calls a build of the same spread tighter or wider no oftener than it says, few shots against many too', () => {
    let wrong = 0;
    const tries = 400;
    for (let seed = 0; seed < tries; seed++) {
      const [many, few] = [build('many', 5000 + seed, 30, 200), build('few', 9000 + seed, 6, 200)];
      if (['tighter', 'wider'].includes(wordOf([many, few], 'tighter').word)) wrong++;
    }
    expect(wrong / tries).toBeLessThan(0.08);
  });

  it('what was typed or modelled is not judged as if it had been measured', () => {
    const carries = (id: string, seed: number) => build(id, seed, 30, 200, { given: {} });
    const [a, b] = [carries('a', 1), carries('b', 2)];
    for (const question of ['holds', 'more-spin'] as const) {
      const pair = wordOf([a, b], question);
      expect(pair.word).toBe('not measured');
      expect(pairSentence(pair, 'b', 'a', 'm')).toMatch(/not measured of both/);
    }
    const longer = wordOf([a, build('c', 3, 30, 212, { given: {} })], 'longer');
    expect(longer).toMatchObject({ word: 'longer', unmeasured: ['totalM'] });
    expect(longer.differences.map(({ part }) => part)).toEqual(['carryM']);
    expect(pairSentence(longer, 'c', 'a', 'm')).toMatch(/By carry alone/);
    const match = wordOf([carries('old', 1), build('new', 2, 60, 200.3, { given: {} })], 'matches');
    expect(match).toMatchObject({ unmeasured: ['apexM', 'spinRpm'] });
    expect(pairSentence(match, 'new', 'old', 'm')).toMatch(/By what was measured: apex and spin were not/);
  });

  it('every task gives a verdict and a sentence, turned round the other way', () => {
    for (const question of QUESTIONS) {
      const [a, b] = [launched('a', { launch: 13 }), launched('b', { launch: 17, spin: 6200, seed: 5 })];
      const pair = wordOf([a, b], question);
      expect(pairSentence(pair, 'b', 'a', 'yd')).toMatch(/\.$/);
      const [met, turned] = [wishOf(pair), wishOf(wordOf([b, a], question))];
      if (question !== 'matches' && met === 'met') expect(turned).not.toBe('met');
    }
  });
});

describe('heads by shafts', () => {
  const parts = (head: string, shaft: string): BuildParts => ({ head, shaft });
  const crossed = (balls: Record<string, number>, skip?: string) =>
    Object.entries(balls).flatMap(([key, ball], i) => {
      const [head, shaft] = key.split(' ') as [string, string];
      return key === skip ? [] : [launched(key, { ball, seed: 20 + i, parts: parts(head, shaft) })];
    });
  const BALLS = { 'Kvarn Siv': 60, 'Kvarn Rohr': 61, 'Halm Siv': 63, 'Halm Rohr': 64 };

  it('tells what the head does and what the shaft does, where every pair was hit', () => {
    const crossing = crossingOf(crossed(BALLS), 'carryM')!;
    expect(crossing.rows).toEqual({ part: 'head', levels: ['Kvarn', 'Halm'] });
    expect(crossing.columns).toEqual({ part: 'shaft', levels: ['Siv', 'Rohr'] });
    const [head, shaft] = crossing.effects;
    expect(head).toMatchObject({ part: 'head', level: 'Halm', against: 'Kvarn' });
    expect(head!.by).toBeGreaterThan(shaft!.by);
    expect(head!.low).toBeGreaterThan(0);
    const cell = (row: number, column: number) => crossing.cells[row]![column]!.mean;
    expect(head!.by).toBeCloseTo((cell(1, 0) + cell(1, 1) - cell(0, 0) - cell(0, 1)) / 2, 9);
  });

  it('shows the grid and no effect where a pair is missing; no grid without two of each', () => {
    const crossing = crossingOf(crossed(BALLS, 'Halm Rohr'), 'carryM')!;
    expect(crossing.cells[1]![1]).toBeNull();
    expect(crossing.effects).toEqual([]);
    expect(crossingOf(crossed(BALLS).slice(0, 2), 'carryM')).toBeUndefined();
    // Each with a head and a shaft of its own: no grid.
    expect(crossingOf([crossed(BALLS)[0]!, crossed(BALLS)[3]!], 'carryM')).toBeUndefined();
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

  it('says which builds were hit too seldom', () => {
    const of = (...shots: number[]) =>
      tooFewWords(shots.map((n, i) => ({ name: `${i + 5} iron`, shots: n })));
    expect(of(3, 12)).toBe('');
    expect(of(12, 1)).toBe('6 iron has 1 shot that counts: it takes 3 of each.');
    expect(of(2, 3, 0)).toBe('5 iron has 2 shots that count, 7 iron 0: it takes 3 of each.');
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
