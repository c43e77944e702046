import type { SignedInView, StrikeView } from '@tasche/contract';
import { mount } from '@vue/test-utils';
import { beforeEach, describe, expect, it } from 'vitest';
import { signedIn } from '../../src/api/signed-in';
import StrikeTable from '../../src/range/StrikeTable.vue';
import { WorkedShots } from '../../src/range/worked-shots';
import { clubView, sheetOf, showSheet } from '../sheet';
import { freshPinia } from '../pinia';
import { until } from '../until';

const CLUBS = [clubView('7', { carryM: 150 }), clubView('8')];
const strike = (number: number, more: Partial<StrikeView> = {}): StrikeView => ({
  id: `s${number}`,
  sessionId: 's',
  clubId: '7',
  shot: 'full',
  number,
  hitAt: null,
  builtOn: '2026-11-01',
  given: { carryM: 150 + ((number * 7) % 41) },
  leftOut: null,
  ...more,
});
/** However slow the machine is. */
const table = (strikes: readonly StrikeView[]) =>
  mount(StrikeTable, { props: { strikes, rows: WorkedShots.none, coming: false, unit: 'm' } });

describe('the balls of a session', () => {
  beforeEach(() => {
    freshPinia();
    showSheet(sheetOf(CLUBS, ['7']));
  });

  it('are the newest twenty-five at first, and the rest with a press, by their own numbers', async () => {
    const view = table(Array.from({ length: 40 }, (_one, i) => strike(i + 1)));
    const numbers = () => view.findAll('tbody tr td:first-child').map((cell) => Number(cell.text()));
    // A few are there at once, the rest as soon as the page is idle.
    expect(numbers().length).toBeLessThan(10);
    await until(() => expect([numbers().length, numbers()[0], numbers().at(-1)]).toEqual([25, 40, 16]));
    expect(view.find('[aria-label="Leave out shot 16"]').exists()).toBe(true);
    const button = (begins: string) => view.findAll('button').find((one) => one.text().startsWith(begins));
    expect(button('Show ')!.text()).toBe('Show 15 more: 25 of 40 shown');
    await button('Show ')!.trigger('click');
    await until(() => expect([numbers().length, numbers().at(-1)]).toEqual([40, 1]));
    expect(button('Show ')).toBeUndefined();
    // The head of a column puts them in its order, and back.
    await button('Carry')!.trigger('click');
    expect([numbers()[0], button('Carry')!.attributes('aria-label')]).toEqual([
      6,
      'Carry m, ascending: order',
    ]);
    await button('Carry')!.trigger('click');
    await button('Carry')!.trigger('click');
    expect(numbers()[0]).toBe(40);
  });

  it('are given to another club from a list that is only there once it is asked for', async () => {
    const view = table([strike(1)]);
    expect(view.findAllComponents({ name: 'Select' })).toHaveLength(0);
    await view.get('[aria-label="Club of shot 1: 7"]').trigger('click');
    const list = view.getComponent({ name: 'Select' });
    expect(list.props('show')).toBe(true);
    list.vm.$emit('update:value', '8');
    await view.vm.$nextTick();
    expect(view.emitted('give')).toEqual([['s1', { clubId: '8' }]]);
    expect(view.findAllComponents({ name: 'Select' })).toHaveLength(0);
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

  it('are read-only for a person who may not change them', async () => {
    signedIn.value = { role: 'caddie', who: 'Ola' } as SignedInView;
    const view = table([strike(1), strike(2, { leftOut: 'mis-hit' })]);
    await until(() => expect(view.findAll('tbody tr')).toHaveLength(2));
    expect(view.text()).toContain('left out: mis-hit');
    expect(view.findAll('tbody button').map((button) => button.text())).toEqual([]);
    signedIn.value = null;
    await until(() => expect(view.findAll('tbody button').length).toBeGreaterThan(4));
  });
});
