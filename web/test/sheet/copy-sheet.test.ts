import { readClubText, type ClubView } from '@tasche/contract';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { bagMessage, sheetTable } from '../../src/sheet/copy-sheet';
import { COLUMN_SETS } from '../../src/sheet/sheet-columns';
import { clubView } from '../sheet';

const GAPS = COLUMN_SETS[0]!.columns;
const ON = { takenOn: '2026-11-30' };
const club = (name: string, loftDeg: number | null, carryM: number | null, isModelled = false): ClubView => ({
  ...clubView(name),
  spec: {
    ...(loftDeg !== null && { loftStampedDeg: { value: loftDeg, takenOn: '2026-10-01' } }),
    ...(carryM !== null && {
      'shot.full': {
        value: { carryM, source: isModelled ? ('modelled' as const) : ('stated' as const) },
        takenOn: '2026-10-01',
      },
    }),
  },
});

describe('a sheet that is copied', () => {
  it('is a table with its heads, one row a club, and no cell holds what parts cells', () => {
    const text = sheetTable([club('7\tiron\nsoft', 32, 150), club('PW', 46, null)], GAPS, 'm');
    expect(text.split('\n').map((row) => row.split('\t'))).toEqual([
      ['club', 'loft', 'length', 'shaft', 'sw', 'carry', 'source'],
      ['7 iron soft', '32.0', '', '', '', '150', expect.any(String)],
      ['PW', '46.0', '', '', '', '', ''],
    ]);
  });

  it('holds no formula, whatever a club is called, and is read by its name again', () => {
    const text = sheetTable([club('=1+1', 32, 150)], GAPS, 'm');
    expect(text.split('\n')[1]).toMatch(/^'=1\+1\t32\.0/);
    expect(readClubText(text, { distanceUnit: 'm', ...ON }).rows[0]!.name).toBe('=1+1');
  });

  it('is read by the sheet it is pasted into, with lofts and carries', () => {
    const text = sheetTable([club('7 iron', 32.5, 150), club('PW', 46, 120)], GAPS, 'm');
    const { rows } = readClubText(text, { distanceUnit: 'm', ...ON });
    expect(rows.map(({ name, readings }) => [name, readings.map(({ value }) => value)])).toEqual([
      ['7 iron', [32.5, { carryM: 150, source: 'stated' }]],
      ['PW', [46, { carryM: 120, source: 'stated' }]],
    ]);
  });
});

describe('a bag for a message', () => {
  it('is a club a line, its carry "about" where it was worked out', () => {
    const bag = [club('Driver', 9.5, 230), club('5 wood', 18, 200, true), club('Putter', 3, null)];
    expect(bagMessage(bag, 'm')).toBe('Driver 9.5° 230 m\n5 wood 18° ~200 m\nPutter 3°');
    expect(bagMessage(bag.slice(0, 1), 'yd')).toBe('Driver 9.5° 252 yd');
    const pw = club('PW', 46, 120);
    const asItWas = { ...pw.spec['shot.full']!, build: { loftSetDeg: null } };
    const bent = {
      ...pw,
      spec: { ...pw.spec, 'shot.full': asItWas, loftSetDeg: { value: 44, takenOn: '2026-11-01' } },
    };
    expect(bagMessage([bent], 'm')).toBe('PW 44° ~120 m');
    expect(bagMessage([club('My old one', null, null)], 'yd')).toBe('My old one');
    expect(bagMessage([], 'yd')).toBe('');
  });

  it('is read where it is pasted: every club with its loft and its carry, and nothing else', () => {
    const lofts = {
      ...{ Driver: 9.5, '3 wood': 15, '5 wood': 18, 'Hybrid 4': 22, '5 iron': 25.5, '7 iron': 32 },
      ...{ '9 iron': 41, PW: 46, '52': 52, '58': 58, Putter: 3 },
    };
    const names = Object.keys(lofts) as (keyof typeof lofts)[];
    fc.assert(
      fc.property(
        fc.uniqueArray(fc.constantFrom(...names), { minLength: 2 }),
        fc.constantFrom('yd' as const, 'm' as const),
        fc.infiniteStream(
          fc.record({
            halfDegrees: fc.integer({ min: -2, max: 2 }),
            carryM: fc.integer({ min: 60, max: 280 }),
            isModelled: fc.boolean(),
          }),
        ),
        (bag, unit, made) => {
          const clubs = bag.map((name) => {
            const { halfDegrees, carryM, isModelled } = made.next().value;
            return club(name, lofts[name] + halfDegrees / 2, name === 'Putter' ? null : carryM, isModelled);
          });
          const { rows } = readClubText(bagMessage(clubs, unit), { distanceUnit: unit, ...ON });
          expect(rows.map(({ name }) => name)).toEqual(bag);
          for (const [i, { readings, rejected }] of rows.entries()) {
            expect(rejected).toEqual([]);
            const { spec } = clubs[i]!;
            const [loft, shot] = readings;
            expect(loft).toMatchObject({ key: 'loftStampedDeg', value: spec.loftStampedDeg!.value });
            if (!spec['shot.full']) expect(shot).toBeUndefined();
            else
              expect(
                Math.abs(
                  (shot!.value as { carryM: number }).carryM -
                    (spec['shot.full'].value as { carryM: number }).carryM,
                ),
              ).toBeLessThan(0.5);
          }
        },
      ),
      { numRuns: 100 },
    );
  });
});
