import type { EventRound, PlanView } from '@tasche/contract';
import { flushPromises, mount } from '@vue/test-utils';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { computed, defineComponent, h } from 'vue';
import { createMemoryHistory, createRouter, RouterView } from 'vue-router';
import { useSettling } from '../../src/plan/use-settling';
import type { AskedRound } from '../../src/plan/use-round';
import { freshPinia } from '../pinia';
import { sheetOf, showSheet } from '../sheet';
import { answerAsWorker } from '../round-worker';
import { until } from '../until';

const PLAN = { id: 'plan', baseClubIds: [], version: 1, rounds: [] } as unknown as PlanView;
const ROUND = { id: 'r1', name: 'Round 1', day: '2026-12-08' } as EventRound;

describe('settling a round', () => {
  /** What the worker answers, as soon as the test lets it. */
  let answer: (told: { answer: null; refused: string }) => void;
  beforeEach(() => {
    freshPinia();
    showSheet(sheetOf([], []));
    answerAsWorker({ choose: () => new Promise((resolve) => (answer = resolve)) });
  });
  afterEach(() => {
    vi.unstubAllGlobals();
  });

  const opened = async () => {
    let settling!: ReturnType<typeof useSettling>;
    const page = defineComponent({
      setup() {
        const ask = () => ({ request: { clubs: [] }, rules: {} }) as unknown as AskedRound;
        settling = useSettling(() => PLAN, ask, { unit: computed(() => 'm' as const), nameOf: (id) => id });
        return () => h('i');
      },
    });
    const router = createRouter({
      history: createMemoryHistory(),
      routes: [
        { path: '/', component: page },
        { path: '/next', component: { render: () => h('b') } },
      ],
    });
    await router.push('/');
    const view = mount(RouterView, { global: { plugins: [router] } });
    await flushPromises();
    return { settling, router, view };
  };

  it('keeps a leaving user on the page if it fails, and says why', async () => {
    const { settling, router, view } = await opened();
    void settling.settle([ROUND]);
    const left = router.push('/next');
    await until(() => {
      expect(settling.isWaitedFor.value).toBe(true);
      expect(answer).toBeDefined();
    });
    expect(router.currentRoute.value.path).toBe('/');
    answer({ answer: null, refused: 'no bag of ten has a putter' });
    await left;
    expect(router.currentRoute.value.path).toBe('/');
    expect(settling.work.problem.value).toContain('no bag of ten has a putter');
    expect(settling.isWaitedFor.value).toBe(false);
    view.unmount();
  });

  it('lets a user who cancels go, and one with nothing to wait for', async () => {
    const { settling, router, view } = await opened();
    void settling.settle([ROUND]);
    const left = router.push('/next');
    await until(() => {
      expect(settling.isWaitedFor.value).toBe(true);
    });
    settling.work.stop();
    await left;
    expect(router.currentRoute.value.path).toBe('/next');
    await router.push('/');
    await router.push('/next');
    expect(router.currentRoute.value.path).toBe('/next');
    view.unmount();
  });
});
