import { demandKey, type ShotDemand } from '@tasche/core';
import { mount } from '@vue/test-utils';
import { describe, expect, it } from 'vitest';
import NeedsTable from '../../src/plan/NeedsTable.vue';

const shot = (name: string, hole: number, distanceM: number, weight: number): ShotDemand => ({
  name,
  hole,
  distanceM,
  weight,
  to: 'green',
  lie: 'fairway',
  mustHold: false,
});
const needs = [
  shot('second at the 4th', 4, 150, 1),
  shot('tee shot at the 3rd', 3, 180, 1),
  shot('chip at the 3rd', 3, 20, 0.1),
];
const shown = (more: object = {}) =>
  mount(NeedsTable, {
    attachTo: document.body,
    props: {
      needs,
      takenAway: [],
      shown: null,
      changes: {},
      notes: [],
      played: [],
      strokes: 42.25,
      rareStrokes: 0,
      unit: 'm' as const,
      readOnly: false,
      ...more,
    },
  });
const key = demandKey(needs[1]!);

describe('the shots of a round', () => {
  it('stand hole by hole, and a hole opens to what may be changed', async () => {
    const view = shown();
    expect(view.get('h2').text()).toContain('42.3 strokes, putts left out');
    expect(view.findAll('tr.hole').map((row) => row.get('th').text())).toEqual(['▸ 3', '▸ 4']);
    // What is rare is not on the hole's own line.
    expect(view.findAll('tr.hole')[0]!.text()).not.toContain('chip');
    await view.get('[aria-label="Hole 3"]').trigger('click');
    expect(view.findAll('tr.need')).toHaveLength(2);
    await view.get('[aria-label="Take away tee shot at the 3rd"]').trigger('click');
    expect(view.emitted('changes')!.at(-1)).toEqual([{ [key]: null }]);
    view.unmount();
  });

  it('what was changed says so and is brought back; what was taken away too', async () => {
    const view = shown({ changes: { [key]: { weight: 2 } }, takenAway: [needs[0]] });
    await view.get('[aria-label="Hole 3"]').trigger('click');
    expect(view.get('tr.need').text()).toContain('changed');
    await view.get('[aria-label="Bring tee shot at the 3rd back"]').trigger('click');
    expect(view.emitted('changes')!.at(-1)).toEqual([{}]);
    expect(view.text()).toContain('Removed: second at the 4th');
    view.unmount();
  });

  it('a need that is asked for opens its hole', async () => {
    const view = shown();
    await view.setProps({ shown: needs[0] });
    await view.vm.$nextTick();
    expect(view.get('[aria-label="Hole 4"]').attributes('aria-expanded')).toBe('true');
    view.unmount();
  });

  it('notes are read as they are written, and what is not understood loses nothing', async () => {
    const view = shown({ notes: [{ ...needs[0]!, name: 'practice: 150' }], played: [] });
    const line = view.get<HTMLInputElement>('input[aria-label="Practice-round notes"]');
    await line.setValue('90 banana');
    await view.get('form').trigger('submit');
    expect(view.get('[role="alert"]').text()).toContain('nothing was added yet');
    expect(line.element.value).toBe('90 banana');
    await line.setValue('120 x2');
    await view.get('form').trigger('submit');
    const [notes] = view.emitted('notes')!.at(-1) as [ShotDemand[]];
    expect(notes.map(({ name, weight }) => [name, weight])).toEqual([
      ['practice: 150', 1],
      [expect.stringMatching(/^practice: 120/), 2],
    ]);
    await view.setProps({ notes });
    await line.setValue('120 m x3, drive 230 left 120');
    await view.get('form').trigger('submit');
    const [more] = view.emitted('notes')!.at(-1) as [ShotDemand[]];
    await view.setProps({ notes: more });
    await line.setValue('drive 230 left 140');
    await view.get('form').trigger('submit');
    const [all] = view.emitted('notes')!.at(-1) as [ShotDemand[]];
    expect(all.map(({ name, weight, leftM }) => [name, weight, leftM])).toEqual([
      ['practice: 150', 1, undefined],
      ['practice: 120 m', 5, undefined],
      ['practice: drive of 230 m', 1, 120],
      ['practice: drive of 230 m (2)', 1, 140],
    ]);
    // Together they come up more often than a need may.
    await view.setProps({ notes: all });
    const before = view.emitted('notes')!.length;
    await line.setValue('120 x999');
    await view.get('form').trigger('submit');
    expect(view.get('[role="alert"]').text()).toContain('practice: 120 m: 1004 times is too often');
    expect(view.emitted('notes')).toHaveLength(before);
    view.unmount();
  });

  it('rounds played here are offered once, and a reader changes nothing', async () => {
    const played = [{ ...needs[0]!, name: 'played: 150 m', weight: 3 }];
    const view = shown({ played });
    expect(view.text()).toContain('Rounds played here had 150 m ×3.');
    await view
      .findAll('button')
      .find((button) => button.text() === 'Add to the needs')!
      .trigger('click');
    expect(view.emitted('notes')!.at(-1)).toEqual([played]);
    await view.setProps({ notes: played });
    expect(view.text()).not.toContain('Rounds played here');
    await view.setProps({ readOnly: true });
    expect(view.find('form').exists()).toBe(false);
    view.unmount();
  });
});
