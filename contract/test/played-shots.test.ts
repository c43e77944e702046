import fc from 'fast-check';
import { LIE_NAMES, type ClubKind } from '@tasche/core';
import { describe, expect, it } from 'vitest';
import {
  MAX_PLAYED_SHOTS,
  demandsPlayed,
  hitFrom,
  hitsOfShots,
  playedShotsSchema,
  readPlayedShots,
  type PlayedShot,
} from '../src/index.js';

const club = (name: string, kind: ClubKind, loftDeg?: number) => ({
  id: name,
  name,
  kind,
  spec: loftDeg === undefined ? {} : { loftSetDeg: { value: loftDeg, takenOn: '2026-01-01' } },
});
const CLUBS = [
  club('Driver', 'driver', 9),
  club('3 wood', 'fairway', 15),
  club('5 iron', 'iron', 26),
  club('7 iron', 'iron', 33),
  club('8 iron', 'iron', 37),
  club('PW', 'iron', 45),
  club('56', 'wedge', 56),
];
const read = (text: string, unit: 'yd' | 'm' = 'm') => readPlayedShots(text, CLUBS, unit);
const shot = (
  clubId: string,
  distanceM: number | null = null,
  more: Partial<PlayedShot> = {},
): PlayedShot => ({
  clubId,
  distanceM,
  lie: null,
  hole: null,
  ...more,
});

