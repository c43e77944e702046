import { readFileSync } from 'node:fs';
import { Ajv2020 } from 'ajv/dist/2020.js';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { QUANTITIES, SHOT_KINDS, type Fact, type Quantity, type Spec } from '@tasche/core';
import {
  calcGaps,
  parseChangeRequest,
  parseLockerDocument,
  planImport,
  readClubText,
  splitTable,
  writeSheetCsv,
  type ClubView,
  type LockerDocument,
} from '../src/index.js';

const id = (n: number) => `00000000-0000-4000-8000-${String(n).padStart(12, '0')}`;
const options = { distanceUnit: 'yd', takenOn: '2026-11-24' } as const;

const clubView = (n: number, name: string, spec: Spec = {}, kind: ClubView['kind'] = 'iron'): ClubView => ({
  id: id(n),
  playerId: id(0),
  version: 1,
  name,
  kind,
  spec,
  removed: false,
});

const day = fc
  .date({ min: new Date('2000-01-01'), max: new Date('2026-11-01'), noInvalidDate: true })
  .map((date) => date.toISOString().slice(0, 10));
const words = fc
  .string({ minLength: 1, maxLength: 30, unit: fc.constantFrom(...'abcÅéøß 0123456789=+-@,;"\'\t<>&|') })
  .map((text) => text.trim())
  .filter((text) => text !== '' && !/[\u0000-\u001f]/.test(text));
const metres = (min: number, max: number) =>
  fc.integer({ min: min * 10_000, max: max * 10_000 }).map((value) => value / 10_000);

function valueOf(quantity: Quantity): fc.Arbitrary<Fact['value']> {
  switch (quantity.type) {
    case 'number':
      return fc
        .integer({ min: Math.ceil(quantity.min * 100), max: Math.floor(quantity.max * 100) })
        .map((value) => value / 100);
    case 'text':
      if (quantity.key === 'sleevePositions')
        return fc.constantFrom('A1 0, B1 +1', 'std 0; up +1.5 lie +0.5');
      return words.map((text) => text.slice(0, quantity.maxLength).trim()).filter(Boolean);
    case 'choice':
      return fc.constantFrom(...quantity.choices);
    case 'date':
      return day;
    case 'swingWeight':
      return fc.constantFrom('C9', 'D0', 'D3.5', 'E2');
  }
}

const shot = fc
  .record({
    carryM: metres(5, 400),
    apexM: fc.option(metres(0, 79), { nil: undefined }),
    descentDeg: fc.option(fc.integer({ min: 0, max: 90 }), { nil: undefined }),
    spreadM: fc.option(metres(0, 40), { nil: undefined }),
    sampleSize: fc.option(fc.integer({ min: 1, max: 500 }), { nil: undefined }),
    source: fc.constantFrom('measured', 'stated', 'modelled' as const),
    conditions: fc.option(words, { nil: undefined }),
  })
  .map(
    (parts) =>
      Object.fromEntries(
        Object.entries(parts).filter(([, value]) => value !== undefined),
      ) as unknown as Exclude<Fact['value'], string | number>,
  );

const spec: fc.Arbitrary<Spec> = fc
  .tuple(
    fc.tuple(
      ...QUANTITIES.map((quantity) =>
        fc.option(fc.record({ value: valueOf(quantity), takenOn: fc.constant('2026-11-24') }), {
          nil: undefined,
        }),
      ),
    ),
    fc.tuple(
      ...SHOT_KINDS.map(() => fc.option(fc.record({ value: shot, takenOn: day }), { nil: undefined })),
    ),
  )
  .map(
    ([facts, shots]) =>
      Object.fromEntries(
        [
          ...QUANTITIES.map((quantity, i) => [quantity.key, facts[i]]),
          ...SHOT_KINDS.map((kind, i) => [`shot.${kind}`, shots[i]]),
        ].filter(([, fact]) => fact !== undefined),
      ) as Spec,
  );

