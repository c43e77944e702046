import { parseChangeRequest, type ChangeRequest } from '@tasche/contract';
import { flushPromises, mount } from '@vue/test-utils';
import { beforeEach, expect, it, vi } from 'vitest';
import { createMemoryHistory, createRouter } from 'vue-router';
import AddPlayer from '../../src/roster/AddPlayer.vue';
import { freshPinia } from '../pinia';
import { until } from '../until';

let sent: ChangeRequest[];
beforeEach(() => {
  freshPinia();
  sent = [];
  vi.stubGlobal('fetch', (_path: string, init: RequestInit) => {
    sent.push(parseChangeRequest(JSON.parse(String(init.body))));
    return Promise.resolve(Response.json({}));
  });
});

function opened() {
  const router = createRouter({
    history: createMemoryHistory(),
    routes: [{ path: '/players/:playerId/bag', name: 'bag', component: {} }],
  });
  const view = mount(AddPlayer, {
    props: { players: [{ id: 'k', name: 'Kari' }] },
    global: { plugins: [router] },
    attachTo: document.body,
  });
  const name = view.get('input');
  const submit = async () => {
    await view.get('form').trigger('submit');
    await flushPromises();
  };
  return { view, name, submit, router };
}

it('a field that is only passed through is not called wrong before the form is sent', async () => {
  const { view, name, submit } = opened();
  await name.trigger('focus');
  await name.trigger('blur');
  await flushPromises();
  expect(view.text()).not.toMatch(/Name (is missing|must not be empty)/);
  await submit();
  await until(() => {
    expect(view.text()).toMatch(/Name (is missing|must not be empty)/);
  });
  expect(sent).toEqual([]);
  view.unmount();
});

it('adds a player with an empty gamer, and goes to their bag; a name that is there is said to be', async () => {
  const { view, name, submit, router } = opened();
  await name.setValue('kari ');
  expect(view.text()).toContain('Kari is on the roster already.');
  await name.setValue('Bo');
  expect(view.text()).not.toContain('is on the roster already');
  await submit();
  await until(() => {
    expect(sent).toHaveLength(1);
  });
  const [first, second] = sent[0]!.commands;
  expect(first).toMatchObject({ do: 'addPlayer', player: { name: 'Bo', hand: 'right', distanceUnit: 'yd' } });
  expect(second).toMatchObject({ do: 'addBag', clubIds: [] });
  await expect.poll(() => router.currentRoute.value.name).toBe('bag');
  view.unmount();
});