describe('what was hit from where, as it is recorded', () => {
  it.each<[string, PlayedShot]>([
    ['4, 7 iron, 165, rough', shot('7 iron', 165, { hole: 4, lie: 'light rough' })],
    ['7i 165 rough', shot('7 iron', 165, { lie: 'light rough' })],
    ['7i 165m from heavy rough h12', shot('7 iron', 165, { lie: 'heavy rough', hole: 12 })],
    ['hole 3 driver tee', shot('Driver', null, { lie: 'tee', hole: 3 })],
    ['3 wood', shot('3 wood')],
    ['3 wood 230', shot('3 wood', 230)],
    ['56 80 sand', shot('56', 80, { lie: 'sand' })],
    ['56, 80, sand', shot('56', 80, { lie: 'sand' })],
    ['12, 56, 80, sand', shot('56', 80, { lie: 'sand', hole: 12 })],
    ['sand wedge 80 fairway', shot('56', 80, { lie: 'fairway' })],
    ['2 7 iron 171 rough', shot('7 iron', 171, { hole: 2, lie: 'light rough' })],
    ['12 driver', shot('Driver', null, { hole: 12 })],
    ['pw 125 fairway', shot('PW', 125, { lie: 'fairway' })],
    ['18; 8 Iron; 140,5; fairway', shot('8 iron', 140.5, { hole: 18, lie: 'fairway' })],
    ['8 iron 100 yd', shot('8 iron', 91.44)],
    ['#4 7i 165', shot('7 iron', 165, { hole: 4 })],
    ['4: 7i 165', shot('7 iron', 165, { hole: 4 })],
    ['4: 7 iron, 165, rough', shot('7 iron', 165, { hole: 4, lie: 'light rough' })],
    ['7 iron about 165', shot('7 iron', 165)],
    ['7i 165ish', shot('7 iron', 165)],
    ['165 7 iron semi-rough', shot('7 iron', 165, { lie: 'light rough' })],
    ['4 7 iron', shot('7 iron', null, { hole: 4 })],
    ['56 85 fw', shot('56', 85, { lie: 'fairway' })],
    ['7i 150 deep rough, wet', shot('7 iron', 150, { lie: 'heavy rough, wet' })],
    ['56 20 greenside bunker', shot('56', 20, { lie: 'sand' })],
    ['56 from 80', shot('56', 80)],
    ['hit 7i from 165 in the rough', shot('7 iron', 165, { lie: 'light rough' })],
    ['7i 165 left rough', shot('7 iron', 165, { lie: 'light rough' })],
    ['3w off the tee', shot('3 wood', null, { lie: 'tee' })],
    ['drive 240', shot('Driver', 240)],
    ['pw, 56', shot('PW', 56)],
  ])('%s', (text, expected) => {
    expect(read(text)).toEqual({ shots: [expected], refused: [], putts: 0 });
  });

  it('the shots of a hole in one line; putts are counted and left out', () => {
    expect(
      read('1: driver, 7i 150 rough; PW 40, 2 putts\nhole 2: 3 wood / 56 80 sand\nputter\n3 putts\n'),
    ).toEqual({
      shots: [
        shot('Driver', null, { hole: 1 }),
        shot('7 iron', 150, { hole: 1, lie: 'light rough' }),
        shot('PW', 40, { hole: 1 }),
        shot('3 wood', null, { hole: 2 }),
        shot('56', 80, { hole: 2, lie: 'sand' }),
      ],
      refused: [],
      putts: 3,
    });
    expect(read('club,distance\nPutter,4\n7 iron,150').putts).toBe(1);
    // One of its parts is no shot: none of it is taken.
    expect(read('1: driver, 2 iron 150')).toMatchObject({ shots: [], refused: [{ line: 1 }] });
  });

  it.each([
    'driver, 7i 165 rough, PW 40',
    'driver 7i 165 rough pw 40',
    'driver, 7 iron, 165, rough, pw, 40',
    '4 driver 7 iron 165 rough pw 40',
    '4, driver, 7i 165 rough, PW 40',
    'hole 4 par 4, 412 yd: driver, 7i 165 rough, PW 40',
    '#4 driver 7i 165 rough pw 40 2 putts',
  ])('several shots in one line, with their hole or without: %s', (text) => {
    const hole = text.includes('4 ') || text.startsWith('4,') ? 4 : null;
    expect(read(text)).toEqual({
      shots: [
        shot('Driver', null, { hole }),
        shot('7 iron', 165, { hole, lie: 'light rough' }),
        shot('PW', 40, { hole }),
      ],
      refused: [],
      putts: text.includes('putts') ? 1 : 0,
    });
  });

  it.each([
    ['7i 165 163', '"165 163" holds more than one number'],
    ['7i 165, 163', '"165 163" holds more than one number'],
    ['7 iron: 165, 163 and 170', 'more than one number'],
    ['7i 165,5', 'more than one number'],
    ['4 driver 7i 165 pw 2', '"2" may be putts: write "2 putts"'],
    ['driver 240 left 150', 'names a club that is not there'],
  ])('two numbers of one shot are not the last of them: %s', (text, reason) => {
    expect(read(text)).toEqual({
      shots: [],
      refused: [{ line: 1, text: expect.any(String), reason: expect.stringContaining(reason) }],
      putts: 0,
    });
  });

  it('shots under a line that names their hole', () => {
    const text =
      'Hole 1 - par 4, 412 yd\nDriver\n7 iron 165\nPutt\n\nLoch 2 (Par 3)\nPW 120\n3:\n3 wood\n8i 150 h4';
    const { shots, refused, putts } = read(text);
    expect(shots.map(({ clubId, hole }) => [clubId, hole])).toEqual([
      ...[
        ['Driver', 1],
        ['7 iron', 1],
        ['PW', 2],
        ['3 wood', 3],
      ],
      // A hole said with the shot is that one.
      ['8 iron', 4],
    ]);
    expect([refused, putts]).toEqual([[], 1]);
    expect(read('Hole 1\nDriver\n2: 7i 150\nPW 40').shots.map(({ hole }) => hole)).toEqual([1, 2, 2]);
    // "H4" is a hole or a hybrid: it is asked.
    expect(read('Driver\nH4\n7i 150')).toMatchObject({
      refused: [{ line: 2 }],
      shots: [{ hole: null }, { hole: null }],
    });
    // A number alone is a club where one is called so.
    expect(read('Driver\n7\n8i 150').shots.map(({ clubId }) => clubId)).toEqual([
      'Driver',
      '7 iron',
      '8 iron',
    ]);
  });
  it('of a hole in one line what is a shot; what is none is named by itself', () => {
    expect(read('4: D, 7i 165, chip, 2p')).toEqual({
      shots: [shot('Driver', null, { hole: 4 }), shot('7 iron', 165, { hole: 4 })],
      refused: [{ line: 1, text: 'chip', reason: 'names a club that is not there' }],
      putts: 1,
    });
    expect(read('1. Driver - 7i (150m) - 2 putts').shots).toEqual([
      shot('Driver', null, { hole: 1 }),
      shot('7 iron', 150, { hole: 1 }),
    ]);
    expect(read('4: 7i, 165, rough').shots).toEqual([shot('7 iron', 165, { hole: 4, lie: 'light rough' })]);
  });
  it.each([
    'Loch 4: Driver, Eisen 7 150 Rough, 2 Putts',
    'Hål 4: driver, järn 7 150 ruff, 2 puttar',
    'Trou;Club;Distance;Lie\n4;Driver;;\n4;Fer 7;150;rough\n4;Putter;;',
    'Hoyo;Palo;Distancia;Lie\n4;Driver;;\n4;Hierro 7;150;rough\n4;Putter;;',
    'Bahn;Schläger;Entfernung;Lage\n4;Driver;;\n4;Eisen 7;150;rough\n4;Putter;;',
  ])('in other languages: %j', (text) => {
    expect(read(text)).toEqual({
      shots: [shot('Driver', null, { hole: 4 }), shot('7 iron', 150, { hole: 4, lie: 'light rough' })],
      refused: [],
      putts: 1,
    });
  });
  it('a short CSV of two columns, whatever parts them, with an empty line at its end', () => {
    for (const sign of [';', '\t', '|'])
      expect(read(`Club${sign}Distance\n7i${sign}165\n`).shots).toEqual([shot('7 iron', 165)]);
  });
  it('a CSV by the names of its columns, in any order, some of them empty', () => {
    const csv = 'Lie,Club,Hole,Distance\nrough,7 iron,4,165\n,PW,,\ntee,Driver,1,\n';
    expect(read(csv).shots).toEqual([
      shot('7 iron', 165, { lie: 'light rough', hole: 4 }),
      shot('PW'),
      shot('Driver', null, { lie: 'tee', hole: 1 }),
    ]);
  });

  it.each([
    ['9 iron 130', 'names a club that is not there'],
    ['7 iron far', 'not'],
    ['7 iron 165 furlongs', 'is not a unit of distance'],
    ['7 iron 9000', 'is not the distance of a shot'],
    ['hole 44 7 iron', 'is not a hole'],
    ['club,lie\n7 iron,cart path', 'is not a lie'],
    ['club,hole\n7 iron,0', 'is not a hole'],
    ['club,hole\n,4', 'names no club'],
    ['club\n2 iron', 'is not one of the clubs'],
  ])('%j is refused: %s', (text, reason) => {
    const { shots, refused } = read(text);
    expect(shots).toEqual([]);
    expect(refused).toEqual([
      {
        line: text.includes('\n') ? 2 : 1,
        text: expect.any(String),
        reason: expect.stringContaining(reason),
      },
    ]);
  });

  it('a club that is not owned is not mistaken for another', () => {
    const few = [club('7 iron', 'iron', 33), club('3 wood', 'fairway', 15), club('56', 'wedge', 56)];
    for (const text of ['9 iron 120', '9i 120', '9 i 120', '5 wood 200', '5w', '52 100', '4 9 iron 120'])
      expect(readPlayedShots(text, few, 'm'), text).toMatchObject({
        shots: [],
        refused: [{ reason: 'names a club that is not there' }],
      });
  });

  it('good lines are read beside bad ones, and no more than a round has', () => {
    const { shots, refused } = read('7i 150\nnonsense\n\n8i 140\n');
    expect(shots.map(({ clubId }) => clubId)).toEqual(['7 iron', '8 iron']);
    expect(refused).toMatchObject([{ line: 2, text: 'nonsense' }]);
    const many = read('7i 150\n'.repeat(MAX_PLAYED_SHOTS + 20));
    expect(many.shots).toHaveLength(MAX_PLAYED_SHOTS);
    expect(many.refused).toHaveLength(1);
  });

  it('a line that is too long for a hole is not looked through', () => {
    expect(read('7i 150 '.repeat(100))).toMatchObject({
      shots: [],
      refused: [{ line: 1, reason: 'is longer than 400 characters' }],
    });
  });

  it('none of a hole is lost or made up, whatever parts them (property)', () => {
    const one = fc.record({
      club: fc.constantFrom(
        ['Driver', 'driver'],
        ['7 iron', '7i'],
        ['7 iron', '7 iron'],
        ['PW', 'pw'],
        ['56', 'sand wedge'],
      ),
      from: fc.option(fc.integer({ min: 75, max: 250 })),
      rough: fc.boolean(),
    });
    fc.assert(
      fc.property(
        fc.array(one, { minLength: 2, maxLength: 5 }),
        fc.constantFrom('4: ', '4. ', 'hole 4: ', '#4 ', '4 ', ''),
        fc.constantFrom(', ', '; ', ' / ', ' '),
        (shots, before, sign) => {
          const text =
            before +
            shots
              .map(({ club, from, rough }) =>
                [club[1], from, rough ? 'rough' : null].filter((part) => part !== null).join(' '),
              )
              .join(sign);
          expect(read(text), text).toEqual({
            shots: shots.map(({ club, from, rough }) =>
              shot(club[0]!, from, { hole: before === '' ? null : 4, lie: rough ? 'light rough' : null }),
            ),
            refused: [],
            putts: 0,
          });
        },
      ),
    );
  });

  it('whatever is typed is read or refused, and what is read is fit to be kept', () => {
    const ids = CLUBS.map(({ name }) => name);
    const word = fc.constantFrom(
      '7i',
      'pw',
      '56',
      '165',
      'm',
      'yd',
      'rough',
      'h4',
      '#4',
      'fw',
      'semi-rough',
      ',',
      ';',
      '\n',
      '"',
      'x',
      '-5',
      '',
    );
    fc.assert(
      fc.property(fc.array(word, { maxLength: 30 }), (words) => {
        for (const { clubId, ...rest } of read(words.join(' ')).shots) {
          expect(ids).toContain(clubId);
          const kept = [{ ...rest, clubId: '00000000-0000-4000-8000-000000000001' }];
          expect(playedShotsSchema.isValidSync(kept, { strict: true })).toBe(true);
        }
      }),
    );
  });
});

