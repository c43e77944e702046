import { describe, expect, it } from 'vitest';
import { teeWords } from '../../src/plan/tee-words';

describe('when a round begins', () => {
  it('is empty while not known, and as written where the time zone is not given', () => {
    expect(teeWords({ day: '2026-12-03' }, 'Europe/Oslo', 'Europe/Oslo')).toBe('');
    expect(teeWords({ day: '2026-12-03', teeTime: '08:40' }, null, 'Europe/Oslo')).toBe('08:40');
  });
  it('has the reader’s clock beside it where it shows another time', () => {
    const round = { day: '2026-12-03', teeTime: '08:40' };
    expect(teeWords(round, 'Europe/Oslo', 'Europe/Berlin')).toBe('08:40');
    expect(teeWords(round, 'Europe/Oslo', 'Europe/London')).toBe('08:40 (07:40 here)');
    expect(teeWords(round, 'Asia/Tokyo', 'America/New_York')).toBe('08:40 (18:40 the day before here)');
    expect(teeWords({ ...round, teeTime: '20:10' }, 'America/New_York', 'Asia/Tokyo')).toBe(
      '20:10 (10:10 the day after here)',
    );
  });
});
