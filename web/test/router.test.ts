import { flushPromises } from '@vue/test-utils';
import { expect, it, vi } from 'vitest';
import { router } from '../src/router';
import { until } from './until';

it('a page that is gone to begins at its top; one that is gone back to is left to the browser', async () => {
  const scrolled = vi.spyOn(window, 'scrollTo').mockImplementation(() => undefined);
  await router.push('/nowhere');
  expect(document.title).toBe('Nothing here · Tasche');
  scrolled.mockClear();
  await router.push('/account');
  expect(scrolled).toHaveBeenCalledWith({ top: 0 });
  expect(document.title).toBe('Account · Tasche');

  // The same page in another way stays where it is, and keeps what its head says.
  scrolled.mockClear();
  document.title = 'Kari · Tasche';
  await router.push('/account?tab=2');
  expect(scrolled).not.toHaveBeenCalled();
  expect(document.title).toBe('Kari · Tasche');

  router.go(-2);
  await until(() => {
    expect(router.currentRoute.value.name).toBe('nowhere');
  });
  await flushPromises();
  expect(scrolled).not.toHaveBeenCalled();
  await router.push('/account');
  expect(scrolled).toHaveBeenCalledTimes(1);
  scrolled.mockRestore();
});
