import { readFileSync } from 'node:fs';
import path from 'node:path';
import { describe, expect, it } from 'vitest';
import {
  MAX_PLAYER_ROWS,
  PLAYER_FILE_ROWS,
  PLAYER_FILE_ROW_NAMES,
  PlayerFileReader,
  type PlayerFileRowName,
} from '../src/index.js';

const id = (n: number) => `00000000-0000-4000-8000-${String(n).padStart(12, '0')}`;
const player = {
  row: 'player',
  id: id(1),
  version: 1,
  name: 'Ana Duarte',
  hand: 'left',
  distanceUnit: 'm',
  notes: '',
  gapSettings: {},
  balls: [],
  archived: false,
};
const club = { row: 'club', id: id(2), version: 1, name: '7 iron', kind: 'iron' };
type Rows = Partial<Record<PlayerFileRowName, number>>;
const head = (rows: Rows, more: object = {}) => ({
  format: 'tasche-player',
  version: 1,
  name: 'Ana Duarte',
  takenOutAt: '2026-11-27T04:00:00Z',
  rows,
  ...more,
});
function read(lines: readonly object[]) {
  const reader = new PlayerFileReader();
  for (const line of lines) reader.add(JSON.stringify(line));
  return reader.finish();
}

describe('a player’s file', () => {
  it('is described field by field in the docs', () => {
    const text = readFileSync(
      path.join(import.meta.dirname, '../../docs/formats/player-file.md'),
      'utf8',
    ).replaceAll('\n  ', ' ');
    for (const name of PLAYER_FILE_ROW_NAMES) {
      const line = text.split('\n').find((one) => one.startsWith(`- **${name}**`))!;
      expect(line, name).toBeDefined();
      const told = [...line.split(/[.] /)[0]!.matchAll(/`(\w+)`/g)].map(([, field]) => field);
      expect(new Set(told), name).toEqual(new Set(Object.keys(PLAYER_FILE_ROWS[name].fields)));
    }
    expect(text).toContain(MAX_PLAYER_ROWS.toLocaleString('en'));
  });

  it('holds one player and what is theirs; empty lines are nothing', () => {
    const reader = new PlayerFileReader();
    for (const line of [head({ player: 1, club: 1 }), player, club]) reader.add(`${JSON.stringify(line)}\r`);
    reader.add('');
    const { rows } = reader.finish();
    expect(rows.club).toEqual([{ id: id(2), version: 1, name: '7 iron', kind: 'iron' }]);
    expect(rows.player[0]!.name).toBe('Ana Duarte');
    expect(rows.strike).toEqual([]);
  });

  it.each<[string, object[], RegExp]>([
    ['no player', [head({ club: 1 }), club], /one player/],
    ['two', [head({ player: 2 }), player, { ...player, id: id(9) }], /more than 1 rows of player/],
    ['a deleted one', [head({ player: 1 }), { ...player, removedAt: '2026-01-01T00:00:00Z' }], /one player/],
    ['fewer rows than said', [head({ player: 1, club: 2 }), player, club], /1 of its 2 rows of club/],
    ['more rows than said', [head({ player: 1 }), player, club], /1 of its 0 rows of club/],
    ['a kind nobody knows', [head({ player: 1 }), player, { row: 'toString' }], /Line 3: row must be one of/],
    ['no kind', [head({ player: 1 }), { ...player, row: undefined }], /Line 2: row must be one of/],
    [
      'a moment that is none',
      [head({ player: 1 }), { ...player, removedAt: '2026-13-41T00:00:00Z' }],
      /moment/,
    ],
    ['a field too many', [head({ player: 1 }), { ...player, email: 'a@b.example' }], /unknown field: email/],
    [
      'prototypes',
      [head({ player: 1 }), JSON.parse(`{"__proto__":{"x":1},${JSON.stringify(player).slice(1)}`) as object],
      /no field may be called __proto__/,
    ],
  ])('is refused with %s', (_what, lines, says) => {
    expect(() => read(lines)).toThrow(says);
  });

  it('200 clubs are a locker, 201 are not; deleted ones do not count', () => {
    const clubs = (n: number, more: object = {}) =>
      Array.from({ length: n }, (_, i) => ({ ...club, id: id(100 + i), ...more }));
    const gone = clubs(300, { removedAt: '2026-01-01T00:00:00Z' });
    expect(read([head({ player: 1, club: 300 }), player, ...gone]).rows.club).toHaveLength(300);
    expect(read([head({ player: 1, club: 200 }), player, ...clubs(200)]).rows.club).toHaveLength(200);
    expect(() => read([head({ player: 1, club: 201 }), player, ...clubs(201)])).toThrow(
      'Line 203: more than 200 rows of club',
    );
  });

  it('a line that never ends, or nests without end, is refused in time', () => {
    const start = () => {
      const reader = new PlayerFileReader();
      reader.add(JSON.stringify(head({ player: 1 })));
      return reader;
    };
    expect(() => start().add('x'.repeat(4_000_001))).toThrow('Line 2: is longer than 4,000,000 characters');
    expect(() => start().add(`{"row":"player","notes":${'['.repeat(900)}${']'.repeat(900)}}`)).toThrow(
      /nested more than/,
    );
    expect(() => start().add('{"row":"pla')).toThrow('Line 2: is not JSON');
    expect(() => start().add('17')).toThrow('Line 2: is not a JSON object');
  });
});
