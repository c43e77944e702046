import { describe, expect, it } from 'vitest';
import {
  USUAL_MAKE_UP,
  airOf,
  BASELINE,
  carryCurve,
  kindFromName,
  launchOfShot,
  loftOrUsual,
  loftPlace,
  placedClubs,
  usualBag,
  usualLoftOf,
  type LadderClub,
} from '../../src/index.js';
import { strongSetWedge } from '../bag-of-clubs.js';

const loftOf = (name: string) => usualLoftOf({ kind: kindFromName(name)!, name });

describe('the loft a club usually has', () => {
  it.each([
    ['Driver', 10.5],
    ['3 wood', 15],
    ['3w old', 15],
    ['Hybrid 4', 22.5],
    ['4h', 22.5],
    ['Hybrid 19', 19],
    ['7 iron', 32],
    ['i7', 32],
    ['#9', 41],
    ['2 iron', 18],
    ['PW', 45],
    ['P', 45],
    ['gap wedge', 50],
    ['AW', 50],
    ['SW', 56],
    ['SW 54', 54],
    ['60V', 60],
    ['lob', 60],
  ])('of a %s is %d°', (name, loftDeg) => {
    expect(loftOf(name)).toBe(loftDeg);
  });

  it('is not known where the name says nothing', () => {
    for (const name of [
      'Hybrid',
      'Fairway wood',
      'Driving iron',
      'Putter',
      'Chipper',
      'wedge',
      '7 iron 31.5',
    ])
      expect([name, loftOf(name) === undefined]).toEqual([name, name !== '7 iron 31.5']);
    expect(usualLoftOf({ kind: 'iron', name: 'Old blade' })).toBeUndefined();
    expect(usualLoftOf({ kind: 'hybrid' })).toBeUndefined();
  });

  it('orders a list with the lofts that are known, putters last', () => {
    const at = (name: string, deg?: number) => ({
      name,
      kind: kindFromName(name)!,
      spec: deg === undefined ? {} : { loftSetDeg: { value: deg, takenOn: '2026-11-30' } },
    });
    const list = [
      at('putter', 3),
      at('LW', 58),
      at('Hybrid'),
      at('PW'),
      at('7 iron'),
      at('Driver'),
      at('8 iron', 36),
    ];
    expect(list.toSorted((a, b) => loftPlace(a) - loftPlace(b)).map(({ name }) => name)).toEqual([
      'Driver',
      '7 iron',
      '8 iron',
      'PW',
      'LW',
      'Hybrid',
      'putter',
    ]);
  });

  it('gives way to its own, and is that of the usual bag', () => {
    expect(loftOrUsual({ kind: 'iron', name: '7 iron', loftDeg: 29 })).toBe(29);
    expect(loftOrUsual({ kind: 'iron', name: 'PW' })).toBe(45);
    for (const { name, kind, loftDeg } of usualBag({ ...USUAL_MAKE_UP, hybrids: 0 }))
      if (kind !== 'putter') expect([name, usualLoftOf({ name, kind })]).toEqual([name, loftDeg]);
  });
});

describe('a bag of carries without a single loft', () => {
  const bag = strongSetWedge().map(({ loftDeg: _loftDeg, ...club }): LadderClub => club);
  const without = (name: string) =>
    bag.map((club): LadderClub => (club.name === name ? { ...club, shots: {} } : club));
  const modelled = (name: string) =>
    placedClubs(without(name)).find((club) => club.name === name)!.shots.full;

  it('has a place for a club whose carry is not known, with an interval that holds its true one', () => {
    for (const { name, shots } of bag.filter((club) => !['Hybrid', 'Putter', 'Driver'].includes(club.name))) {
      const found = modelled(name)!;
      expect(found.source).toBe('modelled');
      expect([name, Math.abs(found.carryM - shots.full!.carryM) < found.plusMinusM!]).toEqual([name, true]);
    }
    expect(modelled('Hybrid')).toBeUndefined();
  });

  it('needs one carry for that: of names alone nothing is said', () => {
    const named = bag.map((club): LadderClub => ({ ...club, shots: {} }));
    expect(placedClubs(named).every(({ shots }) => shots.full === undefined)).toBe(true);
    const one = named.map((club) =>
      club.name === '7 iron' ? bag.find(({ name }) => name === '7 iron')! : club,
    );
    const placed = placedClubs(one).filter(({ shots }) => shots.full);
    // All but the hybrid without a number and the putter.
    expect(placed).toHaveLength(bag.length - 2);
  });

  it('is less sure of it than one whose lofts are known', () => {
    const known = carryCurve(strongSetWedge()).at('iron', 32).carryM;
    const usual = modelled('7 iron')!;
    expect(usual.plusMinusM! / usual.carryM).toBeGreaterThan(known.plusMinus / known.value);
  });

  it('flies a short iron higher and steeper than a long one, as it is', () => {
    const flight = (name: string) => {
      const club = bag.find((one) => one.name === name)!;
      return launchOfShot('iron', loftOrUsual(club), club.shots.full!.carryM, airOf(BASELINE)).flight;
    };
    expect(flight('9 iron').descentDeg).toBeGreaterThan(flight('7 iron').descentDeg);
    expect(flight('7 iron').descentDeg).toBeGreaterThan(flight('5 iron').descentDeg);
  });
});
