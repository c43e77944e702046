import { gaps, type LadderClub } from '@tasche/core';
import { mount } from '@vue/test-utils';
import { describe, expect, it } from 'vitest';
import RoundFaults from '../../src/plan/RoundFaults.vue';

const iron = (id: string, carryM: number, loftDeg: number): LadderClub => ({
  id,
  name: id,
  kind: 'iron',
  loftDeg,
  shots: { full: { carryM, source: 'measured', sampleSize: 30, spreadM: 3 } },
});
const even = [iron('6', 160, 28), iron('7', 150, 32), iron('8', 140, 36), iron('9', 130, 40)];
const uneven = [...even, iron('52', 95, 52), iron('56', 85, 56)];
const view = (clubs: readonly LadderClub[], faultless?: { ids: readonly string[]; price: number } | null) =>
  mount(RoundFaults, {
    props: {
      report: gaps(clubs),
      best: clubs.map(({ id }) => id),
      faultless,
      nameOf: (id: string) => `the ${id}`,
      unit: 'yd',
      readOnly: false,
    },
  });

describe('a best bag with a step at fault', () => {
  it('says nothing where there is none', () => {
    expect(view(even).text()).toBe('');
  });

  it('says what a bag without it costs, what goes in and out, and takes it in one press', async () => {
    const shown = view(uneven, { ids: [...even.map(({ id }) => id), '48', '56'], price: 0.123 });
    expect(shown.text()).toContain('One step of this bag is at fault: 9 to 52 is 12.0°');
    expect(shown.text()).toContain('0.12 strokes a round more: the 48 in, the 52 out.');
    await shown.get('button').trigger('click');
    expect(shown.emitted('avoid')).toHaveLength(1);
  });

  it('offers none that costs a stroke and more', () => {
    const shown = view(uneven, { ids: even.map(({ id }) => id), price: 6.22 });
    expect(shown.text()).toContain('Avoiding it would cost 6.2 strokes a round.');
    expect(shown.find('button').exists()).toBe(false);
  });

  it('says that no bag is without one, and nothing of it while it is looked for', () => {
    expect(view(uneven, null).text()).toContain('No bag from this locker avoids it.');
    expect(view(uneven).text()).not.toContain('No bag');
  });
});
