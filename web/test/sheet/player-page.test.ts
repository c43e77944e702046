import { flushPromises, mount } from '@vue/test-utils';
import { beforeEach, expect, it, vi } from 'vitest';
import { createMemoryHistory, createRouter } from 'vue-router';
import { useSettings } from '../../src/app/settings';
import PlayerPage from '../../src/sheet/PlayerPage.vue';
import { clubView, sheetOf } from '../sheet';
import { freshPinia } from '../pinia';
import { until } from '../until';

beforeEach(() => {
  localStorage.clear();
  freshPinia();
});

it('pages of no player begin in the unit of the player looked at last', async () => {
  const sheet = sheetOf([clubView('a')], ['a']);
  const yards = { ...sheet, player: { ...sheet.player, distanceUnit: 'yd' as const } };
  vi.stubGlobal('fetch', () => Promise.resolve(Response.json(yards)));
  expect(useSettings().unitFor(useSettings().lastUnit)).toBe('m');
  const router = createRouter({
    history: createMemoryHistory(),
    routes: [{ path: '/players/:playerId', component: PlayerPage, props: true }],
  });
  await router.push('/players/p');
  const page = mount(PlayerPage, { props: { playerId: 'p' }, global: { plugins: [router] } });
  await until(() => {
    expect(useSettings().lastUnit).toBe('yd');
  });
  page.unmount();
  await flushPromises();
  // Opened another day, it is known still; whatever else stands there is no unit.
  freshPinia();
  expect(useSettings().unitFor(useSettings().lastUnit)).toBe('yd');
  useSettings().flipUnit('yd');
  expect(useSettings().unitFor(useSettings().lastUnit)).toBe('m');
  localStorage.setItem('tasche.last-unit', 'furlongs');
  freshPinia();
  expect(useSettings().lastUnit).toBe('m');
  vi.unstubAllGlobals();
});
