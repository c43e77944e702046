import type { Spec } from '@tasche/core';
import { changeSince } from '@tasche/core';
import { describe, expect, it } from 'vitest';
import { COMMANDS, type SheetView } from '../src/index.js';

const ID = '7a5c4e00-0001-4000-8000-000000000001';
const spec: Spec = {
  loftStampedDeg: { value: 46, takenOn: '2026-01-05' },
  'shot.full': { value: { carryM: 120, source: 'stated' }, takenOn: '2026-02-01' },
};
/** What the browser shows of a club before the server has answered. */
function after(readings: Extract<Parameters<typeof COMMANDS.editClub.apply>[1], object>['readings']): Spec {
  const sheet = { clubs: [{ id: ID, spec }] } as unknown as SheetView;
  return COMMANDS.editClub.apply(sheet, { clubId: ID, version: 1, readings }).clubs[0]!.spec;
}

describe('a reading shown before it is saved', () => {
  it('of a bend makes the carry one from before it, as the server will', () => {
    const bent = after([{ key: 'loftSetDeg', value: 44, takenOn: '2026-03-01' }]);
    expect(changeSince(bent, 'shot.full')).toEqual({ bendDeg: -2, takenOn: '2026-02-01' });
  });
  it('of the same day as the carry belongs to it', () => {
    const typedUp = after([{ key: 'loftSetDeg', value: 44, takenOn: '2026-02-01' }]);
    expect(changeSince(typedUp, 'shot.full')).toBeUndefined();
  });
  it('of a new carry is of the club as it is now', () => {
    const both = after([
      { key: 'loftSetDeg', value: 44, takenOn: '2026-03-01' },
      { key: 'shot.full', value: { carryM: 125, source: 'stated' }, takenOn: '2026-03-01' },
    ]);
    expect(changeSince(both, 'shot.full')).toBeUndefined();
  });
});
