import { mayUse, type Page, type PlayerView, type RosterEntry, type Role } from '@tasche/contract';
import { flushPromises, mount } from '@vue/test-utils';
import { beforeEach, describe, expect, it, vi } from 'vitest';
import { nextTick } from 'vue';
import { createMemoryHistory, createRouter } from 'vue-router';
import { today } from '../../src/app/day';
import RosterView from '../../src/roster/RosterView.vue';
import { thingsToDo } from '../../src/roster/things-to-do';
import { sheetOf } from '../sheet';
import { freshPinia } from '../pinia';

const TODAY = '2026-11-26';
const player = (name: string): PlayerView => ({ ...sheetOf([], []).player, id: name, name });
const known = {
  tickets: 0,
  dueOn: null,
  builtOn: null,
  checkedOn: TODAY,
  stale: 0,
  unknown: 0,
  groovesDueOn: [],
};
const gamer = { bagId: 'b', clubs: 14, faults: 0, looks: 0, severity: 'fine' as const, headline: 'Even.' };
const entry = (name: string, more: Partial<RosterEntry> = {}): RosterEntry => ({
  player: player(name),
  gamer,
  clubsOwned: 20,
  bench: known,
  nextPlan: null,
  lastChanges: [],
  ...more,
});
const plan = (startsOn: string, settled: number) => ({
  id: 'e',
  name: 'Hochfirn Open',
  course: 'Hochfirn',
  startsOn,
  endsOn: startsOn,
  swaps: 0,
  rounds: { of: 3, settled },
});

describe('the next thing to do for a player', () => {
  const things = (more: Partial<RosterEntry>, role: Role = 'rep') =>
    thingsToDo(entry('Ana', more), TODAY, (name) => mayUse(role, name));
  const thing = (more: Partial<RosterEntry>) => things(more)[0] ?? null;

  it('is nothing where all is well', () => {
    expect(thing({})).toBeNull();
    expect(thing({ bench: { ...known, checkedOn: '2026-11-20' } })).toBeNull();
    expect(thing({ nextPlan: plan('2027-03-01', 0) })).toBeNull();
  });

  it.each([
    ['a ticket is late', { bench: { ...known, tickets: 1, dueOn: '2026-11-25' } }, 'bench'],
    ['enter the bag', { gamer: null }, 'bag'],
    ['settle 2 rounds of Hochfirn Open', { nextPlan: plan('2026-12-05', 1) }, 'plan'],
    ['fix 2 faults of the gamer', { gamer: { ...gamer, faults: 2 } }, 'bag'],
    ['measure 1 club again, changed since', { bench: { ...known, stale: 1 } }, 'basket'],
    ['3 tickets open', { bench: { ...known, tickets: 3, dueOn: '2026-12-01' } }, 'bench'],
    ['4 carries not known', { bench: { ...known, unknown: 4 } }, 'basket'],
    ['check lofts and lies', { bench: { ...known, checkedOn: '2025-11-01' } }, 'check'],
    ['new grooves for 1 wedge', { bench: { ...known, groovesDueOn: ['2026-11-26', '2026-11-27'] } }, 'wear'],
    ['check lofts and lies', { bench: { ...known, checkedOn: null } }, 'check'],
  ] as const)('is “%s”, and leads there', (words, more, name) => {
    expect(thing(more as Partial<RosterEntry>)).toMatchObject({ words, to: { name } });
  });

  it('is the most pressing of several', () => {
    const all = {
      gamer: { ...gamer, faults: 1 },
      bench: {
        tickets: 2,
        dueOn: '2026-11-20',
        builtOn: null,
        checkedOn: null,
        stale: 1,
        unknown: 1,
        groovesDueOn: ['2026-10-01'],
      },
      nextPlan: plan('2026-11-28', 0),
    };
    expect(thing(all)!.words).toBe('a ticket is late');
    expect(things(all).map(({ words }) => words)).toEqual([
      'a ticket is late',
      'settle 3 rounds of Hochfirn Open',
      'fix 1 fault of the gamer',
      'measure 1 club again, changed since',
      '1 carry not known',
      'check lofts and lies',
      'new grooves for 1 wedge',
    ]);
    // What the reader may not do is not theirs to do: an assistant is at the bench and on the range.
    expect(things(all, 'assistant').map(({ words }) => words)).toEqual([
      'a ticket is late',
      'measure 1 club again, changed since',
      '1 carry not known',
      'check lofts and lies',
      'new grooves for 1 wedge',
    ]);
    expect(things(all, 'caddie')).toEqual([]);
    expect(things({ gamer: null }, 'caddie')).toEqual([]);
    // On tour a check is due every week.
    const onTour = {
      player: { ...player('Ana'), handicap: -4 },
      bench: { ...known, checkedOn: '2026-11-15' },
    };
    expect(thing(onTour)!.words).toBe('check lofts and lies');
    expect(thing({ bench: onTour.bench })).toBeNull();
    expect(thing({ ...all, bench: { ...all.bench, dueOn: null } })!.words).toContain('settle');
    expect(thing({ ...all, bench: { ...all.bench, dueOn: null }, nextPlan: null })!.words).toContain('fix');
  });
});

