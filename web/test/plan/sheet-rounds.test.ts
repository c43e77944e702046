import type { BagView, EventView, PlanView } from '@tasche/contract';
import type { CardShot, LadderClub } from '@tasche/core';
import { mount } from '@vue/test-utils';
import { describe, expect, it } from 'vitest';
import SheetRound from '../../src/plan/SheetRound.vue';
import { sheetRounds } from '../../src/plan/sheet-rounds';

const club = (id: string, carryM: number, lengthIn = 38): LadderClub => ({
  id,
  name: id,
  kind: 'iron',
  lengthIn,
  shots: { full: { carryM, source: 'stated' } },
});
const clubs = new Map(
  [club('PW', 114), club('6', 160), club('DI', 190, 47), club('H', 185)].map((one) => [one.id, one]),
);
const bag = (id: string, ...clubIds: string[]) => ({ id, clubIds }) as unknown as BagView;
const own = (roundId: string, bagId: string | null, more: object = {}) => ({
  roundId,
  bagId,
  swaps: [],
  triggers: [],
  after: null,
  ...more,
});
const GROUND = { fairways: 'firm', greens: 'firm', rough: 'short', wet: false, sand: 'hard' };
const event = {
  limits: { clubs: 2, lengthIn: 46 },
  rounds: ['r1', 'r2', 'r3', 'r4'].map((id, i) => ({
    id,
    name: `Round ${i + 1}`,
    day: `2026-12-0${i + 3}`,
    courseId: 'c',
    tee: 0,
    air: { temperatureC: 12, humidityPct: 60, windMps: 4, windFromDeg: 270 },
    ground: GROUND,
  })),
} as unknown as Pick<EventView, 'rounds' | 'limits'>;
const plan = {
  rounds: [
    own('r1', 'b1', {
      swaps: [{ outId: 'H', inId: 'DI', why: 'For the wind.' }, { outId: 'sold' }],
      triggers: [{ text: 'If it rains: the H for the DI.', inIds: [], outIds: [] }],
      after: { says: 'Lovely.', keep: 'the DI' },
    }),
    own('r2', 'b2'),
    own('r3', 'b3'),
  ],
} as unknown as PlanView;
const nameOf = (id: string) => clubs.get(id)?.name ?? 'a deleted club';
const rounds = sheetRounds(plan, event, {
  bags: [bag('b1', 'PW', 'gone', 'DI', '6'), bag('b2', 'PW', 'gone', 'DI', '6'), bag('b3', 'H')],
  clubs,
  courses: [],
  gapSettings: {},
  nameOf,
});

describe('the rounds of a swap sheet', () => {
  it('have their clubs, longest first, what is not allowed of them, and what changed since the round before', () => {
    expect(rounds.map(({ clubs: inBag }) => inBag.map(({ id }) => id))).toEqual([
      ['DI', '6', 'PW'],
      ['DI', '6', 'PW'],
      ['H'],
      [],
    ]);
    // The event allows two clubs, none over 46 in.
    expect(rounds[0]!.findings).toHaveLength(2);
    expect(rounds[0]!.findings.join()).toMatch(/DI/);
    expect(rounds[2]!.findings).toEqual([]);
    expect(rounds.map(({ since }) => since)).toEqual([
      null,
      '',
      'the H for the PW and a deleted club and the DI and the 6',
      null,
    ]);
  });

  const shown = (i: number, stock = new Map<string, CardShot>()) =>
    mount(SheetRound, {
      props: { of: rounds[i]!, planAt: { name: 'plan', params: {} }, stock, unit: 'm', nameOf },
      global: { stubs: { RouterLink: { template: '<a><slot /></a>' } } },
    })
      .text()
      .replace(/\s+/g, ' ');

  it('say what goes out and in, why, what would change it, and how it went', () => {
    const said = shown(0);
    expect(said).toContain('Round 1, Thursday 3 December');
    expect(said).toContain('HDIFor the wind.');
    // A club that was sold since, for which nothing came.
    expect(said).toContain('a deleted club–');
    expect(said).toContain('◇ If it rains: the H for the DI.');
    expect(said).toContain('After it: Lovely. keep: the DI');
    expect(said).toContain('3 clubs: DI, 6, PW');
  });

  it('say what stays as it is, and what is not settled', () => {
    expect(shown(1)).toContain('The bag of Round 1 stays as it is.');
    expect(shown(2)).toContain('From the bag of Round 2: the H for');
    expect(shown(2)).toContain('The gamer stays as it is.');
    expect(shown(3)).toContain('No bag is settled for this round yet. Settle it');
  });

  it('say each club’s carry once it is worked out, modelled ones in italics', () => {
    const shot = { kind: 'full', homeM: 190, carryM: 186.4, source: 'modelled', plusMinusM: 5 } as const;
    expect(shown(0)).not.toContain('in italics where modelled');
    const said = shown(0, new Map([['DI', shot]]));
    expect(said).toContain('DI 186, 6, PW');
    expect(said).toContain('in italics where modelled');
  });
});
