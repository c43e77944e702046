import type { LadderClub } from '@tasche/core';
import { mount } from '@vue/test-utils';
import { describe, expect, it } from 'vitest';
import PreferenceRows from '../../src/plan/PreferenceRows.vue';

const clubs: LadderClub[] = [{ id: 'd', name: 'Driver', kind: 'driver', loftDeg: 10, shots: {} }];
const view = (more: object = {}) =>
  mount(PreferenceRows, {
    props: {
      preferences: {
        comfort: { d: 0.2, gone: 0.1 },
        kinds: [{ kind: 'wedge' as const, most: 3 }],
        mustCover: [{ distanceM: 137.2, withinM: 5 }],
      },
      clubs,
      unit: 'yd' as const,
      readOnly: false,
      ...more,
    },
  });
type View = ReturnType<typeof view>;
const field = (rows: View, name: string, label: string) =>
  rows.findAllComponents({ name }).find((one) => one.props('label') === label)!;
const press = (rows: View, words: string, nth = 0) =>
  rows
    .findAll('button')
    .filter((button) => button.text() === words || button.attributes('aria-label') === words)
    [nth]!.trigger('click');

describe('what is wanted of clubs, kinds and distances', () => {
  it('is shown in the reader’s unit, a deleted club too', () => {
    const text = view().text();
    for (const words of ['Driver 0.2', 'a deleted club 0.1', '3 wedge', '150 yd'])
      expect(text).toContain(words);
    expect(view({ readOnly: true }).text()).not.toContain('is worth');
  });

  it('is added to and taken from, each by itself', async () => {
    const rows = view();
    await press(rows, 'Forget trust in a deleted club');
    field(rows, 'ChoiceField', 'Club trusted').vm.$emit('update:value', 'd');
    field(rows, 'NumberField', 'What trust is worth').vm.$emit('update:value', 0.3);
    await rows.vm.$nextTick();
    await press(rows, 'Set');
    field(rows, 'ChoiceField', 'Kind').vm.$emit('update:value', 'wedge');
    await rows.vm.$nextTick();
    await press(rows, 'Add');
    field(rows, 'NumberField', 'Distance to cover, yd').vm.$emit('update:value', 200);
    await rows.vm.$nextTick();
    await press(rows, 'Add', 1);
    await press(rows, 'Forget limit of wedge');
    await press(rows, 'Forget distance 1');
    expect(rows.emitted('set')!.flat()).toEqual([
      { comfort: { d: 0.2 } },
      { comfort: { d: 0.3, gone: 0.1 } },
      { kinds: [{ kind: 'wedge', most: 4 }] },
      {
        mustCover: [
          { distanceM: 137.2, withinM: 5 },
          { distanceM: 182.9, withinM: 5 },
        ],
      },
      { kinds: [] },
      { mustCover: [] },
    ]);
  });
});
