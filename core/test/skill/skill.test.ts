import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import {
  HANDICAP_BOUNDS,
  TOUR_HANDICAP,
  expectedStrokes,
  handicapText,
  normalFrom,
  randomFrom,
  scatterOf,
  skillOf,
  skillWords,
  strokesFor,
  usualSpreadShare,
  wholeAlongM,
  type LadderClub,
  type ShotDemand,
  type Shot,
} from '../../src/index.js';
import { usualDirectionDeg } from '../../src/skill/scatter.js';

const handicaps = fc.double({ min: HANDICAP_BOUNDS[0], max: HANDICAP_BOUNDS[1], noNaN: true });
const carries = fc.double({ min: 40, max: 260, noNaN: true });
const stated = (carryM: number): Shot => ({ carryM, source: 'stated' });
const iron = (name: string, loftDeg: number, full?: Shot): LadderClub => ({
  id: name,
  name,
  kind: 'iron',
  loftDeg,
  shots: full ? { full } : {},
});

describe('how a shot scatters', () => {
  it('as is usual at tour and at 15, where nothing was measured (common practice, no source)', () => {
    const tour = scatterOf('iron', 33, stated(157), TOUR_HANDICAP);
    expect(tour.alongM / 157).toBeCloseTo(0.045, 6);
    expect(tour).toMatchObject({ middleM: 157, mishitShare: 0.08 });
    expect(tour.mishitShortM / 157).toBeCloseTo(0.12, 6);
    expect(usualDirectionDeg('driver', 10, 250, TOUR_HANDICAP)).toBeCloseTo(3.4, 6);
    const club = scatterOf('iron', 33, stated(157), 15);
    expect(club.alongM / 157).toBeCloseTo(0.08, 6);
    expect(club.mishitShare).toBeCloseTo(0.15, 6);
  });

  it('wider for a higher handicap, and no closer than three metres (property)', () => {
    fc.assert(
      fc.property(handicaps, handicaps, carries, (a, b, carryM) => {
        const [better, worse] = [
          scatterOf('iron', 30, stated(carryM), Math.min(a, b)),
          scatterOf('iron', 30, stated(carryM), Math.max(a, b)),
        ];
        expect(wholeAlongM(worse)).toBeGreaterThanOrEqual(wholeAlongM(better) - 1e-9);
        expect(worse.acrossM).toBeGreaterThanOrEqual(better.acrossM - 1e-9);
        expect(Math.min(better.alongM, better.acrossM)).toBeGreaterThanOrEqual(3);
      }),
    );
  });

  it('eight measured shots do not erase what is usual, and what is usual does not hide eighty', () => {
    const at = (shots: number) =>
      wholeAlongM(
        scatterOf(
          'iron',
          33,
          { carryM: 150, source: 'measured', sampleSize: shots, spreadM: 4, sideSpreadM: 4 },
          15,
        ),
      );
    const usual = 150 * usualSpreadShare(15);
    expect(at(8)).toBeGreaterThan((usual + 4) / 2);
    expect(at(80)).toBeLessThan(6.5);
    expect(at(1000)).toBeCloseTo(4, 0);
  });

  it('keeps a measured mean and spread as they are, mis-hits among them (simulated)', () => {
    const shot: Shot = { carryM: 150, source: 'measured', sampleSize: 100_000, spreadM: 12 };
    const { middleM, alongM, mishitShare, mishitShortM } = scatterOf('iron', 33, shot, 15);
    const [uniform, normal] = [randomFrom(5), normalFrom(randomFrom(6))];
    const drawn = Array.from(
      { length: 40_000 },
      () => middleM + alongM * normal() - (uniform() < mishitShare ? mishitShortM : 0),
    );
    const mean = drawn.reduce((sum, value) => sum + value, 0) / drawn.length;
    expect(mean).toBeCloseTo(150, 0);
    expect(Math.sqrt(drawn.reduce((sum, value) => sum + (value - mean) ** 2, 0) / drawn.length)).toBeCloseTo(
      12,
      0,
    );
  });

  it('a slow swing hits its long irons a quarter more crooked, a fast one does not', () => {
    expect(usualDirectionDeg('iron', 21, 150, 10) / usualDirectionDeg('iron', 21, 180, 10)).toBeCloseTo(
      1.25,
      6,
    );
    expect(usualDirectionDeg('iron', 33, 120, 10)).toBe(usualDirectionDeg('iron', 33, 160, 10));
  });
});

