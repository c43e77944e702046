import { gaps, placedClubs, type LadderClub } from '@tasche/core';
import { mount } from '@vue/test-utils';
import { describe, expect, it } from 'vitest';
import type { Moved } from '../../src/conditions/use-conditions';
import LadderTable from '../../src/ladder/LadderTable.vue';

const iron = (id: string, loftDeg: number, carryM?: number): LadderClub => ({
  id,
  name: id,
  kind: 'iron',
  loftDeg,
  shots: carryM === undefined ? {} : { full: { carryM, source: 'measured', sampleSize: 20, spreadM: 4 } },
});

function table(clubs: readonly LadderClub[], moved?: ReadonlyMap<string, Moved>) {
  const view = mount(LadderTable, { props: { report: gaps(clubs), unit: 'm', moved } });
  const rowOf = (name: string) =>
    view
      .findAll('tbody tr')
      .find((row) => row.get('[role="rowheader"]').text() === name)!
      .findAll('td:not([role])')
      .map((cell) => cell.text());
  return { view, rowOf };
}

describe('the ladder as a table', () => {
  const clubs = placedClubs([
    iron('6', 28, 162),
    iron('7', 32, 150),
    iron('8', 36),
    iron('9', 40, 126),
    iron('PW', 44, 114),
  ]);

  it('has a row a club, longest first, with the step to the next and its verdict in words', () => {
    const { view, rowOf } = table(clubs);
    expect(view.findAll('[role="rowheader"]').map((cell) => cell.text())).toEqual(['6', '7', '8', '9', 'PW']);
    const [loft, carry, loftStep, carryStep] = rowOf('6');
    expect([loft, carry, loftStep, carryStep]).toEqual(['28.0°', '162 m', '4.0°', '12']);
    expect(rowOf('6').at(-1)).toContain('even');
    // The last has none below it.
    expect(rowOf('PW').slice(2)).toEqual(['', '', '', '']);
  });

  it('a carry that is modelled says so, with its interval; one that was measured does not', () => {
    const { view, rowOf } = table(clubs);
    expect(rowOf('8')[1]).toMatch(/^\d+ m\s+modelled ±\d+$/);
    expect(rowOf('7')[1]).toBe('150 m');
    expect(view.findAll('td.modelled')).toHaveLength(1);
  });

  it('in other air it tells what that did to each carry and total', () => {
    const shift = { shiftCarryM: -6, shiftTotalM: -8, totalM: 150 } as Moved;
    const { view, rowOf } = table(clubs, new Map([['7', shift]]));
    expect(view.findAll('thead th').map((cell) => cell.text())).toContain('Against baseline');
    expect(rowOf('7').slice(2, 4)).toEqual(['−6', '150 −8']);
    expect(rowOf('9').slice(2, 4)).toEqual(['', '']);
  });
});
