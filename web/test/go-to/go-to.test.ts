import type { CourseView, EventView, FoundPlayer } from '@tasche/contract';
import { DOMWrapper, flushPromises, mount } from '@vue/test-utils';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { createMemoryHistory, createRouter } from 'vue-router';
import GoTo from '../../src/go-to/GoTo.vue';
import { placesFor, type PlacesFrom } from '../../src/go-to/places';
import { useGoTo } from '../../src/go-to/use-go-to';
import { freshPinia } from '../pinia';
import { clubView, sheetOf, showSchedule, showSheet } from '../sheet';
import { until } from '../until';

const player = (id: string, name: string, archived = false): FoundPlayer => ({ id, name, archived });
const ANA = player('ana', 'Ana Duarte-Lind');
const PIM = player('pim', 'Pim Olind');
const from: PlacesFrom = {
  players: [ANA, PIM],
  here: { ...PIM, clubs: [{ id: 'w56', name: '56 low' }] },
  view: 'card',
  courses: [{ id: 'sk', name: 'Skarvoy Links' }],
  events: [
    { id: 'open', name: 'Skarvoy Open', rounds: [{ day: '2099-03-12' }] as unknown as EventView['rounds'] },
  ],
  planOf: () => null,
};
const labels = (text: string, more: Partial<PlacesFrom> = {}) =>
  placesFor(text, { ...from, ...more }).map(({ label }) => label);

describe('where words lead', () => {
  it('without any, to the players, in the view that is open', () => {
    expect(labels('')).toEqual(['Ana Duarte-Lind · Card', 'Pim Olind · Card']);
    expect(labels(' ', { view: 'roster' })).toEqual(['Ana Duarte-Lind · Bag', 'Pim Olind · Bag']);
    expect(labels('', { view: 'check' })[0]).toBe('Ana Duarte-Lind · Check');
    expect(labels('', { view: 'swap-sheet' })[0]).toBe('Ana Duarte-Lind · Plan');
    expect(placesFor('', from)[0]!.to).toEqual({ name: 'card', params: { playerId: 'ana' } });
  });

  it('to a player by any word of the name, first in the view that is open, or in the one that is named', () => {
    expect(labels('lind')[0]).toBe('Ana Duarte-Lind · Card');
    expect(labels('pim hist')).toEqual(['Pim Olind · History']);
    expect(labels('lind ana range')).toEqual(['Ana Duarte-Lind · Range']);
    expect(labels('ana ana')).toEqual([]);
    const players = [player('ines', 'Inês Grüne')];
    for (const written of ['ines grune', 'gruene', 'Inês'])
      expect(labels(written, { players })[0]).toBe('Inês Grüne · Card');
    expect(placesFor('ana', { ...from, players: [{ ...ANA, archived: true }] })[0]!.says).toBe(
      'off the roster',
    );
  });

  it('to a view, a club of the player who is open, a course, an event', () => {
    expect(labels('benc')).toEqual(['Pim Olind · Bench', 'Ana Duarte-Lind · Bench']);
    expect(labels('tick')).toEqual(['Tickets']);
    expect(labels('ana wish')).toEqual(['Ana Duarte-Lind · Wish list']);
    expect(placesFor('56', from)).toMatchObject([
      { says: 'club of Pim Olind', to: { name: 'club-life', params: { playerId: 'pim', clubId: 'w56' } } },
    ]);
    expect(labels('56', { here: null })).toEqual([]);
    expect(labels('skar')).toEqual(['Skarvoy Links', 'Skarvoy Open']);
    expect(labels('skar event')).toEqual(['Skarvoy Open']);
    const event = (more: Partial<PlacesFrom>) => placesFor('skar event', { ...from, ...more })[0]!.to;
    expect(event({})).toEqual({ name: 'plan', params: { playerId: 'pim' }, query: { event: 'open' } });
    expect(event({ planOf: () => 'p1' })).toEqual({
      name: 'plan',
      params: { playerId: 'pim', planId: 'p1' },
    });
    expect(event({ here: null })).toEqual({ name: 'calendar', query: { from: '2099-03-12' } });
  });

  it('to a dozen at most', () => {
    expect(
      labels('p', { players: Array.from({ length: 30 }, (_one, i) => player(`${i}`, `Pia ${i}`)) }),
    ).toHaveLength(12);
  });
});

describe('the window to go somewhere', () => {
  const asked: string[] = [];
  let answers: ((players: FoundPlayer[]) => void)[] = [];
  beforeEach(() => {
    freshPinia();
    asked.length = 0;
    answers = [];
    vi.stubGlobal('fetch', (path: string) => {
      if (!path.includes('/players/find')) return new Promise(() => {});
      asked.push(decodeURIComponent(path.split('words=')[1]!));
      return new Promise((resolve) => {
        answers.push((players) => {
          resolve(new Response(JSON.stringify(players), { headers: { 'content-type': 'application/json' } }));
        });
      });
    });
    showSchedule({ courses: [{ id: 'sk', name: 'Skarvoy Links' } as CourseView] });
    showSheet(sheetOf([clubView('w56', { carryM: 90 })], ['w56']));
  });
  afterEach(() => vi.unstubAllGlobals());

  async function opened() {
    const view = { template: '<i />' };
    const router = createRouter({
      history: createMemoryHistory(),
      routes: ['bag', 'card', 'club-life', 'courses', 'plan', 'roster'].map((name) => ({
        path: `/${name}/:playerId?/:clubId?`,
        name,
        component: view,
      })),
    });
    await router.push('/card/p');
    useGoTo().open = true;
    const window = mount(GoTo, { global: { plugins: [router] }, attachTo: document.body });
    await flushPromises();
    const body = new DOMWrapper(document.body);
    const input = () => body.get('input[role=combobox]');
    const options = () => body.findAll('[role=option]').map((one) => one.text());
    return { router, window, input, options };
  }

  it('is gone through by key, and leads there', async () => {
    const { router, window, input, options } = await opened();
    answers[0]!([ANA, PIM]);
    await until(() => expect(options()).toEqual(['Ana Duarte-Lind · Card', 'Pim Olind · Card']));
    await input().trigger('keydown', { key: 'ArrowDown' });
    expect(input().attributes('aria-activedescendant')).toBe('place-1');
    await input().trigger('keydown', { key: 'ArrowDown' });
    await input().trigger('keydown', { key: 'ArrowUp' });
    await input().trigger('keydown', { key: 'Enter' });
    await flushPromises();
    expect(router.currentRoute.value.fullPath).toBe('/card/pim');
    expect(useGoTo().open).toBe(false);
    window.unmount();
  });

  it('waits with Enter for the players that are being looked for', async () => {
    const { router, window, input } = await opened();
    answers[0]!([]);
    await flushPromises();
    await input().setValue('pim');
    await input().trigger('keydown', { key: 'Enter' });
    await flushPromises();
    expect(router.currentRoute.value.fullPath).toBe('/card/p');
    expect(asked).toEqual(['', 'pim']);
    answers[1]!([PIM]);
    await until(() => expect(router.currentRoute.value.fullPath).toBe('/card/pim'));
    window.unmount();
  });
});
