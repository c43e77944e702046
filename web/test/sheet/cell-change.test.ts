import { columnOf, type Command } from '@tasche/contract';
import type { Shot } from '@tasche/core';
import { describe, expect, it } from 'vitest';
import { cellChange } from '../../src/sheet/cell-change';
import { clubView } from '../sheet';

const ON = '2026-11-25';
const measured = clubView('7 iron', {
  carryM: 150,
  totalM: 156,
  apexM: 30,
  descentDeg: 48,
  spreadM: 4,
  sampleSize: 12,
  source: 'measured',
});

function typed(club: ReturnType<typeof clubView>, column: string, text: string, unit: 'yd' | 'm' = 'm') {
  return cellChange(club, columnOf(column)!, text, unit, ON);
}
function reading(change: ReturnType<typeof typed>): unknown {
  if (!change.ok) throw new Error(change.reason);
  const command = change.commands[0] as Extract<Command, { do: 'editClub' }>;
  return command.readings![0];
}

describe('what typing into a cell comes to', () => {
  it('dates a reading and names the version it was typed over', () => {
    expect(typed(measured, 'loftSetDeg', '31,5')).toEqual({
      ok: true,
      commands: [
        {
          do: 'editClub',
          clubId: '7 iron',
          version: 3,
          readings: [{ key: 'loftSetDeg', value: 31.5, takenOn: ON }],
        },
      ],
    });
  });

  it('writes nothing where nothing changes', () => {
    expect(typed(measured, 'loftStampedDeg', '30°')).toEqual({ ok: true, commands: [] });
    expect(typed(measured, 'name', ' 7 iron ')).toEqual({ ok: true, commands: [] });
    expect(typed(measured, 'lieDeg', '')).toEqual({ ok: true, commands: [] });
  });

  it('makes a new carry stated: the old sample does not speak for it', () => {
    const { value } = reading(typed(measured, 'shot.full.carryM', '155')) as { value: Shot };
    expect(value).toEqual({ carryM: 155, apexM: 30, descentDeg: 48, source: 'stated' });
  });

  it('takes a carry as people say it: the middle of a range, and half its width', () => {
    expect(reading(typed(clubView('7 iron'), 'shot.full.carryM', '150-155'))).toEqual({
      key: 'shot.full',
      value: { carryM: 152.5, plusMinusM: 2.5, source: 'stated' },
      takenOn: ON,
    });
    // A plain number afterwards is no range any more.
    const ranged = clubView('7 iron', { carryM: 152.5, plusMinusM: 2.5, source: 'stated' });
    expect(reading(typed(ranged, 'shot.full.carryM', '151'))).toMatchObject({
      value: { carryM: 151, source: 'stated' },
    });
    for (const [text, reason] of [
      ['155-150', 'ends before it begins'],
      ['100-200', 'too wide a range'],
      ['150-far', 'is not a unit of distance'],
    ] as const) {
      const change = typed(clubView('7 iron'), 'shot.full.carryM', text);
      expect(change, text).toMatchObject({ ok: false });
      expect(change.ok ? '' : change.reason).toContain(reason);
    }
  });

  it('makes a shot measured when its number of shots is given', () => {
    const stated = clubView('8 iron', { carryM: 140 });
    expect(reading(typed(stated, 'shot.full.sampleSize', '9'))).toMatchObject({
      value: { carryM: 140, sampleSize: 9, source: 'measured' },
    });
  });

  it('reads yards into metres and keeps them', () => {
    expect(reading(typed(clubView('9 iron'), 'shot.full.carryM', '150', 'yd'))).toMatchObject({
      value: { carryM: 137.16, source: 'stated' },
    });
  });

  it.each([
    ['shot.soft.totalM', '120', 'give the carry first'],
    ['shot.full.totalM', '100', 'shorter than the carry'],
    ['shot.full.source', '', 'clear the carry to clear this'],
    ['name', '  ', 'a club needs a name'],
    ['loftStampedDeg', 'strong', 'is not a number'],
    ['shot.full.carryM', '-12', 'between 1 and 411'],
  ])('refuses %s = "%s" and says why', (column, text, reason) => {
    expect(typed(measured, column, text)).toMatchObject({
      ok: false,
      reason: expect.stringContaining(reason) as string,
    });
  });

  it('takes the whole shot back with its carry, and else only the part', () => {
    expect(reading(typed(measured, 'shot.full.carryM', ''))).toEqual({
      key: 'shot.full',
      value: null,
      takenOn: ON,
    });
    expect(reading(typed(measured, 'shot.full.apexM', ''))).toMatchObject({
      value: { carryM: 150, descentDeg: 48, sampleSize: 12 },
    });
    expect((reading(typed(measured, 'shot.full.sampleSize', '')) as { value: Shot }).value.source).toBe(
      'stated',
    );
  });

  it('says how much farther a club goes off a tee, or less, in the reader’s unit; a new carry leaves it', () => {
    const known = reading(typed(measured, 'shot.full.teeGainM', '+8', 'yd')) as { value: Shot };
    expect(known.value).toMatchObject({ carryM: 150, source: 'measured', sampleSize: 12 });
    expect(known.value.teeGainM).toBeCloseTo(7.315, 3);
    expect((reading(typed(measured, 'shot.full.teeGainM', '-3')) as { value: Shot }).value.teeGainM).toBe(-3);
    const club = clubView('7 iron', known.value);
    expect((reading(typed(club, 'shot.full.carryM', '148')) as { value: Shot }).value.teeGainM).toBeCloseTo(
      7.315,
      3,
    );
    const far = typed(measured, 'shot.full.teeGainM', '60');
    expect(far).toMatchObject({ ok: false, reason: expect.stringContaining('not the carry itself') });
    expect(typed({ ...measured, kind: 'driver' }, 'shot.full.teeGainM', '5')).toEqual({
      ok: false,
      reason: 'a driver’s carry is one from a tee already',
    });
    expect(typed(clubView('new'), 'shot.full.teeGainM', '5')).toEqual({
      ok: false,
      reason: 'give the carry first',
    });
  });
});
