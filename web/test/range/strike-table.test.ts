import type { StrikeView } from '@tasche/contract';
import { mount } from '@vue/test-utils';
import { createPinia, setActivePinia } from 'pinia';
import { beforeEach, describe, expect, it } from 'vitest';
import StrikeTable from '../../src/range/StrikeTable.vue';
import { useSheet } from '../../src/sheet/sheet-store';
import { clubView, sheetOf } from '../sheet';

const CLUBS = [clubView('7', { carryM: 150 })];
const strike = (number: number, more: Partial<StrikeView> = {}): StrikeView => ({
  id: `s${number}`,
  sessionId: 's',
  clubId: '7',
  shot: 'full',
  number,
  hitAt: null,
  builtOn: '2026-11-01',
  given: { carryM: 150 },
  leftOut: null,
  ...more,
});
const table = (strikes: readonly StrikeView[]) =>
  mount(StrikeTable, { props: { strikes, rows: new Map(), unit: 'm' } });

describe('the balls of a session', () => {
  beforeEach(() => {
    setActivePinia(createPinia());
    useSheet().sheet = sheetOf(CLUBS, ['7']);
  });

  it('are the newest twenty-five at first, and the rest with a press, by their own numbers', async () => {
    const view = table(Array.from({ length: 40 }, (_one, i) => strike(i + 1)));
    const numbers = () => view.findAll('tbody tr td:first-child').map((cell) => Number(cell.text()));
    expect([numbers().length, numbers()[0], numbers().at(-1)]).toEqual([25, 16, 40]);
    expect(view.find('[aria-label="Leave out shot 16"]').exists()).toBe(true);
    const more = () => view.findAll('button').find((one) => one.text().startsWith('Show '));
    expect(more()!.text()).toBe('Show 15 earlier ones');
    await more()!.trigger('click');
    expect([numbers().length, numbers()[0]]).toEqual([40, 1]);
    expect(more()).toBeUndefined();
  });

  it('are left out with a reason, by one press of a usual one, and count again', async () => {
    const view = table([strike(1), strike(2, { leftOut: 'mis-hit' })]);
    await view.get('[aria-label="Leave out shot 1"]').trigger('click');
    await view
      .findAll('button')
      .find((one) => one.text() === 'wrong club')!
      .trigger('click');
    expect(view.emitted('leaveOut')).toEqual([[['s1'], 'wrong club']]);
    expect(view.text()).toContain('left out: mis-hit');
    await view
      .findAll('button')
      .find((one) => one.text().startsWith('Count it'))!
      .trigger('click');
    expect(view.emitted('count')).toEqual([[['s2']]]);
  });
});
