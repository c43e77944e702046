import type { GaugeReading } from '@tasche/contract';
import { mount } from '@vue/test-utils';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { defineComponent, ref } from 'vue';
import { useCheckGauge } from '../../src/bench/use-check-gauge';
import { freshPinia } from '../pinia';
import { clubView, sheetOf, showSheet } from '../sheet';

/** The line a gauge is heard on, as the browser has it. */
class Line extends EventTarget {
  static last: Line;
  close = vi.fn();
  constructor() {
    super();
    Line.last = this;
  }
  says(type: string, data: unknown): void {
    this.dispatchEvent(new MessageEvent(type, { data: JSON.stringify(data) }));
  }
}
const reading = (loftDeg: number): GaugeReading => ({ loftDeg }) as GaugeReading;

describe('a digital gauge beside a check', () => {
  const posts: unknown[] = [];
  const cursor = ref<string | undefined>('7');
  const read: [string, number | undefined][] = [];
  let answer = new Response('{}');
  const page = () => {
    let gauge!: ReturnType<typeof useCheckGauge>;
    const view = mount(
      defineComponent({
        setup() {
          gauge = useCheckGauge({
            since: ref('2026-11-20'),
            clubId: () => cursor.value,
            lies: (id) => (cursor.value = id),
            reads: (id, { loftDeg }) => read.push([id, loftDeg]),
          });
          return () => null;
        },
      }),
    );
    return { gauge, view };
  };
  beforeEach(() => {
    freshPinia();
    showSheet(sheetOf([clubView('7'), clubView('8')], ['7', '8']));
    posts.length = read.length = 0;
    cursor.value = '7';
    answer = new Response('{}');
    vi.stubGlobal('EventSource', Line);
    vi.stubGlobal('fetch', (_url: string, init?: RequestInit) => {
      posts.push(JSON.parse(String(init?.body)));
      return Promise.resolve(answer);
    });
  });
  afterEach(() => {
    vi.unstubAllGlobals();
  });

  it('reads the club the cursor is on, and none that is not there', () => {
    const { gauge, view } = page();
    Line.last.says('gauge', { state: 'here', device: 'Bench gauge', simulated: true });
    expect(gauge.isHere.value).toBe(true);
    Line.last.says('reading', reading(31.4));
    cursor.value = 'gone';
    Line.last.says('reading', reading(40));
    cursor.value = undefined;
    Line.last.says('reading', reading(41));
    expect(read).toEqual([['7', 31.4]]);
    view.unmount();
    expect(Line.last.close).toHaveBeenCalledOnce();
  });

  it('reads the club that was laid in it, wherever the cursor is by then, once', async () => {
    const { gauge, view } = page();
    await gauge.lay();
    expect(posts).toEqual([{ loftDeg: 30 }]);
    cursor.value = '8';
    Line.last.says('reading', reading(30.2));
    Line.last.says('reading', reading(34));
    expect(read).toEqual([
      ['7', 30.2],
      ['8', 34],
    ]);
    view.unmount();
  });

  it('says what stood in the way of a laid club', async () => {
    answer = new Response(JSON.stringify({ error: 'conflict', message: 'The gauge is away.' }), {
      status: 409,
    });
    const { gauge, view } = page();
    await gauge.lay();
    expect(gauge.problem.value).toContain('The gauge is away.');
    view.unmount();
  });

  it('changes nothing of a sheet that is only read', () => {
    showSheet({ ...sheetOf([clubView('7')], ['7']), asOf: '2026-11-01' });
    const { view } = page();
    Line.last.says('reading', reading(31.4));
    expect(read).toEqual([]);
    view.unmount();
  });
});
