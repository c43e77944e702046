import { flushPromises, mount } from '@vue/test-utils';
import { beforeEach, expect, it, vi } from 'vitest';
import { createMemoryHistory, createRouter } from 'vue-router';
import HistoryView from '../../src/history/HistoryView.vue';
import RoundsPlayed from '../../src/history/RoundsPlayed.vue';
import { freshPinia } from '../pinia';
import { clubView, sheetOf, showSchedule, showSheet } from '../sheet';
import { until } from '../until';

/** What the server would answer, given when the test says so. */
const answers = new Map<string, (body: unknown) => void>();

beforeEach(() => {
  localStorage.clear();
  freshPinia();
  answers.clear();
  vi.stubGlobal(
    'fetch',
    (path: string) =>
      new Promise((resolve) => {
        answers.set(
          path.replace(/^.*\/players\/p\/(\w+).*?(\?(?:day|from)=[\d-]+)?(&.*)?$/, '$1$2'),
          (body) => {
            resolve(new Response(JSON.stringify(body), { headers: { 'content-type': 'application/json' } }));
          },
        );
      }),
  );
});

const blank = { template: '<i />' };
async function open() {
  showSheet(sheetOf([clubView('7')], ['7']));
  showSchedule({ courses: [], seasons: [], events: [] });
  const router = createRouter({
    history: createMemoryHistory(),
    routes: [
      ...['bag', 'review'].map((name) => ({ path: `/:playerId/${name}`, name, component: blank })),
      { path: '/:rest(.*)*', component: blank },
    ],
  });
  await router.push('/players/p/history?from=2026-10-01&to=2026-11-01');
  return mount(HistoryView, { props: { playerId: 'p' }, global: { plugins: [router] } });
}
const dayOf = (day: string) => ({ day, gamer: null, clubs: [], ball: null });

it('says that it reads, and shows the rounds once what stands above them has its place', async () => {
  const view = await open();
  expect(view.findAll('[role="status"]').map((one) => one.attributes('aria-label'))).toEqual([
    'Reading the changes',
    'Reading both days',
  ]);
  expect(view.findComponent(RoundsPlayed).exists()).toBe(false);
  await until(() => {
    expect(answers.size).toBeGreaterThanOrEqual(4);
  });
  answers.get('day?day=2026-10-01')!(dayOf('2026-10-01'));
  answers.get('day?day=2026-11-01')!(dayOf('2026-11-01'));
  await flushPromises();
  // What differs would still push them down.
  expect(view.findComponent(RoundsPlayed).exists()).toBe(false);
  answers.get('differences?from=2026-10-01')!([]);
  await until(() => {
    expect(view.findComponent(RoundsPlayed).exists()).toBe(true);
  });
  expect(view.text()).toContain('No gamer yet on');
  answers.get('changes')!({ rows: [], total: 0, next: null });
  await until(() => {
    expect(view.text()).toContain('Nothing has been changed yet.');
  });
  view.unmount();
});