describe('the sheet as CSV', () => {
  it('comes back as it went, in yards or in metres (property)', () => {
    fc.assert(
      fc.property(
        fc.array(fc.tuple(words, spec), { minLength: 1, maxLength: 5 }),
        fc.constantFrom('yd' as const, 'm' as const),
        (list, unit) => {
          const clubs = list.map(([name, one], i) => clubView(i + 1, name, one));
          const csv = writeSheetCsv(clubs, unit);
          const table = readClubText(csv, { ...options, distanceUnit: unit });
          expect(table.rows.flatMap((row) => row.rejected)).toEqual([]);
          expect(planImport(table, clubs).same).toHaveLength(clubs.length);
          const fresh = planImport(table, []);
          fresh.adds.forEach((add, i) => {
            expect(add.name).toBe(clubs[i]!.name);
            expect(
              Object.fromEntries(add.readings.map(({ key, value, takenOn }) => [key, { value, takenOn }])),
            ).toEqual(clubs[i]!.spec);
          });
        },
      ),
      { numRuns: 60 },
    );
  });

  it('brings back a club that is called like a set of irons', () => {
    const csv = writeSheetCsv([clubView(1, '6-8', {}), clubView(2, '7 iron', {})], 'yd');
    const { adds, rejected } = planImport(readClubText(csv, options), []);
    expect([adds.map(({ name }) => name), rejected]).toEqual([['6-8', '7 iron'], []]);
  });

  it('keeps cells that a spreadsheet would run as text', () => {
    const csv = writeSheetCsv(
      [clubView(1, '=1+1', { head: { value: '@cmd', takenOn: '2026-11-24' } })],
      'yd',
    );
    expect(csv).toContain("'=1+1");
    expect(csv).toContain("'@cmd");
    expect(planImport(readClubText(csv, options), []).adds[0]).toMatchObject({ name: '=1+1' });
  });

  it('reads a messy sheet: other order, semicolons, decimal commas, metres, unknown columns', () => {
    const { adds, rejected, unknownColumns } = planImport(
      readClubText(
        'Carry (m);Loft;Smash;Name\r\n137,5;32,5;1,4;7 iron\r\n;;;\r\nlang;99;1;8 iron\r\n120;45;;\r\n110;46;;Bertha\r\n',
        options,
      ),
      [],
    );
    expect(adds).toEqual([
      {
        row: 0,
        name: '7 iron',
        kind: 'iron',
        readings: [
          { key: 'loftStampedDeg', value: 32.5, takenOn: '2026-11-24' },
          { key: 'shot.full', value: { carryM: 137.5, source: 'stated' }, takenOn: '2026-11-24' },
        ],
      },
      { row: 2, name: '8 iron', kind: 'iron', readings: [] },
    ]);
    expect(unknownColumns).toEqual(['Smash']);
    expect(rejected.map((cell) => [cell.row, cell.head, cell.text])).toEqual([
      [2, 'Carry (m)', 'lang'],
      [2, 'Loft', '99'],
      [3, 'club', ''],
      [4, 'club', 'Bertha'],
    ]);
    expect(rejected[3]).toMatchObject({ reason: 'what kind of club is "Bertha"?', asks: 'kind' });
  });

  it('tells two clubs of one name apart by id, head or serial, and refuses to guess', () => {
    const twins = [
      clubView(1, '7 iron', { head: { value: 'Halm', takenOn: '2026-01-01' } }),
      clubView(2, '7 iron', { head: { value: 'Kvarn', takenOn: '2026-01-01' } }),
    ];
    expect(
      planImport(readClubText('club,head,loft\n7 iron,Kvarn,31\n', options), twins).edits[0]!.club.id,
    ).toBe(id(2));
    expect(planImport(readClubText('club,loft\n7 iron,31\n', options), twins).rejected[0]!.reason).toContain(
      '2 clubs are called 7 iron',
    );
    expect(
      planImport(readClubText('club,loft\n7 iron,31\n7 IRON,32\n', options), twins.slice(0, 1)).rejected[0]!
        .reason,
    ).toBe('a second row for 7 iron');
  });

  it.each([
    ['', 'no row names the columns, one of them "club"'],
    ['Driver,9,45', 'no row names the columns, one of them "club"'],
    ['loft,carry\n9,250', 'no column names the club; call one "club"'],
    ['club,carry,full carry\nD,1,2', 'two columns are the full carry'],
    [`club\n${'x\n'.repeat(2001)}`, '2001 rows, at most 2000 at a time'],
  ])('refuses %j with a reason', (text, reason) => expect(() => readClubText(text, options)).toThrow(reason));

  it('never throws anything but its own error, whatever the text (property)', () => {
    fc.assert(
      fc.property(fc.string({ maxLength: 200 }), (text) => {
        try {
          planImport(readClubText(`club,loft\n${text}`, options), []);
          splitTable(text);
        } catch (error) {
          expect((error as Error).name).toBe('TableError');
        }
      }),
    );
  });
});

