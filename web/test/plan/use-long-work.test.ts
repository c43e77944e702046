import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { effectScope, nextTick, ref, watch } from 'vue';
import { useLongWork } from '../../src/plan/use-long-work';
import { answerAsWorker } from '../round-worker';
import { until } from '../until';

/** A worker that answers what it was asked about, as soon as the test lets it. */
let asked: { size: number; answer: () => void }[] = [];
beforeEach(() => {
  asked = [];
  const others = ({ size }: { size: number }) =>
    new Promise((resolve) => {
      asked.push({
        size,
        answer: () => {
          resolve(size);
        },
      });
    });
  answerAsWorker({ others });
});
afterEach(() => {
  vi.unstubAllGlobals();
});

function begun() {
  const size = ref(18);
  const scope = effectScope();
  const work = scope.run(() => {
    const made = useLongWork<number>();
    watch(size, made.renew);
    return made;
  })!;
  const ask = () =>
    work.run(async ([link]) => (await link.others({ size: size.value } as never, {} as never)) as never);
  return { size, work, ask, end: () => scope.stop() };
}
const askedFor = (sizes: readonly number[]) =>
  until(() => {
    expect(asked.map((one) => one.size)).toEqual(sizes);
  });

describe('long work', () => {
  it('begins anew when what it hangs on changes meanwhile, and answers that', async () => {
    const { size, work, ask, end } = begun();
    void ask();
    await askedFor([18]);
    size.value = 20;
    await askedFor([18, 20]);
    expect(work.share.value).toBe(0);
    // The first answer comes too late, to a worker that is gone.
    asked[0]!.answer();
    asked[1]!.answer();
    await until(() => {
      expect(work.result.value).toBe(20);
    });
    expect(work.share.value).toBeNull();
    end();
  });

  it('shows what is found so far, and nothing of work that was begun anew', async () => {
    const { size, work, end } = begun();
    const shown: ((answer: number) => void)[] = [];
    void work.run(async ([link], _progress, soFar) => {
      shown.push(soFar);
      return (await link.others({ size: size.value } as never, {} as never)) as never;
    });
    await askedFor([18]);
    shown[0]!(17);
    expect(work.result.value).toBe(17);
    size.value = 20;
    await askedFor([18, 20]);
    expect(work.result.value).toBeNull();
    shown[0]!(17);
    expect(work.result.value).toBeNull();
    shown[1]!(19);
    expect(work.result.value).toBe(19);
    end();
  });

  it('takes an answer away that is one no more, and begins nothing that nobody asked for', async () => {
    const { size, work, ask, end } = begun();
    size.value = 16;
    await nextTick();
    expect(work.share.value).toBeNull();
    void ask();
    await askedFor([16]);
    asked[0]!.answer();
    await until(() => {
      expect(work.result.value).toBe(16);
    });
    size.value = 17;
    await nextTick();
    expect([work.result.value, work.share.value]).toEqual([null, null]);
    await askedFor([16]);
    end();
  });
});
