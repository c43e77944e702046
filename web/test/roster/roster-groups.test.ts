import type { RosterEntry } from '@tasche/contract';
import { mount } from '@vue/test-utils';
import { describe, expect, it } from 'vitest';
import PrintRun from '../../src/roster/PrintRun.vue';
import { changedSinceYesterday, eventState, grouped } from '../../src/roster/roster-groups';
import { sheetOf } from '../sheet';

const plan = (name: string, settled: number, swaps = 0, rounds = true) => ({
  id: name,
  name,
  course: '',
  startsOn: '2026-12-05',
  endsOn: '2026-12-08',
  swaps,
  rounds: rounds ? { of: 3, settled } : null,
});
const entry = (id: string, nextPlan: RosterEntry['nextPlan']) =>
  ({ player: { ...sheetOf([], []).player, id, name: id }, nextPlan }) as RosterEntry;
const all = [
  entry('Ana', plan('Open', 3)),
  entry('Bo', null),
  entry('Cy', plan('Cup', 1)),
  entry('Di', plan('Open', 0)),
  entry('Ed', plan('Week', 0, 2, false)),
];

describe('the roster in groups', () => {
  const names = (by: Parameters<typeof grouped>[1]) =>
    grouped(all, by).map(({ name, entries }) => [name, entries.map(({ player }) => player.id).join(' ')]);

  it('is one list, by event, or by how far the next event is; nobody is lost', () => {
    expect(names('none')).toEqual([['', 'Ana Bo Cy Di Ed']]);
    expect(names('event')).toEqual([
      ['Open', 'Ana Di'],
      ['Nothing planned', 'Bo'],
      ['Cup', 'Cy'],
      ['Week', 'Ed'],
    ]);
    expect(names('state')).toEqual([
      ['settled', 'Ana Ed'],
      ['nothing planned', 'Bo'],
      ['partly settled', 'Cy'],
      ['no bag settled', 'Di'],
    ]);
    expect(grouped([], 'none')).toEqual([]);
    expect(eventState(entry('x', plan('Week', 0, 0, false)))).toBe('no bag settled');
  });

  it('knows what was changed since yesterday began', () => {
    const at = (moment: string | null) =>
      changedSinceYesterday(
        { lastChange: moment === null ? null : ({ at: moment } as RosterEntry['lastChange']) },
        '2026-11-26',
      );
    expect(at('2026-11-26T12:00:00')).toBe(true);
    expect(at('2026-11-25T00:01:00')).toBe(true);
    expect(at('2026-11-24T23:59:00')).toBe(false);
    expect(at(null)).toBe(false);
  });
});

describe('a print run', () => {
  it('is an address once somebody and something is chosen, and says what is missing until then', async () => {
    const view = mount(PrintRun, { props: { playerIds: [] as string[] } });
    expect(view.text()).toContain('Tick players.');
    expect(view.find('a').exists()).toBe(false);
    await view.setProps({ playerIds: ['p1', 'p2'] });
    expect(view.get('a').attributes('href')).toBe('/api/print.pdf?players=p1,p2&papers=sheet');
    for (const box of view.findAll('[role="checkbox"]').slice(0, 3)) await box.trigger('click');
    expect(view.get('a').attributes('href')).toBe('/api/print.pdf?players=p1,p2&papers=swaps,card');
    for (const box of view.findAll('[role="checkbox"]').slice(1, 3)) await box.trigger('click');
    expect(view.text()).toContain('Tick what is to be printed.');
    await view.setProps({ playerIds: Array.from({ length: 41 }, (_one, i) => `p${i}`) });
    expect(view.text()).toContain('At most 40 players');
  });
});
