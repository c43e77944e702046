import { describe, expect, it } from 'vitest';
import { clockIn, dayIn, eventDetails, readClock, teeMoment, teeTimeSchema } from '../src/index.js';

describe('when a round begins', () => {
  it('is on the clocks of where it is played, over a change of clocks', () => {
    // Clocks in Oslo go forward on 29 March 2026 and back on 25 October (EU directive 2000/84/EC: last
    // Sundays).
    expect(teeMoment('2026-03-28', '08:40', 'Europe/Oslo').toISOString()).toContain('08:40:00.000+01:00');
    expect(teeMoment('2026-03-28', '08:40', 'Europe/Oslo').getTime()).toBe(Date.UTC(2026, 2, 28, 7, 40));
    expect(teeMoment('2026-03-29', '08:40', 'Europe/Oslo').getTime()).toBe(Date.UTC(2026, 2, 29, 6, 40));
    expect(teeMoment('2026-10-25', '08:40', 'Europe/Oslo').getTime()).toBe(Date.UTC(2026, 9, 25, 7, 40));
    // Shown twice when clocks go back, it is the first; wherever that is.
    const utc = (day: string, time: string, zone: string) => teeMoment(day, time, zone).getTime();
    expect(utc('2026-10-25', '02:30', 'Europe/Oslo')).toBe(Date.UTC(2026, 9, 25, 0, 30));
    expect(utc('2026-11-01', '01:30', 'America/New_York')).toBe(Date.UTC(2026, 10, 1, 5, 30));
    expect(utc('2026-04-05', '01:45', 'Australia/Lord_Howe')).toBe(Date.UTC(2026, 3, 4, 14, 45));
    // A time clocks leave out is an hour later.
    expect(clockIn('America/New_York', teeMoment('2026-03-08', '02:30', 'America/New_York'))).toBe('03:30');
    expect(clockIn('Europe/Oslo', teeMoment('2026-03-29', '02:30', 'Europe/Oslo'))).toBe('03:30');
  });
  it('ends on its own clocks too', () => {
    const end = teeMoment('2026-10-24', '22:00', 'Europe/Oslo', 270);
    expect([dayIn('Europe/Oslo', end), clockIn('Europe/Oslo', end)]).toEqual(['2026-10-25', '02:30']);
  });
  it('is another day elsewhere', () => {
    const moment = teeMoment('2026-12-03', '07:10', 'Pacific/Auckland');
    expect(dayIn('Pacific/Auckland', moment)).toBe('2026-12-03');
    expect(dayIn('America/Los_Angeles', moment)).toBe('2026-12-02');
  });
  it('is read as people write it', () => {
    const written = ['8:40', '840', '0840', '8.40 am', '8h40', '8', '1:15 pm', '1:15p', '12 am', '12:30pm'];
    const read = ['08:40', '08:40', '08:40', '08:40', '08:40', '08:00', '13:15', '13:15', '00:00', '12:30'];
    expect(written.map(readClock)).toEqual(read);
    expect(['8 Uhr', '8.40 Uhr', '1 o’clock', '1340 hrs'].map(readClock)).toEqual([
      '08:00',
      '08:40',
      '13:00',
      '13:40',
    ]);
    const earlyOrLate = ['1:15', '115', '4.50', '01:15', '0115', '5:10', '1 am', '1:15 a.m.'];
    expect(earlyOrLate.map(readClock)).toEqual([
      '13:15',
      '13:15',
      '16:50',
      '01:15',
      '01:15',
      '05:10',
      '01:00',
      '01:15',
    ]);
    for (const none of ['', 'early', '24:00', '8:60', '13 pm', '0 am', '8:4', '1234567'])
      expect(readClock(none), none).toBeUndefined();
  });
  it('is refused by name where it is not a time, and so is an unknown zone', () => {
    expect(() => teeTimeSchema.label('teeTime').validateSync('8:40')).toThrow(
      'teeTime must be a time like 08:40',
    );
    expect(eventDetails.zone.isValidSync('Europe/Oslo')).toBe(true);
    expect(eventDetails.zone.isValidSync(null)).toBe(true);
    expect(() => eventDetails.zone.label('zone').validateSync('Mars/Base')).toThrow(
      'zone is not a known time zone',
    );
  });
});
