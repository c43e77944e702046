import { mount } from '@vue/test-utils';
import { describe, expect, it } from 'vitest';
import FlightClubs from '../../src/flight/FlightClubs.vue';

const CLUBS = ['4h', '4i', '7i'].map((id) => ({ id, name: `the ${id}` }));

describe('whose flights are looked at', () => {
  async function pressed(chosen: readonly string[], name: string): Promise<unknown> {
    const view = mount(FlightClubs, { props: { chosen, clubs: CLUBS, pairs: [['4h', '4i']] } });
    await view
      .findAll('button')
      .find((button) => button.text() === name)!
      .trigger('click');
    return view.emitted('update:chosen')!.at(-1)![0];
  }
  const all = CLUBS.map(({ id }) => id);

  it('is one alone after the whole bag, then more and fewer, a pair, and the whole again', async () => {
    expect(await pressed(all, 'the 7i')).toEqual(['7i']);
    expect(await pressed(['7i'], 'the 4h')).toEqual(['7i', '4h']);
    expect(await pressed(['7i', '4h'], 'the 7i')).toEqual(['4h']);
    expect(await pressed(all, 'the 4h or the 4i')).toEqual(['4h', '4i']);
    expect(await pressed(['4h'], 'Whole bag')).toEqual([]);
  });

  it('is said by the buttons', () => {
    const view = mount(FlightClubs, { props: { chosen: ['4h', '4i'], clubs: CLUBS, pairs: [['4h', '4i']] } });
    expect(view.findAll('[aria-pressed="true"]').map((button) => button.text())).toEqual([
      'the 4h or the 4i',
      'the 4h',
      'the 4i',
    ]);
  });
});
