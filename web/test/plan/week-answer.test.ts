import type { BagAnswer, ShotDemand } from '@tasche/core';
import { mount } from '@vue/test-utils';
import { describe, expect, it } from 'vitest';
import WeekAnswer from '../../src/plan/WeekAnswer.vue';
import WeekNeeds from '../../src/plan/WeekNeeds.vue';

const plainText = (view: { text: () => string }) => view.text().replace(/\s+/g, ' ');
const bag = (ids: string[], strokes: number) => ({ ids, strokes, forNeeds: 69, forSteps: 1, price: 0 });
const answer = {
  best: bag(['7', '9'], 70),
  runnersUp: [bag(['7', '8'], 70.12)],
  proof: { proved: true, bound: 70, nodes: 1, sets: 3276 },
} as unknown as BagAnswer;

describe('the best bag of a week', () => {
  const view = (more: object = {}) =>
    mount(WeekAnswer, {
      props: {
        chosen: {
          answer,
          refused: '',
          why: { '9': '9 iron: best for 3 shots.' },
          loses: { costs: 0.12, onTheCourse: 0.12 },
          with: {},
        },
        answer,
        planned: ['7', '8'],
        limit: 14,
        swaps: [{ outId: '8', inId: '9', why: '9 iron: best for 3 shots.' }],
        nameOf: (id: string) => `${id} iron`,
        readOnly: false,
        ...more,
      },
    });

  it('says what the bag as it is loses, what changes, and what comes next', async () => {
    const text = plainText(view());
    expect(text).toMatch(/◆ The bag of the week .*0\.12/);
    expect(text).toContain('9 iron in, 8 iron out');
    expect(text).toContain('Proved the best of 3,276 sets of clubs.');
    expect(text).toMatch(/Next best: the 8 iron for the 9 iron, .*0\.12/);
    const shown = view();
    await shown.get('button').trigger('click');
    expect(shown.emitted('swaps')![0]).toEqual([
      [{ outId: '8', inId: '9', why: '9 iron: best for 3 shots.' }],
    ]);
  });

  it('offers nothing where the bag is the best already', () => {
    const text = plainText(view({ planned: ['9', '7'] }));
    expect(text).toContain('● The bag of the week is the best possible');
    expect(text).not.toContain('Put it into the plan');
  });

  it('says first that too many are in, or none', () => {
    expect(plainText(view({ limit: 1 }))).toContain('holds 2 clubs, 1 is wanted.');
    const empty = { answer, refused: '', why: {}, loses: null, with: {} };
    expect(plainText(view({ planned: [], chosen: empty }))).toContain('The bag of the week is empty');
  });
});

describe('the shots recorded for a week', () => {
  const needs: ShotDemand[] = [
    { name: '180 m', to: 'green', distanceM: 180, lie: 'fairway', mustHold: true, weight: 2 },
    { name: '150 m', to: 'green', distanceM: 150, lie: 'light rough', mustHold: false, weight: 1 },
  ];
  const table = () =>
    mount(WeekNeeds, {
      props: {
        needs,
        withWords: ({ distanceM }: ShotDemand) => (distanceM > 160 ? '5 iron' : 'soft 7 iron'),
        unit: 'm' as const,
        readOnly: false,
      },
    });

  it('stand with the club that answers each', () => {
    const rows = table()
      .findAll('tbody tr')
      .map((row) => plainText(row));
    expect(rows[0]).toMatch(/^180green.*5 iron/);
    expect(rows[1]).toMatch(/^150green.*soft 7 iron/);
  });

  it('are changed and removed one by one', async () => {
    const view = table();
    await view.get('[aria-label="Need 2 must hold"]').trigger('click');
    await view.get('[aria-label="Remove need 1"]').trigger('click');
    const sent = view.emitted('set')!.map(([all]) => all as ShotDemand[]);
    expect(sent[0]!.map(({ mustHold }) => mustHold)).toEqual([true, true]);
    expect(sent[1]!.map(({ distanceM }) => distanceM)).toEqual([150]);
  });
});