describe('strokes by handicap', () => {
  it('Broadie’s table is the tour’s; everyone else takes more, the more the higher the handicap (property)', () => {
    expect(expectedStrokes('fairway', 91.44, TOUR_HANDICAP)).toBeCloseTo(2.8, 9);
    fc.assert(
      fc.property(
        handicaps,
        handicaps,
        fc.constantFrom('tee', 'fairway', 'rough', 'sand', 'green'),
        fc.double({ min: 0, max: 500, noNaN: true }),
        (a, b, lie, m) => {
          expect(expectedStrokes(lie, m, Math.max(a, b))).toBeGreaterThanOrEqual(
            expectedStrokes(lie, m, Math.min(a, b)) - 1e-12,
          );
        },
      ),
    );
  });

  it('a shot costs more from worse hands (property)', () => {
    const demand: ShotDemand = {
      name: 'green',
      to: 'green',
      distanceM: 150,
      lie: 'fairway',
      mustHold: false,
      weight: 1,
    };
    fc.assert(
      fc.property(handicaps, handicaps, (a, b) => {
        const cost = (handicap: number) =>
          strokesFor(demand, { kind: 'iron', loftDeg: 33, handicap }, 'full', stated(148));
        expect(cost(Math.max(a, b))).toBeGreaterThanOrEqual(cost(Math.min(a, b)) - 1e-9);
      }),
    );
  });
});

describe('a player’s skill', () => {
  const measuredAt = (share: number, shots: number): LadderClub[] =>
    [21, 25, 29, 33, 37, 41].map((loft, i) =>
      iron(`${i + 4}`, loft, {
        carryM: 190 - 12 * i,
        source: 'measured',
        sampleSize: shots,
        spreadM: (190 - 12 * i) * share,
      }),
    );

  it('nothing known is a usual club player, loosely; length says a little; a stated handicap a good deal', () => {
    const nobody = skillOf([]);
    expect(nobody).toMatchObject({ handicap: 12, sources: ['nothing'], shots: 0 });
    const long = skillOf([iron('7', 33, stated(160))]);
    const short = skillOf([iron('7', 33, stated(110))]);
    expect(long.sources).toEqual(['length']);
    expect(long.handicap).toBeLessThan(0);
    expect(short.handicap).toBeGreaterThan(18);
    const said = skillOf([iron('7', 33, stated(110))], 6);
    expect(said).toMatchObject({ handicap: 6, sources: ['stated'] });
    expect(said.plusMinus).toBeLessThan(long.plusMinus);
    expect(long.plusMinus).toBeLessThan(nobody.plusMinus);
  });

  it('a stated handicap and measured clubs are drawn towards each other', () => {
    const clubs = measuredAt(0.1, 30);
    const alone = skillOf(clubs).handicap;
    const both = skillOf(clubs, 4);
    expect(both.handicap).toBeGreaterThan(4);
    expect(both.handicap).toBeLessThan(alone);
    expect(both.sources).toEqual(['stated', 'measured']);
    expect(both.shots).toBe(180);
    expect(skillOf(measuredAt(0.1, 4)).sources).not.toContain('measured');
  });

  it('finds the handicap whose spread it is shown', () => {
    for (const handicap of [0, 8, 20]) {
      const found = skillOf(measuredAt(usualSpreadShare(handicap), 200), handicap).handicap;
      expect(Math.abs(found - handicap), String(handicap)).toBeLessThan(1.5);
    }
  });

  it('is always within what a handicap may be (property)', () => {
    fc.assert(
      fc.property(
        fc.array(
          fc.record({
            loft: fc.double({ min: 8, max: 64, noNaN: true }),
            carryM: fc.double({ min: 5, max: 330, noNaN: true }),
            spread: fc.double({ min: 0, max: 60, noNaN: true }),
            shots: fc.integer({ min: 1, max: 400 }),
          }),
          { maxLength: 30 },
        ),
        fc.option(handicaps),
        (some, said) => {
          const { handicap, plusMinus } = skillOf(
            some.map(({ loft, carryM, spread, shots }, i) =>
              iron(String(i), loft, { carryM, source: 'measured', sampleSize: shots, spreadM: spread }),
            ),
            said,
          );
          expect(handicap).toBeGreaterThanOrEqual(HANDICAP_BOUNDS[0]);
          expect(handicap).toBeLessThanOrEqual(HANDICAP_BOUNDS[1]);
          expect(plusMinus).toBeGreaterThan(0);
        },
      ),
    );
  });

  it('is said as golfers write it', () => {
    expect([handicapText(-4), handicapText(0), handicapText(12.4)]).toEqual(['+4', '0', '12.4']);
    expect(skillWords(skillOf([], 12))).toBe('Plays like a 12, taken from the handicap that was entered.');
    expect(skillWords(skillOf([]))).toBe(
      'Plays like a 12: nothing is known yet, so an average club player is assumed.',
    );
  });
});
