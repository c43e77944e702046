import { afterEach, beforeEach, expect, it, vi } from 'vitest';
import { effectScope, nextTick } from 'vue';
import { useGauge } from '../../src/bench/use-gauge';

/** The browser's side of server-sent events. */
class Line extends EventTarget {
  static readonly opened: Line[] = [];
  isOpen = true;
  constructor(readonly address: string) {
    super();
    Line.opened.push(this);
  }
  close(): void {
    this.isOpen = false;
  }
  say(event: string, data: object): void {
    if (this.isOpen) this.dispatchEvent(new MessageEvent(event, { data: JSON.stringify(data) }));
  }
}
const seen = async (is: boolean) => {
  vi.spyOn(document, 'visibilityState', 'get').mockReturnValue(is ? 'visible' : 'hidden');
  document.dispatchEvent(new Event('visibilitychange'));
  await nextTick();
};

beforeEach(() => {
  vi.stubGlobal('EventSource', Line);
  Line.opened.length = 0;
});
afterEach(async () => {
  await seen(true);
  vi.restoreAllMocks();
  vi.unstubAllGlobals();
});

it('a gauge is read by the tab in front, and by none in the background', async () => {
  const scope = effectScope();
  const readings: object[] = [];
  const { isHere } = scope.run(() => useGauge((reading) => readings.push(reading)))!;
  const [first] = Line.opened;
  expect([first!.address, isHere.value]).toEqual(['/api/gauge/live', false]);
  first!.say('gauge', { state: 'here', device: 'Protractor', simulated: true });
  first!.say('reading', { loftDeg: 32 });
  expect([isHere.value, readings]).toEqual([true, [{ loftDeg: 32 }]]);

  await seen(false);
  expect(first!.isOpen).toBe(false);
  expect(Line.opened).toHaveLength(1);
  await seen(true);
  Line.opened[1]!.say('reading', { loftDeg: 36 });
  expect(readings).toHaveLength(2);

  scope.stop();
  expect(Line.opened[1]!.isOpen).toBe(false);
});

it('a check that was opened in the background takes the gauge once it is seen', async () => {
  await seen(false);
  const scope = effectScope();
  scope.run(() => useGauge(() => undefined));
  expect(Line.opened).toHaveLength(0);
  await seen(true);
  expect(Line.opened).toHaveLength(1);
  scope.stop();
});
