import { describe, expect, it } from 'vitest';
import { shortDay, withDaysSaid } from '../../src/app/day';

describe('days in the record', () => {
  it('are said as people say them, and nothing else of the sentence is touched', () => {
    const year = new Date().getFullYear();
    expect(withDaysSaid(`Home range: session of ${year}-11-22 opened`)).toBe(
      'Home range: session of 22 Nov opened',
    );
    expect(withDaysSaid('from 2019-01-02 to 2019-03-04')).toBe('from 2 Jan 2019 to 4 Mar 2019');
    expect(withDaysSaid('serial 2019-99-99, 2019-1')).toBe('serial 2019-99-99, 2019-1');
    expect(shortDay('2019-01-02')).toBe('2 Jan 2019');
  });
});
