import { BASELINE, CALM, USUAL_GROUND, distanceCard } from '@tasche/core';
import { describe, expect, it } from 'vitest';
import {
  caddieParts,
  cardSteps,
  emptyRound,
  homeCard,
  roundCards,
  type BagView,
  type ClubView,
  type CourseView,
  type EventRound,
  type PlanView,
  type PlayerView,
} from '../src/index.js';

const player = { gapSettings: {}, baseline: null, handicap: 3 } as Partial<PlayerView> as PlayerView;
const club = (id: string, loft: number, carryM?: number) =>
  ({
    id,
    name: id,
    kind: 'iron',
    removed: false,
    spec: {
      loftStampedDeg: { value: loft, takenOn: '2026-10-01' },
      ...(carryM && { 'shot.full': { value: { carryM, source: 'stated' }, takenOn: '2026-10-01' } }),
    },
  }) as unknown as ClubView;
const clubs = [club('7', 32, 150), club('8', 36, 138), club('9', 40)];
const bag = (id: string, clubIds: readonly string[], gamer = false) =>
  ({ id, name: `${id} bag`, clubIds, gamer, strategy: 'even-carries' }) as unknown as BagView;
const bags = [bag('gamer', ['7', '9'], true), bag('r2', ['7', '8'])];
const round = (id: string, name: string, temperatureC = 18): EventRound => ({
  id,
  name,
  day: '2026-12-11',
  courseId: 'c',
  tee: 0,
  air: { ...CALM, temperatureC, windMps: 6, windFromDeg: 200 },
  ground: USUAL_GROUND,
  forecast: null,
});
const courses = [{ id: 'c', name: 'Hochfirn', altitudeM: 1500 } as CourseView];
const plan = (settled: Readonly<Record<string, string>> = {}) =>
  ({
    rounds: Object.entries(settled).map(([id, bagId]) => ({ ...emptyRound(id), bagId })),
  }) as unknown as PlanView;
const parts = { player, clubs, bags, unit: 'yd' as const };

describe('pages of a card', () => {
  it('rounds of one bag in one air share a page; another wind is none, another bag or warmth is one', () => {
    const rounds = [round('a', 'Round 1'), round('b', 'Round 2'), round('c', 'Round 3')];
    const [all, ...none] = roundCards(parts, plan(), { rounds }, courses);
    expect(none).toEqual([]);
    expect(all).toMatchObject({ name: 'Rounds 1 to 3', roundIds: ['a', 'b', 'c'], isSettled: false });
    const windy = { ...rounds[1]!, air: { ...rounds[1]!.air, windMps: 12 } };
    expect(roundCards(parts, plan(), { rounds: [rounds[0]!, windy] }, courses)).toHaveLength(1);
    const own = roundCards(parts, plan({ b: 'r2' }), { rounds }, courses);
    expect(own.map(({ name, isSettled }) => [name, isSettled])).toEqual([
      ['Round 1 and Round 3', false],
      ['Round 2', true],
    ]);
    expect(own[1]!.request.bagIds).toEqual(['7', '8']);
    const cold = { rounds: [rounds[0]!, round('d', 'Playoff', 4)] };
    expect(roundCards(parts, plan(), cold, courses).map(({ name }) => name)).toEqual(['Round 1', 'Playoff']);
  });

  it('is in the still air of the course, and at home where the carries are known', () => {
    const [page] = roundCards(parts, plan(), { rounds: [round('a', 'Round 1')] }, courses);
    expect(page!.request.day.still).toMatchObject({ altitudeM: 1500, windMps: 0, temperatureC: 18 });
    expect(page!.air!.windMps).toBe(6);
    const home = homeCard(parts, bags[0]!);
    expect(home.request.day.still).toEqual(BASELINE);
    const stock = (id: string) => distanceCard(home.request).clubs.find((one) => one.id === id)!.shots[0]!;
    expect(stock('7').carryM).toBeCloseTo(150, 6);
    expect(stock('9').source).toBe('modelled');
  });

  it('without a gamer there is none, and a deleted course is at sea level', () => {
    expect(roundCards({ ...parts, bags: [] }, plan(), { rounds: [round('a', 'Round 1')] }, courses)).toEqual(
      [],
    );
    const [page] = roundCards(parts, plan(), { rounds: [round('a', 'Round 1')] }, []);
    expect(page).toMatchObject({ courseName: null, request: { day: { still: { altitudeM: 0 } } } });
  });

  it('helps in the units its reader thinks in', () => {
    expect(cardSteps('yd').windMps).toBeCloseTo(4.4704, 4);
    expect(cardSteps('yd').temperatureC * 1.8).toBeCloseTo(20, 9);
    expect(cardSteps('m')).toEqual({ windMps: 5, elevationChangeM: 10, temperatureC: 10 });
  });

  it('asks the caddie’s question of clubs that all have a place', () => {
    const { clubs: placed, handicap } = caddieParts({ player, clubs });
    expect(handicap).toBe(3);
    expect(placed.find(({ id }) => id === '9')!.shots.full!.source).toBe('modelled');
  });
});