describe('what it tells', () => {
  const shots = [
    shot('7 iron', 150, { lie: 'fairway' }),
    shot('7 iron', 160, { lie: 'fairway' }),
    shot('7 iron'),
    shot('Driver', null, { lie: 'tee' }),
    shot('56', 80, { lie: 'sand' }),
  ];

  it('how often each club was hit, and from where', () => {
    expect(hitsOfShots(shots)).toEqual({ '7 iron': 3, Driver: 1, '56': 1 });
    expect(hitFrom(shots, '7 iron')).toEqual({ shots: 2, fromM: 151, toM: 159 });
    expect(hitFrom(shots, 'Driver')).toBeNull();
  });

  it('what the course asked for a round, by distance and lie; not tee shots, and not what came up once in many', () => {
    const rounds = [
      { shots },
      { shots: [shot('8 iron', 148, { lie: 'fairway' }), shot('PW', 120, { lie: 'light rough' })] },
      { shots: [shot('8 iron', 152, { lie: 'fairway' })] },
    ];
    expect(demandsPlayed(rounds, 'm')).toEqual([
      {
        name: 'played: 150 m',
        to: 'green',
        distanceM: 150,
        lie: 'fairway',
        mustHold: false,
        weight: 1,
      },
    ]);
    expect(demandsPlayed([], 'm')).toEqual([]);
  });

  it('demands weigh no more together than the shots they are of', () => {
    const any = fc.record({
      clubId: fc.constant('7 iron'),
      distanceM: fc.option(fc.double({ min: 5, max: 280, noNaN: true })),
      lie: fc.option(fc.constantFrom(...LIE_NAMES)),
      hole: fc.constant(null),
    });
    fc.assert(
      fc.property(fc.array(fc.array(any, { maxLength: 40 }), { minLength: 1, maxLength: 6 }), (all) => {
        const demands = demandsPlayed(
          all.map((one) => ({ shots: one })),
          'yd',
        );
        const total = demands.reduce((sum, { weight }) => sum + weight, 0);
        // Each is rounded to a tenth.
        expect(total).toBeLessThanOrEqual(all.flat().length / all.length + 0.05 * demands.length + 1e-9);
        expect(new Set(demands.map(({ name }) => name)).size).toBe(demands.length);
      }),
    );
  });
});
