import type { WishView } from '@tasche/contract';
import type { BestUse, WishAnswer } from '@tasche/core';
import { mount } from '@vue/test-utils';
import { describe, expect, it } from 'vitest';
import WishBestUse from '../../src/bench/WishBestUse.vue';
import WishTable from '../../src/bench/WishTable.vue';
import NumberField from '../../src/fields/NumberField.vue';
import { wish } from './wish';

const use = (money: number, gain: number, buys: readonly string[]): BestUse => ({
  money,
  gain,
  buys,
  spent: money,
  bag: [],
});

describe('the wishes of a player', () => {
  const wishes = [
    wish('wood', { price: 260, notes: 'blue' }),
    wish('wedge', { price: null }),
    wish('grip'),
    wish('sold', { state: 'rejected' }),
  ];
  const view = (more: object = {}) =>
    mount(WishTable, {
      props: {
        wishes,
        gainOf: (id: string) => ({ wood: 0.12, wedge: 0.001 })[id],
        neededOf: ({ id }: WishView) => (id === 'grip' ? 'needs a loft' : ''),
        outOf: (id: string) => (id === 'wood' ? 'hybrid' : ''),
        actionsOf: () => [],
        working: false,
        readOnly: false,
        ...more,
      },
    });
  const rows = (table: ReturnType<typeof view>) =>
    table.findAll('tbody tr').map((row) => row.findAll('td').map((cell) => cell.text()));

  it('stand with what each would gain, or why that is not known, and in the place of what', () => {
    expect(rows(view()).map(([name, , , price, gain, out]) => [name, price, gain, out])).toEqual([
      ['woodblue', '260', '0.12 strokes', 'hybrid'],
      ['wedge', '–', 'no clear gain', ''],
      ['grip', '100', 'needs a loft', ''],
      ['sold', '100', '', ''],
    ]);
    expect(rows(view({ working: true })).map(([, , , , gain]) => gain)).toEqual([
      '…',
      '…',
      'needs a loft',
      '',
    ]);
  });

  it('are ordered by what they gain, those not weighed last', async () => {
    const table = view();
    const head = () => table.findAll('th button').find((button) => button.text().startsWith('Gain'))!;
    await head().trigger('click');
    await head().trigger('click');
    expect(rows(table).map(([name]) => name)).toEqual(['woodblue', 'wedge', 'grip', 'sold']);
    table.findAllComponents({ name: 'ChoiceField' })[0]!.vm.$emit('update:value', 'ordered');
    expect(table.emitted('state')).toMatchObject([[{ id: 'wood' }, 'ordered']]);
  });
});

describe('the best use of a sum', () => {
  const answer: WishAnswer = {
    worth: [],
    best: use(300, 0.2, ['wood']),
    advised: use(260, 0.19, ['wood', 'wedge']),
    ladder: [use(0, 0, []), use(100, 0.01, ['grip']), use(140, 0.1, ['wedge']), use(260, 0.19, ['wood'])],
  };
  const view = (more: object = {}) =>
    mount(WishBestUse, {
      props: {
        money: 300,
        answer,
        working: false,
        problem: '',
        pairs: [],
        nameOf: (id: string) => id,
        ...more,
      } as never,
    });

  it('is said with what it gains, and the sums that gain what one can tell from the one before', () => {
    const card = view();
    expect(card.find('.use').text()).toBe('wood and wedge for 260: 0.19 strokes a round.');
    expect(card.text()).toContain('140 for 0.10 (wedge); 260 for 0.19 (wood).');
    expect(card.text()).not.toContain('(grip)');
    card.findComponent(NumberField).vm.$emit('update:value', 50);
    expect(card.emitted('update:money')).toEqual([[50]]);
  });

  it('is nothing where nothing gains more than a tie, and unknown where no carry is known', () => {
    expect(view({ answer: { ...answer, advised: use(0, 0, []) } }).text()).toContain(
      'Nothing on the list is worth buying',
    );
    expect(view({ answer: null }).text()).toContain('Enter one carry');
    expect(view({ answer: undefined, problem: 'It failed.' }).find('[role="alert"]').text()).toContain(
      'It failed.',
    );
  });
});
