import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { toMetres } from '@tasche/core';
import { columnOf, readCarry, readClubTable, readShotCell, type Column } from '../src/index.js';

type ShotColumn = Extract<Column, { type: 'shot' }>;

describe('a carry as people say it', () => {
  it('is one distance or the two it lies between, in any unit and with any dash', () => {
    expect(readCarry('250', 'yd')).toEqual({ ok: true, value: { carryM: 228.6 } });
    for (const text of ['250-255', '250 – 255', '250—255 yd', '250 to 255 yards', '250yd-255yd'])
      expect(readCarry(text, 'yd'), text).toEqual({
        ok: true,
        value: { carryM: 230.886, plusMinusM: 2.286 },
      });
    expect(readCarry('137,5-140', 'm')).toEqual({ ok: true, value: { carryM: 138.75, plusMinusM: 1.25 } });
  });

  it('may be several shots, three or more: their mean, and half of what they lie apart', () => {
    for (const text of ['150 155 148', '150, 155, 148', '150/155/148', '150 / 155 / 148 m'])
      expect(readCarry(text, 'm'), text).toEqual({ ok: true, value: { carryM: 151, plusMinusM: 3.5 } });
    expect(readCarry('150 150 150', 'm')).toEqual({ ok: true, value: { carryM: 150 } });
    // Not two, which may be a carry and a total, nor what cannot be of one club.
    for (const text of [
      '250 270',
      '150 90 210',
      '90/80/70',
      '131/118/104',
      '150 155 miles',
      '150 155 148 furlongs',
    ])
      expect(readCarry(text, 'm').ok, text).toBe(false);
  });

  it('may be said to be about so far, in a cell too', () => {
    for (const text of ['~150', 'ca. 150', 'about 150 yd', '150ish', '150 yds approx', '150 or so'])
      expect(readShotCell(columnOf('shot.full.carryM') as ShotColumn, text, 'yd'), text).toEqual({
        ok: true,
        value: { carryM: 137.16 },
      });
    expect(readCarry('about 250-255', 'yd')).toMatchObject({ ok: true, value: { plusMinusM: 2.286 } });
    for (const text of ['about', 'ish', '~', 'about far']) expect(readCarry(text, 'yd').ok, text).toBe(false);
  });

  it('keeps the middle and the width of whatever range is written', () => {
    fc.assert(
      fc.property(fc.integer({ min: 40, max: 300 }), fc.integer({ min: 1, max: 10 }), (from, width) => {
        const read = readCarry(`${from}-${from + width}`, 'yd');
        if (!read.ok) throw new Error(read.reason);
        expect(read.value.carryM).toBeCloseTo(toMetres(from + width / 2, 'yd'), 3);
        expect(read.value.plusMinusM).toBeCloseTo(toMetres(width / 2, 'yd'), 3);
      }),
    );
  });

  it('that means nothing is refused, and says what was written', () => {
    for (const text of ['255-250', '10-200', '250-255 miles', 'far']) {
      const read = readCarry(text, 'yd');
      expect(read.ok, text).toBe(false);
      expect(read.ok ? '' : read.reason).toContain(text.includes('miles') ? 'miles' : text);
    }
  });

  it('comes in with a pasted table too', () => {
    const columns = ['name', 'shot.full.carryM', 'shot.soft.carryM'].map((id) => ({
      column: columnOf(id)!,
      units: {},
    }));
    const { rows } = readClubTable([['5 wood', '215-220', '205']], columns, ['Club', 'Carry', 'Soft'], {
      distanceUnit: 'yd',
      takenOn: '2026-11-26',
    });
    expect(rows[0]!.rejected).toEqual([]);
    expect(rows[0]!.readings).toMatchObject([
      { key: 'shot.full', value: { carryM: 198.882, plusMinusM: 2.286, source: 'stated' } },
      { key: 'shot.soft', value: { carryM: 187.452, source: 'stated' } },
    ]);
  });
});
