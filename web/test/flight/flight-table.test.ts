import { mount } from '@vue/test-utils';
import { describe, expect, it } from 'vitest';
import FlightTable from '../../src/flight/FlightTable.vue';
import { trace } from './trace';
import { until } from '../until';

/** However slow the machine is. */

describe('flights in numbers', () => {
  it('say what the wind does, and what the carry is known by', async () => {
    const view = mount(FlightTable, {
      props: {
        flights: [{ name: '7 iron', trace: trace(6) }],
        knownBy: () => ({ carryM: 150, source: 'stated' }),
        unit: 'm' as const,
        isElsewhere: true,
      },
    });
    await until(() => expect(view.text()).toContain('7 iron'));
    const cells = view.findAll('tbody td').map((cell) => cell.text());
    expect(cells[1]).toMatch(/^1[45]\d m$/);
    expect(cells[2]).toContain('total');
    expect(cells[9]).toMatch(/^\d+ left$/);
    expect(cells.at(-1)).toContain('stated');
    await view.setProps({ flights: [{ name: '7 iron', trace: trace(0) }], isElsewhere: false });
    await until(() => expect(view.findAll('tbody td')[8]!.text()).toBe('0'));
    expect(view.text()).not.toContain('Against baseline');
  });
});
