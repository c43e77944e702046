import { mount } from '@vue/test-utils';
import { describe, expect, it } from 'vitest';
import EmptyBag from '../../src/bag/EmptyBag.vue';

describe('an empty bag', () => {
  it('gives a usual bag as rows with headers, the one known carry in the reader’s unit', async () => {
    const view = mount(EmptyBag, { props: { unit: 'm' } });
    expect(view.text()).toContain('Put these 14 in');
    const carry = view.find('input[aria-label="Carry of the 7 iron"]');
    (carry.element as HTMLInputElement).value = '141,5';
    await carry.trigger('input');
    await view.find('form').trigger('submit');
    const rows = (view.emitted('rows')![0] as [string])[0].split('\n');
    expect(rows[0]).toBe('Club\tLoft\tCarry');
    expect(rows).toHaveLength(15);
    expect(rows).toContain('7 iron\t32\t141.5 m');
    expect(rows.filter((row) => !row.endsWith('\t') && row !== rows[0])).toEqual(['7 iron\t32\t141.5 m']);
  });

  it('needs no carry at all', async () => {
    const view = mount(EmptyBag, { props: { unit: 'yd' } });
    await view.find('form').trigger('submit');
    expect((view.emitted('rows')![0] as [string])[0]).toContain('Driver\t10.5\t\n');
  });
});
