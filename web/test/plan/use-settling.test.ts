import type { ChangeRequest, EventRound, PlanView } from '@tasche/contract';
import { flushPromises, mount } from '@vue/test-utils';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { computed, defineComponent, h } from 'vue';
import { createMemoryHistory, createRouter, RouterView } from 'vue-router';
import { useOutbox } from '../../src/changes/outbox';
import { useSettling } from '../../src/plan/use-settling';
import type { AskedRound } from '../../src/plan/use-round';
import { freshPinia } from '../pinia';
import { sheetOf, showSheet } from '../sheet';
import { answerAsWorker } from '../round-worker';
import { until } from '../until';

const PLAN = { id: 'plan', baseClubIds: [], version: 1, rounds: [] } as unknown as PlanView;
const ROUND = { id: 'r1', name: 'Round 1', day: '2026-12-08' } as EventRound;
const ROUNDS = ['r1', 'r2', 'r3', 'r4'].map((id) => ({ ...ROUND, id, name: `Round ${id}` }));

describe('settling a round', () => {
  /** What the worker answers, as soon as the test lets it. */
  let answer: (told: { answer: null; refused: string }) => void;
  beforeEach(() => {
    freshPinia();
    showSheet(sheetOf([], []));
    answerAsWorker({ choose: () => new Promise((resolve) => (answer = resolve)) });
  });
  afterEach(() => {
    vi.restoreAllMocks();
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

  it('has as many workers as the machine has use for, and one change for all rounds, in their order', async () => {
    vi.spyOn(navigator, 'hardwareConcurrency', 'get').mockReturnValue(2);
    const atWork: ((share: number) => void)[] = [];
    const done: (() => void)[] = [];
    answerAsWorker({
      choose: () => ({ answer: { best: { ids: [] }, reasons: [] }, why: {} }),
      triggers: (_request: unknown, _rules: unknown, _best: unknown, progress: (share: number) => void) =>
        new Promise((resolve) => {
          atWork.push(progress);
          done.push(() => {
            resolve([]);
          });
        }),
    });
    const { settling, view } = await opened();
    const settled = settling.settle(ROUNDS);
    await until(() => {
      expect(atWork).toHaveLength(2);
    });
    atWork[0]!(0.5);
    await until(() => {
      expect(settling.work.share.value).toBe(0.125);
    });
    // The second is done first, and the third begins; the first goes on.
    for (const i of [1, 2, 0, 3]) {
      await until(() => {
        expect(done.length).toBeGreaterThan(i);
      });
      done[i]!();
    }
    await settled;
    const [change] = useOutbox().waiting as { request: ChangeRequest }[];
    expect(change!.request.commands).toMatchObject(
      ROUNDS.map(({ id }) => ({ do: 'setRoundBag', roundId: id })),
    );
    expect(useOutbox().waiting).toHaveLength(1);
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