const ajv = new Ajv2020({ strict: true });
const schemaOf = (name: string) =>
  JSON.parse(
    readFileSync(new URL(`../../docs/formats/${name}.schema.json`, import.meta.url), 'utf8'),
  ) as object;

describe('published schemas say what the code does', () => {
  const locker: LockerDocument = {
    format: 'tasche-locker',
    version: 1,
    player: {
      name: 'Maren',
      hand: 'right',
      distanceUnit: 'm',
      notes: '',
      gapSettings: { clubLimit: 10 },
      baseline: {
        temperatureC: 12,
        altitudeM: 1520,
        humidityPct: 45,
        windMps: 0,
        windFromDeg: 0,
        targetElevationM: 0,
      },
    },
    clubs: [
      {
        id: id(1),
        name: '7 iron',
        kind: 'iron',
        readings: [
          { key: 'loftStampedDeg', value: 33, takenOn: '2026-01-01' },
          { key: 'swingWeight', value: 'D1', takenOn: '2026-01-01' },
          { key: 'lieDeg', value: null, takenOn: '2026-01-02' },
          {
            key: 'shot.full',
            value: { carryM: 146, source: 'measured', sampleSize: 30, spreadM: 3.6 },
            takenOn: '2026-01-01',
          },
        ],
      },
    ],
    bags: [{ name: 'Gamer', note: '', gamer: true, ready: false, clubIds: [id(1)] }],
  };
  const broken: [string, unknown][] = [
    [
      'a baseline without an altitude',
      {
        ...locker,
        player: {
          ...locker.player,
          baseline: {
            temperatureC: 12,
            humidityPct: 45,
            windMps: 0,
            windFromDeg: 0,
            targetElevationM: 0,
            pressureHpa: 900,
          },
        },
      },
    ],
    ['another format', { ...locker, format: 'other' }],
    ['an unknown field', { ...locker, extra: 1 }],
    ['a wrong kind', { ...locker, clubs: [{ ...locker.clubs[0], kind: 'spoon' }] }],
    [
      'an impossible loft',
      {
        ...locker,
        clubs: [
          { ...locker.clubs[0], readings: [{ key: 'loftStampedDeg', value: 200, takenOn: '2026-01-01' }] },
        ],
      },
    ],
    [
      'text for a number',
      {
        ...locker,
        clubs: [{ ...locker.clubs[0], readings: [{ key: 'lieDeg', value: '62', takenOn: '2026-01-01' }] }],
      },
    ],
    [
      'a shot without a carry',
      {
        ...locker,
        clubs: [
          {
            ...locker.clubs[0],
            readings: [{ key: 'shot.soft', value: { source: 'stated' }, takenOn: '2026-01-01' }],
          },
        ],
      },
    ],
    [
      'an unknown quantity',
      {
        ...locker,
        clubs: [{ ...locker.clubs[0], readings: [{ key: 'smash', value: 1, takenOn: '2026-01-01' }] }],
      },
    ],
  ];
  const validLocker = ajv.compile(schemaOf('locker'));

  it('takes a good locker', () => {
    expect(validLocker(locker)).toBe(true);
    expect(parseLockerDocument(locker)).toEqual(locker);
  });
  it.each(broken)('refuses %s, both of them', (_what, document) => {
    expect(validLocker(document)).toBe(false);
    expect(() => parseLockerDocument(document)).toThrow();
  });

  const bag = {
    clubs: [
      { id: 'a', name: '7', kind: 'iron', loftDeg: 32, shots: { full: { carryM: 146, source: 'stated' } } },
      { id: 'b', name: '9', kind: 'iron', loftDeg: 40, shots: { full: { carryM: 124, source: 'stated' } } },
    ],
  };
  const validInput = ajv.compile(schemaOf('gaps-input'));
  const validOutput = ajv.compile(schemaOf('gaps-output'));
  it('takes a good gaps document, and its answer is as published', () => {
    expect(validInput(bag)).toBe(true);
    const answer = JSON.parse(JSON.stringify(calcGaps(bag))) as unknown;
    expect(validOutput(answer), JSON.stringify(validOutput.errors)).toBe(true);
  });
  it.each([
    ['an unknown field', { ...bag, colour: 'red' }, 'unknown field: colour'],
    [
      'a misspelt club field',
      { clubs: [{ ...bag.clubs[0], loft: 3 }] },
      'clubs[0] has an unknown field: loft',
    ],
    [
      'a negative carry',
      { clubs: [{ ...bag.clubs[0], shots: { full: { carryM: -1, source: 'stated' } } }] },
      'clubs[0].shots.full.carryM must be between 1 and 411 m',
    ],
    ['a school nobody teaches', { ...bag, school: 'odd' }, 'school must be one of'],
    ['no clubs', {}, 'clubs is missing'],
  ])('refuses %s by name', (_what, document, message) => {
    expect(validInput(document)).toBe(false);
    expect(() => calcGaps(document)).toThrow(message);
  });
});

