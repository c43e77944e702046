import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import {
  BASELINE,
  airOf,
  carryCurve,
  fromMetres,
  launchOfShot,
  toMetres,
  whatIf,
  type ClubKind,
} from '../../src/index.js';
import { club, strongSetWedge } from '../bag-of-clubs.js';

const bag = strongSetWedge();
const RANGE: readonly (readonly [ClubKind, number, number])[] = [
  ['driver', 6, 18],
  ['fairway', 11, 31],
  ['hybrid', 14, 35],
  ['iron', 14, 53],
  ['wedge', 41, 67],
];

describe("a player's carry curve", () => {
  const curve = carryCurve(bag);

  it('falls with loft within a kind, whatever the player owns (property)', () => {
    const owned = fc.array(
      fc.record({
        kind: fc.constantFrom<ClubKind>('driver', 'fairway', 'hybrid', 'iron', 'wedge'),
        share: fc.double({ min: 0, max: 1, noNaN: true }),
        carryYd: fc.double({ min: 60, max: 290, noNaN: true }),
      }),
      { maxLength: 8 },
    );
    fc.assert(
      fc.property(owned, (some) => {
        const messy = carryCurve(
          some.map(({ kind, share, carryYd }, i) => {
            const [, from, to] = RANGE.find(([one]) => one === kind)!;
            return club(`${i}`, kind, from + share * (to - from), carryYd, { shots: 10, spreadYd: 5 });
          }),
        );
        for (const [kind, from, to] of RANGE) {
          let before = Infinity;
          for (let loft = from; loft <= to; loft += 2.5) {
            const { carryM } = messy.at(kind, loft);
            expect(Number.isFinite(carryM.value) && carryM.plusMinus > 0).toBe(true);
            expect(carryM.value).toBeLessThanOrEqual(before + 1e-9);
            before = carryM.value;
          }
        }
      }),
      { numRuns: 25 },
    );
  });

  it('goes through what was measured often, and says between', () => {
    for (const one of bag.filter(({ kind }) => kind === 'iron')) {
      const { carryM } = curve.at('iron', one.loftDeg!);
      expect(Math.abs(carryM.value - one.shots.full!.carryM)).toBeLessThan(carryM.plusMinus);
    }
    const between = curve.at('iron', 34).carryM.value;
    expect(between).toBeLessThan(toMetres(161, 'yd'));
    expect(between).toBeGreaterThan(toMetres(149, 'yd'));
  });

  it('widens away from the data', () => {
    const irons = carryCurve(bag.filter(({ kind }) => kind === 'iron'));
    const share = (kind: ClubKind, loft: number) => {
      const { carryM } = irons.at(kind, loft);
      return carryM.plusMinus / carryM.value;
    };
    expect(share('iron', 20)).toBeGreaterThan(share('iron', 34));
    expect(share('wedge', 60)).toBeGreaterThan(share('wedge', 48));
    expect(share('driver', 10)).toBeGreaterThan(share('iron', 34));
  });

  it('is honest with one club, and with none', () => {
    const none = carryCurve([]);
    const one = carryCurve([club('7 iron', 'iron', 32, 161, { shots: 12, spreadYd: 5 })]);
    expect(none.clubs).toBe(0);
    const wide = none.at('iron', 32).carryM;
    expect(wide.plusMinus / wide.value).toBeGreaterThan(0.25);
    const known = one.at('iron', 32).carryM;
    expect(known.value).toBeCloseTo(toMetres(161, 'yd'), 0);
    expect(known.plusMinus / known.value).toBeLessThan(0.08);
    expect(one.at('wedge', 56).carryM.plusMinus).toBeGreaterThan(known.plusMinus);
  });

  it('carries a longer build a little farther, and the usual one as ever', () => {
    const usual = curve.at('iron', 34);
    expect(curve.at('iron', 34, 0)).toEqual(usual);
    const longer = curve.at('iron', 34, 1).carryM.value - usual.carryM.value;
    expect(longer).toBeGreaterThan(0.5);
    expect(longer).toBeLessThan(4);
    expect(() => curve.at('iron', 34, 9)).toThrowError('longerIn must be between -3 and 3, not 9');
  });

  it('never learns from what was itself modelled', () => {
    const modelled = club('9 iron', 'iron', 41, 90);
    const full = { ...modelled.shots.full!, source: 'modelled' as const, plusMinusM: 3 };
    expect(carryCurve([...bag, { ...modelled, shots: { full } }]).at('iron', 41)).toEqual(
      curve.at('iron', 41),
    );
  });

  it('refuses a loft no such club has, by name', () => {
    expect(() => curve.at('wedge', 20)).toThrowError('loftDeg must be between 40 and 68, not 20');
    expect(() => curve.at('putter', 3)).toThrowError('kind must be a club with a carry');
  });
});

