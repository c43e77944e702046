import type { WishDetails, WishView } from '@tasche/contract';
import { toMetres } from '@tasche/core';
import { flushPromises, mount } from '@vue/test-utils';
import { describe, expect, it } from 'vitest';
import WishForm from '../../src/bench/WishForm.vue';
import ChoiceField from '../../src/fields/ChoiceField.vue';
import DateField from '../../src/fields/DateField.vue';
import { clubView } from '../sheet';

const CLUBS = [clubView('Driver', { carryM: 230 }), clubView('60', { carryM: 78 })];
/** A field of a generic component does not know its props' types. */
const propsOf = (one: { props: () => unknown }) =>
  one.props() as { label: string; options: readonly unknown[] };
const form = (more: { wish?: WishView; begin?: Partial<WishDetails> } = {}) => {
  const view = mount(WishForm, { props: { playerId: 'p', clubs: CLUBS, unit: 'yd', ...more } });
  const type = async (label: string, text: string) => {
    const field = view.get(`input[aria-label="${label}"]`);
    await field.setValue(text);
    await field.trigger('blur');
  };
  const choose = async (label: string, value: string) => {
    const field = view.findAllComponents(ChoiceField).find((one) => propsOf(one).label === label)!;
    field.vm.$emit('update:value', value);
    await flushPromises();
  };
  const saved = async () => {
    await view.get('form').trigger('submit');
    await flushPromises();
    return view.emitted('save')?.at(-1)?.[0] as WishDetails | undefined;
  };
  return { view, type, choose, saved };
};
const wish: WishView = {
  id: 'w',
  playerId: 'p',
  version: 1,
  removed: false,
  name: 'New shaft',
  purpose: 'fit',
  state: 'bought',
  price: 160,
  club: null,
  clubId: 'Driver',
  expected: { shot: 'full', carryM: toMetres(250, 'yd'), scatterShare: 0.85 },
  boughtOn: '2026-11-01',
  notes: '',
};

describe('a wish that is recorded', () => {
  it('of a club to buy has its kind and loft read off the name, and no club of the locker', async () => {
    const { type, saved } = form();
    await type('What', '54 wedge');
    expect(await saved()).toMatchObject({
      name: '54 wedge',
      purpose: 'buy',
      state: 'wished',
      club: { kind: 'wedge', loftDeg: 54 },
      clubId: null,
      expected: null,
      boughtOn: null,
    });
  });

  it('of a fitting says the carry and the scatter it is to bring, in the reader’s unit', async () => {
    const { type, choose, saved } = form();
    await type('What', 'New shaft');
    await choose('To', 'fit');
    await choose('Club', 'Driver');
    // Nobody expects anything of it yet.
    expect(await saved()).toMatchObject({ purpose: 'fit', clubId: 'Driver', club: null, expected: null });
    await type('Carry', '255');
    await choose('Scatter', '0.9');
    expect((await saved())?.expected).toEqual({
      shot: 'full',
      carryM: toMetres(255, 'yd'),
      scatterShare: 0.9,
    });
  });

  it('of a shot to learn says which, and what it carries where that is known', async () => {
    const { type, choose, saved, view } = form();
    await type('What', 'Half 60');
    await choose('To', 'learn');
    const shots = view.findAllComponents(ChoiceField).find((one) => propsOf(one).label === 'Shot')!;
    expect(propsOf(shots).options).not.toContain('full');
    await choose('Club', '60');
    await choose('Shot', 'half');
    expect((await saved())?.expected).toEqual({ shot: 'half' });
  });

  it('opens as it was, with the day it was bought, and keeps a scatter that is not one of the usual ones', async () => {
    const { view, saved } = form({ wish });
    expect((view.get('input[aria-label="Carry"]').element as HTMLInputElement).value).toBe('250');
    expect(view.findComponent(DateField).props('value')).toBe('2026-11-01');
    expect(view.text()).toContain('0.85 of it left');
    expect(await saved()).toMatchObject({ boughtOn: '2026-11-01', expected: { scatterShare: 0.85 } });
  });

  it('begins with what it was opened for, and is not saved without a name', async () => {
    const { view, saved, type } = form({
      begin: { name: 'New shaft, Driver', purpose: 'fit', clubId: 'Driver' },
    });
    expect((view.get('input[aria-label="What"]').element as HTMLInputElement).value).toBe(
      'New shaft, Driver',
    );
    await type('What', '');
    expect(await saved()).toBeUndefined();
    expect(view.text()).toContain('What');
  });
});
