import type { LadderClub } from '@tasche/core';
import { flushPromises, mount } from '@vue/test-utils';
import { beforeEach, describe, expect, it } from 'vitest';
import SwapPicker from '../../src/bag/SwapPicker.vue';
import type { Trial } from '../../src/bag/trial';
import { freshPinia } from '../pinia';

const club = (id: string, loftDeg: number, carryM?: number): LadderClub => ({
  id,
  name: id,
  kind: 'iron',
  loftDeg,
  shots: carryM === undefined ? {} : { full: { carryM, source: 'stated' } },
});
const SEVEN = club('7 iron', 32, 140);
const EIGHT = club('8 iron', 36, 130);
const NINE = club('9 iron', 41, 119);
const WEDGE = club('PW', 46, 108);
const GRÜN = club('Grün 50', 50, 98);

describe('the picker of a club to put in', () => {
  beforeEach(() => {
    freshPinia();
  });
  /** What each swap costs; answered when `known` is called. */
  function picker(more: { full?: boolean; comesIn?: string | null } = {}) {
    let known: (costs: Record<string, number> | null) => void = () => undefined;
    const asked: string[] = [];
    const view = mount(SwapPicker, {
      attachTo: document.body,
      props: {
        bag: { id: 'gamer', name: 'Gamer' },
        inBag: [SEVEN, EIGHT, NINE],
        leftOut: [WEDGE, GRÜN],
        options: {},
        unit: 'm' as const,
        full: false,
        comesIn: null,
        swapsFor: (inId: string) => {
          asked.push(inId);
          return new Promise<Record<string, number> | null>((resolve) => (known = resolve));
        },
        ...more,
      },
    });
    const input = view.get('input');
    return {
      view,
      asked,
      rows: () => view.findAll('[role="option"]').map((row) => row.get('.name').text()),
      type: (text: string) => input.setValue(text),
      press: (key: string) => input.trigger('keydown', { key }),
      trial: () => view.emitted<[Trial | null]>('trial')?.at(-1)?.[0],
      chosen: () => view.emitted('choose')?.at(-1)?.[0],
      know: async (costs: Record<string, number> | null) => {
        known(costs);
        await flushPromises();
      },
    };
  }

  it('tries the one that is pointed at, found by a part of its name, and puts it in', async () => {
    const { rows, type, press, trial, chosen, view } = picker();
    expect(rows()).toHaveLength(2);
    expect(document.activeElement).toBe(view.get('input').element);
    await type('grun');
    expect(rows()).toEqual(['Grün 50']);
    expect(trial()).toMatchObject({ words: 'Grün 50 in', clubs: [{}, {}, {}, { id: 'Grün 50' }] });
    await press('Enter');
    expect(chosen()).toEqual([{ do: 'putIn', bagId: 'gamer', clubId: 'Grün 50' }]);
    await type('no such');
    expect(rows()).toEqual([]);
    expect(view.text()).toContain('No club of that name.');
    expect(trial()).toBeNull();
    view.unmount();
  });

  it('of a full bag asks which goes out, the fewest strokes first once they are known', async () => {
    const { rows, press, trial, chosen, know, asked, view } = picker({ full: true });
    expect(trial()).toBeNull();
    await press('ArrowDown');
    await press('Enter');
    const [comesIn] = asked;
    expect(view.text()).toContain(`${comesIn} in: which goes out?`);
    expect(rows()).toHaveLength(3);
    await know({ '7 iron': 0.3, '8 iron': -0.124, '9 iron': 0.002 });
    expect(rows()).toEqual(['8 iron', '9 iron', '7 iron']);
    expect(view.findAll('.costs').map((one) => one.text())).toEqual([
      'saves 0.12',
      'costs nothing',
      'costs 0.30',
    ]);
    expect(trial()).toMatchObject({ words: `${comesIn} in for 8 iron` });
    await press('ArrowDown');
    await press('Enter');
    expect(chosen()).toEqual([
      { do: 'takeOut', bagId: 'gamer', clubId: '9 iron' },
      { do: 'putIn', bagId: 'gamer', clubId: comesIn },
    ]);
    // Back to which comes in, then away.
    await press('Escape');
    expect(view.text()).not.toContain('which goes out');
    expect(view.emitted('close')).toBeUndefined();
    await press('Escape');
    expect(view.emitted('close')).toHaveLength(1);
    view.unmount();
  });

  it('does not ask which comes in where that was said, works out its swaps, and goes at once', async () => {
    const { rows, press, know, asked, view } = picker({ full: true, comesIn: 'PW' });
    expect(view.text()).toContain('PW in: which goes out?');
    expect(asked).toEqual(['PW']);
    await know({ '7 iron': 0.3, '8 iron': 0.2, '9 iron': 0.1 });
    expect(rows()).toEqual(['9 iron', '8 iron', '7 iron']);
    await press('Escape');
    expect(view.emitted('close')).toHaveLength(1);
    view.unmount();
  });

  it('begins its list anew where a club is said to come in while it is open', async () => {
    const { rows, type, view } = picker({ full: true });
    await type('grun');
    await view.setProps({ comesIn: 'PW' });
    expect(view.text()).toContain('PW in: which goes out?');
    expect(rows()).toHaveLength(3);
    view.unmount();
  });

  it('orders by the ladder where strokes are not to be had', async () => {
    const { rows, know, view } = picker({ full: true, comesIn: 'PW' });
    const byLadder = rows();
    await know(null);
    expect(rows()).toEqual(byLadder);
    expect(view.findAll('.costs')).toHaveLength(0);
    view.unmount();
  });
});
