import type { ClubView } from '@tasche/contract';
import { mount } from '@vue/test-utils';
import { describe, expect, it } from 'vitest';
import GaugeTable from '../../src/bench/GaugeTable.vue';
import {
  angleMeasured,
  angleWords,
  backTicket,
  checkedClub,
  inCheckOrder,
  isOff,
  movingLoftWords,
} from '../../src/bench/bag-check';
import { clubView } from '../sheet';

const SINCE = '2026-11-20';
const spec = (values: Record<string, [value: number, takenOn: string]>) =>
  Object.fromEntries(
    Object.entries(values).map(([key, [value, takenOn]]) => [key, { value, takenOn }]),
  ) as ClubView['spec'];
const club = (id: string, values: Record<string, [number, string]>, kind: ClubView['kind'] = 'iron') => ({
  ...clubView(id),
  kind,
  spec: spec(values),
});
const seven = club('7', {
  loftSetDeg: [32, '2026-01-01'],
  loftMeasuredDeg: [33.5, '2026-11-21'],
  lieSetDeg: [62, '2026-01-01'],
  lieDeg: [62, '2026-10-02'],
});

describe('a club in a check', () => {
  it('has what was measured since it began, and what it was before', () => {
    const { done, angles } = checkedClub(seven, SINCE);
    expect(done).toBe(true);
    expect(angles[0]).toMatchObject({
      gauged: 'loft',
      wanted: '32.0°',
      last: '',
      value: 33.5,
      verdict: 'off',
    });
    expect(angles[1]).toMatchObject({ gauged: 'lie', value: null, verdict: undefined });
    expect(angles[1]!.last).toMatch(/^62\.0° on 2 Oct/);
    expect(checkedClub(club('8', {}), SINCE)).toMatchObject({ done: false });
    expect(checkedClub(club('8', {}), SINCE).angles.map(({ last }) => last)).toEqual(['never', 'never']);
  });

  it('is told how far it is off, and a club impossibly far off is taken for mistyped', () => {
    const [loft] = checkedClub(seven, SINCE).angles;
    expect(angleWords(loft!)).toBe('1.5° over');
    expect(isOff(loft!)).toBe(true);
    const far = { ...loft!, off: -6 };
    expect(angleWords(far)).toBe('6.0° under: mistyped, or another club?');
    expect(isOff(far)).toBe(false);
    expect(angleWords({ ...loft!, verdict: 'at the edge', off: 0.7 })).toBe('0.7° over, measure again');
    expect(angleWords({ ...loft!, verdict: 'right' })).toBe('right');
  });

  it('stands by the loft that is wanted, putters last', () => {
    const order = inCheckOrder([
      club('Putter', { loftSetDeg: [3, '2026-01-01'] }, 'putter'),
      club('52', { loftSetDeg: [52, '2026-01-01'] }, 'wedge'),
      seven,
    ]);
    expect(order.map(({ id }) => id)).toEqual(['7', '52', 'Putter']);
  });

  it('is recorded as measured; a lie that was never set is kept as what is wanted first', () => {
    expect(angleMeasured(seven, 'loft', 32.5, { since: SINCE, takenOn: '2026-11-22' })).toMatchObject({
      do: 'editClub',
      clubId: '7',
      readings: [{ key: 'loftMeasuredDeg', value: 32.5, takenOn: '2026-11-22' }],
    });
    const unset = club('8', { lieDeg: [62.5, '2026-03-01'] });
    expect(angleMeasured(unset, 'lie', 61, { since: SINCE, takenOn: '2026-11-22' })).toMatchObject({
      readings: [
        { key: 'lieSetDeg', value: 62.5 },
        { key: 'lieDeg', value: 61, takenOn: '2026-11-22' },
      ],
    });
  });

  it('is bent back by a ticket that says what is wanted and why', () => {
    expect(backTicket(checkedClub(seven, SINCE), SINCE, { eventId: null, dueOn: null })).toEqual({
      job: 'bend',
      name: 'Bend the 7 back',
      clubId: '7',
      wanted: [{ key: 'loftSetDeg', value: 32 }],
      why: 'loft 1.5° over',
      eventId: null,
      dueOn: null,
    });
  });
});

describe('the table of a check', () => {
  it('writes what is typed, says where the cursor is, and goes on to the next field', async () => {
    const rows = [seven, club('8', { loftSetDeg: [36, '2026-01-01'] })].map((one) => checkedClub(one, SINCE));
    const view = mount(GaugeTable, { props: { rows, readOnly: false }, attachTo: document.body });
    const fields = view.findAll('input');
    expect(fields).toHaveLength(4);
    await fields[2]!.trigger('focusin');
    expect(view.emitted('here')).toEqual([['8', 'loft']]);
    await fields[2]!.setValue('36.5');
    await fields[2]!.trigger('blur');
    expect(view.emitted('write')).toEqual([['8', 'loft', 36.5]]);
    await view.vm.next('7', 'lie');
    expect(document.activeElement).toBe(fields[2]!.element);
    await view.vm.focus('7', 'loft');
    expect(document.activeElement).toBe(fields[0]!.element);
    expect(view.get('.verdict').text()).toBe('■ 1.5° over');
    view.unmount();
  });
});

describe('the loft of a club that moves by itself', () => {
  const lofts = (clubId: string, degs: readonly number[]) =>
    degs.map((deg, i) => ({ clubId, deg, takenOn: `2026-0${i + 2}-01` }));
  const set = club('7', { loftSetDeg: [32, '2026-01-01'] });

  it('is said with its size and how sure that is, of readings since it was set', () => {
    const words = movingLoftWords(set, lofts('7', [32, 32.5, 33, 33.5, 34, 34.5]));
    expect(words).toMatch(/^The 7 moves: 0\.5\d° weaker a month, ±\d\.\d\d°, over 6 readings\.$/);
    expect(movingLoftWords(set, lofts('7', [34.5, 34, 33.5, 33, 32.5, 32]))).toContain('stronger');
    const setLater = club('7', { loftSetDeg: [34, '2026-06-02'] });
    expect(movingLoftWords(setLater, lofts('7', [32, 32.5, 33, 33.5, 34, 34.5]))).toBeUndefined();
  });

  it('is not said of one that stands, of another club’s readings, or of too few', () => {
    expect(movingLoftWords(set, lofts('7', [32, 32.1, 31.9, 32, 32.1, 32]))).toBeUndefined();
    expect(movingLoftWords(set, lofts('8', [32, 32.5, 33, 33.5, 34, 34.5]))).toBeUndefined();
    expect(movingLoftWords(set, lofts('7', [32, 35]))).toBeUndefined();
  });
});
