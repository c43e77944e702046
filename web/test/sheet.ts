import type { BagView, ClubView, ScheduleView, SheetView } from '@tasche/contract';
import type { Shot } from '@tasche/core';
import { reader } from '../src/api/read';
import { SCHEDULE_KEY, useSchedule } from '../src/courses/schedule-store';
import { sheetKey, useSheet } from '../src/sheet/sheet-store';

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

/** Has the page show a sheet, as if the server had answered with it. */
export function showSheet(sheet: SheetView): void {
  reader.setQueryData(sheetKey(sheet.player.id, sheet.asOf), sheet);
  useSheet().open(sheet.player.id, sheet.asOf);
}

/** Has the page show a schedule, as if the server had answered with it. */
export function showSchedule(schedule: Partial<ScheduleView>): void {
  reader.setQueryData(SCHEDULE_KEY, { courses: [], seasons: [], events: [], ...schedule });
  void useSchedule().load();
}
