import { mount } from '@vue/test-utils';
import { NMenu } from 'naive-ui';
import { afterEach, beforeEach, expect, it } from 'vitest';
import { createMemoryHistory, createRouter } from 'vue-router';
import NavRail from '../../src/app/NavRail.vue';
import { router as ours } from '../../src/router';
import { freshPinia } from '../pinia';

beforeEach(() => freshPinia());
afterEach(() => document.body.replaceChildren());

async function railAt(path: string, inLine = false) {
  // The addresses of the application; the pages do not matter here.
  const router = createRouter({
    history: createMemoryHistory(),
    routes: ours.getRoutes().flatMap(({ path, name }) => (name ? [{ path, name, component: {} }] : [])),
  });
  await router.push(path);
  const rail = mount(NavRail, { props: { inLine }, global: { plugins: [router] }, attachTo: document.body });
  const current = () => rail.findAll('[role="menuitem"] [aria-current]').map((link) => link.text());
  return { rail, router, current };
}

it('has the views of the workspace, and those of a player once there is one', async () => {
  const { rail, current } = await railAt('/calendar');
  expect(rail.findAll('[role="menuitem"] a').map((link) => link.text())).toEqual([
    'Roster',
    'Courses',
    'Calendar',
    'Tickets',
  ]);
  expect(current()).toEqual(['Calendar']);
  const { rail: full } = await railAt('/players/p1/bag');
  expect(full.findAll('[role="menuitem"] a').map((link) => link.attributes('href'))).toContain(
    '/players/p1/history',
  );
});

it.each([
  ['/players/p1/range/basket', 'Range'],
  ['/players/p1/bench/putters', 'Bench'],
  ['/seasons', 'Courses'],
])('%s lies under %s', async (path, view) => {
  const { current } = await railAt(path);
  expect(current()).toEqual([view]);
});

it.each([false, true])(
  'the arrow keys go from entry to entry, and round (in one line: %s)',
  async (inLine) => {
    const { rail, router } = await railAt('/roster', inLine);
    const links = rail.findAll<HTMLElement>('[role="menuitem"] a');
    links[0]!.element.focus();
    const focused = () => document.activeElement?.textContent;
    await links[0]!.trigger('keydown', { key: 'ArrowDown' });
    expect(focused()).toBe('Courses');
    await links[1]!.trigger('keydown', { key: 'ArrowLeft' });
    await links[0]!.trigger('keydown', { key: 'ArrowUp' });
    expect(focused()).toBe('Tickets');
    await links[3]!.trigger('keydown', { key: 'ArrowRight' });
    expect(focused()).toBe('Roster');
    await links[2]!.trigger('click');
    await expect.poll(() => router.currentRoute.value.path).toBe('/calendar');
  },
);

it('takes the air of the address along in its links, and is not drawn again for it', async () => {
  const { rail, router } = await railAt('/players/p1/bag');
  const link = () => rail.findAll('[role="menuitem"] a').find((one) => one.text() === 'Flights');
  const menu = rail.getComponent(NMenu);
  const { options } = menu.props();
  await router.push('/players/p1/bag?wind=5&from=90');
  expect(link()!.attributes('href')).toBe('/players/p1/flight?wind=5&from=90');
  expect(menu.props().options).toBe(options);
  await router.push('/players/p1/locker');
  expect(link()!.attributes('href')).toBe('/players/p1/flight');
});
