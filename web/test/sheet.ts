import type { BagView, ClubView, SheetView } from '@tasche/contract';
import type { Shot } from '@tasche/core';

const ON = '2026-10-01';

export function clubView(id: string, full?: Partial<Shot> & { carryM: number }): ClubView {
  return {
    id,
    playerId: 'p',
    version: 3,
    name: id,
    kind: 'iron',
    removed: false,
    spec: {
      loftStampedDeg: { value: 30, takenOn: ON },
      ...(full && { 'shot.full': { value: { source: 'stated' as const, ...full }, takenOn: ON } }),
    },
  };
}

export function sheetOf(clubs: readonly ClubView[], inBag: readonly string[]): SheetView {
  const bag: BagView = {
    id: 'gamer',
    playerId: 'p',
    version: 1,
    name: 'Gamer',
    note: '',
    ready: false,
    gamer: true,
    strategy: 'even-carries',
    planId: null,
    clubIds: inBag,
    removed: false,
  };
  return {
    player: {
      id: 'p',
      version: 1,
      name: 'Ana',
      hand: 'right',
      distanceUnit: 'yd',
      notes: '',
      handicap: null,
      gapSettings: {},
      baseline: null,
      preferences: null,
      balls: [],
      season: null,
      archived: false,
    },
    clubs,
    bags: [bag],
    plans: [],
    planCount: 0,
    tickets: [],
    wishes: [],
    roundsPlayed: [],
    asOf: null,
    lastChange: null,
  };
}
