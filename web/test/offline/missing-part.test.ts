import { flushPromises, mount } from '@vue/test-utils';
import { afterEach, describe, expect, it, vi } from 'vitest';
import { createMemoryHistory, createRouter } from 'vue-router';
import { loadPageAgain, missingPart, watchParts, watchWorker } from '../../src/offline/missing-part';
import MissingPartBar from '../../src/offline/MissingPartBar.vue';

const Page = { template: '<p>here</p>' };
let isThere = false;
/** As the builder's own way of fetching a part does where it does not come. */
function part(): Promise<typeof Page> {
  if (isThere) return Promise.resolve(Page);
  window.dispatchEvent(new Event('vite:preloadError'));
  return Promise.reject(new TypeError('Failed to fetch dynamically imported module'));
}
const router = createRouter({
  history: createMemoryHistory(),
  routes: [
    { path: '/', component: Page },
    { path: '/calendar', component: part, meta: { title: 'Calendar' } },
    {
      path: '/broken',
      component: () => Promise.reject(new Error('a fault of our own')),
      meta: { title: 'Broken' },
    },
  ],
});
watchParts(router);

afterEach(async () => {
  isThere = true;
  await router.push('/');
  vi.restoreAllMocks();
});

describe('a part of the program that does not come', () => {
  it('names the view it was for, and loads that one with the whole page; a view that opens ends it', async () => {
    isThere = false;
    const bar = mount(MissingPartBar);
    expect(bar.find('[role="alert"]').exists()).toBe(false);
    await expect(router.push('/calendar?month=5')).rejects.toThrow('Failed to fetch');
    await flushPromises();
    expect(bar.get('[role="alert"]').text()).toContain('Calendar could not be opened.');
    const assign = vi.spyOn(window.location, 'assign').mockImplementation(() => undefined);
    await bar.get('button').trigger('click');
    expect(assign).toHaveBeenCalledWith('/calendar?month=5');
    isThere = true;
    await router.push('/calendar');
    await flushPromises();
    expect(bar.find('[role="alert"]').exists()).toBe(false);
  });

  it('is not said of a fault of another kind', async () => {
    await expect(router.push('/broken')).rejects.toThrow('a fault of our own');
    expect(missingPart.value).toBeNull();
  });

  it('may be a worker’s, which would never answer', async () => {
    const worker = new EventTarget() as unknown as Worker;
    expect(watchWorker(worker)).toBe(worker);
    worker.dispatchEvent(new ErrorEvent('error', { message: 'a fault of our own' }));
    expect(missingPart.value).toBeNull();
    worker.dispatchEvent(new Event('error'));
    expect(mount(MissingPartBar).text()).toContain('A part of this page could not be opened.');
    const reload = vi.spyOn(window.location, 'reload').mockImplementation(() => undefined);
    loadPageAgain();
    expect(reload).toHaveBeenCalledOnce();
    // Another view opens, and still nothing is answered.
    await router.push('/calendar');
    expect(missingPart.value).not.toBeNull();
  });
});