describe('a change request', () => {
  const ok = { id: id(1), commands: [{ do: 'putIn', bagId: id(2), clubId: id(3) }] };
  it('is taken whole', () => expect(parseChangeRequest(ok)).toEqual(ok));
  it.each([
    ['nothing', undefined, 'the document is missing'],
    ['an array', [], 'the document must be a JSON object'],
    ['null', null, 'the document is missing'],
    [
      'a command nobody knows',
      { ...ok, commands: [{ do: 'explode' }] },
      'commands[0].do is not something that can be done',
    ],
    ["a prototype's name", { ...ok, commands: [{ do: 'constructor' }] }, 'commands[0].do is not'],
    ['an id that is none', { ...ok, id: "1'; drop table club" }, 'id must be an id'],
    [
      'an unknown field',
      { ...ok, commands: [{ ...ok.commands[0], force: true }] },
      'commands[0] has an unknown field: force',
    ],
    ['no commands', { ...ok, commands: [] }, 'commands is empty'],
    [
      'a loft of 900',
      {
        ...ok,
        commands: [
          {
            do: 'editClub',
            clubId: id(2),
            version: 1,
            readings: [{ key: 'loftSetDeg', value: 900, takenOn: '2026-01-01' }],
          },
        ],
      },
      'Set loft must be between -2 and 80 deg',
    ],
    [
      'a week that ends before it starts',
      {
        ...ok,
        commands: [
          {
            do: 'addPlan',
            plan: {
              id: id(1),
              bagId: id(2),
              playerId: id(3),
              name: 'W',
              course: '',
              startsOn: '2026-02-02',
              endsOn: '2026-02-01',
              ground: '',
              weather: '',
            },
          },
        ],
      },
      'ends before it starts',
    ],
  ])('refuses %s', (_what, body, message) => expect(() => parseChangeRequest(body)).toThrow(message));
});
