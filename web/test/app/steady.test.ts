import { ref, watch, nextTick } from 'vue';
import { expect, it } from 'vitest';
import { steady, steadyList } from '../../src/app/steady';

it('stays the same object while it says the same, and is another once it says something else', async () => {
  const source = ref({ never: ['7'], saved: 1 });
  const never = steady(() => ({ never: [...source.value.never] }));
  let told = 0;
  watch(never, () => (told += 1));
  const first = never.value;
  source.value = { never: ['7'], saved: 2 };
  await nextTick();
  expect(never.value).toBe(first);
  expect(told).toBe(0);
  source.value = { never: ['7', '8'], saved: 2 };
  await nextTick();
  expect(never.value).toEqual({ never: ['7', '8'] });
  expect(told).toBe(1);
});

it('keeps nothing as a value of its own', () => {
  const source = ref<string | undefined>('a');
  const value = steady(() => source.value);
  expect(value.value).toBe('a');
  source.value = undefined;
  expect(value.value).toBeUndefined();
  source.value = 'a';
  expect(value.value).toBe('a');
});

it('a list of the same members is the same list, and another in another order', () => {
  const [a, b] = [{ name: 'a' }, { name: 'b' }];
  const source = ref(0);
  const orders = [[a, b], [a, b], [b, a], [b]];
  const list = steadyList(() => orders[source.value]!);
  const first = list.value;
  source.value = 1;
  expect(list.value).toBe(first);
  source.value = 2;
  expect(list.value).toEqual([b, a]);
  source.value = 3;
  expect(list.value).toEqual([b]);
});
