import type { RosterEntry } from '@tasche/contract';
import { mount } from '@vue/test-utils';
import { describe, expect, it } from 'vitest';
import PrintRun from '../../src/roster/PrintRun.vue';
import { eventState, eventStateWords } from '../../src/roster/event-state';
import {
  changesSinceYesterday,
  grouped,
  mostPressing,
  rosterRows,
  shownRows,
  type RosterLook,
} from '../../src/roster/roster-groups';
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
const BENCH: RosterEntry['bench'] = {
  tickets: 0,
  dueOn: null,
  builtOn: null,
  checkedOn: null,
  stale: 0,
  unknown: 0,
  groovesDueOn: [],
};
const TODAY = '2026-11-27';
const entry = (id: string, nextPlan: RosterEntry['nextPlan']) =>
  ({ player: { ...sheetOf([], []).player, id, name: id }, bench: BENCH, nextPlan }) as RosterEntry;
const all = [
  entry('Ana', plan('Open', 3)),
  entry('Bo', null),
  entry('Cy', plan('Cup', 1)),
  entry('Di', plan('Open', 0)),
  entry('Ed', plan('Week', 0, 2, false)),
];

describe('the roster in groups', () => {
  const names = (by: Parameters<typeof grouped>[1]) =>
    grouped(all, by, TODAY).map(({ name, entries }) => [
      name,
      entries.map(({ player }) => player.id).join(' '),
    ]);

  it('is one list, by event, or by how far the next event is; no one is lost', () => {
    expect(names('none')).toEqual([['', 'Ana Bo Cy Di Ed']]);
    expect(names('event')).toEqual([
      ['Open', 'Ana Di'],
      ['Nothing planned', 'Bo'],
      ['Cup', 'Cy'],
      ['Week', 'Ed'],
    ]);
    expect(names('state')).toEqual([
      ['nothing planned', 'Bo'],
      ['no bag settled', 'Di'],
      ['partly settled', 'Cy'],
      ['built', 'Ana Ed'],
    ]);
    expect(grouped([], 'none', TODAY)).toEqual([]);
    expect(eventState(entry('x', plan('Week', 0, 0, false)), TODAY)).toBe('no bag settled');
  });

  it('knows what of an event is done: planned, built, checked, travelled', () => {
    const settled = entry('Ana', plan('Open', 3));
    const at = (bench: Partial<RosterEntry['bench']>, today = TODAY, more: Partial<RosterEntry> = {}) => {
      const one = { ...settled, ...more, bench: { ...BENCH, ...bench } };
      return [eventState(one, today), eventStateWords(one, today).words];
    };
    expect(at({ tickets: 2 })).toEqual(['planned', 'planned, 2 tickets open']);
    expect(at({})).toEqual(['built', 'built, not checked yet']);
    // In the week before, and since the last ticket.
    expect(at({ checkedOn: '2026-11-28' })).toEqual(['checked', 'built and checked']);
    expect(at({ checkedOn: '2026-11-27' })[0]).toBe('built');
    expect(at({ checkedOn: '2026-11-28', builtOn: '2026-11-29' })[0]).toBe('built');
    expect(at({ checkedOn: '2026-11-29', builtOn: '2026-11-29' })[0]).toBe('checked');
    // Whoever is away cannot build any more.
    expect(at({ tickets: 2 }, '2026-12-05')[0]).toBe('travelled');
    const trip = {
      id: 't',
      kind: 'trip',
      name: 'Away',
      from: '2026-12-02',
      to: '2026-12-09',
      repeats: null,
    } as const;
    const season = { rules: {}, items: [trip], trials: [] } as unknown as RosterEntry['player']['season'];
    const away = { player: { ...settled.player, season } };
    expect(at({}, '2026-12-02', away)[0]).toBe('travelled');
    expect(at({}, '2026-12-01', away)[0]).toBe('built');
    // An event without a bag stays one, wherever the player is.
    expect(eventState(entry('Di', plan('Open', 0)), '2026-12-06')).toBe('no bag settled');
  });

  it('knows what was changed since yesterday began', () => {
    const moments = ['2026-11-26T12:00:00', '2026-11-25T00:01:00', '2026-11-24T23:59:00'];
    const lastChanges = moments.map((at) => ({ at })) as unknown as RosterEntry['lastChanges'];
    const since = (today: string) => changesSinceYesterday({ lastChanges }, today).map(({ at }) => at);
    expect(since('2026-11-26')).toEqual(moments.slice(0, 2));
    expect(since('2026-11-25')).toEqual(moments);
    expect(since('2026-11-28')).toEqual([]);
  });
});

