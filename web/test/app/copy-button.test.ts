import { flushPromises, mount } from '@vue/test-utils';
import { afterEach, expect, it, vi } from 'vitest';
import CopyButton from '../../src/app/CopyButton.vue';

const own = Object.getOwnPropertyDescriptors(navigator);
afterEach(() => {
  vi.useRealTimers();
  for (const name of ['clipboard', 'permissions'] as const)
    if (own[name]) Object.defineProperty(navigator, name, own[name]);
    else Reflect.deleteProperty(navigator, name);
});

/** A browser with or without the way to copy that it has on safe origins only. */
function browserWith(clipboard: object | undefined): void {
  const permissions = {
    query: () => Promise.resolve(Object.assign(new EventTarget(), { state: 'granted' })),
  };
  for (const [name, value] of Object.entries({ clipboard, permissions }))
    Object.defineProperty(navigator, name, { value, configurable: true });
}

it('copies its text, and says so for a moment', async () => {
  vi.useFakeTimers({ toFake: ['setTimeout', 'clearTimeout'] });
  const write = vi.fn((_items: ClipboardItem[]) => Promise.resolve());
  browserWith({ write });
  const button = mount(CopyButton, { props: { text: 'Club, Loft, Carry', label: 'Copy a sample' } });
  expect(button.text()).toBe('Copy a sample');
  await flushPromises();
  await button.get('button').trigger('click');
  await flushPromises();
  const [item] = write.mock.calls[0]![0];
  expect(await (await item!.getType('text/plain')).text()).toBe('Club, Loft, Carry');
  expect(button.text()).toBe('Copied');
  vi.advanceTimersByTime(2500);
  await flushPromises();
  expect(button.text()).toBe('Copy a sample');
});

it('copies over plain HTTP too, where the browser has only the old way', async () => {
  browserWith(undefined);
  const copied: string[] = [];
  document.execCommand = () => {
    copied.push((document.activeElement as HTMLTextAreaElement | null)?.value ?? '');
    return true;
  };
  const button = mount(CopyButton, { props: { text: 'T-123' }, attachTo: document.body });
  await button.get('button').trigger('click');
  await flushPromises();
  expect(copied).toHaveLength(1);
  expect(button.text()).toBe('Copied');
  button.unmount();
});
