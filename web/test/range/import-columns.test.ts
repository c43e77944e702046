import { mount } from '@vue/test-utils';
import { beforeEach, describe, expect, it } from 'vitest';
import ImportColumns from '../../src/range/ImportColumns.vue';
import ImportDone from '../../src/range/ImportDone.vue';
import { NO_MAPPING, type OpenMapping } from '../../src/range/open-mapping';
import type { FileLook } from '../../src/range/read-file';
import { freshPinia } from '../pinia';

const MAPPING: OpenMapping = {
  ...NO_MAPPING,
  columns: [
    { column: 0, field: 'club' },
    { column: 1, field: 'carryM', unit: 'yd' },
  ],
};
const LOOK = {
  heads: ['Club', 'Carry', ''],
  rows: [
    ['7 iron', '171.5', 'x'],
    ['7 iron', 'fast', ''],
  ],
  guess: { ...MAPPING, unsure: ['carryM'] },
} as unknown as FileLook;

describe('the columns of a file', () => {
  beforeEach(() => {
    freshPinia();
  });
  const view = (more: object = {}) =>
    mount(ImportColumns, {
      props: { look: LOOK, mapping: MAPPING, remembered: false, isReady: true, ...more },
    });
  const field = (wrapper: ReturnType<typeof view>, label: string) =>
    wrapper
      .findAllComponents({ name: 'ChoiceField' })
      .find((one) => (one.props() as { label: string }).label === label)!;
  const last = (wrapper: ReturnType<typeof view>) =>
    (wrapper.emitted('update:mapping') as [OpenMapping][]).at(-1)![0];

  it('show what is in them, what could not be read, and which unit is only guessed', () => {
    const row = view().findAll('tbody tr')[1]!.text();
    expect(row).toContain('171.5 · fast');
    expect(row).toContain('◆ unit guessed');
    expect(row).toContain('■ 1 of 2 cells cannot be read');
    expect(view().findAll('tbody tr')[2]!.text()).toContain('column 3');
    expect(view({ remembered: true }).text()).not.toContain('unit guessed');
    expect(view({ isReady: false }).text()).toContain('Say which column is the carry');
  });

  it('are said to be something else: a field is of one column, and comes with a unit of its own', () => {
    const said = (label: string, value: string) => {
      const wrapper = view();
      field(wrapper, label).vm.$emit('update:value', value);
      return last(wrapper);
    };
    expect(said('What Club is', 'carryM').columns).toEqual([
      { column: 0, field: 'carryM', unit: expect.any(String) },
    ]);
    expect(said('What Carry is', '').columns).toEqual([{ column: 0, field: 'club' }]);
    expect(said('Unit of Carry', 'm').columns[1]).toEqual({ column: 1, field: 'carryM', unit: 'm' });
    expect(said('Decimal sign', ',')).toMatchObject({ decimal: ',', dates: 'day first' });
  });
});

describe('a file that was imported', () => {
  it('says how many shots it brought, what was known or left out, and offers the rest as a file', async () => {
    const report = {
      taken: 1200,
      days: [{}, {}],
      duplicates: 3,
      otherClubs: 0,
      refused: 2,
      refusals: [{ line: 4, column: 'Carry', text: 'fast', reason: 'no number' }],
      reasons: [{ column: 'Carry', reason: 'no number', count: 2 }],
    };
    const done = mount(ImportDone, {
      props: { playerId: 'p', report } as never,
      global: { stubs: { RouterLink: true } },
    });
    expect(done.text()).toContain('1,200 shots imported, on 2 days');
    expect(done.text()).toContain('3 were here already or twice in the file. 2 could not be imported.');
    await done.get('button').trigger('click');
    expect(done.emitted('saveRefusals')).toHaveLength(1);
  });
});