describe('the launch behind a carry', () => {
  it('carries what it was asked to, and as high where that is known (property)', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 30, max: 150, noNaN: true }),
        fc.double({ min: -3, max: 3, noNaN: true }),
        (carryM, higher) => {
          const plain = launchOfShot('iron', 34, carryM, airOf(BASELINE));
          expect(plain.flight.carryM).toBeCloseTo(carryM, 2);
          const apexM = plain.flight.apexM * (1 + higher / 40);
          expect(launchOfShot('iron', 34, carryM, airOf(BASELINE), apexM).flight.apexM).toBeCloseTo(apexM, 0);
        },
      ),
      { numRuns: 60 },
    );
  });

  it('refuses an impossible carry', () => {
    expect(() => launchOfShot('wedge', 60, 300, airOf(BASELINE))).toThrowError(
      'carryM is farther than any wedge of 60 degrees carries',
    );
  });
});

describe('what a tweak would do', () => {
  const seven = { kind: 'iron' as const, loftDeg: 34 };
  const shot = { carryM: toMetres(172, 'yd') };

  it('bending: about 2 to 3 yd a degree, and bounce degree for degree (common practice, no source)', () => {
    const weaker = whatIf(seven, shot, { bendDeg: 1 });
    expect(-fromMetres(weaker.carryM, 'yd')).toBeGreaterThan(1.8);
    expect(-fromMetres(weaker.carryM, 'yd')).toBeLessThan(3);
    expect(weaker.bounceDeg).toBe(1);
    expect(weaker.descentDeg).toBeGreaterThan(0);
    expect(whatIf(seven, shot, { bendDeg: -1 }).carryM).toBeGreaterThan(1);
  });

  it('length: half an inch plays a degree more upright and starts the ball inside by atan(tan loft · sin lie) (2-the-numbers)', () => {
    const longer = whatIf(seven, shot, { longerIn: 0.5 });
    const face = (Math.atan(Math.tan((34 * Math.PI) / 180) * Math.sin(Math.PI / 180)) * 180) / Math.PI;
    expect(longer.startLineDeg).toBeCloseTo(-0.75 * face, 6);
    expect(longer.carryM).toBeGreaterThan(0.3);
    expect(longer.carryM).toBeLessThan(3);
  });

  it('a sleeve turned up: higher, shut, more bounce', () => {
    const up = whatIf({ kind: 'driver', loftDeg: 9 }, { carryM: 240 }, { sleeveDeg: 1 });
    expect(up.apexM).toBeGreaterThan(1);
    expect(up.startLineDeg).toBeLessThan(-0.5);
    expect(up.bounceDeg).toBe(1);
  });

  it('nothing does nothing, and too much is refused by name', () => {
    for (const value of Object.values(whatIf(seven, shot, {}))) expect(value).toBeCloseTo(0, 9);
    expect(() => whatIf(seven, shot, { bendDeg: 9 })).toThrowError('bendDeg must be between -6 and 6, not 9');
  });
});
