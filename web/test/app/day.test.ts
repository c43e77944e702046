import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { computed, effectScope, nextTick } from 'vue';
import { shortDay, today, useMidnight, useTodayUnlessChosen, withDaysFormatted } from '../../src/app/day';

describe('days in the record', () => {
  it('are said as people say them, and nothing else of the sentence is touched', () => {
    const year = new Date().getFullYear();
    expect(withDaysFormatted(`Home range: session of ${year}-11-22 opened`)).toBe(
      'Home range: session of 22 Nov opened',
    );
    expect(withDaysFormatted('from 2019-01-02 to 2019-03-04')).toBe('from 2 Jan 2019 to 4 Mar 2019');
    expect(withDaysFormatted('serial 2019-99-99, 2019-1')).toBe('serial 2019-99-99, 2019-1');
    expect(shortDay('2019-01-02')).toBe('2 Jan 2019');
  });
});

describe('a page that stays open over midnight', () => {
  beforeEach(() => {
    vi.useFakeTimers({ now: new Date(2026, 10, 30, 23, 59, 50) });
  });
  afterEach(() => {
    vi.useRealTimers();
  });

  it('works out again what is of today, and a day nobody chose goes along', async () => {
    const scope = effectScope();
    await scope.run(async () => {
      useMidnight();
      const asked = vi.fn(() => `/players?today=${today()}`);
      const address = computed(asked);
      const [untouched, chosen] = [useTodayUnlessChosen(), useTodayUnlessChosen()];
      chosen.value = '2026-11-28';
      expect(address.value).toBe('/players?today=2026-11-30');
      await vi.advanceTimersByTimeAsync(60_000);
      await nextTick();
      expect(address.value).toBe('/players?today=2026-12-01');
      expect([untouched.value, chosen.value]).toEqual(['2026-12-01', '2026-11-28']);
      // Nothing is worked out again in between.
      await vi.advanceTimersByTimeAsync(3_600_000);
      expect(address.value).toBe('/players?today=2026-12-01');
      expect(asked).toHaveBeenCalledTimes(2);
    });
    scope.stop();
  });

  it('finds out when it is seen again, where timers of the background stood still', async () => {
    const scope = effectScope();
    const day = scope.run(() => {
      useMidnight();
      return computed(() => today());
    })!;
    expect(day.value).toBe('2026-11-30');
    vi.setSystemTime(new Date(2026, 11, 2, 8));
    expect(day.value).toBe('2026-11-30');
    vi.spyOn(document, 'visibilityState', 'get').mockReturnValue('hidden');
    document.dispatchEvent(new Event('visibilitychange'));
    await nextTick();
    expect(day.value).toBe('2026-12-02');
    vi.restoreAllMocks();
    scope.stop();
  });
});
