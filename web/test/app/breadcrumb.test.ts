import { mount } from '@vue/test-utils';
import { expect, it } from 'vitest';
import { createMemoryHistory, createRouter } from 'vue-router';
import Breadcrumb from '../../src/app/Breadcrumb.vue';
import { pagesAbove } from '../../src/app/breadcrumb';
import { router as ours } from '../../src/router';

it('a page under a view leads back by links with addresses, the nearest last', async () => {
  // The addresses of the application; the pages do not matter here.
  const router = createRouter({
    history: createMemoryHistory(),
    routes: ours.getRoutes().flatMap(({ path, name }) => (name ? [{ path, name, component: {} }] : [])),
  });
  await router.push('/players/p1/range/import');
  const view = mount(Breadcrumb, {
    props: { pages: pagesAbove({ id: 'p1', name: 'Ana Quick' }, 'range') },
    global: { plugins: [router] },
  });
  expect(view.attributes('aria-label')).toBe('Breadcrumb');
  expect(view.findAll('a').map((link) => [link.text(), link.attributes('href')])).toEqual([
    ['Roster', '/roster'],
    ['Ana Quick', '/players/p1/bag'],
    ['Range', '/players/p1/range'],
  ]);
  await view.findAll('a').at(-1)!.trigger('click');
  await expect.poll(() => router.currentRoute.value.path).toBe('/players/p1/range');
});
