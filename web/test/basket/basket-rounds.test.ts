import {
  emptyRound,
  type CourseView,
  type EventRound,
  type EventView,
  type PlanView,
} from '@tasche/contract';
import { usualHole } from '@tasche/core';
import { describe, expect, it } from 'vitest';
import { basketAim, basketRounds } from '../../src/basket/basket-rounds';
import { clubView, sheetOf } from '../sheet';

const round = (id: string, day: string): EventRound => ({
  id,
  name: id,
  day,
  courseId: 'c',
  tee: 0,
  air: { temperatureC: 14, humidityPct: 60, windMps: 6, windFromDeg: 270 },
  ground: {
    grass: 'rye',
    fairways: 'firm',
    greens: 'firm',
    rough: 'medium',
    wet: false,
    sand: 'medium',
    greenSpeedM: 3,
  },
  forecast: null,
});
const event = (id: string, ...rounds: EventRound[]) =>
  ({ id, name: id, rounds, limits: { clubs: 14, lengthIn: 48 }, notes: '' }) as unknown as EventView;
const plan = (id: string, eventId: string | null) =>
  ({
    id,
    eventId,
    playerId: 'p',
    baseClubIds: ['7'],
    choosing: null,
    rounds: [emptyRound('r1')],
  }) as unknown as PlanView;
const course = (holes: number) =>
  ({
    id: 'c',
    name: 'Skarvoy Links',
    tees: ['Back'],
    altitudeM: 3,
    holes: Array.from({ length: holes }, () => usualHole(4, [380])),
  }) as unknown as CourseView;

describe('the rounds balls may be hit for', () => {
  const events = [
    event('e1', round('r1', '2026-11-20'), round('r2', '2026-12-04')),
    event('e2', round('r3', '2026-11-30')),
    event('e3', round('r4', '2026-11-30')),
  ];

  it('are those of the player’s own events that are still to come, the nearest first', () => {
    const found = basketRounds(
      [plan('p1', 'e1'), plan('p2', 'e2'), plan('week', null), plan('lost', 'gone')],
      events,
      '2026-11-27',
    );
    expect(found.map(({ key }) => key)).toEqual(['p2/r3', 'p1/r2']);
    expect(basketRounds([], events, '2026-11-27')).toEqual([]);
  });

  it('are asked with their day, the player’s clubs and what the committee allows; or it is said why not', () => {
    const [one] = basketRounds([plan('p2', 'e2')], events, '2026-11-27');
    const clubs = [clubView('7', { carryM: 150 }), clubView('9', { carryM: 128 })];
    const sheet = sheetOf(clubs, ['7', '9']);
    const aim = basketAim(one!, sheet, [course(18)], 'even-lofts-4');
    expect(aim).toMatchObject({
      of: 'round',
      request: { day: { air: { windMps: 6 }, ground: { greens: 'firm' } } },
      rules: { school: 'even-lofts-4', gamerIds: ['7'], limits: { clubs: 14, lengthIn: 48 } },
    });
    expect(typeof aim === 'string' ? [] : aim.request.clubs.map(({ id }) => id)).toEqual(['7', '9']);
    expect(basketAim(one!, sheet, [], 'even-carries')).toBe('Its course was deleted.');
    expect(basketAim(one!, sheet, [course(0)], 'even-carries')).toMatch(
      /holes of Skarvoy Links are not recorded/,
    );
  });
});
