import type { RosterEntry } from '@tasche/contract';
import { mount } from '@vue/test-utils';
import { addDays, format } from 'date-fns';
import { describe, expect, it } from 'vitest';
import { createMemoryHistory, createRouter } from 'vue-router';
import RosterCard from '../../src/roster/RosterCard.vue';
import { sheetOf } from '../sheet';

const router = () =>
  createRouter({
    history: createMemoryHistory(),
    routes: [
      ...['bag', 'plan', 'history'].map((name) => ({
        path: `/${name}/:playerId/:planId?`,
        name,
        component: { template: '<i />' },
      })),
      { path: '/:rest(.*)*', component: { template: '<i />' } },
    ],
  });
const dayFrom = (days: number) => format(addDays(new Date(), days), 'yyyy-MM-dd');
const change = (summary: string) => ({
  id: summary,
  at: '2026-11-27T09:00:00Z',
  who: 'Jo',
  why: '',
  summary,
});
const plan = (startsOn: string): RosterEntry['nextPlan'] => ({
  id: 'e',
  name: 'Hochfirn Open',
  course: 'Hochfirn',
  startsOn,
  endsOn: startsOn,
  swaps: 0,
  rounds: { of: 3, settled: 0 },
});
const card = (more: object = {}) =>
  mount(RosterCard, {
    props: {
      player: { ...sheetOf([], []).player, id: 'p', name: 'Ana' },
      gamer: {
        bagId: 'b',
        clubs: 14,
        faults: 2,
        looks: 1,
        severity: 'error' as const,
        headline: 'Two faults.',
      },
      clubsOwned: 20,
      nextPlan: null,
      lastChanges: [],
      things: [],
      event: { words: 'no bag settled yet', severity: 'warning' as const },
      recent: [],
      ...more,
    } as never,
    global: { plugins: [router()] },
  });

describe('a player on the roster', () => {
  it('has the verdict on the bag, faults and looks apart, and leads to it', () => {
    const view = card();
    expect(view.get('a.player').attributes('href')).toBe('/bag/p');
    expect(view.text()).toContain('Two faults.');
    expect(view.text()).toContain('14 clubs of 20');
    expect(view.get('dd.verdict.error').text()).toMatch(/^2\s*◆ 1$/);
    expect(view.text()).toContain('nothing to do');
    expect(view.text()).toContain('nothing planned');
  });

  it('says that there is no bag yet, and counts no faults of none', () => {
    const view = card({ gamer: null });
    expect(view.text()).toContain('No gamer bag yet.');
    expect(view.findAll('dd')[1]!.text()).toBe('–');
  });

  it.each([
    [dayFrom(0), 'today'],
    [dayFrom(1), 'tomorrow'],
    [dayFrom(9), 'in 9 days'],
    [dayFrom(-1), 'on now'],
  ])('says how far off the next event is: %s is %s', (day, words) => {
    const view = card({ nextPlan: plan(day) });
    expect(view.text()).toContain(`${words};`);
    expect(view.text()).toContain('no bag settled yet');
  });

  it('leads to everything there is to do, the most urgent first and marked', () => {
    const thing = (rank: number, words: string) => ({
      rank,
      words,
      severity: 'warning' as const,
      to: `/${words}`,
    });
    const view = card({ things: [thing(1, 'first'), thing(2, 'second')] });
    const links = view.findAll('.thing a');
    expect(links.map((one) => one.attributes('href'))).toEqual(['/first', '/second']);
    expect(links[0]!.classes()).toContain('warning');
    expect(links[1]!.classes()).toContain('quiet');
  });

  it('counts the changes since yesterday, and leads to the history', () => {
    const changes = ['a', 'b', 'c'].map(change);
    const view = card({ lastChanges: changes, recent: changes });
    expect(view.text()).toContain('Jo');
    const link = view.findAll('a').find((one) => one.attributes('href') === '/history/p')!;
    expect(link.text().replace(/\s+/g, ' ')).toBe('3 changes since yesterday');
    const five = ['a', 'b', 'c', 'd', 'e'].map(change);
    expect(card({ lastChanges: five, recent: five }).text()).toContain('5 or more');
    expect(card({ lastChanges: changes, recent: [changes[0]] }).text()).not.toContain('since yesterday');
  });
});
