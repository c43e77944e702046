import type { SeasonEntry } from '@tasche/contract';
import { mount } from '@vue/test-utils';
import { describe, expect, it } from 'vitest';
import { createMemoryHistory, createRouter } from 'vue-router';
import CalendarLanes from '../../src/season/CalendarLanes.vue';
import { calendarLanes } from '../../src/season/calendar-lanes';

const entry = (
  uid: string,
  kind: SeasonEntry['kind'],
  from: string,
  to = from,
  more: Partial<SeasonEntry> = {},
): SeasonEntry => ({ uid, kind, name: uid, from, to, revision: 1, ...more });
const shape = (entries: readonly SeasonEntry[]) =>
  calendarLanes(entries, '2026-11-23', 14).map((lane) =>
    lane.map(({ entries: some, first, last }) => [some.map(({ uid }) => uid).join('+'), first, last]),
  );

describe('the calendar', () => {
  it('has what follows on one line, and what overlaps on another', () => {
    expect(
      shape([
        entry('open', 'event', '2026-12-01', '2026-12-04'),
        entry('rest', 'untouched', '2026-11-20', '2026-11-30'),
        entry('trip', 'trip', '2026-11-29', '2026-12-20'),
      ]),
    ).toEqual([
      [
        ['rest', 0, 7],
        ['open', 8, 11],
      ],
      [['trip', 6, 13]],
    ]);
  });

  it('has what is due on one day together, no tee times, and nothing of other days', () => {
    expect(
      shape([
        entry('bend', 'ticket', '2026-11-25'),
        entry('check', 'check', '2026-11-25'),
        entry('r1', 'round', '2026-11-26'),
        entry('before', 'note', '2026-11-22'),
        entry('after', 'note', '2026-12-07'),
      ]),
    ).toEqual([[['bend+check', 2, 2]]]);
  });

  it('never draws two bars over each other, whatever there is, and loses none', () => {
    const day = (n: number) => new Date(Date.UTC(2026, 10, 23 + n)).toISOString().slice(0, 10);
    for (let seed = 1; seed <= 200; seed++) {
      let state = seed * 2654435761;
      const below = (n: number) => ((state = (state * 1664525 + 1013904223) >>> 0), state % n);
      const entries = Array.from({ length: below(25) }, (_one, i) => {
        const from = below(14);
        return entry(String(i), 'trip', day(from), day(from + below(6)));
      });
      const lanes = calendarLanes(entries, '2026-11-23', 14);
      for (const lane of lanes)
        for (const [i, bar] of lane.entries())
          if (i > 0) expect(bar.first).toBeGreaterThan(lane[i - 1]!.last);
      expect(lanes.flat()).toHaveLength(entries.length);
    }
  });

  it('leads to where a thing is looked after, and says what it is', () => {
    const router = createRouter({
      history: createMemoryHistory(),
      routes: [
        { path: '/p/:playerId/bench', name: 'bench', component: { template: '<i />' } },
        { path: '/:rest(.*)*', component: { template: '<i />' } },
      ],
    });
    const lanes = calendarLanes(
      [
        entry('Bend the 5 iron', 'ticket', '2026-11-25'),
        entry('To the lagoons', 'trip', '2026-11-26', '2026-11-28'),
      ],
      '2026-11-23',
      14,
    );
    const view = mount(CalendarLanes, {
      props: { lanes, days: 14, now: 2, playerId: 'p1' },
      global: { plugins: [router] },
    });
    expect(view.get('a').attributes()).toMatchObject({
      href: '/p/p1/bench',
      title: 'Bend the 5 iron, bench, 25 Nov',
    });
    const trip = view.get('span.bar');
    expect(trip.text()).toContain('To the lagoons');
    expect(trip.attributes()).toMatchObject({
      role: 'img',
      'aria-label': 'To the lagoons, trip, 26 Nov to 28 Nov',
    });
  });
});
