import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import {
  MAKE_UP_BOUNDS,
  USUAL_MAKE_UP,
  gaps,
  kindFromName,
  placedClubs,
  usualBag,
  type LadderClub,
  type MakeUp,
} from '../../src/index.js';

const makeUps = fc.record(
  Object.fromEntries(
    Object.entries(MAKE_UP_BOUNDS).map(([part, [min, max]]) => [part, fc.integer({ min, max })]),
  ) as Record<keyof MakeUp, fc.Arbitrary<number>>,
);

describe('a usual bag', () => {
  it('is the bag most people carry', () => {
    const bag = usualBag(USUAL_MAKE_UP);
    expect(bag.map(({ name }) => name).join(', ')).toBe(
      'Driver, 3 wood, 5 wood, Hybrid 4, 5 iron, 6 iron, 7 iron, 8 iron, 9 iron, PW, 50, 54, 58, Putter',
    );
    expect(bag.find(({ name }) => name === 'Hybrid 4')!.loftDeg).toBe(22);
  });

  it('whatever the make-up, lofts rise, names are told apart and say their kind, and fourteen are not passed', () => {
    fc.assert(
      fc.property(makeUps, (makeUp) => {
        const bag = usualBag(makeUp);
        expect(bag.length).toBeLessThanOrEqual(14);
        expect(new Set(bag.map(({ name }) => name)).size).toBe(bag.length);
        const lofts = bag.slice(0, -1).map(({ loftDeg }) => loftDeg);
        expect(lofts.every((loft, i) => i === 0 || loft > lofts[i - 1]! + 1)).toBe(true);
        for (const { name, kind } of bag) expect(kindFromName(name)).toBe(kind);
        for (const [kind, part] of [
          ['fairway', 'woods'],
          ['hybrid', 'hybrids'],
        ] as const)
          expect(bag.filter((club) => club.kind === kind)).toHaveLength(makeUp[part]);
      }),
    );
  });

  it('one known carry places every club, and no step is a fault before anything else is known', () => {
    const clubs = usualBag(USUAL_MAKE_UP).map(({ name, kind, loftDeg }) => ({
      id: name,
      name,
      kind,
      loftDeg,
      shots: name === '7 iron' ? { full: { carryM: 140, source: 'stated' as const } } : {},
    }));
    const placed = placedClubs(clubs);
    expect(placed.filter(({ kind }) => kind !== 'putter').every(({ shots }) => shots.full)).toBe(true);
    expect(gaps(placed).faults).toBe(0);
  });

  it('of no swing, slow or fast, is a number taken to be wrong; one that is, by half, always is', () => {
    const numbers = (makeUp: MakeUp, sevenIronM: number) => {
      const clubs = usualBag(makeUp).map(({ name, kind, loftDeg }) => ({
        id: name,
        name,
        kind,
        loftDeg,
        shots: name === '7 iron' ? { full: { carryM: sevenIronM, source: 'stated' as const } } : {},
      }));
      return placedClubs(clubs).filter(({ shots }) => shots.full);
    };
    const mixedUp = (clubs: readonly LadderClub[]) =>
      gaps(clubs).flags.flatMap(({ code, clubIds }) => (code === 'mixed-up' ? clubIds : []));
    fc.assert(
      fc.property(fc.double({ min: 60, max: 190, noNaN: true }), fc.nat(), (sevenIronM, pick) => {
        const clubs = numbers(USUAL_MAKE_UP, sevenIronM);
        expect(mixedUp(clubs)).toEqual([]);
        const irons = clubs.filter(({ kind, loftDeg }) => kind === 'iron' && loftDeg! > 30);
        const { id } = irons[pick % irons.length]!;
        const typed = clubs.map((one) =>
          one.id === id
            ? { ...one, shots: { full: { carryM: one.shots.full!.carryM * 1.5, source: 'stated' as const } } }
            : one,
        );
        expect(mixedUp(typed)).toContain(id);
      }),
      { numRuns: 40 },
    );
  });

  it('refuses an impossible make-up, and names the part', () => {
    expect(() => usualBag({ ...USUAL_MAKE_UP, hybrids: 9 })).toThrow(
      'hybrids must be a whole number between 0 and 3',
    );
    expect(() => usualBag({ ...USUAL_MAKE_UP, wedges: 1.5 })).toThrow('wedges');
  });
});
