import { mount } from '@vue/test-utils';
import { computed, defineComponent, h } from 'vue';
import { beforeEach, describe, expect, it, vi } from 'vitest';
import { createMemoryHistory, createRouter } from 'vue-router';
import { useBagLadder } from '../../src/bag/use-bag-ladder';
import { useBagQuestion } from '../../src/bag/use-bag-question';
import { useSheet } from '../../src/sheet/sheet-store';
import { freshPinia } from '../pinia';
import { clubView, sheetOf, showSheet } from '../sheet';

beforeEach(() => {
  freshPinia();
  vi.stubGlobal('fetch', () => new Promise(() => {}));
});

/** What is asked about a bag of one club, at an address. */
async function askedAt(address: string) {
  showSheet(sheetOf([clubView('7 iron', { carryM: 150 })], ['7 iron']));
  const router = createRouter({
    history: createMemoryHistory(),
    routes: [{ path: '/', component: { render: () => null } }],
  });
  await router.push(address);
  let question!: ReturnType<typeof useBagQuestion>;
  mount(
    defineComponent({
      setup() {
        const bag = computed(() => useSheet().sheet!.bags[0]);
        question = useBagQuestion(bag, useBagLadder(bag));
        return () => h('p');
      },
    }),
    { global: { plugins: [router] } },
  );
  return question.value;
}

describe('what a usual round is asked about a bag', () => {
  it('is its clubs, in the air they are read in', async () => {
    expect(await askedAt('/?wind=8')).toMatchObject({
      bagIds: ['7 iron'],
      request: { from: { conditions: { windMps: 8 } } },
    });
  });

  it('is nothing in a gale: no bag is changed for one', async () => {
    expect(await askedAt('/?wind=25')).toBeNull();
  });
});
