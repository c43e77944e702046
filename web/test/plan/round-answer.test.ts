import type { BagAnswer } from '@tasche/core';
import { mount } from '@vue/test-utils';
import { describe, expect, it } from 'vitest';
import RoundAnswer from '../../src/plan/RoundAnswer.vue';

const answer = {
  best: {
    ids: Array.from({ length: 14 }, (_one, i) => String(i)),
    strokes: 42,
    forNeeds: 42,
    forSteps: 0,
    price: 0,
  },
  proof: { proved: true, sets: 1234567 },
} as unknown as BagAnswer;

function said(costs: number | null, more: Partial<InstanceType<typeof RoundAnswer>['$props']> = {}) {
  const view = mount(RoundAnswer, {
    props: {
      roundName: 'Round 1',
      // What is told is what is played: a change has to be worth 0.03 here.
      chosen: {
        answer,
        refused: '',
        why: {},
        against: costs === null ? null : { costs, onTheCourse: costs + 0.03 },
      },
      same: false,
      settled: false,
      swaps: [{ outId: 'h4', inId: 'di', why: 'Best for 14 shots.' }],
      carried: 14,
      allowed: 14,
      nameOf: (id: string) => ({ h4: 'Hybrid 4', di: 'Driving iron' })[id] ?? id,
      readOnly: false,
      busy: false,
      ...more,
    },
  });
  return { view, words: view.get('.words').text().replace(/\s+/g, ' '), mark: view.find('.verdict') };
}

describe('the answer of a round', () => {
  it('says what the gamer costs, what changes and why, and offers the one thing to do', async () => {
    const { view, words, mark } = said(0.114);
    expect(words).toContain('The gamer costs 0.14 strokes a round more than the best possible bag.');
    expect(words).toContain('Driving iron for Hybrid 4.');
    expect(words).toContain('Proved the best of 1,234,567 sets of clubs.');
    expect(mark.classes()).toContain('warning');
    expect(view.get('.reasons').text()).toBe('Best for 14 shots.');
    await view.get('button').trigger('click');
    expect(view.emitted('settle')).toHaveLength(1);
  });

  it.each([
    [
      'too little is gained',
      0.01,
      {},
      'fine',
      'The gamer costs 0.04 strokes a round more than the best possible bag: too',
    ],
    [
      'too many are carried',
      0.2,
      { carried: 16, allowed: 14 },
      'warning',
      'The gamer holds 16 clubs, 14 are wanted',
    ],
    [
      'the settled bag costs',
      0.2,
      { settled: true },
      'warning',
      'The settled bag costs 0.23 strokes a round more',
    ],
    [
      'the settled bag breaks a lock',
      -0.1,
      { settled: true },
      'warning',
      'The settled bag breaks a limit or a',
    ],
  ] as const)('%s', (_name, against, more, mark, words) => {
    const shown = said(against, more);
    expect(shown.words).toContain(words);
    expect(shown.mark.classes()).toContain(mark);
  });

  it('a settled bag that is the best leaves nothing to do', () => {
    const { view, words } = said(0, { same: true, settled: true, swaps: [] });
    expect(words).toContain('The bag of Round 1 is settled, and the best possible: 14 clubs.');
    expect(view.find('button').exists()).toBe(false);
  });

  it('names what comes in with what it comes in for, then all that only goes out', () => {
    const { words } = said(0.2, {
      swaps: [
        { inId: 'a', outId: 'b', why: '' },
        { inId: 'c', why: '' },
        { outId: 'd', why: '' },
        { outId: 'e', why: '' },
      ],
      nameOf: (id: string) => id.toUpperCase(),
    });
    expect(words).toContain('more than the best possible bag. A for B; C as well; without D and E.');
    const only = said(0.2, { swaps: [{ outId: 'd', why: '' }], nameOf: () => 'PW' });
    expect(only.words).toContain('than the best possible bag. Without PW.');
  });

  it('without a gamer only the bag is told', () => {
    expect(said(null, { swaps: [] }).mark.exists()).toBe(false);
  });
});