describe('who of the roster is shown', () => {
  const gamer = { bagId: 'b', clubs: 14, faults: 2, looks: 0, severity: 'error' as const, headline: '' };
  const rows = rosterRows(
    [
      { ...entry('Ana', plan('Open', 3)), lastChanges: [], gamer },
      { ...entry('Bo', { ...plan('Cup', 3), course: 'Föhrenau' }), lastChanges: [], gamer: null },
      {
        ...entry('Cy', null),
        lastChanges: [{ at: `${TODAY}T08:00:00` }] as unknown as RosterEntry['lastChanges'],
        gamer: { ...gamer, faults: 0, severity: 'fine' as const },
        bench: { ...BENCH, tickets: 1, checkedOn: TODAY },
      },
      { ...entry('Di', null), player: { ...sheetOf([], []).player, archived: true } },
    ],
    TODAY,
  );
  const names = (look: Partial<RosterLook>) =>
    shownRows(rows, { search: '', only: 'all', order: 'name', group: 'none', ...look })
      .map(({ player }) => player.name)
      .join(' ');

  it('is everybody on it, or who is searched for by name, event or course', () => {
    expect(names({})).toBe('Ana Bo Cy');
    expect(names({ search: ' an' })).toBe('Ana');
    expect(names({ search: 'CUP' })).toBe('Bo');
    expect(names({ search: 'föhren' })).toBe('Bo');
    expect(names({ search: 'nobody' })).toBe('');
  });

  it('is who has a fault, tickets or a change, in the order asked for', () => {
    expect(names({ only: 'faults' })).toBe('Ana');
    expect(names({ only: 'tickets' })).toBe('Cy');
    expect(names({ only: 'changed' })).toBe('Cy');
    expect(names({ only: 'pressing' })).toBe('Ana Bo Cy');
    expect(names({ order: 'event' })).toBe('Ana Bo Cy');
    const byPressing = names({ order: 'pressing' }).split(' ');
    expect(mostPressing(rows)?.player.name).toBe(byPressing[0]);
    const ranks = shownRows(rows, { search: '', only: 'all', order: 'pressing', group: 'none' }).map(
      ({ things }) => things[0]!.rank,
    );
    expect(ranks).toEqual(ranks.toSorted((a, b) => a - b));
    expect(mostPressing([])).toBeUndefined();
  });
});

describe('a print run', () => {
  it('is an address once a player and a paper are chosen, and says what is missing until then', async () => {
    const view = mount(PrintRun, { props: { playerIds: [] as string[] } });
    expect(view.text()).toContain('Tick players.');
    expect(view.find('a').exists()).toBe(false);
    await view.setProps({ playerIds: ['p1', 'p2'] });
    expect(view.get('a').attributes('href')).toBe('/api/print.pdf?players=p1,p2&papers=sheet');
    for (const box of view.findAll('[role="checkbox"]').slice(0, 3)) await box.trigger('click');
    expect(view.get('a').attributes('href')).toBe('/api/print.pdf?players=p1,p2&papers=swaps,card');
    for (const box of view.findAll('[role="checkbox"]').slice(1, 3)) await box.trigger('click');
    expect(view.text()).toContain('Tick what to print.');
    await view.setProps({ playerIds: Array.from({ length: 41 }, (_one, i) => `p${i}`) });
    expect(view.text()).toContain('At most 40 players');
  });
});
