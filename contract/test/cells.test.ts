import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import {
  COLUMNS,
  columnHead,
  columnOf,
  readCell,
  readDistance,
  readHandicap,
  readHeads,
  recogniseHead,
  storedMetres,
  writeCell,
} from '../src/index.js';

const column = (id: string) => columnOf(id)!;
const read = (id: string, text: string, unit: 'yd' | 'm' = 'yd') => {
  const result = readCell(column(id), text, unit);
  return result.ok ? result.value : result.reason;
};

describe('numbers as people type them', () => {
  it.each([
    ['loftStampedDeg', '44', 44],
    ['loftStampedDeg', '44,5', 44.5],
    ['loftStampedDeg', ' 44.5° ', 44.5],
    ['loftStampedDeg', '10.5 deg', 10.5],
    ['loftStampedDeg', '10.5º', 10.5],
    ['loftStampedDeg', '34½', 34.5],
    ['loftStampedDeg', '34 1/2°', 34.5],
    ['lengthIn', '37.25', 37.25],
    ['lengthIn', '37.75”', 37.75],
    ['lengthIn', "37 1/2''", 37.5],
    ['lengthIn', '37 1/4', 37.25],
    ['lengthIn', '37-1/2', 37.5],
    ['lengthIn', '37¼"', 37.25],
    ['lengthIn', '37,25 in', 37.25],
    ['lengthIn', '94 cm', 37.0079],
    ['lengthIn', '940 mm', 37.0079],
    ['shaftWeightG', '120 g', 120],
    ['price', '249,90', 249.9],
    ['price', '€ 310', 310],
    ['price', '1,200 kr', 1200],
    ['price', '1.500', 1500],
    ['price', 'CHF 1’250.50', 1250.5],
    ['price', '1 250,50', 1250.5],
    ['price', '300,-', 300],
    ['price', 'Fr. 300', 300],
    ['price', 'Rs.300', 300],
    ['price', 'kr 300', 300],
    ['price', '1.5k', 1500],
    ['price', '2k kr', 2000],
    ['price', '300 Kč', 300],
    ['price', 'ca. 90 EUR', 90],
    ['price', '0.5', 0.5],
    ['swingWeight', 'd3', 'D3'],
    ['swingWeight', 'C9,5', 'C9.5'],
    ['swingWeight', 'D2½', 'D2.5'],
    ['grooveDate', '3 Nov 2026', '2026-11-03'],
    ['grooveDate', 'Nov 3rd, 2026', '2026-11-03'],
    ['grooveDate', '5.10.2026', '2026-10-05'],
    ['grooveDate', '25/12/2025', '2025-12-25'],
    ['state', 'Back', 'backup'],
    ['stepping', 'SOFT-STEPPED', 'soft-stepped'],
    ['kind', 'Fairway wood', 'fairway'],
    ['shot.full.carryM', '150', 137.16],
    ['shot.full.carryM', '150 yds', 137.16],
    ['shot.full.carryM', '137,16m', 137.16],
    ['shot.full.apexM', '100', 30.48],
    ['shot.full.descentDeg', '48°', 48],
    ['shot.full.sampleSize', '24 shots', 24],
  ])('%s "%s" is %s', (id, text, value) => expect(read(id, text)).toBe(value));

  it.each([
    ['loftStampedDeg', 'abc', '"abc" is not a number'],
    ['loftStampedDeg', '444', 'Stamped loft must be between -2 and 80 deg'],
    ['loftStampedDeg', '34 (1 strong)', '"34 (1 strong)" is more than a number; write the number alone'],
    ['lengthIn', '3', 'Length must be between 10 and 60 in'],
    ['lengthIn', '37 1/0', '"37 1/0" is more than a number; write the number alone'],
    ['lieDeg', '2 up', '"2 up" is against a standard lie; write the angle itself, such as 62'],
    ['lieDeg', '+2', '"+2" is against a standard lie; write the angle itself, such as 62'],
    ['lengthIn', 'std', '"std" is against a standard length; write the length itself, such as 37.5'],
    ['lengthIn', '+1/2"', '"+1/2"" is against a standard length; write the length itself, such as 37.5'],
    ['lengthIn', '½" over', '"½" over" is against a standard length; write the length itself, such as 37.5'],
    ['grooveDate', 'Nov 2026', '"Nov 2026" is not a date; write it as YYYY-MM-DD'],
    ['shot.full.carryM', '900', 'full carry must be between 2 and 449 yd'],
    ['shot.full.apexM', '900', 'full apex must be between 0 and 262 ft'],
    ['shot.full.carryM', '250/260', '"250/260" holds more than one number'],
    ['shot.full.carryM', '150 chains', '"chains" is not a unit of distance; use yd, m or ft'],
    ['price', '45 in', '"45 in" is more than a number; write the number alone'],
    ['price', 'max 300', '"max 300" is more than a number; write the number alone'],
    ['price', '310 to 350', '"310 to 350" is more than a number; write the number alone'],
    ['swingWeight', '33', '"33" is not a swing weight; write it like D3'],
    ['grooveDate', '5/10/2026', '"5/10/2026" could be two dates; write it as YYYY-MM-DD'],
    ['grooveDate', '2026-02-30', 'Grooves since must be a date, YYYY-MM-DD'],
    [
      'kind',
      'spoon',
      '"spoon" is no kind of club; use one of: driver, fairway, hybrid, driving iron, iron, wedge, chipper, putter',
    ],
    ['shot.full.sampleSize', '2.5', 'full shots must be a whole number'],
    ['state', 're', undefined],
  ])('%s "%s" is refused', (id, text, reason) => {
    const result = readCell(column(id), text, 'yd');
    if (reason === undefined) expect(result).toEqual({ ok: true, value: 'retired' });
    else expect(result).toEqual({ ok: false, reason });
  });

  it('says what a gain off a tee is, in place of its bounds', () => {
    const result = readCell(column('shot.full.teeGainM'), '250', 'yd');
    expect(result).toMatchObject({
      ok: false,
      reason: expect.stringContaining('not the carry itself') as string,
    });
  });

  it('names the bounds of a distance in the reader’s unit, metres for a metre player', () => {
    const result = readCell(column('shot.full.carryM'), '900', 'm');
    expect(result).toEqual({ ok: false, reason: 'full carry must be between 1 and 411 m' });
  });

  it('reads a bare apex in feet from a yard player and in metres from a metre player', () => {
    expect(read('shot.full.apexM', '90', 'yd')).toBeCloseTo(27.432, 9);
    expect(read('shot.full.apexM', '27', 'm')).toBe(27);
  });
});

