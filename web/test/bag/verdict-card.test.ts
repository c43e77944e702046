import { gaps, placedClubs, type LadderClub, type Remedy } from '@tasche/core';
import { mount } from '@vue/test-utils';
import { describe, expect, it } from 'vitest';
import VerdictCard from '../../src/bag/VerdictCard.vue';

const iron = (id: string, loftDeg: number, carryM?: number): LadderClub => ({
  id,
  name: id,
  kind: loftDeg >= 50 ? 'wedge' : 'iron',
  loftDeg,
  shots: carryM === undefined ? {} : { full: { carryM, source: 'stated' } },
});
const even = [
  iron('7', 32, 150),
  iron('8', 36, 138),
  iron('9', 40, 126),
  iron('PW', 44, 114),
  iron('GW', 48, 102),
];

function card(clubs: readonly LadderClub[], more: Partial<InstanceType<typeof VerdictCard>['$props']> = {}) {
  const report = gaps(clubs);
  return mount(VerdictCard, {
    props: {
      report,
      before: report,
      opened: [],
      closed: [],
      pointed: null,
      remedies: [],
      trial: null,
      nameOf: (id: string) => id,
      unit: 'm',
      readOnly: false,
      ...more,
    },
  });
}

describe('the verdict on a bag', () => {
  it('an even bag is said to be even, in no colour of a fault', () => {
    const view = card(even);
    expect(view.text()).toContain('An even bag.');
    expect(view.text()).toContain('Even carries: even');
    expect(view.find('.verdict.error').exists()).toBe(false);
  });

  it('a gap is named with its numbers, and what would fix it can be tried', async () => {
    const wide = [...even.slice(0, 4), iron('54', 54, 80)];
    const remedy: Remedy = {
      kind: 'swap',
      inId: 'GW',
      outId: '7',
      bag: even,
      gain: 0.124,
      after: gaps(even),
      fixes: gaps(wide).steps.at(-1),
      opens: [],
    };
    const view = card(wide, { remedies: [remedy] });
    expect(view.text()).toContain('PW to 54 is 10.0°');
    expect(view.text()).toContain('Put the GW in for the 7');
    expect(view.text()).toContain('saves 0.12 strokes a round');
    await view.get('.remedies button').trigger('click');
    expect(view.emitted('try')).toEqual([[remedy]]);
  });

  it('that nothing would fix it is said, and only once that is known', () => {
    const wide = [...even.slice(0, 4), iron('54', 54, 80)];
    expect(card(wide, { remedies: [] }).text()).toContain('Nothing in the locker or on the bench fixes this');
    expect(card(wide, { remedies: null }).text()).not.toContain('Nothing in the locker');
    expect(card(even, { remedies: [] }).text()).not.toContain('Nothing in the locker');
  });

  it('of a few clubs it says when it will advise', () => {
    const text = card(even.slice(0, 3), { remedies: [] }).text();
    expect(text).toContain('What would help is worked out once 5 clubs have a carry or a loft.');
  });

  it('of a bag with a club that has no place it advises nothing, and says what would change that', () => {
    const lacking = even.map((one, i) => (i === 2 ? { ...one, shots: {} } : one));
    const text = card([...lacking, iron('54', 54, 80)], { remedies: [] }).text();
    expect(text).toContain(`What would help is worked out once the ${even[2]!.name} has a carry.`);
  });

  it('of a pair mixed up nothing is said but that, and that it is to be put right', () => {
    const slip = [...even.slice(0, 4), iron('54', 5.4, 80)];
    const text = card(slip, { remedies: [] }).text();
    expect(text).toContain('One pair mixed up.');
    expect(text).toContain('Correct it in the sheet');
    expect(text).not.toContain('Nothing in the locker');
    expect(card(slip, { remedies: [], readOnly: true }).text()).not.toContain('Put it right');
  });

  it('a club to buy is named, and can be wished for, not tried', async () => {
    const wide = [...even.slice(0, 4), iron('54', 54, 80)];
    const buy: Remedy = {
      kind: 'buy',
      buys: iron('wedge 49', 49, 97),
      insteadOfId: '7',
      bag: even,
      gain: 0.004,
      after: gaps(even),
      fixes: undefined,
      opens: [],
    };
    const view = card(wide, { remedies: [buy] });
    expect(view.text()).toContain('Buy an iron of 49.0° (about 97 m), for the 7');
    expect(view.text()).toContain('costs nothing elsewhere');
    const buttons = view.findAll('.remedies button');
    expect(buttons.map((button) => button.text())).toEqual(['Wish for it']);
    await buttons[0]!.trigger('click');
    expect(view.emitted('wish')).toEqual([[buy]]);
  });

  it('a step of which a carry is only modelled is asked about, not judged', () => {
    const half = placedClubs([even[0]!, iron('8', 36), even[2]!, iron('PW', 44), even[4]!]);
    const report = gaps(half);
    const view = card(half, { pointed: report.steps.find(({ word }) => word === 'not known yet')! });
    expect(view.text()).toMatch(/(the carry of the \S+ is|both carries are) only modelled/);
  });

  it('a bag of which hardly a step is known is not called even', () => {
    const lofts = placedClubs(even.map(({ id, loftDeg }) => iron(id, loftDeg!)));
    expect(card(lofts).text()).toContain('Even carries: not known yet');
    expect(card(even).text()).toContain('Even carries: even');
  });

  it('a step that is no longer there is not spoken of: the headline stands in its place', () => {
    const gone = gaps([even[0]!, even[2]!]).steps[0]!;
    expect(card(even, { pointed: gone }).text()).toContain('An even bag.');
  });
});