describe('the roster', () => {
  const pages: Record<string, Page<RosterEntry>> = {};
  const asked: string[] = [];
  async function roster() {
    vi.stubGlobal('fetch', (input: string) => {
      asked.push(input);
      const after = /after=([^&]+)/.exec(input)?.[1] ?? '';
      return Promise.resolve(new Response(JSON.stringify(pages[after]), { status: 200 }));
    });
    const router = createRouter({
      history: createMemoryHistory(),
      routes: [
        ...['bag', 'bench', 'plan', 'basket', 'check', 'settings'].map((name) => ({
          path: `/${name}/:playerId/:planId?`,
          name,
          component: { template: '<i />' },
        })),
        { path: '/:rest(.*)*', component: { template: '<i />' } },
      ],
    });
    const view = mount(RosterView, { global: { plugins: [router] } });
    await flushPromises();
    return { view, router, names: () => view.findAll('.roster h2').map((one) => one.text()) };
  }

  beforeEach(() => {
    localStorage.clear();
    asked.length = 0;
    freshPinia();
    const checkedOn = today();
    pages[''] = {
      rows: [
        entry('Ana', { bench: { ...known, checkedOn } }),
        entry('Bo', { gamer: { ...gamer, faults: 1, severity: 'error' }, bench: { ...known, checkedOn } }),
      ],
      total: 3,
      next: 'Bo_1',
    };
    pages['Bo_1'] = {
      rows: [entry('Cy', { bench: { ...known, checkedOn, tickets: 1, dueOn: '2026-01-01' } })],
      total: 3,
      next: null,
    };
  });

  it('shows what each player needs, and goes to the most pressing with one key', async () => {
    const { view, router, names } = await roster();
    expect(names()).toEqual(['Ana', 'Bo']);
    expect(view.text()).toContain('nothing to do');
    expect(view.text()).toContain('fix 1 fault of the gamer');
    window.dispatchEvent(new KeyboardEvent('keydown', { key: 'n', altKey: true }));
    await flushPromises();
    expect(router.currentRoute.value.path).toBe('/bag/Bo');
    view.unmount();
  });

  it('offers a made-up player while it is empty', async () => {
    pages[''] = { rows: [], total: 0, next: null };
    const { view } = await roster();
    await expect.poll(() => view.text()).toContain('Or look around first');
    expect(view.findAll('.made-up button').map((one) => one.text())).toContain('Oluchi Nwosu');
    view.unmount();
  });

  it('says before a player is added twice that there is one of that name', async () => {
    const { view } = await roster();
    await view
      .findAll('button')
      .find((button) => button.text() === 'Add a player')!
      .trigger('click');
    await expect.poll(() => view.find('input[aria-label="Name"]').exists()).toBe(true);
    await view.get('input[aria-label="Name"]').setValue('An');
    expect(view.find('.namesake').exists()).toBe(false);
    await view.get('input[aria-label="Name"]').setValue(' ana ');
    expect(view.get('.namesake').text()).toBe('◆ Ana is on the roster already. To their bag');
    expect(view.get('.namesake a').attributes('href')).toBe('/bag/Ana');
    view.unmount();
  });

  it('searches and sorts all players, those of later pages too, and remembers how', async () => {
    const { view, names } = await roster();
    await view.get('input[aria-label="Search players and events"]').setValue('c');
    await flushPromises();
    await nextTick();
    expect(names()).toEqual(['Cy']);
    expect(asked.filter((url) => url.includes('after=Bo_1'))).toHaveLength(1);
    view.unmount();
    const again = await roster();
    await flushPromises();
    expect(again.names()).toEqual(['Cy']);
    await again.view.get('input[aria-label="Search players and events"]').setValue('nobody');
    await nextTick();
    expect(again.view.text()).toContain('No player matches');
    again.view.unmount();
  });
});