describe('a handicap', () => {
  it.each([
    ['12', 12],
    ['7,4', 7.4],
    ['+4', -4],
    ['+ 0.5', -0.5],
    ['hcp 18', 18],
    ['', null],
    ['0', 0],
  ] as const)('"%s" is %s', (text, value) => {
    expect(readHandicap(text)).toEqual({ ok: true, value });
  });

  it.each(['scratch', '60', '+9', '12 clubs'])('"%s" is refused with what to write', (text) => {
    const read = readHandicap(text);
    expect(read.ok ? '' : read.reason).toMatch(/handicap/i);
  });
});

describe('a distance', () => {
  it('may have its thousands marked where both marks stand; one mark is the decimal’s', () => {
    const metres = (text: string) => readDistance(text, 'm');
    for (const text of ['1.200,5', '1,200.5 m', '1200,5'])
      expect(metres(text)).toEqual({ ok: true, value: 1200.5 });
    expect(metres('1.200')).toEqual({ ok: true, value: 1.2 });
    for (const text of ['1.20,5', '1,2,5', '12.3456,7']) expect(metres(text).ok, text).toBe(false);
  });

  it('survives any number of trips through yards, feet and metres (property)', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 5, max: 400, noNaN: true }),
        fc.constantFrom('yd' as const, 'm' as const),
        (value, unit) => {
          const stored = storedMetres(value, unit);
          for (const id of ['shot.full.carryM', 'shot.full.totalM']) {
            for (const through of ['yd', 'm'] as const)
              expect(readCell(column(id), writeCell(column(id), stored, through), through)).toEqual({
                ok: true,
                value: stored,
              });
          }
        },
      ),
    );
  });

  it('is never read as anything but a finite number or a refusal, whatever is typed (property)', () => {
    fc.assert(
      fc.property(
        fc.string(),
        fc.constantFrom('shot.full.carryM', 'loftStampedDeg', 'lengthIn', 'price'),
        (text, id) => {
          const result = readCell(column(id), text, 'yd');
          if (result.ok) expect(Number.isFinite(result.value)).toBe(true);
          else expect(result.reason).not.toBe('');
        },
      ),
    );
  });
});

describe('heads', () => {
  it.each([
    ['Carry (yds)', 'shot.full.carryM', { distance: 'yd' }],
    ['full carry [m]', 'shot.full.carryM', { distance: 'm' }],
    ['CARRY', 'shot.full.carryM', {}],
    ['Carry yards', 'shot.full.carryM', { distance: 'yd' }],
    ['Soft', 'shot.soft.carryM', {}],
    ['3/4 carry', 'shot.three-quarter.carryM', {}],
    ['Length cm', 'lengthIn', { length: 'cm' }],
    ['Loft', 'loftStampedDeg', {}],
    ['Club Name', 'name', {}],
    ['Shots', 'shot.full.sampleSize', {}],
    ['Peak height (ft)', 'shot.full.apexM', { distance: 'ft' }],
    ['SW', 'swingWeight', {}],
  ])('%s', (head, id, units) => {
    const found = recogniseHead(head);
    expect(found?.column.id).toBe(id);
    expect(found?.units).toEqual(units);
  });

  it('is unknown for anything else, and a row of values is not a header row', () => {
    expect(recogniseHead('Smash factor')).toBeUndefined();
    expect(readHeads(['Driver', '9', '251'])).toBeUndefined();
    expect(readHeads(['Club', 'Smash'])).toHaveLength(2);
  });

  it("every column's own head is recognised as itself", () => {
    for (const one of COLUMNS) expect(recogniseHead(columnHead(one, 'yd'))?.column.id).toBe(one.id);
  });
});

describe('an angle as people write it', () => {
  it('may have a star for its degrees', () => {
    expect(readCell(columnOf('loftStampedDeg')!, '56*', 'yd')).toEqual({ ok: true, value: 56 });
  });
  it.each(['2 flat', '1° up', '+1 upright'])('a lie of "%s" is asked for as an angle', (text) => {
    expect(readCell(columnOf('lieDeg')!, text, 'yd')).toEqual({
      ok: false,
      reason: `"${text}" is against a standard lie; write the angle itself, such as 62`,
    });
  });
});
