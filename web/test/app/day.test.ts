import { describe, expect, it } from 'vitest';
import { shortDay, withDaysFormatted } from '../../src/app/day';

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
