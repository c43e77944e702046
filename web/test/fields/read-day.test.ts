import fc from 'fast-check';
import { format } from 'date-fns';
import { describe, expect, it } from 'vitest';
import { dayFormat, monthComesFirst, readDay } from '../../src/fields/read-day';
import { shortDay } from '../../src/app/day';

const now = new Date(2026, 10, 26);

describe('a day typed by a person', () => {
  it.each([
    ['1 Sep 2026', '2026-09-01'],
    ['1 September 2026', '2026-09-01'],
    ['Sep 1, 2026', '2026-09-01'],
    ['2026-09-01', '2026-09-01'],
    ['1.9.2026', '2026-09-01'],
    ['01.09.26', '2026-09-01'],
    ['1. Sep 2026', '2026-09-01'],
    ['24 Nov', '2026-11-24'],
    ['24.11.', '2026-11-24'],
    [' 1 sep 2026 ', '2026-09-01'],
  ])('%j is %s where the day comes first', (text, day) => {
    expect(readDay(text, 'en-GB', now)).toBe(day);
  });

  it('a slash follows the order of the reader’s locale', () => {
    expect(readDay('9/1/2026', 'en-US', now)).toBe('2026-09-01');
    expect(readDay('9/1/2026', 'en-GB', now)).toBe('2026-01-09');
    expect(monthComesFirst('en-US')).toBe(true);
    expect(monthComesFirst('de-DE')).toBe(false);
  });

  it.each(['', 'soon', '31 Feb 2026', '32.1.2026', '1 Sep 202', '2026-13-01', '99'])(
    '%j is not a date',
    (text) => {
      expect(readDay(text, 'en-GB', now)).toBeNull();
    },
  );

  it('every day the app prints can be typed back, in either order', () => {
    const days = fc.date({ min: new Date(1950, 0, 1), max: new Date(2150, 0, 1), noInvalidDate: true });
    fc.assert(
      fc.property(days, fc.constantFrom('en-GB', 'en-US', 'de-DE', 'ja-JP'), (date, locale) => {
        const day = format(date, 'yyyy-MM-dd');
        expect(readDay(format(date, dayFormat(locale)), locale, now)).toBe(day);
        expect(readDay(shortDay(day), locale, new Date())).toBe(day);
      }),
    );
  });
});
