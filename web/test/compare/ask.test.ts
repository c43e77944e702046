import { MARGIN_BOUNDS, USUAL_MARGINS, type Margins, type Pair } from '@tasche/core';
import { mount } from '@vue/test-utils';
import { describe, expect, it } from 'vitest';
import AskBar from '../../src/compare/AskBar.vue';
import PairCard from '../../src/compare/PairCard.vue';
import { keptMargin, marginBounds, marginsIn, marginsOf } from '../../src/compare/margins';

describe('the margins of a comparison', () => {
  it('are those the task is judged by', () => {
    expect(marginsOf('longer').map(({ key }) => key)).toEqual(['carry']);
    expect(marginsOf('more-spin').map(({ key }) => key)).toEqual(['carry', 'spin']);
    expect(marginsOf('matches').map(({ key }) => key)).toEqual(['carry', 'apex', 'spin']);
  });

  it('are read from the address, the usual ones where it holds nothing that can be one', () => {
    const of = (query: Record<string, string>) => marginsIn((key) => query[key]);
    expect(of({})).toEqual(USUAL_MARGINS);
    expect(of({ carry: '2.5', spin: 'many', apex: '-4' })).toEqual({ ...USUAL_MARGINS, carryM: 2.5 });
    expect(of({ carry: String(MARGIN_BOUNDS.carryM[1] + 1) })).toEqual(USUAL_MARGINS);
  });

  it('are kept in metres however they were typed, and within their bounds', () => {
    expect(keptMargin('carryM', 3, 'yd')).toBe('2.743');
    expect(keptMargin('apexM', 6, 'yd')).toBe('1.829');
    expect(keptMargin('spinRpm', 250, 'yd')).toBe('250');
    expect(Number(keptMargin('carryM', 1e6, 'm'))).toBe(MARGIN_BOUNDS.carryM[1]);
    expect(marginBounds('spinRpm', 'yd')).toEqual([...MARGIN_BOUNDS.spinRpm]);
  });
});

describe('what builds are asked for', () => {
  it('is one of the tasks, and says how near is near enough in the reader’s unit', async () => {
    const view = mount(AskBar, {
      props: { question: 'matches' as const, margins: USUAL_MARGINS, unit: 'yd' as const },
    });
    expect(view.findAll('label').map((label) => label.text().replace(/\s+/g, ' '))).toEqual([
      expect.stringMatching(/^within .*of carry$/),
      expect.stringMatching(/^within .*of apex$/),
      expect.stringMatching(/^within .*of spin$/),
    ]);
    expect(view.get('[aria-pressed="true"]').text()).toBe('Match the old one');
    await view.findAll('button')[0]!.trigger('click');
    expect(view.emitted('set')![0]).toEqual([{ ask: 'longer' }]);
    const spin = view.findAll('input').at(-1)!;
    await spin.setValue('250');
    await spin.trigger('blur');
    expect(view.emitted('set')!.at(-1)).toEqual([{ spin: '250' }]);
    await view.setProps({ question: 'longer' });
    expect(view.get('label').text()).toMatch(/of distance$/);
  });
});

describe('the verdict on a build', () => {
  const pair = (more: Partial<Pair>): Pair =>
    ({
      id: 'new',
      word: 'longer',
      differences: [{ part: 'carryM', by: 4, low: 1, high: 7 }],
      open: [],
      unmeasured: [],
      mixed: [],
      ...more,
    }) as unknown as Pair;
  const card = (one: Pair) =>
    mount(PairCard, {
      props: { pair: one, name: 'New', firstName: 'Old', margins: USUAL_MARGINS as Margins, unit: 'm' },
    });

  it('is a sentence with its numbers and a mark, and warns of what cannot be learnt from it', () => {
    const view = card(pair({ mixed: ['head', 'shaft'] }));
    expect(view.get('.sentence').text()).toMatch(
      /New is longer than Old: carry \+4\.0 m \(\+1\.0 to \+7\.0\)/,
    );
    expect(view.get('.sentence .verdict').classes()).toContain('fine');
    expect(view.text()).toContain('New changes head and shaft together');
    expect(
      card(pair({ word: 'shorter' }))
        .get('.sentence .verdict')
        .classes(),
    ).toContain('error');
  });
});
