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

  it.each([
    ['4th of December', '2026-12-04'],
    ['December 4th, 2026', '2026-12-04'],
    ['4. Dez', '2026-12-04'],
    ['4 déc 2027', '2027-12-04'],
    ['2026/12/04', '2026-12-04'],
    ['04-12-2026', '2026-12-04'],
    ['today', '2026-11-26'],
    ['morgen', '2026-11-27'],
    ['yesterday', '2026-11-25'],
    ['in 3 days', '2026-11-29'],
    ['+7', '2026-12-03'],
    ['2 weeks ago', '2026-11-12'],
    ['Friday', '2026-11-27'],
    ['this Thursday', '2026-11-26'],
    ['last Thursday', '2026-11-19'],
    ['lunes', '2026-11-30'],
  ])('%j is %s, as people say it', (text, day) => {
    expect(readDay(text, 'en-GB', now)).toBe(day);
  });

  it('without a year is of the year that the field takes, and of its day of the week', () => {
    const [past, ahead] = [{ max: '2026-11-26' }, { min: '2026-11-26' }];
    const read = (text: string, taken: object) => readDay(text, 'en-GB', now, taken);
    expect([read('4 Dec', {}), read('4 Dec', past), read('4 Dec', ahead)]).toEqual([
      '2026-12-04',
      '2025-12-04',
      '2026-12-04',
    ]);
    expect([read('4 Jan', past), read('4 Jan', ahead), read('3 mar', ahead)]).toEqual([
      '2026-01-04',
      '2027-01-04',
      '2027-03-03',
    ]);
    expect([read('Monday', past), read('Monday', ahead)]).toEqual(['2026-11-23', '2026-11-30']);
    // The fourth was a Thursday last year: the field says what is wrong with it.
    expect(read('Fri 4 Dec', past)).toBe('2026-12-04');
    // A year that is written is meant.
    expect(read('4 Dec 2026', past)).toBe('2026-12-04');
  });

  it('a slash follows the order of the reader’s locale', () => {
    expect(readDay('9/1/2026', 'en-US', now)).toBe('2026-09-01');
    expect(readDay('9/1/2026', 'en-GB', now)).toBe('2026-01-09');
    expect(readDay('9-1-2026', 'en-US', now)).toBe('2026-09-01');
    expect(monthComesFirst('en-US')).toBe(true);
    expect(monthComesFirst('de-DE')).toBe(false);
  });

  it.each([
    '',
    'soon',
    '31 Feb 2026',
    '32.1.2026',
    '1 Sep 202',
    '2026-13-01',
    '99',
    'in 3',
    'next Friday',
    '29 Feb 2027',
    '4 to 6 Dec',
    'Dec',
  ])('%j is not a date', (text) => {
    expect(readDay(text, 'en-GB', now)).toBeNull();
  });

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
