import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import {
  DEFAULT_SEASON_RULES,
  clashesOf,
  dayPlus,
  daysBetween,
  freezeOn,
  windowsBefore,
  clashSentence,
  type SeasonEvent,
} from '../../src/index.js';

const event = (id: string, from: string, days = 4): SeasonEvent => ({
  id,
  name: id,
  from,
  to: dayPlus(from, days - 1),
});
const rules = DEFAULT_SEASON_RULES;

describe('days', () => {
  it('are counted over a change of clocks, a leap day and a new year', () => {
    expect(dayPlus('2026-03-28', 2)).toBe('2026-03-30');
    expect(dayPlus('2026-10-24', 2)).toBe('2026-10-26');
    expect(dayPlus('2028-02-28', 1)).toBe('2028-02-29');
    expect(dayPlus('2026-12-31', 1)).toBe('2027-01-01');
    fc.assert(
      fc.property(fc.integer({ min: -4000, max: 4000 }), (days) => {
        expect(daysBetween('2026-11-26', dayPlus('2026-11-26', days))).toBe(days);
      }),
    );
  });
});

describe('windows before an event', () => {
  it('are a week of testing, a week of playing, two weeks untouched, up to the day before', () => {
    expect(
      windowsBefore([event('Open', '2027-01-29')], rules).map(({ kind, from, to }) => [kind, from, to]),
    ).toEqual([
      ['test', '2027-01-01', '2027-01-07'],
      ['play', '2027-01-08', '2027-01-14'],
      ['untouched', '2027-01-15', '2027-01-28'],
    ]);
  });

  it('never reach into another event, nor into each other, whatever the calendar', () => {
    const anyEvent = fc.record({
      at: fc.integer({ min: 0, max: 200 }),
      days: fc.integer({ min: 1, max: 6 }),
    });
    const anyRules = fc.record({
      testDays: fc.integer({ min: 0, max: 20 }),
      playDays: fc.integer({ min: 0, max: 20 }),
      untouchedDays: fc.integer({ min: 0, max: 30 }),
    });
    fc.assert(
      fc.property(fc.array(anyEvent, { maxLength: 8 }), anyRules, (all, some) => {
        const events = all.map(({ at, days }, i) => event(`e${i}`, dayPlus('2027-01-01', at), days));
        const windows = windowsBefore(events, some);
        for (const window of windows) {
          expect(window.from <= window.to).toBe(true);
          const own = events.find(({ id }) => id === window.eventId)!;
          expect(window.to < own.from).toBe(true);
          // Of two events at one time the later has no window before it.
          for (const other of events.filter(({ from }) => from < own.from))
            expect(window.from > other.to || window.to < other.from, `${window.kind} ${other.id}`).toBe(true);
        }
        for (const { id } of events) {
          const own = windows.filter(({ eventId }) => eventId === id);
          own.slice(1).forEach((window, i) => {
            expect(window.from).toBe(dayPlus(own[i]!.to, 1));
          });
        }
      }),
      { numRuns: 200 },
    );
  });

  it('in a season of an event a week only the days between are left, untouched', () => {
    const windows = windowsBefore([event('A', '2027-05-06'), event('B', '2027-05-13')], rules);
    expect(windows.filter(({ eventId }) => eventId === 'B')).toMatchObject([
      { kind: 'untouched', from: '2027-05-10', to: '2027-05-12' },
    ]);
  });
});

describe('clashes', () => {
  const events = [event('Lagoa Funda', '2027-02-18')];
  const windows = windowsBefore(events, rules);
  const freezes = [{ id: 'f', name: 'the season', from: '2027-01-01', to: '2027-02-10' }];
  const of = (on: string) =>
    clashesOf({ events, windows, freezes, changes: [{ id: 'w', name: 'New wedges', on }] });

  it('are said with the days there are: new wedges four days before', () => {
    const names: Record<string, string> = { w: 'New wedges', f: 'the season' };
    const said = (on: string) => of(on).map((clash) => clashSentence(clash, (id) => names[id] ?? id));
    expect(said('2027-02-14')).toEqual(['New wedges: four days before Lagoa Funda.']);
    expect(said('2027-02-17')).toEqual(['New wedges: one day before Lagoa Funda.']);
    expect(said('2027-02-19')).toEqual(['New wedges: while Lagoa Funda is played.']);
    expect(said('2027-02-06')[0]).toBe('New wedges: in the season, when nothing new is wanted.');
    expect(of('2027-02-19').map(({ code }) => code)).toEqual(['in event']);
    expect(of('2027-02-06').map(({ code }) => code)).toEqual(['in freeze', 'in untouched']);
    expect(of('2027-03-01')).toEqual([]);
  });

  it('events at one time are pointed out, those one after the other are not', () => {
    const both = [event('A', '2027-05-06'), event('B', '2027-05-08'), event('C', '2027-05-20')];
    expect(clashesOf({ events: both, windows: [], freezes: [], changes: [] })).toMatchObject([
      { code: 'events overlap', ids: ['A', 'B'] },
    ]);
    expect(clashSentence({ code: 'events overlap', ids: ['A', 'B'], day: '2027-05-08' }, (id) => id)).toBe(
      'B begins before A is over.',
    );
  });

  it('a freeze holds on its first and its last day', () => {
    expect(freezeOn(freezes, '2027-01-01')?.name).toBe('the season');
    expect(freezeOn(freezes, '2027-02-10')?.id).toBe('f');
    expect(freezeOn(freezes, '2027-02-11')).toBeUndefined();
  });
});
