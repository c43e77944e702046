import { flushPromises, mount } from '@vue/test-utils';
import { expect, it } from 'vitest';
import { createMemoryHistory, createRouter } from 'vue-router';
import { useFlightChoice } from '../../src/flight/use-flight-choice';

async function choice(address: string) {
  const router = createRouter({
    history: createMemoryHistory(),
    routes: [{ path: '/flight', component: { template: '<i />' } }],
  });
  await router.push(address);
  let made!: ReturnType<typeof useFlightChoice>;
  mount(
    {
      setup: () => void (made = useFlightChoice(() => [{ id: 'driver' }, { id: 'seven' }, { id: 'wedge' }])),
      render: () => null,
    },
    { global: { plugins: [router] } },
  );
  return { made, query: () => router.currentRoute.value.query };
}

it('clubs and lie are read from the address; clubs that are not here are passed over', async () => {
  const { made } = await choice('/flight?clubs=wedge,gone&lie=heavy rough');
  expect(made.chosen.value).toEqual(['wedge']);
  expect(made.lie.value).toBe('heavy rough');
  const odd = (await choice('/flight?clubs=gone&clubs=wedge&lie=lava')).made;
  expect(odd.chosen.value).toEqual(['driver', 'seven', 'wedge']);
  expect(odd.lie.value).toBe('fairway');
});

it('what is usual is not written into it, and the rest of it stays', async () => {
  const { made, query } = await choice('/flight?temperature=9');
  made.chosen.value = ['seven'];
  await flushPromises();
  expect(query()).toEqual({ temperature: '9', clubs: 'seven' });
  made.lie.value = 'heavy rough';
  await flushPromises();
  expect(query()).toEqual({ temperature: '9', clubs: 'seven', lie: 'heavy rough' });
  made.chosen.value = [];
  await flushPromises();
  made.lie.value = 'fairway';
  await flushPromises();
  expect(query()).toEqual({ temperature: '9' });
});
