import { mount } from '@vue/test-utils';
import { describe, expect, it } from 'vitest';
import RefusedRows from '../../src/range/RefusedRows.vue';

const refusals = (count: number) =>
  Array.from({ length: count }, (_one, i) => ({
    line: i + 2,
    column: 'Carry',
    text: `x${i}`,
    reason: 'is not a number',
  }));
const shown = (refused: number, listed = refused) =>
  mount(RefusedRows, {
    props: {
      report: {
        refused,
        refusals: refusals(listed),
        reasons: [{ column: 'Carry', reason: 'is not a number', count: refused }],
      },
    },
  });

describe('what of a file cannot be taken', () => {
  it('is said line by line, and can be saved', async () => {
    const view = shown(3);
    const rows = view.findAll('tbody tr').map((row) =>
      row
        .findAll('td')
        .map((cell) => cell.text())
        .join(' | '),
    );
    expect(rows).toEqual([
      '2 | Carry | x0 | is not a number',
      '3 | Carry | x1 | is not a number',
      '4 | Carry | x2 | is not a number',
    ]);
    await view.get('button').trigger('click');
    expect(view.emitted('save')).toHaveLength(1);
  });

  it('is summed up by its reasons where it is much, and what is not listed is counted', () => {
    const view = shown(1250, 200);
    expect(view.get('tbody tr').text()).toContain('1,250 rows');
    expect(view.findAll('tbody tr')[1]!.text()).toContain('x0');
    expect(view.text()).toContain('and 1,150 more like these');
    expect(shown(12).findAll('.sum')).toHaveLength(0);
  });
});
