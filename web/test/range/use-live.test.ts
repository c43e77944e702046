import { afterEach, beforeEach, expect, it, vi } from 'vitest';
import { effectScope, nextTick, ref } from 'vue';
import { useLive } from '../../src/range/use-live';

/**
 * The browser's side of server-sent events: a refused line stays closed, a broken one is taken up again by
 * the browser itself.
 */
class Line {
  static readonly CLOSED = 2;
  static readonly opened: Line[] = [];
  readyState = 0;
  onopen: (() => void) | undefined;
  onerror: (() => void) | undefined;
  constructor(readonly address: string) {
    Line.opened.push(this);
  }
  addEventListener(): void {
    /* nothing is said here */
  }
  close(): void {
    this.readyState = Line.CLOSED;
  }
  fail(readyState: number): void {
    this.readyState = readyState;
    this.onerror?.();
  }
}

beforeEach(() => {
  vi.useFakeTimers();
  vi.stubGlobal('EventSource', Line);
  Line.opened.length = 0;
});
afterEach(() => {
  vi.useRealTimers();
  vi.unstubAllGlobals();
});

it('a refused stream is requested again, a broken one is left to the browser, and one without a page is closed', async () => {
  const scope = effectScope();
  const id = ref<string | undefined>('s1');
  const { line } = scope.run(() => useLive(id, () => undefined))!;
  // The session is still on its way to the server.
  Line.opened[0]!.fail(Line.CLOSED);
  expect(line.value).toBe('broken');
  vi.advanceTimersByTime(1000);
  expect(Line.opened.map(({ address }) => address)).toEqual([
    '/api/sessions/s1/live',
    '/api/sessions/s1/live',
  ]);
  Line.opened[1]!.onopen!();
  expect(line.value).toBe('open');
  Line.opened[1]!.fail(0);
  vi.advanceTimersByTime(5000);
  expect(Line.opened).toHaveLength(2);
  Line.opened[1]!.fail(Line.CLOSED);
  id.value = undefined;
  await nextTick();
  vi.advanceTimersByTime(5000);
  expect(Line.opened).toHaveLength(2);
  scope.stop();
});
