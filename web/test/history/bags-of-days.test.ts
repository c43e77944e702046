import type { ClubView, DayView } from '@tasche/contract';
import { mount } from '@vue/test-utils';
import { describe, expect, it } from 'vitest';
import BagsOfDays from '../../src/history/BagsOfDays.vue';
import { bagsOfDays } from '../../src/history/bags-of-days';
import { clubView } from '../sheet';

const fact = (value: number | { carryM: number; source: 'stated' }) => ({ value, takenOn: '2026-01-01' });
const club = (id: string, loftDeg: number | null, carryM: number | null, more: Partial<ClubView> = {}) => ({
  ...clubView(id),
  spec: {
    ...(loftDeg !== null && { loftMeasuredDeg: fact(loftDeg) }),
    ...(carryM !== null && { 'shot.full': fact({ carryM, source: 'stated' }) }),
  },
  ...more,
});
const day = (of: string, clubs: readonly ReturnType<typeof club>[], clubIds: readonly string[]): DayView => ({
  day: of,
  gamer: { bagId: 'g', name: 'Gamer', clubIds },
  clubs,
  ball: null,
});

describe('two bags side by side', () => {
  const then = day(
    '2026-03-14',
    [club('7', 33, 150), club('4', 23, 190), club('P', 3, null, { kind: 'putter' })],
    ['7', '4', 'P'],
  );
  const after = day(
    '2026-11-01',
    [club('7', 32, 150), club('4', 23, 190), club('U', 21, null), club('P', 3, null, { kind: 'putter' })],
    ['7', 'U', 'P'],
  );

  it('have a line a club, by loft, the putter last; a club of one day is missing on the other', () => {
    expect(
      bagsOfDays(then, after).map(({ id, then: was, after: is }) => [id, was?.loftDeg, is?.loftDeg]),
    ).toEqual([
      ['U', undefined, 21],
      ['4', 23, undefined],
      ['7', 33, 32],
      ['P', null, null],
    ]);
    expect(bagsOfDays({ ...then, gamer: null }, { ...after, gamer: null })).toEqual([]);
  });

  it('show what came in, what went out, and what differs', () => {
    const view = mount(BagsOfDays, {
      props: {
        then: { ...then, ball: 'Moos Two' },
        after: { ...after, ball: 'Moos Three' },
        unit: 'm' as const,
      },
    });
    expect(view.findAll('del').map((one) => one.text())).toEqual(['4']);
    expect(view.findAll('ins').map((one) => one.text())).toEqual(['U', '32.0°', 'Moos Three']);
    expect(view.text()).toContain('190');
  });
});
