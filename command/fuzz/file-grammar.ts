import { randomUUID } from 'node:crypto';
import { BASELINE, MEDIUM_FAIRWAY } from '@tasche/core';
import type { Chance } from './chance.js';
import type { KnownIds } from './known-rows.js';
import { NASTY_TEXT, brokenJson } from './nasty.js';

/** A player's file, cut, or with some of its values spoilt. */
export function playerFileBody(chance: Chance, ids: KnownIds): { body: string; type: string } {
  const rows = [
    {
      row: 'player',
      id: ids.playerId,
      version: 1,
      name: 'Fuzz',
      hand: 'left',
      distanceUnit: 'm',
      notes: '',
      gapSettings: {},
      balls: [],
      archived: false,
    },
    { row: 'club', id: ids.clubId, version: 1, name: '7 iron', kind: 'iron' },
    {
      row: 'change',
      id: randomUUID(),
      at: '2026-11-01T09:00:00Z',
      who: 'Fuzz',
      why: '',
      summary: 'added',
      diffs: [{ of: 'club', id: ids.clubId, before: null, after: {} }],
    },
  ];
  const head = {
    format: 'tasche-player',
    version: 1,
    name: 'Fuzz',
    takenOutAt: '2026-11-27T09:00:00Z',
    rows: { player: 1, club: 1, change: 1 },
  };
  const text = [head, ...rows].map((one) => brokenJson(chance, one).body).join('\n');
  return {
    body: chance.is(0.1) ? text.slice(0, chance.below(text.length)) : text,
    type: 'application/octet-stream',
  };
}

export function sheetBody(chance: Chance): { body: string; type: string } {
  const cell = () =>
    chance.is(0.7)
      ? chance.one(['7 iron', '32', '161', 'D3', '37 1/4', '250-255', '2 flat'])
      : chance.one(NASTY_TEXT.concat(['"', '""', "'=1", `1${' '.repeat(2000)}x`, '\u0000']));
  const rows = Array.from({ length: chance.below(8) }, () =>
    Array.from({ length: 4 }, cell).join(chance.is(0.9) ? ',' : ';'),
  );
  const head = chance.is(0.8) ? 'club,loft,carry [yd],swing weight' : `${'a('.repeat(200)},club`;
  if (chance.is(0.2))
    return brokenJson(chance, {
      format: 'tasche-locker',
      version: 1,
      player: { name: 'A', hand: 'right', distanceUnit: 'm', notes: '', gapSettings: {} },
      clubs: [{ id: randomUUID(), name: '7', kind: 'iron', readings: [] }],
      bags: [],
    });
  return { body: [head, ...rows].join('\n'), type: 'text/csv' };
}

export function strikesBody(chance: Chance): { body: string; type: string } {
  const order = brokenJson(chance, {
    source: 'fuzz.csv',
    encoding: 'utf-8',
    delimiter: ',',
    heads: ['club', 'carry'],
    skipLines: 0,
    zoneMinutes: 0,
    clubs: {},
    player: chance.one(['7 iron', 'Ann', '']),
    mapping: {
      columns: [
        { column: 0, field: 'club' },
        { column: 1, field: 'carryM', unit: 'm' },
      ],
      decimal: '.',
      dates: 'day first',
      unitRows: 0,
      leftIsPositive: false,
      clubLines: true,
    },
    session: {
      name: 'Range',
      heldOn: '2026-11-20',
      conditions: BASELINE,
      surface: MEDIUM_FAIRWAY,
      hitOff: 'grass',
      ball: '',
      notes: '',
    },
  }).body;
  const rows = Array.from(
    { length: chance.below(30) },
    () =>
      `${chance.one(['7 iron', '8 iron', '"', 'x'])},${chance.one(['150', '1e9', '45"', '', '-1', '150,0'])}`,
  );
  return { body: `${order}\nclub,carry\n${rows.join('\n')}`, type: 'application/octet-stream' };
}
