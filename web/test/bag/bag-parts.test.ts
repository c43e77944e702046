import { gaps, type LadderClub } from '@tasche/core';
import { mount } from '@vue/test-utils';
import { describe, expect, it, vi } from 'vitest';
import { defineComponent, h, ref, shallowRef } from 'vue';
import BagFindings from '../../src/bag/BagFindings.vue';
import type { Trial } from '../../src/bag/trial';
import { useTrialKeys } from '../../src/bag/use-trial-keys';

const iron = (name: string, carryM: number | undefined, loftDeg: number): LadderClub => ({
  id: name,
  name,
  kind: 'iron',
  loftDeg,
  shots: carryM === undefined ? {} : { full: { carryM, source: 'measured', sampleSize: 20, spreadM: 4 } },
});

describe('what else there is to say of a bag', () => {
  it('is nothing of an ordinary one', () => {
    const putter: LadderClub = { ...iron('Putter', undefined, 3), kind: 'putter' };
    const clubs = [iron('7', 150, 32), iron('8', 138, 36), iron('9', 126, 40), putter];
    const view = mount(BagFindings, { props: { clubs, report: gaps(clubs), settings: {}, unit: 'yd' } });
    expect(view.text()).toBe('');
  });

  it('is the Rules, with the committee’s last word, where more clubs are carried than they allow', () => {
    const clubs = Array.from({ length: 15 }, (_one, i) => iron(`${i}`, 250 - i * 12, 10 + i * 3));
    const view = mount(BagFindings, { props: { clubs, report: gaps(clubs), settings: {}, unit: 'yd' } });
    expect(view.text()).toContain('4.1b');
    expect(view.findAll('li').at(-1)!.text()).toMatch(/committee/i);
  });
});

describe('the keys of a trial', () => {
  const page = (trial: Trial | null, picking = false) => {
    const calls = { keep: vi.fn(), leave: vi.fn() };
    const view = mount(
      defineComponent({
        setup() {
          useTrialKeys({
            trial: shallowRef(trial),
            picking: ref(picking),
            keep: calls.keep,
            leave: calls.leave,
          });
          return () => h('div', [h('button', 'Try it'), h('input')]);
        },
      }),
      { attachTo: document.body },
    );
    const press = (key: string, on: 'window' | 'button' | 'input' = 'window') => {
      const target = on === 'window' ? window : view.get(on).element;
      target.dispatchEvent(new KeyboardEvent('keydown', { key, bubbles: true }));
    };
    return { calls, press, view };
  };
  const trial: Trial = { words: 'the 48 in', clubs: [], commands: [] };

  it('keep or leave what is tried, but not from a field, a button or while a club is picked', () => {
    const { calls, press, view } = page(trial);
    press('Enter', 'input');
    press('Enter', 'button');
    expect(calls.keep).not.toHaveBeenCalled();
    press('Enter');
    press('Escape');
    expect([calls.keep.mock.calls.length, calls.leave.mock.calls.length]).toEqual([1, 1]);
    view.unmount();
    const picker = page(trial, true);
    picker.press('Enter');
    expect(picker.calls.keep).not.toHaveBeenCalled();
    picker.view.unmount();
  });
});
