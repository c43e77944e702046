import type { CourseView, EventRound, EventView } from '@tasche/contract';
import type { RoundAir, TravelSet } from '@tasche/core';
import { mount } from '@vue/test-utils';
import { describe, expect, it } from 'vitest';
import TravelAnswer from '../../src/plan/TravelAnswer.vue';
import TravelDays from '../../src/plan/TravelDays.vue';
import { travelScenarios } from '../../src/plan/travel-scenarios';
import type { AskedRound, NotAskable } from '../../src/plan/use-round';

const AIR: RoundAir = {
  temperatureC: 12,
  humidityPct: 70,
  windMps: 24,
  windFromDeg: 250,
};
const round = (id: string, more: Partial<EventRound> = {}): EventRound =>
  ({
    id,
    name: `Round ${id}`,
    day: '2026-12-08',
    courseId: 'c',
    tee: 0,
    air: AIR,
    forecast: null,
    ...more,
  }) as EventRound;
const members = (winds: readonly number[]) => winds.map((windMps) => ({ ...AIR, windMps }));
const course = { id: 'c', holes: [{}], altitudeM: 10 } as unknown as CourseView;
const asked = { request: { clubs: [] }, rules: { limit: 14 }, unit: 'm' } as unknown as AskedRound;
const scenariosOf = (rounds: readonly EventRound[], told: AskedRound | NotAskable = asked) =>
  travelScenarios({ rounds } as EventView, [course], () => told);

describe('the ways an event may turn out', () => {
  it('are three winds of a round without a forecast, none stronger than may be, each a share of its round', () => {
    const found = scenariosOf([round('1'), round('2')]);
    expect(found.map(({ head }) => head)).toEqual(['1a', '1b', '1c', '2a', '2b', '2c']);
    expect(found.map(({ request }) => request.day.air.windMps).slice(0, 3)).toEqual([24, 12, 30]);
    expect(found.reduce((sum, { weight }) => sum + weight, 0)).toBeCloseTo(2, 9);
  });

  it('are members of the forecast, each once, thinned evenly where there are many', () => {
    const winds = (list: readonly number[], rounds = 1) =>
      scenariosOf([
        round('1', { forecast: { source: '', askedAt: '', members: members(list) } }),
        ...Array.from({ length: rounds - 1 }, (_one, i) => round(`${i + 2}`)),
      ])
        .filter(({ round: id }) => id === '1')
        .map(({ request }) => request.day.air.windMps);
    expect(winds([3, 4, 5])).toEqual([3, 4, 5]);
    expect(winds([0, 1, 2, 3, 4, 5, 6, 7], 3)).toEqual([0, 2, 4, 6]);
    // Twenty rounds: each is looked at in one way at least.
    expect(winds([8, 9], 20)).toEqual([8]);
  });

  it('leave out rounds nothing can be asked of', () => {
    expect(scenariosOf([round('1')], { reason: 'no carry', fixOn: 'bag' })).toEqual([]);
    expect(scenariosOf([round('1', { courseId: 'gone' })])).toEqual([]);
  });
});

const bag = (name: string, ids: readonly string[], regret = 0) => ({ name, ids, strokes: 70, regret });
const set = (more: Partial<TravelSet> = {}): TravelSet => ({
  ids: ['driver', 'hybrid', 'iron'],
  strokes: 70.2,
  wholeLocker: 70.1,
  bound: 70.15,
  proved: false,
  bags: [
    bag('calm', ['driver', 'hybrid']),
    bag('breeze', ['driver', 'hybrid']),
    bag('gale', ['driver', 'iron'], 0.04),
  ],
  choices: 3,
  ...more,
});

describe('a travel set', () => {
  it('says what it loses, how sure that is, and what fewer would lose', async () => {
    const answer = mount(TravelAnswer, { props: { found: { set: set() }, isWorking: true } });
    expect(answer.text()).toContain('3 clubs lose 0.10 strokes a round against the whole locker.');
    expect(answer.text()).toContain(
      'The best so far: no set of that size can save more than another 0.050 strokes.',
    );
    await answer.setProps({
      isWorking: false,
      found: {
        set: set({ ids: ['driver'], strokes: 70.1, proved: true }),
        smallest: true,
        sizes: [
          { size: 1, loses: 0.2, losesAtLeast: 0.1 },
          { size: 2, loses: 0, losesAtLeast: 0 },
        ],
      },
    });
    expect(answer.text()).toContain('1 club loses nothing');
    expect(answer.text()).toContain('Proved the best set of that size.');
    expect(answer.text()).toContain('Proved that fewer will not do.');
    expect(answer.find('dl').text()).toMatch(/1 club loses\s*0\.20 \(at least 0\.10\)/);
  });

  it('shows which club is carried when, and each day’s bag against the first', () => {
    const view = mount(TravelDays, {
      props: {
        set: set(),
        scenarios: [
          { name: 'calm', round: '1', head: '1a' },
          { name: 'breeze', round: '1', head: '1b' },
          { name: 'gale', round: '2', head: '2a' },
        ],
        name: (id) => id,
      },
    });
    expect(view.findAll('tbody tr').map((row) => row.text().replace(/\s+/g, ' '))).toEqual([
      'driverevery day●carried●carried●carried',
      'hybrid2 of 3●carried●carried–left',
      'iron1 of 3–left–left●carried',
    ]);
    expect(view.findAll('li').map((day) => day.text().replace(/\s+/g, ' '))).toEqual([
      '1a calm – driver, hybrid',
      '1b breeze – the same clubs',
      '2a gale – the iron for the hybrid (the whole locker would save 0.04)',
    ]);
  });
});
